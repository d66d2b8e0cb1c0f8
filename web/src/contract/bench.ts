import type { BenchJob } from '@umbrex/core/bench';
import type { BenchLeft } from '@umbrex/core/benchWays';
import { BENCH_STATES, type BenchDay, DaySchema } from '@umbrex/core/model';
import { z } from 'zod';
import type { ReportAnswer } from './card';
import type { Versioned } from './things';

export type { BenchLeft };

/** How sets can be loaded, and how long that takes. */
export interface BenchWays {
  readonly sets: BenchJob['sets'];
  readonly left: readonly { readonly id: string; readonly why: BenchLeft }[];
}

/** So many marks are taken at once. */
export const MOST_MARKS = 100;
/** What somebody ticked on a bench day: each counts once, by its id, however often it is sent. */
export const BenchMarkSchema = z.strictObject({
  id: z.uuid(),
  setId: z.uuid(),
  state: z.enum(BENCH_STATES),
  at: z.iso.datetime(),
  /** The day on the clock of whoever ticked, and the minute of that day. */
  day: DaySchema,
  minute: z.number().int().min(0).max(1439),
});
export type BenchMarkSent = z.infer<typeof BenchMarkSchema>;
export const BenchMarksSchema = z.strictObject({ marks: z.array(BenchMarkSchema).min(1).max(MOST_MARKS) });

/** What became of each, and the day as it is now. */
export interface BenchMarksAnswer {
  readonly answers: readonly ReportAnswer[];
  readonly day: Versioned<BenchDay>;
}
