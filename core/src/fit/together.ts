import type { Plan } from '../model/index';
import {
  type Numbering,
  type NumberingKind,
  type NumberingProblem,
  type NumberingWishes,
  numberedRows,
  numberFleet,
  numberingProblem,
} from './numbering';
import type { FitPolicy } from './policy';

/** What a solver of mixed-integer models answers: whether it proved its answer best, the sum, and each variable. */
export interface Solved {
  readonly isOptimal: boolean;
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
}

/** A numbering with some groups kept in a row, and what that costs. */
export interface TogetherNumbering extends Numbering {
  /** How much more would be reached if no group were kept together, in the units of `total`. */
  readonly price: number;
}

/**
 * Numbers a fleet like `numberFleet`, but with each of the given groups in a row: all its channels that get a number get one among as
 * many consecutive ones as the group has channels. That is no assignment any more; a solver of mixed-integer models is handed in. Its
 * answer is the bound too where it proved it; where it ran out of time, the bound is the sum without the rows.
 * What pins cost is not worked out here.
 * @param solve takes a model in the LP format of CPLEX; `null` when it found no numbering at all
 */
export function numberTogether(
  plan: Pick<Plan, 'channels'> & FitPolicy,
  kinds: readonly NumberingKind[],
  wishes: NumberingWishes,
  groupIds: readonly string[],
  solve: (model: string) => Solved | null,
): TogetherNumbering | null {
  const free = numberFleet(plan, kinds, wishes);
  const problem = numberingProblem(plan, kinds, wishes);
  const solved = solve(togetherModel(problem, groupIds));
  if (!solved) return null;
  const columnOf = problem.channels.map((_, row) => {
    const column = problem.numbers.findIndex((_n, at) => (solved.values[x(row, at)] ?? 0) > 0.5);
    return column < 0 ? undefined : column;
  });
  const total = columnOf.reduce<number>(
    (sum, column, row) => sum + (column === undefined ? 0 : (problem.gain[row]?.[column] ?? 0)),
    0,
  );
  return {
    channels: numberedRows(problem, columnOf, wishes, () => 0),
    total,
    bound: solved.isOptimal ? total : free.total,
    firstFit: free.firstFit,
    findings: problem.pinned.findings,
    price: free.total - total,
  };
}

const x = (row: number, column: number) => `x${row}_${column}`;
const start = (group: number, column: number) => `y${group}_${column}`;

/**
 * The model: a variable for each channel at each number where it gains, one for each group at each number where its row may begin.
 * A channel has one number at most and a number one channel; a group begins once; its channels stand inside the row that begins.
 */
export function togetherModel(
  { channels, numbers, columnOfNumber, gain, pinned }: NumberingProblem,
  groupIds: readonly string[],
): string {
  const gains: string[] = [];
  const limits: string[] = [];
  const variables: string[] = [];
  const atNumber = numbers.map((): string[] => []);
  channels.forEach((channel, row) => {
    const held = pinned.pins[channel.id];
    const heldAt = held === undefined ? undefined : columnOfNumber.get(held);
    const terms: string[] = [];
    numbers.forEach((_, column) => {
      const value = gain[row]?.[column] ?? 0;
      if (heldAt === undefined ? value <= 0 : column !== heldAt) return;
      const name = x(row, column);
      terms.push(name);
      atNumber[column]?.push(name);
      gains.push(`${value} ${name}`);
    });
    variables.push(...terms);
    if (terms.length > 0) limits.push(`${terms.join(' + ')} ${heldAt === undefined ? '<=' : '='} 1`);
  });
  for (const terms of atNumber) if (terms.length > 1) limits.push(`${terms.join(' + ')} <= 1`);
  groupIds.forEach((groupId, group) => {
    const rows = channels.flatMap((channel, row) => (channel.groupId === groupId ? [row] : []));
    const starts = numbers.map((_, column) => start(group, column));
    if (rows.length === 0 || starts.length === 0) return;
    variables.push(...starts);
    limits.push(`${starts.join(' + ')} = 1`);
    numbers.forEach((number, column) => {
      const inside = rows.map((row) => x(row, column)).filter((name) => atNumber[column]?.includes(name));
      if (inside.length === 0) return;
      const begun = numbers.flatMap((first, at) =>
        first <= number && number < first + rows.length ? [`- ${start(group, at)}`] : [],
      );
      limits.push(`${inside.join(' + ')} ${begun.join(' ')} <= 0`);
    });
  });
  return [
    'Maximize',
    ` obj: ${gains.join('\n + ') || '0 none'}`,
    'Subject To',
    ...limits.map((limit, i) => ` c${i}: ${limit}`),
    'Binary',
    ...variables.map((name) => ` ${name}`),
    'End',
  ].join('\n');
}
