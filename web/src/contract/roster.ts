import {
  ChannelSchema,
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
  batteryChanged: z.union([z.iso.date(), z.literal('unknown')]),
  /** What they keep for themselves, in their own words; numbers are read from it. */
  keeps: LineSchema.trim().max(120),
});
