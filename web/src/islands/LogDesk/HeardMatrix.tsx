import { computedOf, type HeardPair } from '@umbrex/core/heard';
import { signOf } from '../../messages/heard';
import { MARK_WORDS, markOf } from '../../messages/onAir';
import { Sign } from '../AirDesk/Sign';
import type { LogState } from './useLogDesk';

interface Props {
  readonly log: LogState;
  readonly chosen: HeardPair | null;
  readonly choose: (pair: HeardPair) => void;
}

const LETTER: Readonly<Record<HeardPair['way'], string>> = { direct: 'd', repeater: 'r', unknown: '?' };

/** Rows talked, columns listened: what the sets are known to hold says on the left of each cell, what was heard on its right. */
export function HeardMatrix({ log, chosen, choose }: Props) {
  const { pairs, channel, otherwise, nameOf } = log;
  const byName = (a: string, b: string) => nameOf(a).localeCompare(nameOf(b), 'en', { numeric: true });
  const talkers = [...new Set(pairs.map(({ fromId }) => fromId))].sort(byName);
  const listeners = [...new Set(pairs.map(({ toId }) => toId))].sort(byName);
  const differs = new Set(otherwise.map(({ pair }) => pair));
  const hasRepeater = channel.repeaters.length > 0;
  return (
    <div className="relative isolate max-h-[70vh] overflow-auto border-y border-base-300">
      <table className="border-separate border-spacing-0">
        <caption className="sr-only">Rows talked, columns listened: computed, and heard</caption>
        <thead className="text-base-content">
          <tr>
            <th
              scope="col"
              className="sticky left-0 top-0 z-20 min-w-32 border-b border-base-300 bg-base-200 px-2 text-left align-bottom text-small font-normal"
            >
              <span className="muted">talked ↓ listened →</span>
            </th>
            {listeners.map((to) => (
              <th
                key={to}
                scope="col"
                className="sticky top-0 z-10 h-24 min-w-14 border-b border-base-300 bg-base-200 align-bottom text-small font-semibold"
              >
                <span className="inline-block max-h-22 rotate-180 truncate py-1 [writing-mode:vertical-rl]">
                  {nameOf(to)}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {talkers.map((from) => (
            <tr key={from}>
              <th
                scope="row"
                className="sticky left-0 z-10 border-b border-base-300 bg-base-200 px-2 text-left text-small font-semibold"
              >
                {nameOf(from)}
              </th>
              {listeners.map((to) => (
                <td key={to} className="border-b border-base-300 p-0 text-center">
                  {pairs
                    .filter((pair) => pair.fromId === from && pair.toId === to)
                    .map((pair) => {
                      const computed = computedOf(pair, channel);
                      const mark = computed ? markOf(computed) : 'unknown';
                      const [sign, words] = signOf(pair);
                      const isOther = differs.has(pair);
                      const isHere = chosen?.fromId === from && chosen.toId === to && chosen.way === pair.way;
                      return (
                        <button
                          key={pair.way}
                          type="button"
                          aria-pressed={isHere}
                          className={`flex h-8 w-full min-w-14 cursor-pointer items-center justify-center gap-1 px-1 font-mono text-sub ${isHere ? 'outline-2 outline-primary -outline-offset-2' : 'hover:bg-base-300'} ${isOther ? 'bg-warning/20 font-bold' : ''}`}
                          onClick={() => choose(pair)}
                        >
                          <span className="sr-only">{`${nameOf(from)} to ${nameOf(to)}, ${pair.way === 'unknown' ? 'way not known' : pair.way}: computed ${MARK_WORDS[mark]}, log ${words}${isOther ? ', these differ' : ''}`}</span>
                          {hasRepeater && (
                            <span className="muted text-tiny" aria-hidden="true">
                              {LETTER[pair.way]}
                            </span>
                          )}
                          <Sign mark={mark} size={14} />
                          <span aria-hidden="true">{sign}</span>
                          {isOther && <span aria-hidden="true">!</span>}
                        </button>
                      );
                    })}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
