import { z } from 'zod';
import { LineSchema } from './channel';
import { DayOrUnknownSchema } from './day';
import { MOST_PLACES } from './held';

/** The way in which a set was loaded: by its keys, by a program with a cable, by copying from another set, or nobody said how. */
export const LOADED_BY = ['keys', 'file', 'copy', 'unknown'] as const;
export type LoadedBy = (typeof LOADED_BY)[number];

/** What is tried on a set once it is loaded. */
export const CHECKS = [
  'read-back',
  'power-cycle',
  'heard',
  'sent',
  'blocked',
  'returned',
  'two-way',
  'scan',
  'signal',
  'audio-proven',
  'area-filter-proven',
] as const;
export type CheckKind = (typeof CHECKS)[number];

/** What is done to a set before somebody works on it. */
export const PREPARATIONS = [
  'charged',
  'backed-up',
  'firmware-seen',
  'keys-unlocked',
  'beeps-quiet',
] as const;
export type Preparation = (typeof PREPARATIONS)[number];

/** Whether a set can be used at all. */
export const CONDITIONS = ['well', 'lost', 'broken'] as const;
export type SetCondition = (typeof CONDITIONS)[number];

const common = {
  id: z.uuid(),
  /** The day it happened; `unknown` where nobody said. */
  day: DayOrUnknownSchema,
  /** On whose word; empty where nobody said. */
  by: LineSchema.trim().max(60).default(''),
};
/** Of what was written into a set the moment at which it was said, in UTC, where that was on its day: it was there by then. */
const saidAt = z.iso.datetime().optional();
const note = LineSchema.trim().max(200).default('');

/**
 * One thing that somebody saw or did with a set. `factory`, `read`, `loaded`, `other` and `contradicted` say what its memory holds from then
 * on; the others leave that as it is.
 */
export const EvidenceSchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('factory'), ...common, saidAt }),
  z.strictObject({ what: z.literal('read'), ...common }),
  z.strictObject({
    what: z.literal('loaded'),
    ...common,
    saidAt,
    /** Of which plan; `null` where somebody only says that it was loaded. */
    planId: z.uuid().nullable().default(null),
    /** Its revision; `null` for a draft. */
    revision: z.number().int().min(1).nullable().default(null),
    way: z.enum(LOADED_BY).default('unknown'),
    /** The description that its sheet was made with, by content; empty where nobody knows. */
    described: z
      .string()
      .regex(/^([0-9a-f]{64})?$/)
      .default(''),
  }),
  z.strictObject({ what: z.literal('other'), ...common, saidAt }),
  /** Something of it was found to be otherwise: what it holds is not known any more. */
  z.strictObject({ what: z.literal('contradicted'), ...common, note }),
  z.strictObject({
    what: z.literal('checked'),
    ...common,
    check: z.enum(CHECKS),
    /** The memory number it was tried at; `null` for the whole set, or where nobody said. */
    number: z.number().int().min(0).max(999_999).nullable().default(null),
    /** Silence is no result. */
    result: z.enum(['pass', 'fail', 'undecided']),
    note,
  }),
  z.strictObject({ what: z.literal('lent'), ...common, to: LineSchema.trim().min(1).max(60) }),
  z.strictObject({ what: z.literal('returned'), ...common }),
  /** It is lost or broken, or was found and mended. */
  z.strictObject({ what: z.literal('condition'), ...common, is: z.enum(CONDITIONS), note }),
  /** What it held before somebody worked on it: photographed or read, and where that is kept. */
  z.strictObject({
    what: z.literal('backup'),
    ...common,
    how: z.enum(['photographed', 'read']),
    where: LineSchema.trim().min(1).max(120),
  }),
  z.strictObject({ what: z.literal('prepared'), ...common, done: z.enum(PREPARATIONS) }),
  /** Places of the holder's own that they let go of for the next loading, by memory number. */
  z.strictObject({
    what: z.literal('let-go'),
    ...common,
    numbers: z.array(z.number().int().min(0).max(99_999)).min(1).max(MOST_PLACES),
  }),
]);
export type Evidence = z.infer<typeof EvidenceSchema>;
export type EvidenceInput = z.input<typeof EvidenceSchema>;
/** Evidence of one kind. */
export type EvidenceOf<W extends Evidence['what']> = Extract<Evidence, { what: W }>;

/** So much is kept of one set; of more the oldest goes that says nothing of its memory. */
export const MOST_EVIDENCE = 200;
