import { z } from 'zod';
import { FrequencySchema } from './channel';
import { idOf } from './ids';
import { WAYS, WaySchema, waysFromTwoLists } from './ways';

const id = idOf(41);
const unknown = z.literal('unknown');

/** What a field of a slot holds, in plan terms. */
export const HOLDS = [
  'receiveHz',
  'offsetHz',
  'transmitHz',
  'modulation',
  'transmitTone',
  'receiveTone',
  'bothTones',
  'transmitCtcss',
  'transmitDcs',
  'receiveCtcss',
  'receiveDcs',
  'toneMode',
  'name',
  'powerW',
  'bandwidth',
  'transmitForbidden',
  'inScan',
  'hasPriority',
  'resumeDelayS',
  'inCalls',
  'areaCode',
  'fleetId',
] as const;
/** One of them. */
export type Holds = (typeof HOLDS)[number];

/** The fields that set a tone, by the direction they work in; those of `both` work in either. */
export const TONE_HOLDS = {
  transmit: ['transmitTone', 'transmitCtcss', 'transmitDcs'],
  receive: ['receiveTone', 'receiveCtcss', 'receiveDcs'],
  both: ['bothTones'],
  /** Decides which of the others is in force. */
  mode: ['toneMode'],
} as const satisfies Readonly<Record<string, readonly Holds[]>>;

/** A field of a place, and the list that its values come from. */
export const FieldSchema = z.strictObject({
  id,
  title: z.string().min(1).max(30),
  holds: z.enum(HOLDS),
  /**
   * The list its values come from; a name, an ID and an area code have none, a frequency one where the set counts its frequencies instead of taking digits.
   * `unknown` where nobody has looked it up.
   */
  list: z.union([unknown, id]).optional(),
  /** The factory's value: a place in the list, or the text of a name. */
  factory: z.union([z.number().int().min(0), z.string()]),
});
export type Field = z.infer<typeof FieldSchema>;

const FixedChannelSchema = z.strictObject({
  receiveHz: FrequencySchema,
  /** `null` where the set only listens. */
  transmitHz: FrequencySchema.nullable(),
  bandwidth: z.enum(['narrow', 'wide', 'unknown']),
  /** The most power the set allows here, in watts at the transmitter, where it limits itself. */
  mostPowerW: z.number().positive().optional(),
  /** A preset tone that only the set's own make knows; such a slot talks to sets of that make alone. */
  hiddenTone: z.literal(true).optional(),
});

/** A rule that yields slots: numbers `first`, `first + 1`… in blocks of `size` that begin `stride` apart. */
const shape = z.strictObject({
  id,
  title: z.string().min(1).max(40),
  first: z.number().int().min(0).max(99_999),
  count: z.number().int().min(1).max(10_000),
  size: z.number().int().min(1).max(10_000),
  stride: z.number().int().min(1).max(100_000),
  /** Names of the blocks, where the device has banks. */
  banks: z.array(z.string().min(1).max(8)).max(1000),
  /** What the device shows for a slot: `{bank}`, `{position}`, `{number}`. */
  label: z.string().max(32),
  content: z.discriminatedUnion('kind', [
    /** Frequencies that cannot change; one row a position, the same in every block. */
    z.strictObject({ kind: z.literal('fixed'), channels: z.array(FixedChannelSchema).min(1).max(10_000) }),
    z.strictObject({
      kind: z.literal('free'),
      /** The set never sends from here. */
      receiveOnly: z.literal(true).optional(),
    }),
    /** Places for the area codes of an alert radio; no channel goes there. */
    z.strictObject({ kind: z.literal('areas') }),
    /** A place for who the set is, for whom it can call, for texts that it sends by a key; no channel goes there. */
    z.strictObject({ kind: z.enum(['own', 'calls', 'status']) }),
    /** A place for the name of each zone of another region, in its order; no channel goes there. */
    z.strictObject({ kind: z.literal('zones'), of: id }),
  ]),
  /** Places for the control channels of trunked networks, one network in each block; nothing else goes there, and they never send. */
  towers: z.literal(true).optional(),
  /** Which fields of its places can be set, and by what; one that is in none never changes. */
  ways: z.array(WaySchema).max(2 ** WAYS.length - 1),
});
/** The same, also as it was written while keys and cable had a list each. */
export const RegionSchema = z.preprocess(waysFromTwoLists, shape);
export type Region = z.infer<typeof RegionSchema>;

/** Whether channels go to the places of a region; others are for area codes, IDs or texts. */
export function isForChannels({ content: { kind } }: Pick<Region, 'content'>): boolean {
  return kind === 'fixed' || kind === 'free';
}
