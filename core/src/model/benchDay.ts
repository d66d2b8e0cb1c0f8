import { z } from 'zod';
import { LineSchema } from './channel';
import { DaySchema } from './day';
import { inOrder } from './inOrder';

const minute = z.number().int().min(0).max(1440);
/** As long as a day is. */
const DAY_MIN = 1440;

/** One set being loaded on a bench day: by whom, how, from when to when, in minutes since the day began. */
export const BenchTaskSchema = z.strictObject({
  setId: z.uuid(),
  personId: z.uuid(),
  /** Which of the day's stands, where it is loaded by a file. */
  standId: LineSchema.max(20).nullable(),
  masterId: z.uuid().nullable(),
  way: z.enum(['keys', 'file', 'copy']),
  fromMin: minute,
  toMin: minute,
});

/** What became of a set on a bench day so far. */
export const BENCH_STATES = ['begun', 'done', 'dropped'] as const;

/** A day on which sets are loaded: which state of which plan, who helps from when to when, with what, and how it was worked out. */
export const BenchDaySchema = z.strictObject({
  id: z.uuid(),
  name: LineSchema.trim().min(1).max(60),
  planId: z.uuid(),
  /** The revision that is loaded. */
  revision: z.number().int().min(1),
  day: DaySchema,
  /** When it begins, in minutes since midnight. */
  beginsMin: z
    .number()
    .int()
    .min(0)
    .max(DAY_MIN - 1)
    .default(540),
  /** How long it lasts, in minutes. */
  lastsMin: z.number().int().min(10).max(DAY_MIN).default(240),
  /** People of the roster, with when they come and go, in minutes since it begins. */
  people: z
    .array(z.strictObject({ id: z.uuid(), fromMin: minute, toMin: minute }))
    .max(100)
    .default([]),
  /** Cables with a computer. */
  stands: z.number().int().min(0).max(20).default(1),
  /** What one set takes at a stand, in minutes, as the group reckons it. */
  standMin: z.number().int().min(1).max(240).default(5),
  /** Sets of which others can be copied. */
  masterIds: z.array(z.uuid()).max(40).default([]),
  setIds: z.array(z.uuid()).max(300).default([]),
  /** As it was worked out last; empty before that. */
  tasks: z.array(BenchTaskSchema).max(300).default([]),
  /** No way to load as many sets is done before this, in minutes since it begins; `null` before it was worked out. */
  lowerBoundMin: minute.nullable().default(null),
  progress: z.record(z.uuid(), z.enum(BENCH_STATES)).overwrite(inOrder).default({}),
  note: LineSchema.max(400).default(''),
});
export type BenchDay = z.infer<typeof BenchDaySchema>;
