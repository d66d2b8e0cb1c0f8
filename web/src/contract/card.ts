import { MOST_REPORTS } from '@umbrex/core/card';
import type { UnitState } from '@umbrex/core/flow';
import type { UsedPlaces } from '@umbrex/core/foreign';
import { type Description, HeardSchema, LineSchema, LOADED_BY, type Plan } from '@umbrex/core/model';
import { z } from 'zod';

const common = {
  /** Given by the phone, so that what is sent twice counts once. */
  id: z.uuid(),
  /** The moment it happened, by the phone's clock, in UTC. */
  at: z.iso.datetime(),
  unitId: z.uuid(),
};
const note = LineSchema.trim().max(160).default('');
const sheet = {
  /** The published state whose sheet it is, and the steps by their content. */
  of: z.number().int().min(1).max(999_999),
  sheet: z.string().regex(/^[0-9a-f]{64}$/),
};

/** What somebody reports of a set of their own, from where they stand. */
export const ReportSchema = z.discriminatedUnion('what', [
  /** A step was done; the last one that counts is the highest. */
  z.strictObject({
    what: z.literal('step'),
    ...common,
    ...sheet,
    step: z.number().int().min(1).max(20_000),
    steps: z.number().int().min(1).max(20_000),
  }),
  /** All of the sheet was done, and each step showed what it should. */
  z.strictObject({ what: z.literal('done'), ...common, ...sheet, way: z.enum(LOADED_BY).default('keys') }),
  /** A step showed something else: what the set holds is not known any more. */
  z.strictObject({
    what: z.literal('showed'),
    ...common,
    ...sheet,
    step: z.number().int().min(1).max(20_000),
    showed: LineSchema.trim().min(1).max(80),
    note,
  }),
  z.strictObject({ what: z.literal('condition'), ...common, is: z.enum(['well', 'lost', 'broken']), note }),
  z.strictObject({ what: z.literal('cells'), ...common }),
  /** An alert radio sounded for the weekly test. */
  z.strictObject({ what: z.literal('test-heard'), ...common }),
  /** Somebody was heard at a place of the set, was spoken with both ways, or called and was not heard. */
  z.strictObject({
    what: z.literal('heard'),
    ...common,
    number: z.number().int().min(0).max(999_999),
    check: z.enum(['heard', 'two-way', 'not-heard']),
    whom: LineSchema.trim().max(60).default(''),
    /** The channel of the plan that stands there; with it the call goes into the log. */
    channelId: z.uuid().nullable().default(null),
    readability: HeardSchema.shape.readability,
  }),
]);
export type Report = z.infer<typeof ReportSchema>;

export const ReportsSchema = z.strictObject({
  planId: z.uuid(),
  reports: z.array(ReportSchema).min(1).max(MOST_REPORTS),
});

/** What became of one report: it counts, or why it does not, in words. */
export interface ReportAnswer {
  readonly id: string;
  readonly taken: boolean;
  readonly why: string;
}

/** A link to a card, or to the group's calendar, as its coordinator sees it; moments in UTC. */
export interface CardLink {
  readonly id: string;
  readonly kind: 'card' | 'calendar';
  readonly personId: string | null;
  readonly name: string;
  readonly hidesTones: boolean;
  readonly createdAt: string;
  readonly until: string;
  readonly seenAt: string | null;
  readonly state: 'good' | 'over' | 'revoked';
}

/** What it takes to fit one more channel to a set of one's own, with or without a network. */
export interface ForeignWork {
  readonly format: 'umbrex/foreign@1';
  /** The plan without its channels. */
  readonly plan: Plan;
  readonly description: Description;
  readonly unit: UnitState;
  readonly used: UsedPlaces;
  /** The channels of the plan that this set has, by id. */
  readonly names: Readonly<Record<string, string>>;
}
