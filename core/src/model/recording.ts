import { z } from 'zod';
import { LineSchema } from './channel';

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

/**
 * Steps that somebody did once with a set in hand, each task from rest to rest: going to a place, setting each field there, and settings of
 * the whole set.
 */
export const RecordingSchema = z.strictObject({
  by: line.min(1).max(60),
  on: z.iso.date(),
  firmware: line.min(1).max(20),
  /** The memory number that it stood on, and the one that was gone to. */
  startNumber: z.number().int().min(0).max(99_999),
  number: z.number().int().min(0).max(99_999),
  /** The letters that a key gives in turn, where names were tapped. */
  letters: z
    .array(z.strictObject({ key: line.min(1).max(8), letters: LineSchema.min(1).max(12) }))
    .max(20)
    .default([]),
  place: z.array(RecordedStepSchema).min(1).max(20),
  /** How long it waits for the next key before it is at rest again, in seconds, where somebody counted. */
  waitsS: z.number().int().min(1).max(600).optional(),
  /** Two keys that go the two ways of every wheel. */
  opposite: z
    .array(z.strictObject({ key: line.min(1).max(8), other: line.min(1).max(8) }))
    .max(10)
    .default([]),
  fields: z.array(z.strictObject({ field: z.string().max(41), ...change })).max(20),
  settings: z
    .array(z.strictObject({ setting: z.string().max(41), ...change }))
    .max(20)
    .default([]),
});
export type Recording = z.infer<typeof RecordingSchema>;
