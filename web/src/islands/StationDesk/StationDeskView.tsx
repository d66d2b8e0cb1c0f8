import type { Station } from '@umbrex/core/model';
import { factOf, knownFacts } from '@umbrex/core/stations';
import { mhzText } from '@umbrex/core/units';
import { useState } from 'react';
import { TakeInFile } from '../../components/TakeInFile';
import { KIND_TEXT, PERMISSION_TEXT } from '../../messages/stations';
import { Button } from '../../ui/Button';
import { Drawer } from '../../ui/Drawer';
import { Form } from '../../ui/Form';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { useRows } from '../../ui/rows';
import { mayLeave } from '../../ui/unsaved';
import { address } from '../desk/api';
import { TableFiles } from '../TableImport/TableFiles';
import { PreconditionMatrix } from './PreconditionMatrix';
import { StationDrawer } from './StationDrawer';
import type { useStationDesk } from './useStationDesk';

const rowOf = (id: string) => `open-station-${id}`;
const KINDS = ['repeater', 'weather', 'listen', 'trunked'] as const;

/** Repeaters and other stations: what is said of each and by whom, permission, and who can use which. */
export function StationDeskView(props: ReturnType<typeof useStationDesk>) {
  const { stations, reviews, open, setOpenId, mayEdit } = props;
  const rows = useRows<HTMLDivElement>();
  const repeaters = stations.held.filter(({ value }) => value.kind === 'repeater');
  return (
    <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="px-5 py-4 max-md:px-3">
        <h1 className="text-xl font-bold">Stations</h1>
        <p className="muted mb-3">
          What is known of repeaters, transmitters and listened services, by whom and since when. Nothing said
          is thrown away: words that disagree stand side by side.
        </p>
        <div {...rows}>
          {KINDS.map((kind) => {
            const of = stations.held.filter(({ value }) => value.kind === kind);
            return of.length === 0 ? null : (
              <section key={kind} className="mb-5">
                <h2 className="border-b border-base-content/40 pb-1 font-bold">{KIND_TEXT[kind].many}</h2>
                <ul>
                  {of.map(({ value: station }) => (
                    <li
                      data-item
                      key={station.id}
                      id={`station-${station.id}`}
                      className={`border-b border-base-300 ${open?.value.id === station.id ? 'bg-base-100 outline-2 outline-primary -outline-offset-2' : ''}`}
                    >
                      <button
                        type="button"
                        id={rowOf(station.id)}
                        data-row
                        className="grid w-full cursor-pointer items-center gap-x-4 px-2 py-1.5 text-left hover:bg-base-100 sm:grid-cols-[minmax(9rem,1fr)_8.5rem_10.5rem_9rem]"
                        aria-pressed={open?.value.id === station.id}
                        onClick={() => mayLeave() && setOpenId(station.id)}
                      >
                        <span className="font-semibold">{station.name}</span>
                        <span className="font-mono text-plain">{frequencyText(station)}</span>
                        <span className="muted text-plain">
                          {kind === 'repeater' ? PERMISSION_TEXT[station.permission.state] : ''}
                        </span>
                        <Marks station={station} findings={reviews.get(station.id)?.length ?? 0} />
                      </button>
                    </li>
                  ))}
                </ul>
              </section>
            );
          })}
        </div>
        {stations.held.length === 0 && <p className="py-4">No station yet.</p>}
        {mayEdit && <AddStation {...props} />}
        {repeaters.length > 0 && props.people.length > 0 && (
          <PreconditionMatrix {...props} repeaters={repeaters} />
        )}
      </div>
      <Drawer
        label="Files"
        opened={open && { key: open.value.id, title: open.value.name, sub: KIND_TEXT[open.value.kind].one }}
        rowId={rowOf}
        close={() => setOpenId(null)}
      >
        {open ? (
          <StationDrawer key={`${open.value.id} ${open.version}`} held={open} {...props} />
        ) : (
          <>
            <h2 className="text-lg font-bold">As a file</h2>
            {stations.held.length > 0 && (
              <p className="muted mb-2 text-plain">Choose a station in the list to see what is said of it.</p>
            )}
            <a className="btn btn-outline btn-sm" href={address('GET /api/stations/geojson', {})} download>
              Save as GeoJSON
            </a>
            {mayEdit && (
              <p className="mt-3 flex flex-wrap items-center gap-3">
                <TableFiles
                  kind="station"
                  present={props.stations.held.map(({ value }) => value)}
                  names={{ person: props.people }}
                />
              </p>
            )}
            {mayEdit && (
              <TakeInFile
                label="Bring in points as GeoJSON"
                accept=".geojson,.json,application/geo+json,application/json"
                take={props.takeGeoJson}
                findings={props.faults}
              />
            )}
          </>
        )}
      </Drawer>
    </div>
  );
}

function frequencyText(station: Station): string {
  const hz = factOf(station, 'outputHz') ?? factOf(station, 'controlHz')?.[0];
  return hz === undefined ? 'not known' : `${mhzText(hz)} MHz`;
}

function Marks({ station, findings }: { station: Station; findings: number }) {
  const status = knownFacts(station).get('status')?.fact.value;
  return (
    <span className="text-right text-small">
      {status !== undefined && status !== 'on-air' && (
        <span className="muted">{String(status).replace('-', ' ')} </span>
      )}
      {findings > 0 && (
        <span className="font-semibold text-accent">
          {findings} {findings === 1 ? 'question' : 'questions'}
        </span>
      )}
    </span>
  );
}

function AddStation({ stations, setOpenId }: ReturnType<typeof useStationDesk>) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState<Station['kind']>('repeater');
  return (
    <Form
      className="mb-5 flex flex-wrap items-end gap-3"
      send={() => {
        const station: Station = {
          id: crypto.randomUUID(),
          kind,
          name: name.trim(),
          site: null,
          facts: [],
          permission: { state: 'unknown', by: '', on: 'unknown', note: '', expires: 'unknown' },
          reports: [],
          note: '',
        };
        void stations.add(station).then((ok) => {
          if (!ok) return;
          setName('');
          setOpenId(station.id);
        });
      }}
    >
      <LabelledText title="A new station" value={name} set={setName} most={60} width="w-56" />
      <LabelledSelect
        title="Kind"
        value={kind}
        options={KINDS.map((id) => [id, KIND_TEXT[id].one] as const)}
        set={setKind}
        width="w-44"
      />
      <Button type="submit" className="btn btn-primary btn-sm" isOff={name.trim() === ''}>
        Add
      </Button>
    </Form>
  );
}
