import type { Unit } from '@umbrex/core/model';
import { isTestDue } from '@umbrex/core/today';
import { Pencil, Trash2 } from 'lucide-react';
import { GroupsCarried } from '../../components/GroupsCarried';
import { TakeInFile } from '../../components/TakeInFile';
import { counted } from '../../messages/labels';
import { NAMING_OPTIONS } from '../../messages/naming';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { address } from '../desk/api';
import { TableFiles } from '../TableImport/TableFiles';
import { SetupForm } from './SetupForm';
import { UnitForm } from './UnitForm';
import type { Kind, useDeviceDesk } from './useDeviceDesk';

const HOLDS_TEXT: Readonly<Record<Unit['holds']['what'], string>> = {
  unknown: 'what it holds: not looked',
  factory: 'holds what it was made with',
  plan: 'holds this group’s channels',
  other: 'holds something of its own',
  read: 'holds what was read',
};

/** Stands in the form until the device is added under an id of its own. */
const BLANK_ID = '00000000-0000-4000-8000-000000000000';

/** Who holds what: the devices by kind, to add, change and remove, and the library of kinds. */
export function DeviceDeskView(props: ReturnType<typeof useDeviceDesk>) {
  const { planId, units, kinds, people, add, mayEdit } = props;
  // The kind that most of the list is of is the likeliest next one.
  const count = (id: string) => units.filter(({ unit }) => unit.descriptionId === id).length;
  const first = [...kinds].sort((a, b) => count(b.id) - count(a.id))[0];
  const held = new Set(units.map(({ unit }) => unit.descriptionId));
  return (
    <div className="max-w-6xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Devices</h1>
      <p className="muted mb-4">
        {mayEdit
          ? `${counted(units.length, 'device')} of ${counted(held.size, 'kind')}. Each gets its own fit and sheet.`
          : units.length === 0
            ? 'You hold no device of the list.'
            : 'The devices you hold, each with its own sheet.'}
      </p>
      {mayEdit && first && (
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
            people={people}
            pairs={props.pairs}
            teams={props.teams}
            areaNames={props.areaNames}
            action="Add device"
            save={(unit) => add({ ...unit, id: crypto.randomUUID() })}
          />
          <p className="mt-3 flex flex-wrap items-center gap-2">
            <a className="btn btn-outline btn-sm" href={`/plans/${planId}/describe`}>
              My kind is not in the list
            </a>
            <TableFiles kind="unit" present={units.map(({ unit }) => unit)} names={props.names} />
          </p>
        </section>
      )}
      {kinds
        .filter(({ id }) => held.has(id))
        .map((kind) => (
          <KindSection key={kind.id} kind={kind} {...props} planId={planId} />
        ))}
      {mayEdit && <OtherKinds kinds={kinds.filter(({ id }) => !held.has(id))} />}
      {mayEdit && <TakeIn {...props} />}
    </div>
  );
}

/** The description as a file, to be changed and brought in under another id. */
function KindFile({ kind }: { kind: Kind }) {
  return (
    <a
      className="link"
      href={address('GET /api/descriptions/[descriptionId]', { descriptionId: kind.id })}
      download
      aria-label={`save its description: ${kind.title}`}
    >
      save its description
    </a>
  );
}

