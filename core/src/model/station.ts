import { z } from 'zod';
import { FrequencySchema, LineSchema } from './channel';
import { DayOrUnknownSchema, DaySchema } from './day';
import { PlaceSchema } from './directory';
import { ToneTextSchema } from './tone';

const said = {
  /** Who says so: a person, a listing, the group's own ears. */
  source: LineSchema.trim().min(1).max(60),
  on: DayOrUnknownSchema,
};
const fact = <F extends string, V extends z.ZodType>(field: F, value: V) =>
  z.strictObject({ field: z.literal(field), value, ...said });

/** One thing that somebody said of a station on a day. Several may stand side by side and disagree. */
export const StationFactSchema = z.discriminatedUnion('field', [
  fact('outputHz', FrequencySchema),
  fact('inputHz', FrequencySchema),
  fact('inputTone', ToneTextSchema),
  fact('outputTone', ToneTextSchema),
  fact('powerW', z.number().positive().max(10_000)),
  fact('antennaHeightM', z.number().min(0).max(1000)),
  fact('owner', LineSchema.trim().min(1).max(80)),
  fact('status', z.enum(['planned', 'on-air', 'off-air', 'gone'])),
  /** A claim: a circle that no hill is in. */
  fact('rangeM', z.number().positive().max(1_000_000)),
  /** What tells that it was opened. */
  fact('answer', z.enum(['tail', 'courtesy-tone', 'voice', 'none'])),
  fact('talkLimitS', z.number().int().positive().max(3600)),
  /** Which control channels a trunked site sends, in hertz; the list as one fact. */
  fact('controlHz', z.array(FrequencySchema).min(1).max(40)),
]);
export type StationFact = z.infer<typeof StationFactSchema>;
/** What a fact is about. */
export type StationField = StationFact['field'];

/** Whether a group may use a repeater, by whose word and until when. */
export const PermissionSchema = z.strictObject({
  state: z.enum(['unknown', 'open', 'asked', 'granted', 'refused']),
  by: LineSchema.trim().max(60).default(''),
  on: DayOrUnknownSchema.default('unknown'),
  note: LineSchema.max(400).default(''),
  expires: DayOrUnknownSchema.default('unknown'),
});
export type Permission = z.infer<typeof PermissionSchema>;

/** A repeater, a weather transmitter, a service that is listened to, or a trunked site: where it is and what is said of it. */
export const StationSchema = z.strictObject({
  id: z.uuid(),
  kind: z.enum(['repeater', 'weather', 'listen', 'trunked']),
  name: LineSchema.trim().min(1).max(60),
  site: z.strictObject(PlaceSchema.shape).nullable().default(null),
  facts: z.array(StationFactSchema).max(60).default([]),
  permission: PermissionSchema.default({
    state: 'unknown',
    by: '',
    on: 'unknown',
    note: '',
    expires: 'unknown',
  }),
  /** Who reached it or did not, as they said. */
  reports: z
    .array(
      z.strictObject({
        personId: z.uuid(),
        reached: z.boolean(),
        on: DaySchema,
      }),
    )
    .max(500)
    .default([]),
  note: LineSchema.max(400).default(''),
});
export type Station = z.infer<typeof StationSchema>;
