import { type Between, HEAR_GATES, hearMatrix, islandsOf, reachesOf, type SetOnAir } from '@umbrex/core/air';
import { expose } from 'comlink';
import { MARKS, markOf } from '../messages/onAir';

/** A matrix as the view draws it: the mark of each ordered pair, and the gate that stops it (0 for none, else one more than its place among the gates). */
export interface DrawnMatrix {
  readonly count: number;
  readonly marks: Uint8Array;
  readonly gates: Uint8Array;
  /** Sets that are of one kind and come to the very same, first comes first. */
  readonly groups: readonly (readonly number[])[];
  readonly islands: readonly (readonly number[])[];
  readonly reaches: readonly {
    readonly heardBy: number;
    readonly hears: number;
    readonly unknown: number;
    /** Of those that hear it: only through this one of the repeaters. */
    readonly onlyThrough: readonly (readonly [number, number])[];
  }[];
}

const job = {
  matrix: (
    sets: readonly SetOnAir[],
    kinds: readonly string[],
    repeaters: readonly Between[],
  ): DrawnMatrix => {
    const count = sets.length;
    const matrix = hearMatrix(sets, repeaters);
    const marks = new Uint8Array(count * count);
    const gates = new Uint8Array(count * count);
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++) {
        const pair = matrix.at(i, j);
        marks[i * count + j] = MARKS.indexOf(markOf(pair));
        gates[i * count + j] = pair.gate === null ? 0 : HEAR_GATES.indexOf(pair.gate) + 1;
      }
    const groups = new Map<string, number[]>();
    for (const [i, set] of sets.entries()) {
      const key = JSON.stringify([kinds[i], set]);
      groups.set(key, [...(groups.get(key) ?? []), i]);
    }
    return {
      count,
      marks,
      gates,
      groups: [...groups.values()],
      islands: islandsOf(count, matrix).map(({ members }) => members),
      reaches: sets.map((_, i) => {
        const { onlyThrough, ...rest } = reachesOf(i, count, matrix);
        return { ...rest, onlyThrough: [...onlyThrough] };
      }),
    };
  },
};
export type AirJob = typeof job;
expose(job);
