import { z } from 'zod';
import { LineSchema } from './channel';
import { DaySchema } from './day';
import { inOrder } from './inOrder';
import { PlanSchema } from './plan';

/** What a revision file says of itself. */
export const REVISION_FORMAT = 'umbrex/revision@1';

/** A content by its SHA-256, in lower-case hexadecimal digits. */
export const ContentMarkSchema = z.string().regex(/^[0-9a-f]{64}$/);

const reason = LineSchema.trim().min(1).max(400);
const person = LineSchema.trim().max(60);

/** What stood in the way of publishing and was overruled: by a mark that is the same for the same thing, with the words that were shown. */
export const OverruledSchema = z.strictObject({
  mark: z.string().min(1).max(600),
  words: LineSchema.trim().min(1).max(400),
  reason,
});
export type Overruled = z.infer<typeof OverruledSchema>;

/** The choices in which groups differ, which somebody makes for all sets. */
export const CHOICES = ['tones', 'priority', 'without-right', 'names', 'spares', 'planned', 'start'] as const;
export type Choice = (typeof CHOICES)[number];
/** A choice that somebody made: what was taken, who and when. It stands until another value is taken. */
export const DecidedSchema = z.strictObject({
  choice: z.enum(CHOICES),
  value: LineSchema.max(40),
  by: person,
  day: DaySchema,
});
export type Decided = z.infer<typeof DecidedSchema>;

/** What loading a revision takes, as it was when it was published. Minutes at a calm pace. */
export const CostSchema = z.strictObject({
  sets: z.number().int().min(0),
  touched: z.number().int().min(0),
  people: z.number().int().min(0),
  presses: z.number().int().min(0),
  minutes: z.number().int().min(0),
});
export type Cost = z.infer<typeof CostSchema>;

/** A published state of a plan: it never changes. */
export const RevisionSchema = z.strictObject({
  format: z.literal(REVISION_FORMAT),
  id: z.uuid(),
  number: z.number().int().min(1),
  publishedAt: z.iso.datetime(),
  by: person,
  reason,
  /** From which day on sets should hold it. */
  effectiveFrom: DaySchema,
  /** The plan as it was, with its numbering. */
  plan: PlanSchema,
  /** The descriptions it was fitted with, by content. */
  descriptions: z.record(z.string().max(41), ContentMarkSchema).overwrite(inOrder),
  overruled: z.array(OverruledSchema).max(500).default([]),
  decided: z.array(DecidedSchema).max(CHOICES.length).default([]),
  cost: CostSchema,
});
export type Revision = z.infer<typeof RevisionSchema>;
