import { z } from 'zod';
import { FrequencySchema, LineSchema } from './channel';
import { ToneOrUnknownSchema } from './tone';

/** What became of a find: nobody decided, it is a channel of a plan, or it stays a remark. */
export const FIND_STATES = ['open', 'channel', 'remark'] as const;

/** What a search stopped at: when, where, and what was heard there. */
export const FindSchema = z.strictObject({
  id: z.uuid(),
  /** The moment, in UTC. */
  at: z.iso.datetime(),
  receiveHz: FrequencySchema,
  /** The tone that came with it; `unknown` where nobody looked. */
  tone: ToneOrUnknownSchema.default('unknown'),
  /** What was heard, in words. */
  heard: LineSchema.trim().max(200).default(''),
  /** Where whoever listened stood. */
  where: LineSchema.trim().max(60).default(''),
  /** The set that searched. */
  unitId: z.uuid().nullable().default(null),
  state: z.enum(FIND_STATES).default('open'),
  by: LineSchema.trim().max(60).default(''),
});
export type Find = z.infer<typeof FindSchema>;
