import type { Finding } from '@umbrex/core/findings';
import { compassPoint, mhzText } from '@umbrex/core/units';
import { FindingItem } from '../../components/FindingItem';
import { PathStrip } from '../../components/PathStrip';
import { counted } from '../../messages/labels';
import { questionText } from '../../messages/questions';
import { Button } from '../../ui/Button';
import { named } from '../../ui/bound';
import { Form } from '../../ui/Form';
import { RowCheck } from '../../ui/LabelledCheck';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import type { useListingDesk } from './useListingDesk';

type Props = ReturnType<typeof useListingDesk>;

const WITHIN_KM = [10, 25, 50, 100, 200] as const;

/** The directory: search around a place, look at what the entries say and leave open, take the ones wanted into the plan. */
export function ListingDeskView(props: Props) {
  const { near, setNear, withinKm, setWithinKm, busy, search, ask } = props;
  return (
    <div className="max-w-5xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Directory</h1>
      <p className="muted mb-3 max-w-prose">
        Stations that a listing knows around a place. A listing is somebody’s word: its source and date stay
        with every channel you take.
      </p>
      <Form className="flex flex-wrap items-end gap-3" send={() => ask()}>
        <LabelledText
          title="Around a place, or latitude, longitude"
          width="w-72 max-sm:w-full"
          value={near}
          most={80}
          set={setNear}
        />
        <LabelledSelect
          title="Within"
          value={String(withinKm)}
          options={WITHIN_KM.map((km) => [String(km), `${km} km`] as const)}
          set={(km) => setWithinKm(Number(km))}
          width="w-28"
        />
        <Button type="submit" className="btn btn-primary btn-sm" isOff={busy || near.trim() === ''}>
          {busy ? 'Searching…' : 'Search'}
        </Button>
      </Form>
      <div aria-live="polite" className="mt-5">
        {search && !search.ok && (
          <>
            <Findings findings={search.findings} />
            {search.places.length > 0 && (
              <p className="mt-2 flex flex-wrap items-center gap-2">
                It knows:
                {search.places.map(({ name }) => (
                  <button
                    key={name}
                    type="button"
                    className="btn btn-outline btn-xs"
                    onClick={() => void ask(name)}
                  >
                    {name}
                  </button>
                ))}
              </p>
            )}
          </>
        )}
        {search?.ok && <Found {...props} search={search} />}
      </div>
    </div>
  );
}

function Findings({ findings }: { findings: readonly Finding[] }) {
  return (
    <ul>
      {findings.map((finding, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: one list per search, never reordered
        <FindingItem key={i} finding={finding} />
      ))}
    </ul>
  );
}

function Found({
  search,
  rows,
  chosen,
  toggle,
  added,
  ...props
}: Props & { search: Extract<NonNullable<Props['search']>, { ok: true }> }) {
  const { reading, place } = search;
  return (
    <>
      <h2 className="border-b border-base-content/40 pb-1 font-bold">
        {rows.length === 0 ? 'Nothing' : counted(rows.length, 'station')} within {props.withinKm} km of{' '}
        {place.name}
        <span className="muted ml-2 text-small font-normal">from {reading.source}, nearest first</span>
      </h2>
      {rows.length === 0 && (
        <p className="py-2">Search farther, or write what you know into the entry line.</p>
      )}
      <ul>
        {rows.map(({ entry, distanceM, bearingDeg, reading: read }) => (
          <li
            key={entry.id}
            className="grid grid-cols-[1.75rem_minmax(0,1fr)] gap-x-2 gap-y-1 border-b border-base-300 py-2.5 lg:grid-cols-[1.75rem_13rem_minmax(0,1fr)]"
          >
            <RowCheck
              title={`Take ${entry.title}`}
              checked={chosen.has(entry.id)}
              isOff={!read.channel || added.has(entry.id)}
              set={() => toggle(entry.id)}
            />
            <div>
              <p className="font-semibold">
                {entry.title}
                {added.has(entry.id) && <span className="muted font-normal"> is in the plan</span>}
              </p>
              <p className="muted text-small">
                <span className="font-mono">{(distanceM / 1000).toFixed(1)} km</span>{' '}
                {compassPoint(bearingDeg)},{' '}
                {entry.access === null
                  ? 'access not said'
                  : { open: 'open', ask: 'ask first', closed: 'closed' }[entry.access]}
              </p>
              <p className="muted text-small">
                {entry.changed ? `changed ${entry.changed}` : 'no date'}
                {entry.note && `. ${entry.note}`}
              </p>
            </div>
            <div className="min-w-0 max-lg:col-start-2">
              {read.channel ? (
                <PathStrip channel={read.channel} waitsFor={read.channel.receiveTone} />
              ) : (
                <p className="font-mono">{mhzText(entry.outputHz)}</p>
              )}
              <ul className="mt-1 text-small">
                {read.questions.map((question) => (
                  <li
                    key={question.code + question.about}
                    className="finding"
                    data-severity={
                      question.blocking ? 'error' : WANTS_A_LOOK.has(question.code) ? 'warning' : 'note'
                    }
                  >
                    {questionText(question)} {question.offers.join(' or ')}
                  </li>
                ))}
              </ul>
            </div>
          </li>
        ))}
      </ul>
      {reading.findings.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer">
            {reading.findings.length === 1 ? 'One entry is' : `${reading.findings.length} things are`} faulty
            in what the source sent, and left out
          </summary>
          <Findings findings={reading.findings} />
        </details>
      )}
      {rows.length > 0 && <TakeBar {...props} />}
    </>
  );
}

const WANTS_A_LOOK: ReadonlySet<string> = new Set([
  'entry-old',
  'entry-undated',
  'entry-disagrees',
  'entry-closed',
  'entry-not-on-air',
]);

function TakeBar({
  toAdd,
  groups,
  groupId,
  setGroupId,
  progress,
  addAll,
  stop,
}: Pick<Props, 'toAdd' | 'groups' | 'groupId' | 'setGroupId' | 'progress' | 'addAll' | 'stop'>) {
  return (
    <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-base-content/40 bg-base-200 py-3 max-md:bottom-14">
      <Button
        type="button"
        className="btn btn-primary btn-sm"
        isOff={toAdd.length === 0 || progress !== null}
        onClick={() => void addAll(toAdd, groupId)}
      >
        {progress
          ? `Adding ${progress.at} of ${progress.of}…`
          : `Add ${toAdd.length} ${toAdd.length === 1 ? 'channel' : 'channels'}`}
      </Button>
      {progress && (
        <button type="button" className="btn btn-outline btn-sm" onClick={stop}>
          Stop
        </button>
      )}
      <LabelledSelect
        title="into"
        at="beside"
        value={groupId}
        options={named(groups, 'the group that fits')}
        set={setGroupId}
        width="w-48"
      />
    </div>
  );
}
