import { z } from 'zod';

const id = z.string().min(1).max(60);
const minute = z.number().int().min(0).max(100_000);

/** How a set can be loaded: by its keys; by a file, at a stand; or copied from a master that is loaded already. */
const WaySchema = z.strictObject({
  way: z.enum(['keys', 'file', 'copy']),
  minutes: z.number().int().min(1).max(100_000),
  /** The masters from which it can be copied; of other ways none. */
  masterIds: z.array(id).max(40).default([]),
});

/** A bench day: the sets to load, who helps from when to when, the stands with a cable, and the masters to copy from. Minutes since it begins. */
export const BenchJobSchema = z
  .strictObject({
    format: z.literal('umbrex/bench@1'),
    untilMin: minute,
    people: z.array(z.strictObject({ id, fromMin: minute, toMin: minute })).max(100),
    /** From when on they are free; from the beginning where nothing is said. */
    stands: z.array(z.strictObject({ id, fromMin: minute.optional() })).max(100),
    /** A master is a set that was loaded; where it is one of the day's sets, only once that is done. */
    masters: z.array(z.strictObject({ id, setId: id, fromMin: minute.optional() })).max(100),
    sets: z
      .array(z.strictObject({ id, personId: id.nullable(), ways: z.array(WaySchema).max(20) }))
      .max(1000),
  })
  .superRefine((job, context) => {
    for (const list of ['people', 'stands', 'masters', 'sets'] as const) {
      const seen = new Set<string>();
      job[list].forEach((one, i) => {
        if (seen.has(one.id))
          context.addIssue({ code: 'custom', path: [list, i, 'id'], message: 'this id is there twice' });
        seen.add(one.id);
      });
    }
  });
export type BenchJob = z.infer<typeof BenchJobSchema>;
export type Way = z.infer<typeof WaySchema>['way'];

/** One set being loaded: by whom, how, from when to when. */
export interface BenchTask {
  readonly setId: string;
  readonly personId: string;
  /** Where it is loaded by a file. */
  readonly standId: string | null;
  /** What it is copied from. */
  readonly masterId: string | null;
  readonly way: Way;
  readonly fromMin: number;
  readonly toMin: number;
}

/** A bench day worked out. */
export interface BenchSchedule {
  readonly finishMin: number;
  /** No schedule that loads as many sets is done before this. */
  readonly lowerBoundMin: number;
  /** In the order in which they begin. */
  readonly tasks: readonly BenchTask[];
  /** The sets for which there is no time, nobody, or no way. */
  readonly unscheduled: readonly string[];
}
