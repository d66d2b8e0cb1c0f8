import { callFinding, type Side } from '@umbrex/core/air';
import { findingText } from '../../messages/findings';
import { betweenWords, markOf, placeWords } from '../../messages/onAir';
import { Sign } from './Sign';
import type { useAirDesk } from './useAirDesk';

/** One call on its way: who talks, what stands between, who listens, and where it stops. */
export function PathStrip({ view, chosen, setChosen, pair, groups }: ReturnType<typeof useAirDesk>) {
  const [from, to] = [view.sets[chosen?.from ?? -1], view.sets[chosen?.to ?? -1]];
  if (!from || !to || !pair || !chosen)
    return (
      <p className="muted text-small">Choose a cell: the call is shown step by step, and where it stops.</p>
    );
  const repeater = pair.through === null ? undefined : view.repeaters[pair.through];
  const finding = callFinding(pair);
  const said = finding && findingText(finding);
  const stops = pair.hears === true ? null : pair.at;
  const sheet = (unitId: string) => `/plans/${view.planId}/sheets/${unitId}`;
  const others = (at: number) =>
    (groups.find(({ members }) => members.includes(at))?.members.length ?? 1) - 1;
  const step = (side: Side, title: string, words: string, href?: string) => (
    <li
      className={`relative border-l-2 py-1 pl-3 ${reaches(stops, side) ? 'border-base-content' : 'border-dashed border-base-content/50'}`}
    >
      <p className="font-semibold">
        {href ? (
          <a className="link" href={href}>
            {title}
          </a>
        ) : (
          title
        )}
      </p>
      <p className="muted text-small">{words}</p>
      {stops === side && (
        <p className="mt-1 flex items-center gap-1.5 text-small font-semibold">
          <Sign mark={markOf(pair)} /> {pair.hears === 'unknown' ? 'nobody knows from here on' : 'stops here'}
        </p>
      )}
    </li>
  );
  const more = (at: number) => (others(at) > 0 ? `, and ${others(at)} alike` : '');
  return (
    <div aria-live="polite">
      <h2 className="text-base font-bold">
        {to.nickname}{' '}
        {pair.hears === true ? 'hears' : pair.hears === 'unknown' ? 'may hear' : 'does not hear'}{' '}
        {from.nickname}
      </h2>
      <ol className="mt-2">
        {step(
          'from',
          `${from.nickname} talks`,
          `${from.kind}${more(chosen.from)}; ${placeWords(from.set, 'sends')}${from.why ? `. ${from.why}` : ''}`,
          sheet(from.unitId),
        )}
        {repeater && step('repeater', repeater.name, `${betweenWords(repeater.between)} ${BY[repeater.by]}`)}
        {step(
          'to',
          `${to.nickname} listens`,
          `${to.kind}${more(chosen.to)}; ${placeWords(to.set, 'listens')}`,
          sheet(to.unitId),
        )}
      </ol>
      {said ? (
        <p className="mt-2">
          {said.what} <span className="muted">{said.help}</span>
        </p>
      ) : (
        <p className="mt-2">
          Heard {pair.way === 'repeater' ? 'through the repeater' : 'directly'}, as far as sets and repeater
          decide.{' '}
          <span className="muted">
            Whether the signal gets there is {reachWords(view, chosen, pair.through)}.
          </span>
        </p>
      )}
      <button
        type="button"
        className="btn btn-outline btn-sm mt-3"
        onClick={() => setChosen({ from: chosen.to, to: chosen.from })}
      >
        The other way round
      </button>
    </div>
  );
}

const BY = {
  station: 'As the list of stations has it.',
  'own-set': 'As its own memory is known to be.',
  plan: 'As the plan says.',
} as const;

const SIDES: readonly Side[] = ['from', 'repeater', 'to'];
const reaches = (stops: Side | null, side: Side) =>
  stops === null || SIDES.indexOf(side) < SIDES.indexOf(stops);

function reachWords(
  view: ReturnType<typeof useAirDesk>['view'],
  { from, to }: { from: number; to: number },
  through: number | null,
): string {
  const heard = view.reachHeard[`${view.sets[from]?.unitId} ${view.sets[to]?.unitId}`];
  if (heard === 'heard') return 'known: by the log it did';
  if (heard === 'not-heard') return 'settled in the log: it does not';
  const of = (at: number) => view.reached[view.sets[at]?.personId ?? '']?.[through ?? -1] ?? 'unknown';
  const said = [of(from), of(to)];
  if (said.includes('not-heard')) return 'in doubt: one of them reported that they do not reach the repeater';
  return said.every((one) => one === 'heard')
    ? 'likely: both reported that they reach the repeater'
    : 'not known';
}
