import {
  ContentMarkSchema,
  type Cost,
  type Evidence,
  EvidenceSchema,
  OverruledSchema,
  RevisionSchema,
} from '@umbrex/core/model';
import type { Blocker, ChoiceToMake, SheetCost } from '@umbrex/core/publish';
import { z } from 'zod';

const { reason, effectiveFrom } = RevisionSchema.shape;

/** Which state of a plan is meant: a published one by its number, or the draft. */
export const StateSchema = z.union([z.literal('draft'), z.number().int().min(1)]);
/** The same as an address has it, `?of=3`. */
export const StateInAddressSchema = z.preprocess(
  (of) => (typeof of === 'string' && /^\d{1,6}$/.test(of) ? Number(of) : of),
  StateSchema.optional(),
);
export type State = z.infer<typeof StateSchema>;

/** A draft is published as it was looked at: its content, and the revision that was the newest then. */
export const PublishSchema = z.strictObject({
  /** The draft by its content, as the page that asks gave it. */
  draft: ContentMarkSchema,
  /** The newest number then; 0 where nothing was published. */
  after: z.number().int().min(0),
  reason,
  effectiveFrom,
  overruled: z
    .array(OverruledSchema.pick({ mark: true, reason: true }))
    .max(500)
    .default([]),
  /** The choices that somebody made now, as the draft has them. */
  decided: z.array(RevisionSchema.shape.decided.unwrap().element.shape.choice).max(20).default([]),
});

/** What is said of a revision wherever revisions are listed. */
export const RevisionHeadSchema = RevisionSchema.omit({ plan: true });
export type RevisionHead = z.infer<typeof RevisionHeadSchema> & {
  readonly withdrawn: { readonly on: string; readonly by: string; readonly reason: string } | null;
};

type Option = (typeof EvidenceSchema.options)[number];
/** What is written down of one kind of evidence. */
function evidence<W extends Evidence['what']>(what: W) {
  return EvidenceSchema.options.find(({ shape }) => shape.what.value === what) as Extract<
    Option,
    { shape: { what: z.ZodLiteral<W> } }
  >;
}
const SERVER = { id: true } as const;
const WRITTEN = { ...SERVER, saidAt: true } as const;
/**
 * What somebody says of sets. Of one that was loaded it is said with which state of the plan, and the server knows what that put there; what was
 * read of a set comes with its contents, by another way.
 */
export const SeenSchema = z.discriminatedUnion('what', [
  evidence('factory').omit(WRITTEN),
  evidence('loaded')
    .omit({ ...WRITTEN, planId: true, revision: true, described: true })
    .extend({ of: StateSchema }),
  evidence('other').omit(WRITTEN),
  evidence('contradicted').omit(SERVER),
  evidence('checked').omit(SERVER),
  evidence('lent').omit(SERVER),
  evidence('returned').omit(SERVER),
  evidence('condition').omit(SERVER),
  evidence('backup').omit(SERVER),
  evidence('prepared').omit(SERVER),
]);
export type Seen = z.infer<typeof SeenSchema>;

/** The same of several sets, each from the version that was looked at. */
export const SeenOfSetsSchema = z.strictObject({
  sets: z
    .array(z.strictObject({ id: z.uuid(), version: z.number().int() }))
    .min(1)
    .max(500),
  seen: SeenSchema,
});

/** What a coordinator looks at before a draft is published. */
export interface PublishView {
  /** The draft by its content. */
  readonly draft: string;
  /** The newest number; 0 where nothing was published. */
  readonly after: number;
  /** Of all sets that are there. */
  readonly sheets: readonly SheetCost[];
  /** Sets that are lost or broken: nothing is asked of them. */
  readonly away: readonly string[];
  readonly blockers: readonly Blocker[];
  /** Why some of them were overruled with the newest revision, by their marks. */
  readonly before: Readonly<Record<string, string>>;
  readonly cost: Cost;
  readonly choices: readonly ChoiceToMake[];
}
