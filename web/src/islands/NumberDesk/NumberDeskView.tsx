import { Pin } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { counted } from '../../messages/labels';
import { awayCounted } from '../../messages/rollout';
import { Button } from '../../ui/Button';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { ResultTable } from '../desk/ResultTable';
import type { useNumberDesk } from './useNumberDesk';

type Props = ReturnType<typeof useNumberDesk>;

/** One number for each channel across the fleet: what it is, who finds the channel there, what holding it fast costs. */
export function NumberDeskView(props: Props) {
  const { result, failed, groups, sets, away, isNumbered, isSaved, mayEdit, take, forget, channelName } =
    props;
  return (
    <div className="max-w-5xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Numbers</h1>
      <p className="muted max-w-prose">
        One number for each channel, so that as many as possible read the same one whatever set they hold.
        Sets that talk count ten times those that only listen, what must be in counts more, and short and
        round numbers count a little. A set keeps a channel that it has from the factory where it is. A number
        that people know moves only when more than half as much again is gained.
      </p>
      {failed && (
        <p className="finding mt-3" data-severity="error" role="alert">
          The numbers could not be worked out. Load the page again.
        </p>
      )}
      {sets === 0 && <p className="mt-3">No device is in the list yet. Add some under Devices.</p>}
      <p className="my-3" role="status">
        {!result && 'Working out…'}
        {result && sets > 0 && <Sum result={result} kept={props.kept} />}
      </p>
      {away > 0 && <p className="muted mb-3 max-w-prose">{awayCounted(away)}</p>}
      {mayEdit && sets > 0 && <InRow {...props} />}
      {result?.findings.map(({ code, channelId, number }) => (
        <p key={channelId} className="finding mb-2" data-severity="warning">
          {channelName.get(channelId)} cannot be held at {number}:{' '}
          {code === 'pin-twice' ? 'another channel is held there.' : 'no set here can hold it there.'} It is
          numbered freely.
        </p>
      ))}
      {mayEdit && (
        <p className="mb-4 flex flex-wrap items-center gap-3">
          <Button
            type="button"
            className="btn btn-primary btn-sm"
            isOff={!result || isSaved || sets === 0}
            onClick={take}
          >
            Take these numbers
          </Button>
          {isNumbered && (
            <button type="button" className="btn btn-ghost btn-sm" onClick={forget}>
              Let each set number by itself
            </button>
          )}
          <span className="muted text-plain">
            {isSaved
              ? 'The plan has these numbers; the board and the sheets follow them.'
              : isNumbered
                ? 'The plan has other numbers so far.'
                : 'So far each kind of set takes its own first places.'}
          </span>
        </p>
      )}
      {groups.map(({ group, rows }) => (
        <section
          key={group.id}
          className="relative mb-5 overflow-x-auto"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls by keys where it is wider than the page
          tabIndex={0}
          aria-label={group.name}
        >
          <table className="w-full min-w-160 table-fixed text-left text-plain">
            <caption className="border-b border-base-content/40 pb-1 text-left font-bold text-base">
              {group.name}
            </caption>
            <thead>
              <tr className="muted">
                <th className="w-28 py-1 font-normal">Number</th>
                <th className="font-normal">Channel</th>
                <th className="w-56 font-normal">Found there</th>
                <th className="font-normal">At another place on</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <Row key={row.channel.id} row={row} {...props} />
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <ResultTable planId={props.planId} what="numbers" rows="channels" />
    </div>
  );
}

/** Groups whose numbers shall stand in a row. That takes a while to work out, and can be stopped. */
function InRow({ groups, inRow, keepInRow, workOut, stop, isWorking, seconds, kept, rowFault }: Props) {
  return (
    <fieldset className="mb-4 rounded border border-base-300 p-3">
      <legend className="px-1 text-plain font-semibold">Keep groups in a row</legend>
      <p className="muted text-plain">
        The channels of a group at numbers one after another are easier to find, and fewer sets may find them
        at the same place. Working that out takes up to a minute or two.
      </p>
      <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        {groups.map(({ group }) => (
          <LabelledCheck
            key={group.id}
            checked={inRow.includes(group.id)}
            set={(isChecked) => keepInRow(group.id, isChecked)}
          >
            {group.name}
          </LabelledCheck>
        ))}
      </div>
      <p className="mt-2 flex flex-wrap items-center gap-3" aria-live="polite">
        {isWorking ? (
          <>
            <span className="text-plain">Working out… {seconds} s</span>
            <button type="button" className="btn btn-outline btn-sm" onClick={stop}>
              Stop
            </button>
          </>
        ) : (
          <Button
            type="button"
            className="btn btn-outline btn-sm"
            isOff={inRow.length === 0 || kept !== null}
            onClick={workOut}
          >
            Work it out
          </Button>
        )}
        {kept && (
          <span className="text-plain">
            {kept.price === 0
              ? 'Keeping them in a row costs nothing.'
              : `Keeping them in a row costs ${kept.price} points.`}
          </span>
        )}
      </p>
      {rowFault && (
        <p className="finding mt-2 text-plain" data-severity="error" role="alert">
          {rowFault}
        </p>
      )}
    </fieldset>
  );
}

function Sum({ result, kept }: { result: NonNullable<Props['result']>; kept: Props['kept'] }) {
  const { total, bound, firstFit } = result;
  return (
    <>
      <strong className="font-mono">{total}</strong> points;{' '}
      {bound === total
        ? kept
          ? 'proven: none that keeps these groups in a row has more.'
          : 'proven: no other numbering has more.'
        : `at most ${bound} are possible, the gap is ${bound - total}.`}{' '}
      <span className="muted">
        Were each set filled from its first free place on, it would be{' '}
        <span className="font-mono">{firstFit}</span>.
      </span>
    </>
  );
}

function Row({
  row,
  ...props
}: Pick<Props, 'kindTitle' | 'mayEdit' | 'pin' | 'others' | 'channelName'> & {
  row: Props['groups'][number]['rows'][number];
}) {
  const { kindTitle, mayEdit, pin, others } = props;
  const { channel, found, last, pin: held } = row;
  const share = found.able === 0 ? 0 : found.there / found.able;
  const isOpen = others.opened?.channelId === channel.id;
  return (
    <>
      <tr className="border-t border-base-300 align-top">
        <td className="py-1.5 pr-3">
          <span className="flex items-center gap-1.5">
            {mayEdit ? (
              <NumberField
                name={channel.name}
                shown={held ?? found.number}
                set={(number) => pin(channel.id, number)}
              />
            ) : (
              <span className="font-mono font-semibold">{found.number ?? '–'}</span>
            )}
            {held !== null && (
              <button
                type="button"
                className="btn btn-ghost btn-xs btn-square"
                aria-label={`Let ${channel.name} go from ${held}`}
                title="Held fast. Let it go."
                onClick={() => pin(channel.id, null)}
              >
                <Pin size={15} aria-hidden="true" className="fill-current" />
              </button>
            )}
          </span>
          {last !== null && last !== found.number && <span className="muted block text-sub">was {last}</span>}
        </td>
        <th scope="row" className="py-1.5 pr-3 font-semibold">
          {channel.name}
          {found.price > 0 && (
            <span className="block text-sub font-normal text-accent">
              holding it here costs {found.price} points
            </span>
          )}
          {found.number !== null && (
            <button
              type="button"
              className="btn btn-link btn-xs block h-auto px-0 font-normal"
              aria-expanded={isOpen}
              aria-label={`Other numbers for ${channel.name}`}
              onClick={() => (isOpen ? others.close() : void others.open(channel.id))}
            >
              Other numbers
            </button>
          )}
        </th>
        <td className="py-1.5 pr-3">
          {found.able === 0 ? (
            <span className="muted">no set here can hold it</span>
          ) : (
            <>
              <span className="font-mono">
                {found.there} of {found.able}
              </span>{' '}
              <span className="muted">sets{found.talking < found.there && `, ${found.talking} to talk`}</span>
              <span className="mt-1 block h-1.5 w-40 border border-base-content/50" aria-hidden="true">
                <span className="block h-full bg-base-content" style={{ width: `${share * 100}%` }} />
              </span>
            </>
          )}
        </td>
        <td className="muted py-1.5">
          <Elsewhere
            kinds={[
              ...new Set(
                found.elsewhere.map(
                  ({ key, home }) => `${kindTitle(key)}${home === null ? '' : ` (${home}, as made)`}`,
                ),
              ),
            ]}
          />
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={4} className="pb-3" aria-live="polite">
            {/* On a phone the table is wider than the page, and this stays in sight. */}
            <div className="sticky left-0 max-w-[calc(100vw-2.5rem)] md:pl-28">
              <Others {...props} channel={channel} />
            </div>
          </td>
        </tr>
      )}
    </>
  );
}

/** The kinds that have a channel at another place; many of them are opened by a click. */
function Elsewhere({ kinds }: { kinds: readonly string[] }) {
  if (kinds.length <= 2) return <>{kinds.join(', ')}</>;
  return (
    <details>
      <summary className="cursor-pointer">{counted(kinds.length, 'kind')}</summary>
      {kinds.join(', ')}
    </details>
  );
}

/** What other numbers of a channel would change, each to be held fast. */
function Others({
  others: { opened },
  channel,
  mayEdit,
  pin,
  channelName,
}: Pick<Props, 'others' | 'mayEdit' | 'pin' | 'channelName'> & {
  channel: Props['groups'][number]['rows'][number]['channel'];
}) {
  const offers = opened?.offers;
  if (opened?.fault && !offers)
    return (
      <p className="finding" data-severity="error" role="alert">
        {opened.fault}
      </p>
    );
  if (!offers) return <p className="muted">Working out…</p>;
  if (offers.length === 0) return <p className="muted">No other number is read on any set here.</p>;
  return (
    <>
      <ul className="flex flex-col gap-1">
        {offers.map(({ number, there, talking, lessPoints, moves, effort }) => (
          <li key={number} className="flex flex-wrap items-baseline gap-x-3">
            <span className="font-mono font-semibold">{number}</span>
            <span>
              {count(there, 'set')}
              {talking < there && `, ${talking} to talk`}; {effortText(effort)}
              {moves.length > 0 && <>; {movesText(moves.map((id) => channelName.get(id) ?? ''))}</>}
              <span className="muted">
                ; {lessPoints === 0 ? 'as many points' : `${lessPoints} points less`}
              </span>
            </span>
            {mayEdit && (
              <button
                type="button"
                className="btn btn-outline btn-xs"
                onClick={() => pin(channel.id, number)}
                aria-label={`Hold ${channel.name} at ${number}`}
              >
                Hold it at {number}
              </button>
            )}
          </li>
        ))}
      </ul>
      {opened?.fault && (
        <p className="finding mt-1" data-severity="warning" role="alert">
          {opened.fault}
        </p>
      )}
    </>
  );
}

const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;

function movesText(names: readonly string[]): string {
  const [first = '', ...rest] = names;
  if (rest.length === 0) return `${first} moves too`;
  return rest.length > 2 ? `${names.length} others move too` : `${names.join(', ')} move too`;
}

function effortText(effort: { presses: number; minutes: number } | null): string {
  if (!effort) return 'working out what it takes to load…';
  const minutes = Math.round(effort.minutes);
  if (minutes === 0) return effort.presses === 0 ? 'as long to load' : 'about as long to load';
  return `${count(Math.abs(minutes), 'minute')} ${minutes < 0 ? 'less' : 'more'} to load`;
}

/** The number, to be written over: what is written is held fast. */
function NumberField({
  name,
  shown,
  set,
}: {
  name: string;
  shown: number | null;
  set: (number: number | null) => void;
}) {
  const text = shown === null ? '' : String(shown);
  const [typed, setTyped] = useState(text);
  const [isWrong, setIsWrong] = useState(false);
  useEffect(() => setTyped(text), [text]);
  const faultId = useId();
  const done = () => {
    const isNumber = /^\d{1,5}$/.test(typed.trim());
    setIsWrong(typed.trim() !== '' && !isNumber);
    if (typed === text) return;
    if (typed.trim() === '') set(null);
    else if (isNumber) set(Number(typed.trim()));
  };
  return (
    <span>
      <input
        className="input input-sm w-20 font-mono"
        inputMode="numeric"
        aria-label={`Number of ${name}`}
        aria-invalid={isWrong}
        aria-describedby={isWrong ? faultId : undefined}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setIsWrong(false);
        }}
        onBlur={done}
        onKeyDown={(event) => event.key === 'Enter' && done()}
      />
      {isWrong && (
        <span id={faultId} role="alert" className="block text-sub font-semibold text-error">
          A number from 0 to 99999, or nothing.
        </span>
      )}
    </span>
  );
}
