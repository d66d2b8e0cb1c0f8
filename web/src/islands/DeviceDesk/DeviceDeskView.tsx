import { Pencil, Trash2 } from 'lucide-react';
import { TakeInFile } from '../../components/TakeInFile';
import { UnitForm } from './UnitForm';
import type { useDeviceDesk } from './useDeviceDesk';

/** Stands in the form until the device is added under an id of its own. */
const BLANK_ID = '00000000-0000-4000-8000-000000000000';

/** Who holds what: the devices by kind, to add, change and remove, and the library of kinds. */
export function DeviceDeskView(props: ReturnType<typeof useDeviceDesk>) {
  const { planId, units, kinds, add } = props;
  const first = kinds[0];
  return (
    <div className="max-w-6xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Devices</h1>
      <p className="muted mb-4">
        {units.length} devices of {kinds.length} kinds. Each gets its own fit and sheet.
      </p>
      {first && (
        <section className="mb-6 rounded border border-base-300 bg-base-100 p-4">
          <h2 className="mb-2 font-bold">Add a device</h2>
          <UnitForm
            unit={{
              id: BLANK_ID,
              descriptionId: first.id,
              nickname: '',
              holder: '',
              serial: '',
              firmware: 'unknown',
            }}
            kinds={kinds}
            action="Add device"
            save={(unit) => add({ ...unit, id: crypto.randomUUID() })}
          />
        </section>
      )}
      {kinds.map((kind) => (
        <KindSection key={kind.id} kind={kind} {...props} planId={planId} />
      ))}
      <TakeIn {...props} />
    </div>
  );
}

function KindSection({
  kind,
  planId,
  units,
  kinds,
  editing,
  setEditing,
  save,
  remove,
}: ReturnType<typeof useDeviceDesk> & { kind: ReturnType<typeof useDeviceDesk>['kinds'][number] }) {
  const held = units.filter(({ unit }) => unit.descriptionId === kind.id);
  return (
    <section className="mb-6">
      <h2 className="border-b border-base-content/40 pb-1 font-bold">
        {kind.title}{' '}
        <span className="muted ml-2 text-[0.87rem] font-normal">
          {kind.pattern}, described for firmware {kind.firmware.join(', ') || 'unknown'},{' '}
          {kind.marks === 0 ? 'no mark yet' : `${kind.marks} marks`}
        </span>
      </h2>
      {held.length === 0 && <p className="muted py-2">Nobody holds one yet.</p>}
      <ul>
        {held.map(({ unit, version }) => (
          <li key={unit.id} className="border-b border-base-300 py-1.5">
            {editing === unit.id ? (
              <UnitForm
                unit={unit}
                kinds={kinds}
                action="Save"
                save={(next) => save(next, version)}
                cancel={() => setEditing(null)}
              />
            ) : (
              <div className="grid items-center gap-x-4 sm:grid-cols-[minmax(8rem,1fr)_minmax(8rem,1.4fr)_8rem_8rem_auto]">
                <a className="link link-hover font-semibold" href={`/plans/${planId}/sheets/${unit.id}`}>
                  {unit.nickname}
                </a>
                <span>{unit.holder || <span className="muted">no holder</span>}</span>
                <span className="muted font-mono text-[0.87rem]">{unit.serial || 'no serial'}</span>
                <span
                  className={`font-mono text-[0.87rem] ${kind.firmware.includes(unit.firmware) ? '' : 'font-semibold text-accent'}`}
                >
                  fw {unit.firmware}
                </span>
                <span className="flex justify-self-end">
                  <button
                    type="button"
                    className="btn btn-ghost btn-sm btn-square"
                    aria-label={`Change ${unit.nickname}`}
                    onClick={() => setEditing(unit.id)}
                  >
                    <Pencil size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost btn-sm btn-square"
                    aria-label={`Delete ${unit.nickname}`}
                    onClick={() => void remove({ unit, version })}
                  >
                    <Trash2 size={16} aria-hidden="true" />
                  </button>
                </span>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function TakeIn({ importDescription, importFindings }: ReturnType<typeof useDeviceDesk>) {
  return (
    <section className="max-w-xl border-t border-base-300 pt-4">
      <h2 className="font-bold">Another kind of device</h2>
      <p className="mb-2 text-[0.93rem]">
        A kind is described by a file: what it can do and how its keys work. No code is needed for a new one.
      </p>
      <TakeInFile label="Bring in a description file" take={importDescription} findings={importFindings} />
    </section>
  );
}
