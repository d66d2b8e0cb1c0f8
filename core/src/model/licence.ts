import { z } from 'zod';
import { FrequencySchema, LineSchema } from './channel';
import { DayOrUnknownSchema, DaySchema } from './day';

/** A frequency of the workspace's own business licence: a row of the service that has no published table. */
export const LicensedFrequencySchema = z.strictObject({
  name: LineSchema.trim().min(1).max(40),
  receiveHz: FrequencySchema,
  transmitHz: FrequencySchema,
  bandwidthHz: z.number().int().positive(),
  maxPowerW: z.number().positive(),
  licence: LineSchema.trim().min(1).max(40),
  area: LineSchema.max(80),
  /** The day after which it is no longer good. */
  expires: DaySchema,
});
export type LicensedFrequency = z.infer<typeof LicensedFrequencySchema>;

/** What a person may lean on: a licence of their own, of close family, or of their employer. */
export const LicenceSchema = z.strictObject({
  /** The service it is for; `amateur` is good for every amateur band. */
  service: z.string().min(1).max(20),
  holds: z.enum(['own', 'family', 'employer']),
  expires: DayOrUnknownSchema,
  /** The call sign it gives, where it gives one. */
  callSign: LineSchema.trim().max(12).default(''),
  /** Its class, where the service has classes. */
  class: LineSchema.trim().max(20).default(''),
});
export type Licence = z.infer<typeof LicenceSchema>;
