import { z } from 'zod';
import { idOf } from './ids';

/*
 * How a device's keys work, as a state machine in data. One interpreter runs it; nothing else reads it. A key press is
 * looked up among the present mode's `on` rows from the top; the first row whose key, length of press and conditions fit
 * is done, then the mode may change. A press that fits no row is refused with a beep.
 */

const id = idOf(31);
const MOST_MODES = 200;
const ms = z.number().int().min(1).max(600_000);

const KeySchema = z.strictObject({
  /** The character this key types where a mode takes characters. */
  char: z.string().length(1).optional(),
  /** The letters it gives in turn where a mode takes letters by repeated taps. */
  letters: z.string().min(1).max(12).optional(),
});

/** What must hold for a row to be done. */
export const ConditionSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('entryLength'), of: z.number().int() }),
  z.strictObject({ is: z.literal('entryIsSlot') }),
  z.strictObject({ is: z.literal('entryIsItem') }),
  z.strictObject({ is: z.literal('entryIsFrequency') }),
  z.strictObject({ is: z.literal('entryIsValue') }),
  /** The entry is these very characters, such as a code that opens the keys. */
  z.strictObject({ is: z.literal('entryIs'), of: z.string().min(1).max(12) }),
  /** The entry is a frequency that lies as far from the slot's own as the item's list allows. */
  z.strictObject({ is: z.literal('entryIsOffset'), item: z.string().regex(/^\d{1,3}$/) }),
  z.strictObject({ is: z.literal('slotUsed') }),
  z.strictObject({ is: z.literal('itemEditor'), of: z.enum(['wheel', 'frequency', 'letters', 'digits']) }),
  z.strictObject({ is: z.literal('itemAllowed') }),
  z.strictObject({ is: z.literal('lastItem') }),
  z.strictObject({ is: z.literal('lastLetter') }),
  /** A search has found something. */
  z.strictObject({ is: z.literal('hasFound') }),
  /** A setting of the whole set has this meaning, as one that says what a programmable key does. */
  z.strictObject({ is: z.literal('settingMeans'), setting: id, of: z.string().max(20) }),
]);
export type Condition = z.infer<typeof ConditionSchema>;

/** What a row does to the device. */
export const ActionSchema = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('beep'), tone: z.enum(['ok', 'refused', 'high', 'low']) }),
  z.strictObject({ act: z.literal('clearEntry') }),
  z.strictObject({ act: z.literal('typeChar'), most: z.number().int().min(1).max(12) }),
  z.strictObject({ act: z.literal('pickItem'), to: z.enum(['first', 'entry', 'next', 'previous']) }),
  /** Opens one item by its number, as a key of its own does. */
  z.strictObject({ act: z.literal('openItem'), item: z.string().regex(/^\d{1,3}$/) }),
  z.strictObject({ act: z.literal('readDraft') }),
  z.strictObject({ act: z.literal('blankDraft') }),
  z.strictObject({ act: z.literal('stepDraft'), by: z.number().int().min(-10_000).max(10_000) }),
  z.strictObject({ act: z.literal('draftFromEntry') }),
  /** Takes the entry as a frequency to send on; the draft is its distance from the slot's own. */
  z.strictObject({ act: z.literal('draftOffsetFromEntry') }),
  /** Takes the frequency that a search found and that is shown. */
  z.strictObject({ act: z.literal('draftFromFind') }),
  z.strictObject({ act: z.literal('pickFind'), to: z.enum(['next', 'previous']) }),
  /** Takes the entry as it is, such as an area code. */
  z.strictObject({ act: z.literal('draftTextFromEntry') }),
  /** Puts the digits of the present frequency into the entry: more are added to them until it is cleared. */
  z.strictObject({ act: z.literal('readEntry') }),
  z.strictObject({ act: z.literal('tapLetter'), withinMs: ms }),
  z.strictObject({ act: z.literal('stepLetter'), by: z.number().int().min(-100).max(100) }),
  z.strictObject({ act: z.literal('firstLetter') }),
  z.strictObject({ act: z.literal('nextLetter') }),
  z.strictObject({ act: z.literal('storeDraft') }),
  z.strictObject({
    act: z.literal('pickSlot'),
    to: z.enum(['entry', 'next', 'previous', 'nextInBank', 'previousInBank', 'nextBank', 'start']),
  }),
  /** Goes to the slot typed; an empty one takes over what the slot stood on holds. */
  z.strictObject({ act: z.literal('beginSlot') }),
  z.strictObject({ act: z.literal('copyFirstBank') }),
  /** Empties the slot it stands on; refused where the factory set it. */
  z.strictObject({ act: z.literal('eraseSlot') }),
  /** Offers all that it holds to a set of its kind that waits for it. */
  z.strictObject({ act: z.literal('sendCopy') }),
  /** Switches off and on: what was changed is kept from now on, where the set saves only then. */
  z.strictObject({ act: z.literal('switchOff') }),
  z.strictObject({ act: z.literal('factoryReset') }),
  z.strictObject({ act: z.literal('transmit') }),
  /** Sends on the frequency typed, as a set does that stores with its talk key held. */
  z.strictObject({ act: z.literal('transmitEntry') }),
]);
export type Action = z.infer<typeof ActionSchema>;

