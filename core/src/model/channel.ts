import { z } from 'zod';
import { SERVICE_IDS } from '../facts/index';
import { RADIO_RANGE_HZ } from '../units/index';
import { ToneOrUnknownSchema } from './tone';

export const FrequencySchema = z.number().int().min(RADIO_RANGE_HZ.min).max(RADIO_RANGE_HZ.max);

/** Text without control characters, so that it prints and exports as written. */
export const LineSchema = z.string().regex(/^[^\p{Cc}]*$/u, 'one line of text without control characters');

export const ServiceOrOtherSchema = z.enum([...SERVICE_IDS, 'other']);

const channelFields = {
  name: LineSchema.trim().min(1).max(40),
  receiveHz: FrequencySchema,
  /** `null` for a channel that is only listened to. */
  transmitHz: FrequencySchema.nullable(),
  /** What our sets send: a repeater's input tone. */
  transmitTone: ToneOrUnknownSchema,
  /** What is sent to us: a repeater's output tone, off when it sends none. */
  receiveTone: ToneOrUnknownSchema,
  /** Whether our sets wait for `receiveTone` (closed) or hear everyone (open). */
  receivePolicy: z.enum(['plan', 'open', 'closed']),
  bandwidth: z.enum(['narrow', 'wide', 'unknown']),
  /** How it is modulated; analogue sets hear digital modes as noise. */
  mode: z.enum(['FM', 'AM', 'digital']).default('FM'),
  service: ServiceOrOtherSchema,
  access: z.enum(['open', 'permission', 'unknown']),
  tier: z.enum(['must', 'should', 'nice']),
  note: LineSchema.max(400),
};

const sendsNothing = (channel: { transmitHz: number | null; transmitTone: string }) =>
  channel.transmitHz !== null || channel.transmitTone === 'off';
const SENDS_NOTHING = { error: 'off, because the channel does not transmit', path: ['transmitTone'] };

/** What a line of text says of a channel, before it has a place in a plan. */
export const ChannelDraftSchema = z.strictObject(channelFields).refine(sendsNothing, SENDS_NOTHING);
export type ChannelDraft = z.infer<typeof ChannelDraftSchema>;

/** One channel of a plan. It knows no device: numbers, labels and names on sets belong to the fit. */
export const ChannelSchema = z
  .strictObject({ id: z.uuid(), groupId: z.uuid(), ...channelFields })
  .refine(sendsNothing, SENDS_NOTHING);
export type Channel = z.infer<typeof ChannelSchema>;

/** How a channel is used, read off its frequencies. */
export function kindOf(channel: Pick<Channel, 'receiveHz' | 'transmitHz'>): 'repeater' | 'direct' | 'listen' {
  if (channel.transmitHz === null) return 'listen';
  return channel.transmitHz === channel.receiveHz ? 'direct' : 'repeater';
}
