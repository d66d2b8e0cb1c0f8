import type { BenchJob } from '@umbrex/core/bench';
import type { BenchLeft } from '@umbrex/core/benchWays';

export type { BenchLeft };

/** How sets can be loaded, and how long that takes. */
export interface BenchWays {
  readonly sets: BenchJob['sets'];
  readonly left: readonly { readonly id: string; readonly why: BenchLeft }[];
}
