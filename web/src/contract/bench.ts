import type { BenchJob } from '@umbrex/core/bench';

/** A set that a bench day is not for: it holds what it should already, something has to be settled first, or nobody knows a way. */
export type BenchLeft = 'held' | 'waits' | 'no-way';

/** How sets can be loaded, and how long that takes. */
export interface BenchWays {
  readonly sets: BenchJob['sets'];
  readonly left: readonly { readonly id: string; readonly why: BenchLeft }[];
}
