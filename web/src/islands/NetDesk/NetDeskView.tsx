import type { Net } from '@umbrex/core/model';
import { checkedIn } from '@umbrex/core/nets';
import { useState } from 'react';
import { NetLine } from '../../components/NetLine';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledText } from '../../ui/LabelledText';
import type { Held } from '../desk/useHeld';
import { LinkGiver } from '../LinkGiver/LinkGiver';
import { TableFiles } from '../TableImport/TableFiles';
import { NetForm } from './NetForm';
import type { useNetDesk } from './useNetDesk';

type Props = ReturnType<typeof useNetDesk>;

/** Nets and events: when, on which channel, what if that fails, who leads, who is where, who checked in. */
export function NetDeskView(props: Props) {
  const { nets, open, openId, setOpenId, mayEdit } = props;
  return (
    <div className="max-w-4xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Nets and events</h1>
      <p className="muted mb-3">
        Identify when you check in. Never use a distress or calling channel for a net.
      </p>
      {nets.held.length === 0 && <p className="py-4">None yet.</p>}
      {nets.held.map((held) =>
        openId === held.value.id && open ? (
          <NetForm key={`${held.value.id} ${held.version}`} held={held} {...props} />
        ) : (
          <NetSection key={held.value.id} held={held} {...props} />
        ),
      )}
      {mayEdit && <AddNet {...props} setOpenId={setOpenId} />}
      {mayEdit && (
        <p className="mt-4 flex flex-wrap items-center gap-3 border-t border-base-300 pt-3">
          <TableFiles
            kind="net"
            present={nets.held.map(({ value }) => value)}
            names={{ channel: props.channels }}
          />
        </p>
      )}
      {props.hasCalendar && <InCalendar {...props} />}
    </div>
  );
}

/** Nets, days and what is due, in one's own calendar: as a file, or as one that follows. */
function InCalendar({ planId, mayEdit, links, today }: Props) {
  return (
    <section className="print-hide mt-6 max-w-xl border-t border-base-300 pt-3">
      <h2 className="text-lg font-bold">In your calendar</h2>
      <p className="text-plain">
        {mayEdit
          ? 'Nets, bench days, tests and cells, the ends of licences and permissions, with reminders: '
          : 'Nets, what is due of your sets, the ends of your licences, with reminders: '}
        <a className="link" href={`/api/plans/${planId}/calendar`} download>
          as a file
        </a>
        .
      </p>
      {links && <LinkGiver planId={planId} of={{ kind: 'calendar' }} links={links} today={today} />}
    </section>
  );
}

function NetSection({
  held,
  channelName,
  mayEdit,
  setOpenId,
  checkIn,
  beginList,
  people,
  nowMs,
}: Props & { held: Held<Net> }) {
  const { value: net } = held;
  const list = checkedIn(net);
  const earlier = net.checkIns.length - list.length;
  return (
    <section className="mb-6 border-b border-base-content/40 pb-3">
      <h2 className="text-lg">
        <NetLine net={net} channel={channelName(net.channelId)} nowMs={nowMs} />
      </h2>
      <p className="muted text-plain">
        {net.fallbackId ? `If that fails: ${channelName(net.fallbackId)}. ` : 'No fallback is named. '}
        {net.note}
      </p>
      {net.roles.length > 0 && (
        <ul className="mt-1 text-plain">
          {net.roles.map((role) => (
            <li key={role.name}>
              <strong>{role.name}</strong> {role.who || <span className="muted">nobody yet</span>}
              {role.channelId && <span className="muted">, on {channelName(role.channelId)}</span>}
            </li>
          ))}
        </ul>
      )}
      <h3 className="muted mt-2 font-semibold">
        Checked in <span className="font-mono">{list.length}</span>
        {earlier > 0 && <span className="font-normal">, {earlier} of earlier lists in what was heard</span>}
      </h3>
      <ol className="list-decimal pl-6 text-plain">
        {list.map(({ who, at, note, heardBy }) => (
          <li key={at + who}>
            <span className="font-mono">
              {at.slice(0, 10)} {at.slice(11, 16)} UTC
            </span>{' '}
            {who}
            {note && <span className="muted">, {note}</span>}
            {heardBy && heardBy !== net.leader && <span className="muted">, heard by {heardBy}</span>}
          </li>
        ))}
      </ol>
      {mayEdit && (
        <>
          <CheckIn people={people} add={(who, note) => checkIn(held, who, note)} />
          <p className="mt-2 flex gap-2">
            <button type="button" className="btn btn-outline btn-xs" onClick={() => setOpenId(net.id)}>
              Change {net.name}
            </button>
            {list.length > 0 && (
              <button type="button" className="btn btn-ghost btn-xs" onClick={() => void beginList(held)}>
                Begin a new list
              </button>
            )}
          </p>
        </>
      )}
    </section>
  );
}

function CheckIn({
  people,
  add,
}: {
  people: readonly string[];
  add: (who: string, note: string) => Promise<boolean>;
}) {
  const [who, setWho] = useState('');
  const [note, setNote] = useState('');
  return (
    <Form
      className="mt-1 flex flex-wrap gap-2"
      send={() => {
        if (who.trim() === '') return;
        void add(who.trim(), note.trim()).then((ok) => {
          if (!ok) return;
          setWho('');
          setNote('');
        });
      }}
    >
      <LabelledText
        title="Who checks in"
        at="heard"
        hint="who checks in"
        list="net-people"
        most={60}
        value={who}
        set={setWho}
        width="w-52"
      />
      <datalist id="net-people">
        {people.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <LabelledText
        title="A note to it"
        at="heard"
        hint="signal, traffic"
        most={200}
        value={note}
        set={setNote}
        width="w-60"
      />
      <Button type="submit" className="btn btn-outline btn-sm" isOff={who.trim() === ''}>
        Check in
      </Button>
    </Form>
  );
}

function AddNet({ nets, setOpenId, timeZone }: Props) {
  const [name, setName] = useState('');
  const add = () => {
    const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    const net: Net = {
      id: crypto.randomUUID(),
      name: name.trim(),
      startsAt: `${tomorrow}T19:00`,
      timeZone,
      repeats: 'once',
      channelId: null,
      fallbackId: null,
      leader: '',
      roles: [],
      checkIns: [],
      listFrom: null,
      note: '',
    };
    void nets.add(net).then((ok) => {
      if (!ok) return;
      setName('');
      setOpenId(net.id);
    });
  };
  return (
    <Form className="flex items-end gap-2" send={() => add()}>
      <LabelledText title="A new net or event" value={name} set={setName} most={60} width="w-60" />
      <Button type="submit" className="btn btn-primary btn-sm" isOff={name.trim() === ''}>
        Add
      </Button>
    </Form>
  );
}
