import { z } from 'zod';
import { LineSchema } from './channel';
import { LocalTimeSchema } from './day';

const line = LineSchema.trim();

/** So many check-ins are kept of a net, the newest; older ones stay in its history. */
export const MOST_CHECK_INS = 500;

/** A net or an event: when and where on the air, who leads, which role is on which channel, who checked in. */
export const NetSchema = z.strictObject({
  id: z.uuid(),
  name: line.min(1).max(60),
  /** The time on the clocks of its zone. */
  startsAt: LocalTimeSchema,
  timeZone: z.string().refine(isTimeZone, 'a time zone such as America/New_York'),
  repeats: z.enum(['once', 'daily', 'weekly', 'monthly']).default('once'),
  channelId: z.uuid().nullable().default(null),
  fallbackId: z.uuid().nullable().default(null),
  leader: line.max(60).default(''),
  roles: z
    .array(z.strictObject({ name: line.min(1).max(40), who: line.max(60), channelId: z.uuid().nullable() }))
    .max(40)
    .default([]),
  checkIns: z
    .array(
      z.strictObject({
        who: line.min(1).max(60),
        at: z.iso.datetime(),
        note: line.max(200),
        /** Who heard it, and on which channel: whoever led the net then, which somebody else may do by now. Empty where nobody wrote it down. */
        heardBy: line.max(60).default(''),
        channelId: z.uuid().nullable().default(null),
      }),
    )
    .max(MOST_CHECK_INS)
    .default([]),
  /** Check-ins from this moment on are the list of now; the ones before stay, as what was heard. `null` where all are of one list. */
  listFrom: z.iso.datetime().nullable().default(null),
  note: LineSchema.max(400).default(''),
});
export type Net = z.infer<typeof NetSchema>;

function isTimeZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}