const RowSchema = z.strictObject({
  /** Key ids, or `chars` for every key that types a character, or `letters` for every key with letters. */
  keys: z.union([z.array(id).min(1).max(60), z.enum(['chars', 'letters'])]),
  /** Only presses at least this long; rows without it take short presses. Longer rows stand above shorter ones. */
  heldMs: ms.optional(),
  /** The other keys that are down meanwhile; a row without it is for the key alone. */
  with: z.array(id).min(1).max(3).optional(),
  when: z.array(ConditionSchema).max(20).optional(),
  do: z.array(ActionSchema).max(20).optional(),
  go: id.optional(),
});

const ModeSchema = z.strictObject({
  /** Lines of the display; marks in braces are filled in, e.g. `{number}`, `{label}`, `{item}`, `{draft}`, `{entry}`. */
  screen: z.array(z.string().max(32)).min(1).max(4),
  /** Left by itself after this long without a key; whatever was not stored is lost. */
  timeout: z.strictObject({ ms, go: id, do: z.array(ActionSchema).max(20).optional() }).optional(),
  /** A copy that comes while it is here takes the place of everything that the set holds. */
  takesCopy: z.strictObject({ go: id, do: z.array(ActionSchema).max(20).optional() }).optional(),
  /** Switching off and on does not leave it, such as a lock of the keys. */
  staysOn: z.literal(true).optional(),
  /** While it is here the set scans its places, or searches the bands of its description. */
  scans: z.enum(['places', 'bands']).optional(),
  on: z.array(RowSchema).max(200),
});

const ItemSchema = z.strictObject({
  number: z.string().regex(/^\d{1,3}$/),
  title: z.string().min(1).max(16),
  /** `digits` sets a value's digits one by one, as letters are; a number that the list does not have is refused. */
  editor: z.enum(['wheel', 'frequency', 'letters', 'digits']),
  /** Cannot be changed while another field of the slot has this value. */
  lockedWhen: z.strictObject({ field: id, value: z.number().int().min(0) }).optional(),
  /** Not among those that are gone through: it has a key of its own. */
  apart: z.literal(true).optional(),
  /** Can be set in an empty slot, before its frequency. */
  first: z.literal(true).optional(),
  /** This item belongs to the channel one stands on, to the whole set, or picks the channel itself. */
  target: z.discriminatedUnion('reach', [
    z.strictObject({ reach: z.literal('channel'), field: id }),
    z.strictObject({ reach: z.literal('set'), setting: id }),
    z.strictObject({ reach: z.literal('choice') }),
    /** The tone that the operator picks by hand, in place of the channel's own. */
    z.strictObject({ reach: z.literal('picked') }),
  ]),
});

/**
 * How many digits a frequency is typed with, and what the last one counts, in hertz. Where the set completes it, they are its beginning: the
 * first frequency on one of its steps that begins so is taken.
 */
export const FrequencyEntrySchema = z.strictObject({
  digits: z.number().int().min(1).max(12),
  unitHz: z.number().int().min(1).max(100_000_000),
  completes: z.literal(true).optional(),
});
export type FrequencyEntry = z.infer<typeof FrequencyEntrySchema>;

/** How a set answers to its keys. */
export const BehaviourSchema = z.strictObject({
  keys: z.record(id, KeySchema),
  /** Digits of a frequency as typed: `462.6500` with four decimals is seven digits and a last step of 100 Hz. */
  frequencyEntry: FrequencyEntrySchema.optional(),
  letterWheel: z.string().min(1).max(100).optional(),
  start: id,
  startNumber: z.number().int(),
  /** Where it stands once it is switched off and on: where it stood, or on `startNumber`. */
  wakesAt: z.enum(['last', 'start']).default('last'),
  /** What is changed is lost unless the set is switched off by its switch. */
  savesAtOff: z.literal(true).optional(),
  items: z.array(ItemSchema).max(200),
  modes: z
    .record(id, ModeSchema)
    .refine((modes) => Object.keys(modes).length <= MOST_MODES, `${MOST_MODES} modes at most`),
});
export type Behaviour = z.infer<typeof BehaviourSchema>;
