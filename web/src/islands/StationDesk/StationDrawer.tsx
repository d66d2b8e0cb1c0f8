import { type Station, StationSchema } from '@umbrex/core/model';
import { controlChannels, knownFacts, requestParts } from '@umbrex/core/stations';
import { placeText, readPlace } from '@umbrex/core/units';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { FindingItem } from '../../components/FindingItem';
import { factText, PERMISSION_TEXT, requestText, stationField } from '../../messages/stations';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { faultsOf, useFaults } from '../../ui/faults';
import { fieldsOf } from '../../ui/fields';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledLines } from '../../ui/LabelledLines';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { useUnsaved } from '../../ui/unsaved';
import type { Held } from '../desk/useHeld';
import { FactForm } from './FactForm';
import type { useStationDesk } from './useStationDesk';

type Props = ReturnType<typeof useStationDesk> & { held: Held<Station> };

/** A station's details: questions first, then each fact with its source and day, where it is, permission, who reached it. */
export function StationDrawer(props: Props) {
  const { held, reviews, stations, setOpenId, dropFact, mayEdit } = props;
  const station = held.value;
  const findings = reviews.get(station.id) ?? [];
  return (
    <div className="space-y-4">
      {findings.length > 0 && (
        <ul className="space-y-1.5">
          {findings.map((finding) => (
            <FindingItem key={finding.code + ('field' in finding ? finding.field : '')} finding={finding} />
          ))}
        </ul>
      )}
      <section>
        <h3 className="muted font-semibold">What is said of it</h3>
        {station.facts.length === 0 && <p>Nothing yet.</p>}
        <dl>
          {[...knownFacts(station)].map(([field, { fact, others }]) => (
            <div key={field} className="border-b border-base-300 py-1">
              <dt className="muted text-small">{stationField(field)}</dt>
              {[fact, ...others].map((said, i) => (
                <dd
                  key={`${said.source} ${said.on} ${String(said.value)}`}
                  className={`flex items-start justify-between gap-2 ${i > 0 ? 'muted' : ''}`}
                >
                  <span>
                    <strong className={i > 0 ? 'font-normal' : ''}>{factText(said)}</strong>
                    <span className="muted block text-tiny">
                      {said.source}, {said.on === 'unknown' ? 'undated' : said.on}
                    </span>
                  </span>
                  {mayEdit && (
                    <button
                      type="button"
                      className="btn btn-ghost btn-xs btn-square"
                      aria-label={`Take out: ${stationField(field)} ${factText(said)}, ${said.source}`}
                      onClick={() => void dropFact(held, said)}
                    >
                      <Trash2 size={14} aria-hidden="true" />
                    </button>
                  )}
                </dd>
              ))}
            </div>
          ))}
        </dl>
        {mayEdit && <FactForm {...props} />}
      </section>
      {station.kind === 'trunked' && mayEdit && <Control {...props} />}
      {mayEdit && <NameAndSite {...props} />}
      {station.kind === 'repeater' && <Permission {...props} />}
      {station.kind === 'repeater' && mayEdit && <Reports {...props} />}
      {mayEdit && (
        <button
          type="button"
          className="btn btn-outline btn-error btn-sm"
          onClick={() => void stations.remove(held).then((ok) => ok && setOpenId(null))}
        >
          <Trash2 size={16} aria-hidden="true" /> Delete station
        </button>
      )}
    </div>
  );
}

/** The way of a trunked site into the plan: its control channels alone. */
function Control({ held, control, addControl, planId }: Props) {
  const [isBusy, setBusy] = useState(false);
  const left = controlChannels(held.value, control, () => held.value.id).length;
  const go = async () => {
    setBusy(true);
    await addControl(held.value);
    setBusy(false);
  };
  return (
    <section>
      <h3 className="muted font-semibold">In the plan</h3>
      <p className="mb-2 text-plain">
        A scanner that follows networks needs the control channel of the tower that is heard here, and nothing
        else of it. Listen only.
      </p>
      {left === 0 ? (
        <p className="text-plain">
          <a className="link" href={`/plans/${planId}`}>
            All that are known are in the plan.
          </a>
        </p>
      ) : (
        <Button type="button" className="btn btn-outline btn-sm" isOff={isBusy} onClick={() => void go()}>
          {left === 1
            ? 'Put its control channel into the plan'
            : `Put its ${left} control channels into the plan`}
        </Button>
      )}
    </section>
  );
}

