import { readLine } from '@umbrex/core/listing';
import { type Find, FindSchema, toneFromText } from '@umbrex/core/model';
import { hzFromMHzText, mhzText } from '@umbrex/core/units';
import { useState } from 'react';
import type { FindKnown, FindsView } from '../../contract/finds';
import { toneWords } from '../../messages/tones';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { useLocal } from '../../ui/local';
import type { EntryGroup } from '../desk/entryGroup';
import { useAddMany } from '../desk/useAddMany';
import { type Held, useHeld } from '../desk/useHeld';
import { TableFiles } from '../TableImport/TableFiles';

/** What searches stopped at: noted, looked up, and made a channel or a remark. */
function FindDeskIsland({ view, groups }: { view: FindsView; groups: readonly EntryGroup[] }) {
  const names = { unit: view.sets };
  const finds = useHeld('finds', view.finds, { names });
  return (
    <section aria-label="Finds" className="max-w-4xl">
      <h2 className="mt-6 text-base font-bold">What a search stopped at</h2>
      <Note view={view} add={finds.add} />
      {finds.held.length === 0 && <p className="muted py-2">Nothing was noted yet.</p>}
      <ul>
        {finds.held.map((held) => (
          <One
            key={held.value.id}
            held={held}
            known={view.known[held.value.id]}
            view={view}
            groups={groups}
            finds={finds}
          />
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap items-center gap-3 border-t border-base-300 pt-3">
        <TableFiles kind="find" present={finds.held.map(({ value }) => value)} names={names} />
      </div>
    </section>
  );
}

export const FindDesk = guarded('FindDesk', FindDeskIsland);

type Finds = ReturnType<typeof useHeld<'finds'>>;

function Note({ view, add }: { view: FindsView; add: Finds['add'] }) {
  const [mhz, setMhz] = useState('');
  const [tone, setTone] = useState('');
  const [heard, setHeard] = useState('');
  const [where, setWhere] = useState('');
  const [unitId, setUnitId] = useState('');
  const hz = hzFromMHzText(mhz.trim().replace(',', '.'));
  const asTone = tone.trim() === '' ? 'unknown' : tone.trim().toUpperCase().replace(/^OFF$/, 'off');
  const isTone = asTone === 'unknown' || asTone === 'off' || toneFromText(asTone) !== undefined;
  const draft = (): Find | undefined =>
    FindSchema.safeParse({
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      receiveHz: hz,
      tone: asTone,
      heard,
      where,
      unitId: unitId || null,
      by: view.by,
    }).data;
  const fault =
    mhz.trim() !== '' && hz === undefined
      ? 'Write the frequency in MHz, as 154.265.'
      : !isTone
        ? 'Write the tone as 85.4 or D023N, or leave it empty.'
        : '';
  return (
    <Form
      className="mt-2 flex flex-wrap items-end gap-2"
      send={() => {
        const find = draft();
        if (!find || fault) return;
        // Looked up by the server: the page is loaded anew with it.
        void add(find).then((ok) => ok && window.location.reload());
      }}
    >
      <LabelledText title="MHz" value={mhz} set={setMhz} />
      <LabelledText title="Tone, if seen" value={tone} set={setTone} />
      <LabelledText title="What was heard" value={heard} set={setHeard} />
      <LabelledText title="Where" value={where} set={setWhere} />
      <LabelledSelect
        title="With"
        value={unitId}
        options={[['', 'not said'], ...view.sets.map(({ id, name }) => [id, name] as const)]}
        set={setUnitId}
      />
      <Button type="submit" className="btn btn-primary btn-sm" isOff={hz === undefined || fault !== ''}>
        Note it
      </Button>
      {fault && (
        <p role="alert" className="finding w-full" data-severity="warning">
          {fault}
        </p>
      )}
    </Form>
  );
}

const BECAME = { open: '', channel: 'a channel of the plan', remark: 'stays a remark' } as const;

function One({
  held,
  known,
  view,
  groups,
  finds,
}: {
  held: Held<Find>;
  known: FindKnown | undefined;
  view: FindsView;
  groups: readonly EntryGroup[];
  finds: Finds;
}) {
  const { value: find, version } = held;
  const local = useLocal();
  const { addAll } = useAddMany<string>(view.planId, groups);
  const { day, time } = local(find.at);
  const set = view.sets.find(({ id }) => id === find.unitId)?.name;
  const reading = known && readLine(known.line);
  const draft = reading?.ok ? reading.channel : null;
  const mhz = mhzText(find.receiveHz);
  const take = async () => {
    if (!draft) return;
    await addAll([{ key: find.id, channel: { ...draft, note: find.heard } }]);
    if (await finds.save({ ...find, state: 'channel' }, version)) window.location.reload();
  };
  return (
    <li className="border-b border-base-300 py-2">
      <p>
        <strong className="font-mono">{mhz}</strong>
        {find.tone !== 'unknown' && `, ${toneWords(find.tone)}`}
        {find.heard && `: ${find.heard}`}
        <span className="muted text-small">
          {[
            ` ${day} ${time}`,
            find.where,
            set && `with ${set}`,
            find.by && find.by !== view.by && `by ${find.by}`,
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
      </p>
      {known && (
        <p className="text-small">
          {known.may.length > 0
            ? `May be: ${known.may.join('; ')}.`
            : 'In no service of this country, no directory that was asked, and not in the plan.'}
        </p>
      )}
      {known?.leftOut.map((text) => (
        <p key={text} className="finding text-small" data-severity="warning">
          {text}
        </p>
      ))}
      <p className="mt-1 flex flex-wrap items-center gap-2">
        {find.state !== 'open' && <span className="text-small font-semibold">{BECAME[find.state]}</span>}
        {find.state === 'open' && !known?.isInPlan && draft && (
          <button type="button" className="btn btn-outline btn-xs" onClick={() => void take()}>
            {`Into the plan as “${draft.name}”, to listen`}
            <span className="sr-only"> on {mhz}</span>
          </button>
        )}
        {find.state === 'open' && (
          <button
            type="button"
            className="btn btn-outline btn-xs"
            onClick={() => void finds.save({ ...find, state: 'remark' }, version)}
          >
            Keep as a remark<span className="sr-only"> of {mhz}</span>
          </button>
        )}
        <button type="button" className="btn btn-ghost btn-xs" onClick={() => void finds.remove(held)}>
          Take out<span className="sr-only"> {mhz}</span>
        </button>
      </p>
    </li>
  );
}