function OtherKinds({ kinds }: { kinds: readonly Kind[] }) {
  if (kinds.length === 0) return null;
  return (
    <section className="mb-6">
      <h2 className="border-b border-base-content/40 pb-1 font-bold">Kinds that nobody holds yet</h2>
      <ul className="columns-2 gap-8 pt-1 max-md:columns-1">
        {kinds.map((kind) => (
          <li key={kind.id} className="break-inside-avoid py-1">
            <strong>{kind.title}</strong>{' '}
            <span className="muted text-small">
              {kind.pattern}, <KindFile kind={kind} />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

type SectionProps = ReturnType<typeof useDeviceDesk> & {
  kind: ReturnType<typeof useDeviceDesk>['kinds'][number];
};

function KindSection(props: SectionProps) {
  const { kind, units, kinds, people, editing, setEditing, save } = props;
  const held = units.filter(({ unit }) => unit.descriptionId === kind.id);
  const behind = held.filter(({ unit }) => !kind.firmware.includes(unit.firmware)).length;
  return (
    <section className="mb-6" id={`kind-${kind.id}`}>
      <h2 className="border-b border-base-content/40 pb-1 font-bold">
        {kind.title}{' '}
        <span className="muted ml-2 text-small font-normal">
          {kind.pattern}, described for firmware {kind.firmware.join(', ') || 'unknown'},{' '}
          {kind.marks === 0 ? 'no mark yet' : counted(kind.marks, 'mark')}
          {behind > 0 && `, ${behind} of ${held.length} on another firmware`}, <KindFile kind={kind} />
        </span>
      </h2>
      {props.mayEdit && kind.steps !== 'known' && (
        <p className="py-1 text-plain">
          {kind.steps === 'unknown' ? 'Nobody has described its keys: its sheets are cards of values. ' : ''}
          <a className="link" href={`/plans/${props.planId}/steps/${kind.id}`}>
            {kind.steps === 'unknown' ? 'Record its steps once' : 'Its steps, as they were recorded'}
          </a>
        </p>
      )}
      {props.mayEdit && kind.namesByKeys && (
        <LabelledSelect
          title="Names on displays"
          of={`every ${kind.title}`}
          value={props.namingOn(kind)}
          options={NAMING_OPTIONS}
          set={(naming) => void props.saveNaming(kind, naming)}
          width="w-64"
          at="beside"
          className="py-1"
          isSmall
        />
      )}
      {props.mayEdit && !kind.alerts && (
        <GroupsCarried
          isNamed
          of={`every ${kind.title}`}
          groups={props.head.groups}
          said={props.carried.kinds[kind.id]}
          change={(ids) => void props.saveCarried('kinds', { id: kind.id, name: `every ${kind.title}` }, ids)}
        />
      )}
      {props.mayEdit && kind.settings.length > 0 && (
        <SetupForm
          kind={kind}
          teams={props.teams}
          wantedOn={(roleId) => props.wantedOn(kind, roleId)}
          save={(roleId, settings) => props.saveSetup(kind, roleId, settings)}
        />
      )}
      <ul>
        {held.map((entry) => (
          <li key={entry.unit.id} id={`unit-${entry.unit.id}`} className="border-b border-base-300 py-1.5">
            {editing === entry.unit.id ? (
              <>
                <UnitForm
                  unit={entry.unit}
                  kinds={kinds}
                  people={people}
                  pairs={props.pairs}
                  teams={props.teams}
                  areaNames={props.areaNames}
                  action="Save"
                  save={(next) => save(next, entry.version)}
                  cancel={() => setEditing(null)}
                />
                {!kind.alerts && <UnitGroups {...props} unit={entry.unit} />}
              </>
            ) : (
              <UnitRow {...props} entry={entry} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Which groups one set carries: its own word, else its team's, else its kind's. */
function UnitGroups({ unit, head, carried, saveCarried }: SectionProps & { unit: Unit }) {
  const { id, nickname, roleId, descriptionId } = unit;
  const ofTeam = roleId === null ? undefined : carried.teams[roleId];
  return (
    <GroupsCarried
      of={nickname}
      groups={head.groups}
      said={carried.units[id]}
      otherwise={ofTeam ?? carried.kinds[descriptionId]}
      change={(ids) => void saveCarried('units', { id, name: nickname }, ids)}
    />
  );
}

function UnitRow({
  entry,
  kind,
  planId,
  people,
  save,
  setEditing,
  remove,
  mayEdit,
  today,
}: SectionProps & { entry: SectionProps['units'][number] }) {
  const { unit, version } = entry;
  const holder = people.find(({ id }) => id === unit.personId)?.name ?? unit.holder;
  const bad = Object.entries(unit.intake).filter(([, looked]) => looked === 'bad');
  return (
    <div className="grid items-center gap-x-4 sm:grid-cols-[minmax(8rem,1fr)_minmax(8rem,1.4fr)_8rem_8rem_auto]">
      <span>
        <a
          className="link link-hover inline-block font-semibold leading-7"
          href={`/plans/${planId}/sheets/${unit.id}`}
        >
          {unit.nickname}
        </a>
        {unit.fleetId && <span className="muted font-mono text-small"> {unit.fleetId}</span>}
        <a
          className="link link-hover muted block text-small leading-7"
          href={`/plans/${planId}/devices/${unit.id}`}
        >
          <span className="sr-only">{unit.nickname}: </span>
          {HOLDS_TEXT[unit.holds.what]}
        </a>
        {kind.alerts && (
          <AlertTest
            {...{ unit, today, mayEdit }}
            heard={() => save({ ...unit, testHeard: today }, version)}
          />
        )}
        {unit.keeps.length > 0 && (
          <span className="muted block text-sub">
            {counted(unit.keeps.length, 'number')} kept by its holder
          </span>
        )}
        {bad.length > 0 && (
          <span className="block text-sub text-error">
            {bad.length === 1 ? 'One fault' : `${bad.length} faults`} found at intake
          </span>
        )}
      </span>
      <span>
        {holder || <span className="muted">no holder</span>}
        {!unit.confirmed && (
          <span className="block text-small text-accent">
            as its holder wrote it{unit.note && `: ${unit.note}`}{' '}
            {mayEdit && (
              <button
                type="button"
                className="btn btn-outline btn-xs"
                onClick={() => void save({ ...unit, confirmed: true }, version)}
              >
                Confirm {unit.nickname}
              </button>
            )}
          </span>
        )}
      </span>
      <span className="muted font-mono text-small">{unit.serial || 'no serial'}</span>
      <span
        className={`font-mono text-small ${kind.firmware.includes(unit.firmware) ? '' : 'font-semibold text-accent'}`}
      >
        fw {unit.firmware}
      </span>
      {mayEdit && (
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
            onClick={() => void remove(entry)}
          >
            <Trash2 size={16} aria-hidden="true" />
          </button>
        </span>
      )}
    </div>
  );
}

/** For an alert radio: when its test was last heard, and that it was heard today. */
function AlertTest(props: { unit: Unit; today: string; mayEdit: boolean; heard: () => Promise<boolean> }) {
  const { unit, today, mayEdit, heard } = props;
  const isDue = isTestDue(unit.testHeard, today);
  return (
    <span className={`block text-small ${isDue ? 'text-accent' : 'muted'}`}>
      {unit.testHeard === 'unknown' ? 'test never heard' : `test heard ${unit.testHeard}`}
      {isDue && unit.testHeard !== 'unknown' && ', due'}{' '}
      {mayEdit && unit.testHeard !== today && (
        <button
          type="button"
          className="btn btn-outline btn-xs"
          aria-label={`Test of ${unit.nickname} heard today`}
          onClick={() => void heard()}
        >
          Heard today
        </button>
      )}
    </span>
  );
}

function TakeIn({
  importDescription,
  importFindings,
  isTaken,
  replacing,
  replace,
  keepOld,
}: ReturnType<typeof useDeviceDesk>) {
  return (
    <section className="max-w-xl border-t border-base-300 pt-4">
      <h2 className="font-bold">Another kind of device</h2>
      <p className="mb-2 text-plain">
        A kind is described by a file: what it can do and how its keys work. No code is needed for a new one.
      </p>
      <TakeInFile
        label="Bring in a description file"
        take={importDescription}
        findings={importFindings}
        isTaken={isTaken}
      />
      {replacing && (
        <div role="alert" className="finding mt-3" data-severity="warning">
          <p className="font-semibold">
            {replacing.title} has the same id, {replacing.id}
            {replacing.sets === 0
              ? '.'
              : replacing.sets === 1
                ? ', and one set is of it.'
                : `, and ${replacing.sets} sets are of it.`}
          </p>
          <p className="text-plain">
            Put yours in its place, and the sheets of those sets are written anew by it; what people said of
            the old one does not go over. It can be undone under History. Or give yours another id.
          </p>
          <div className="mt-2 flex gap-2">
            <button type="button" className="btn btn-primary btn-sm" onClick={() => void replace()}>
              Put it in its place
            </button>
            <button type="button" className="btn btn-ghost btn-sm" onClick={keepOld}>
              Keep the old one
            </button>
          </div>
        </div>
      )}
    </section>
  );
}