function NameAndSite({ held, stations }: Props) {
  const [name, setName] = useState(held.value.name);
  const [text, setText] = useState(placeText(held.value.site));
  const { form, faults, tell } = useFaults();
  useUnsaved(name !== held.value.name || text !== placeText(held.value.site));
  const save = () => {
    const site = readPlace(text);
    const parsed = StationSchema.safeParse({ ...held.value, name, site: site ?? null });
    tell({
      ...(!parsed.success &&
        faultsOf(parsed.error, { name: 'Give the station a name of up to 60 letters.' })),
      ...(site === undefined && { site: 'Write it as 41.2733, -38.5012: degrees north, then east.' }),
    });
    if (parsed.success && site !== undefined) void stations.save(parsed.data, held.version);
  };
  return (
    <Form ref={form} noValidate className="space-y-2" send={() => save()}>
      <LabelledText title="Name" value={name} set={setName} most={60} fault={faults.name} />
      <LabelledText
        title="Site: latitude, longitude"
        value={text}
        set={setText}
        most={40}
        fault={faults.site}
      />
      <button type="submit" className="btn btn-outline btn-sm">
        Save name and site
      </button>
    </Form>
  );
}

function Permission({ held, stations, groupName, me, people, mayEdit }: Props) {
  const [permission, setPermission] = useState(held.value.permission);
  const [copied, setCopied] = useState(false);
  const change = (part: Partial<Station['permission']>) => setPermission((now) => ({ ...now, ...part }));
  const field = fieldsOf(permission, change);
  const request = requestText(requestParts(held.value, groupName, me, people.length));
  if (!mayEdit)
    return (
      <p>
        <span className="muted">Permission: </span>
        {PERMISSION_TEXT[permission.state]}
      </p>
    );
  return (
    <Form
      className="space-y-2 border-t border-base-300 pt-3"
      send={() => stations.save({ ...held.value, permission }, held.version)}
    >
      <h3 className="muted font-semibold">Permission</h3>
      <LabelledSelect
        title="How it stands"
        {...field('state')}
        options={Object.entries(PERMISSION_TEXT) as [Station['permission']['state'], string][]}
      />
      <div className="grid grid-cols-2 gap-2">
        <LabelledText title="Who asked or was told" {...field('by')} most={60} />
        <LabelledDay title="On" none="unknown" {...field('on')} />
        <LabelledDay title="Good until" none="unknown" {...field('expires')} />
        <LabelledText title="Note" {...field('note')} most={400} />
      </div>
      <button type="submit" className="btn btn-primary btn-sm">
        Save permission
      </button>
      <details>
        <summary className="muted cursor-pointer">A text to ask with</summary>
        <LabelledLines title="A text to ask with" at="heard" className="mt-1" rows={8} value={request} />
        <button
          type="button"
          className="btn btn-outline btn-xs"
          onClick={() => void navigator.clipboard.writeText(request).then(() => setCopied(true))}
        >
          {copied ? 'Copied' : 'Copy it'}
        </button>
      </details>
    </Form>
  );
}

function Reports({ held, stations, people, today }: Props) {
  const [personId, setPersonId] = useState('');
  const note = (reached: boolean) =>
    stations.save(
      { ...held.value, reports: [...held.value.reports, { personId, reached, on: today }] },
      held.version,
    );
  const name = (id: string) => people.find((person) => person.id === id)?.name ?? 'somebody who left';
  return (
    <section className="border-t border-base-300 pt-3">
      <h3 className="muted font-semibold">Who reached it</h3>
      <ul className="text-plain">
        {held.value.reports.map((report) => (
          <li key={`${report.personId} ${report.on} ${report.reached}`}>
            {name(report.personId)} {report.reached ? 'reached it' : 'did not reach it'}, {report.on}
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <LabelledSelect
          title="Somebody says"
          value={personId}
          options={[['', 'who'], ...people.map(({ id, name: who }) => [id, who] as const)]}
          set={setPersonId}
          width="w-44"
        />
        <Button
          type="button"
          className="btn btn-outline btn-sm"
          isOff={!personId}
          onClick={() => void note(true)}
        >
          Reached it
        </Button>
        <Button
          type="button"
          className="btn btn-outline btn-sm"
          isOff={!personId}
          onClick={() => void note(false)}
        >
          Did not
        </Button>
      </div>
    </section>
  );
}
