import { QUESTIONS, type QuestionId } from '@umbrex/core/interview';
import {
  ChannelSchema,
  DayOrUnknownSchema,
  FindSchema,
  HeardSchema,
  LicenceSchema,
  LineSchema,
  NetSchema,
  PersonSchema,
  StationSchema,
  TeamSchema,
  UnitSchema,
} from '@umbrex/core/model';
import { z } from 'zod';

/** One change for many people, each with the version they were chosen at. */
export const BulkSchema = z.strictObject({
  people: z
    .array(z.strictObject({ id: z.uuid(), version: z.number().int() }))
    .min(1)
    .max(2000),
  change: z.discriminatedUnion('do', [
    z.strictObject({ do: z.literal('join'), teamId: z.uuid() }),
    z.strictObject({ do: z.literal('leave'), teamId: z.uuid() }),
    z.strictObject({ do: z.literal('licence'), licence: LicenceSchema }),
    z.strictObject({ do: z.literal('delete') }),
  ]),
});
export type BulkChange = z.infer<typeof BulkSchema>['change'];

const many = <T>(schema: z.ZodType<T>) => z.array(schema).max(2000).default([]);

/** What was read from a table or a map file; channels come into a plan. */
export const ImportSchema = z
  .strictObject({
    planId: z.uuid().optional(),
    teams: many(TeamSchema),
    people: many(PersonSchema),
    units: many(UnitSchema),
    stations: many(StationSchema),
    nets: many(NetSchema),
    channels: many(ChannelSchema),
    calls: many(HeardSchema),
    finds: many(FindSchema),
  })
  .refine(({ planId, channels }) => channels.length === 0 || planId !== undefined, {
    error: 'the plan that the channels come into',
    path: ['planId'],
  });

/** What a holder says of their own set: its kind, the serial from the label, and at most four answers. */
export const EnrolmentSchema = z.strictObject({
  descriptionId: z.string().regex(/^[a-z0-9][a-z0-9-]{1,40}$/),
  serial: LineSchema.trim().min(1).max(40),
  nickname: LineSchema.trim().min(1).max(40),
  firmware: LineSchema.trim().max(20),
  batteryChanged: DayOrUnknownSchema,
  /** What they keep for themselves, in their own words; numbers are read from it. */
  keeps: LineSchema.trim().max(120),
  /** Where theirs is none of the kinds: what it is called, and what they know of it. Then the kind above is only the one it is most like. */
  own: z
    .strictObject({
      title: LineSchema.trim().min(1).max(40),
      answers: z.partialRecord(z.enum(QUESTIONS.map(({ id }) => id)), z.string().max(20)),
    })
    .nullable(),
  /** What they say of a licence to send; it gives no right until a coordinator wrote it down. */
  licence: z
    .strictObject({
      holds: z.enum(['none', ...LicenceSchema.shape.holds.options]),
      service: LineSchema.trim().max(20),
      callSign: LineSchema.trim().max(12),
      expires: DayOrUnknownSchema,
    })
    .nullable(),
});
export type Enrolment = z.infer<typeof EnrolmentSchema>;

/** One kind of set, as somebody sees it who only holds one. */
export interface EnrolKind {
  readonly id: string;
  readonly title: string;
  /** What it looks like. */
  readonly looks: string;
  /** What is asked of a set that is none of the kinds, and most like this one. */
  readonly questions: readonly QuestionId[];
}
