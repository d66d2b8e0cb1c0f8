import { z } from 'zod';
import { SERVICE_IDS } from '../facts/index';
import { RADIO_RANGE_HZ } from '../units/index';
import { DayOrUnknownSchema, DaySchema } from './day';
import { ToneOrUnknownSchema } from './tone';

/** A frequency in hertz that sets of this field receive. */
export const FrequencySchema = z.number().int().min(RADIO_RANGE_HZ.min).max(RADIO_RANGE_HZ.max);

// Signs that are not seen but turn the reading direction of what follows (Unicode, UAX 9), and line separators: they come off.
const UNSEEN = /[\u061c\u200e\u200f\u2028-\u202e\u2066-\u2069]/g;
/** Text on one line without control characters, so that it prints and exports as written. */
export const LineSchema = z
  .string()
  .overwrite((text) => text.replace(UNSEEN, ''))
  .regex(/^[^\p{Cc}]*$/u, 'one line of text without control characters')
  // Half of a sign (Unicode, surrogates): no file and no database takes it.
  .regex(/^[^\p{Cs}]*$/u, 'text without halves of signs');

/** What a channel may belong to. */
export const SERVICES_OR_OTHER = [...SERVICE_IDS, 'other'] as const;
/** Whether a channel can be used: now, later, or not any more. */
export const CHANNEL_STATES = ['on-air', 'planned', 'withdrawn'] as const;
export type ChannelState = (typeof CHANNEL_STATES)[number];
/** One of them, as a schema. */
export const ServiceOrOtherSchema = z.enum(SERVICES_OR_OTHER);

/** Where a channel was taken from: the source's name, the day it last changed its entry, and the day it was taken. */
export const ListedSchema = z.strictObject({
  source: LineSchema.trim().min(1).max(60),
  changed: DayOrUnknownSchema,
  taken: DaySchema,
});
export type Listed = z.infer<typeof ListedSchema>;

/** Where a channel belongs to a trunked network, whose sets are told by a control channel where the next call is. */
export const TrunkSchema = z.strictObject({
  network: LineSchema.trim().min(1).max(40),
  /** What its tower sends here: the data that tells sets where to go, or the calls themselves. */
  carries: z.enum(['control', 'calls']),
  /** Whether this is the tower that is heard where the group is. */
  isLocal: z.union([z.boolean(), z.literal('unknown')]),
});
export type Trunk = z.infer<typeof TrunkSchema>;

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
  /** What people here call it besides its name: nicknames, numbers in older lists. */
  aliases: z.array(LineSchema.trim().min(1).max(40)).max(8).default([]),
  /** Names by hand for displays that are too short for the whole one; the longest that fits is used, before anything is abbreviated. */
  shortNames: z.array(LineSchema.trim().min(1).max(20)).max(4).default([]),
  /** The tones are for members only and masked for everybody else; that hides them, it secures nothing. */
  tonesSecret: z.boolean().default(false),
  /** The listing it came from; `null` when somebody wrote it here. */
  listed: ListedSchema.nullable().default(null),
  /** `null` for a channel of its own. */
  trunk: TrunkSchema.nullable().default(null),
  /** Whether sets scan it: `usual` takes in whatever falls silent between calls. One that must not be missed has priority. */
  scan: z.enum(['usual', 'in', 'out', 'priority']).default('usual'),
  /** Whether a scan stays for the answer after somebody spoke. */
  resumeDelay: z.enum(['plan', 'on', 'off']).default('plan'),
  /** On the air, planned, or withdrawn: what sets then do with it is the plan's policy. */
  state: z.enum(CHANNEL_STATES).default('on-air'),
};

const sendsNothing = (channel: { transmitHz: number | null; transmitTone: string }) =>
  channel.transmitHz !== null || channel.transmitTone === 'off';
const SENDS_NOTHING = { error: 'off, because the channel does not transmit', path: ['transmitTone'] };
const onlyHeard = (channel: { transmitHz: number | null; trunk: unknown }) =>
  channel.trunk === null || channel.transmitHz === null;
const ONLY_HEARD = { error: 'none: a trunked network is only listened to here', path: ['transmitHz'] };

/** What a line of text says of a channel, before it has a place in a plan. */
export const ChannelDraftSchema = z
  .strictObject(channelFields)
  .refine(sendsNothing, SENDS_NOTHING)
  .refine(onlyHeard, ONLY_HEARD);
export type ChannelDraft = z.infer<typeof ChannelDraftSchema>;

/** One channel of a plan. It knows no device: numbers, labels and names on sets belong to the fit. */
export const ChannelSchema = z
  .strictObject({ id: z.uuid(), groupId: z.uuid(), ...channelFields })
  .refine(sendsNothing, SENDS_NOTHING)
  .refine(onlyHeard, ONLY_HEARD);
export type Channel = z.infer<typeof ChannelSchema>;

/** What a channel says where nobody said anything of it. */
export const UNSAID = {
  receivePolicy: 'plan',
  access: 'unknown',
  tier: 'should',
  note: '',
  aliases: [],
  shortNames: [],
  tonesSecret: false,
  listed: null,
  trunk: null,
  scan: 'usual',
  resumeDelay: 'plan',
  state: 'on-air',
} satisfies Partial<ChannelDraft>;

/** A text cut to so many letters at most, and never through the middle of a sign. */
export function cutTo(text: string, most: number): string {
  return text
    .slice(0, most)
    .replace(/\p{Cs}/gu, '')
    .trim();
}

/** A channel that says no more than its frequencies and tones, to ask what could be done with it; it is in no plan. */
export function bareChannel(
  says: Pick<Channel, 'name' | 'receiveHz' | 'transmitHz'> & Partial<Channel>,
): Channel {
  const none = '00000000-0000-4000-8000-000000000000';
  return {
    id: none,
    groupId: none,
    transmitTone: 'off',
    receiveTone: 'off',
    bandwidth: 'unknown',
    mode: 'FM',
    service: 'other',
    ...UNSAID,
    ...says,
  };
}
