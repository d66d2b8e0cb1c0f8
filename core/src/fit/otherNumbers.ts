import type { Plan } from '../model/index';
import {
  type NumberingKind,
  type NumberingWishes,
  numberedRows,
  numberingProblem,
  numbersOf,
  solveHeld,
} from './numbering';
import type { FitPolicy } from './policy';

/** Another number for one channel, and what comes of it when all the others are numbered anew around it. */
export interface OtherNumber {
  readonly number: number;
  /** The sets that would read it there, and those of them that talk. */
  readonly there: number;
  readonly talking: number;
  /** How many points the whole numbering has less. */
  readonly lessPoints: number;
  /** The channels that move because of it, besides itself. */
  readonly moves: readonly string[];
  /** The whole numbering with it. */
  readonly numbers: Readonly<Record<string, number>>;
}

/** How many of the numbers that look best for the channel alone are worked out. */
const TRIED = 6;

/**
 * The next best numbers for a channel, best first: each is held fast, and the rest of the numbering is the best there is with it.
 * @param most how many
 */
export function otherNumbers(
  plan: Pick<Plan, 'channels'> & FitPolicy,
  kinds: readonly NumberingKind[],
  wishes: NumberingWishes,
  channelId: string,
  most = 3,
): OtherNumber[] {
  const problem = numberingProblem(plan, kinds, wishes);
  const row = plan.channels.findIndex(({ id }) => id === channelId);
  const gains = problem.gain[row];
  if (!gains) return [];
  const best = solveHeld(problem, problem.pinned.pins);
  const bestRows = numberedRows(problem, best.columnOf, wishes, () => 0);
  const bestNumbers = numbersOf({ channels: bestRows });
  const { [channelId]: _, ...otherPins } = problem.pinned.pins;
  const heldByOthers = new Set(Object.values(otherPins));
  const tried = problem.numbers
    .map((number, column) => ({ number, gain: gains[column] ?? 0 }))
    .filter(({ number, gain }) => gain > 0 && number !== bestNumbers[channelId] && !heldByOthers.has(number))
    .sort((a, b) => b.gain - a.gain)
    .slice(0, TRIED);
  return tried
    .map(({ number }): OtherNumber => {
      const solved = solveHeld(problem, { ...otherPins, [channelId]: number });
      const rows = numberedRows(problem, solved.columnOf, wishes, () => 0);
      const numbers = { ...numbersOf({ channels: rows }), [channelId]: number };
      return {
        number,
        there: rows[row]?.there ?? 0,
        talking: rows[row]?.talking ?? 0,
        lessPoints: best.total - solved.total,
        moves: plan.channels.flatMap(({ id }) =>
          id !== channelId && numbers[id] !== bestNumbers[id] ? [id] : [],
        ),
        numbers,
      };
    })
    .sort((a, b) => a.lessPoints - b.lessPoints || a.number - b.number)
    .slice(0, most);
}
