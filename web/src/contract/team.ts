import { DaySchema } from '@umbrex/core/model';
import { z } from 'zod';
import { NameSchema, RoleSchema } from './account';

/** Who is to get a link, and for what. */
export const LinkSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('invite'),
    name: NameSchema,
    role: RoleSchema,
    personId: z.uuid().nullable().default(null),
  }),
  z.strictObject({ kind: z.literal('reset'), accountId: z.uuid() }),
  /** A member's card, without an account: until the end of a day, with or without the tones that the group keeps to itself. */
  z.strictObject({
    kind: z.literal('card'),
    personId: z.uuid(),
    planId: z.uuid(),
    until: DaySchema,
    hidesTones: z.boolean(),
  }),
  /** The calendar of a plan's group, to be followed without an account. */
  z.strictObject({ kind: z.literal('calendar'), planId: z.uuid(), name: NameSchema, until: DaySchema }),
  z.strictObject({ kind: z.literal('enrol'), name: NameSchema, personId: z.uuid().nullable().default(null) }),
]);

/** A mail that would have been sent; when as a moment in UTC. */
export interface Mail {
  readonly id: string;
  readonly recipient: string;
  readonly subject: string;
  readonly body: string;
  readonly createdAt: string;
}
