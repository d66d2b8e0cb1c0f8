import { z } from 'zod';
import { LineSchema } from './channel';
import { DaySchema } from './day';

const line = LineSchema.trim();

/** What was pressed, as somebody writes it, and what the set then showed; `` where nobody looked. */
export const RecordedStepSchema = z.strictObject({
  /** Legends with spaces between: `LIST`, `0 4 5` or `045`, `▲ x3`, `LIST (2 s)` for a key that is held. */
  keys: line.min(1).max(80),
  shows: LineSchema.max(60).default(''),
});
export type RecordedStep = z.infer<typeof RecordedStepSchema>;

/** Bringing a field or a setting from one value to another, in the set's words, a frequency in MHz; `from` is empty for an empty place. */
const change = {
  from: line.max(40),
  to: line.min(1).max(40),
  steps: z.array(RecordedStepSchema).min(1).max(40),
};

/** Tasks that were done in one go: from the place that it stood on to another one, with fields set there, and settings of the whole set. */
const done = {
  /** The memory number that it stood on, and the one that was gone to. */
  startNumber: z.number().int().min(0).max(99_999),
  number: z.number().int().min(0).max(99_999),
  fields: z.array(z.strictObject({ field: z.string().max(41), ...change })).max(20),
  settings: z
    .array(z.strictObject({ setting: z.string().max(41), ...change }))
    .max(20)
    .default([]),
};

/**
 * Steps that somebody did once with a set in hand, each task from rest to rest: going to a place, setting each field there, and settings of
 * the whole set.
 */
export const RecordingSchema = z.strictObject({
  by: line.min(1).max(60),
  on: DaySchema,
  firmware: line.min(1).max(20),
  ...done,
  /** The letters that a key gives in turn, where names were tapped. */
  letters: z
    .array(z.strictObject({ key: line.min(1).max(8), letters: LineSchema.min(1).max(12) }))
    .max(20)
    .default([]),
  /** The characters of a wheel on which names were set letter by letter, in its order. */
  letterWheel: LineSchema.min(2).max(100).optional(),
  place: z.array(RecordedStepSchema).min(1).max(20),
  /** How long it waits for the next key before it is at rest again, in seconds, where somebody counted. */
  waitsS: z.number().int().min(1).max(600).optional(),
  /** Two keys that go the two ways of every wheel. */
  opposite: z
    .array(z.strictObject({ key: line.min(1).max(8), other: line.min(1).max(8) }))
    .max(10)
    .default([]),
  /** The same done once more elsewhere, with other values: nothing is learnt from it, what was learnt is tried on it. */
  again: z.strictObject({ ...done, place: z.array(RecordedStepSchema).max(20).default([]) }).optional(),
});
export type Recording = z.infer<typeof RecordingSchema>;

/**
 * How many tasks of a second recording what was learnt from the first one was tried on. One that was done in the same way both times shows
 * nothing new, and does not count.
 */
export function triedOn({ again, ...first }: Recording): number {
  if (!again) return 0;
  const isNew = (task: Task, known: Task | undefined) => task.from !== known?.from || task.to !== known.to;
  const fields = again.fields.filter((task) =>
    isNew(
      task,
      first.fields.find(({ field }) => field === task.field),
    ),
  );
  const settings = again.settings.filter((task) =>
    isNew(
      task,
      first.settings.find(({ setting }) => setting === task.setting),
    ),
  );
  const isElsewhere = again.number !== first.number || again.startNumber !== first.startNumber;
  const places = again.place.length > 0 && isElsewhere ? 1 : 0;
  return places + fields.length + settings.length;
}

interface Task {
  readonly from: string;
  readonly to: string;
}
