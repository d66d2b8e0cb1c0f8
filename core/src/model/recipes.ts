import { z } from 'zod';
import { FrequencyEntrySchema } from './behaviour';
import { idOf } from './ids';

/*
 * How a person does each task, as a manual would say it. The sheet is composed from these; nothing here is read by the
 * virtual device, so a slip in either shows when the sheet is replayed.
 */

const id = idOf(31);
/** As many steps as one task has at most. */
const MOST_STEPS = 40;
const ms = z.number().int().min(1).max(60_000);
/**
 * What the texts of a step may say: of the place (`number`, `number3` and `position2` with zeros before, `firstLabel` of its bank), of the
 * field (`item`, `title`, `value`, `now` for what stands there before, `mhz`, `sendMhz`), of what was typed last (`typed`), and of letters
 * that are set one by one (`letter` and `nextLetter` as numbers, `draft` those set so far, `letters` the whole line).
 */
export const RECIPE_MARKS = [
  'number',
  'number3',
  'label',
  'firstLabel',
  'bank',
  'position',
  'position2',
  'item',
  'title',
  'mhz',
  'sendMhz',
  'value',
  'now',
  'typed',
  'letter',
  'nextLetter',
  'draft',
  'letters',
] as const;
/** One of them. */
export type RecipeMark = (typeof RECIPE_MARKS)[number];

const says = z.string().min(1).max(160);
const text = z.string().min(1).max(32);
/** What the display must then show, as far as the manual promises it: one of its lines holds this text; and what is then gone from it. */
const shows = text.optional();
const promise = { shows, hides: text.optional() };
/**
 * A step that is not needed where the item is the one that the list opens at (`chosen`), or where nothing stands in the field yet (`blank`).
 */
const unless = z.enum(['chosen', 'blank']).optional();
const always = { ...promise, unless };

/** One step as a description says it. */
export const RecipeStepSchema = z.discriminatedUnion('do', [
  z.strictObject({
    do: z.literal('press'),
    key: id,
    heldMs: ms.optional(),
    /** The keys that are held down meanwhile. */
    with: z.array(id).min(1).max(3).optional(),
    /** Only where the display shows this, such as a lock that is to be opened; the step says so. */
    when: z.string().min(1).max(32).optional(),
    says,
    ...always,
  }),
  /** Switch the set off and on again by its switch, wherever it stands. */
  z.strictObject({ do: z.literal('power'), says, ...always }),
  /** Type a number or value on keys that carry its characters. */
  z.strictObject({
    do: z.literal('type'),
    what: z.enum([
      'slotNumber',
      'position',
      'itemNumber',
      'frequency',
      'transmitFrequency',
      'listCode',
      'areaCode',
      'text',
    ]),
    /** The characters to type, where they are always the same. */
    text: z.string().min(1).max(12).optional(),
    width: z.number().int().min(1).max(8).optional(),
    says,
    ...always,
  }),
  /** Turn a wheel from where it stands to where it shall stand, the shorter way; `big` is a held press of several steps. */
  z.strictObject({
    do: z.literal('turn'),
    what: z.enum(['value', 'item', 'slot', 'position', 'bank']),
    up: id,
    down: id.optional(),
    big: z.strictObject({ by: z.number().int().min(2), heldMs: ms }).optional(),
    says,
    ...always,
  }),
  z.strictObject({ do: z.literal('tapName'), pauseMs: ms, says, ...always }),
  /**
   * Turn each letter to its place, the shorter way where the wheel goes both ways. Where nobody knows what stands there, a letter is turned
   * until a line of the display begins with `until`, in which `{draft}` are the letters so far.
   */
  z.strictObject({
    do: z.literal('wheelName'),
    up: id,
    down: id.optional(),
    next: id,
    until: z.string().min(1).max(32).optional(),
    /** What the display promises after the last one, where that ends it. */
    last: z.strictObject(promise).optional(),
    says,
    ...always,
  }),
  /** The same with the digits of a value as the set shows it. */
  z.strictObject({
    do: z.literal('wheelDigits'),
    up: id,
    down: id.optional(),
    next: id,
    until: z.string().min(1).max(32).optional(),
    /** What the display promises after the last one, where that ends it. */
    last: z.strictObject(promise).optional(),
    says,
    ...always,
  }),
]);
export type RecipeStep = z.infer<typeof RecipeStepSchema>;

/** How a set is programmed by its keys. */
export const RecipesSchema = z.strictObject({
  /** What must be so before the first key. */
  before: z.array(z.string().min(1).max(200)).max(20),
  /** What goes wrong with a slip, and how to get out of it. */
  hazards: z.array(z.string().min(1).max(240)).max(20),
  /** The numbers and titles of the items in this manual's order, by field id. */
  items: z.record(
    id,
    z.strictObject({
      number: z.string().max(3),
      title: z.string().max(40),
      place: z.number().int().min(0).max(500),
    }),
  ),
  /** The field whose item the list opens at. */
  opensAt: id.optional(),
  /** How many items the wheel goes round; 0 where items are picked by number. */
  itemCount: z.number().int().min(0).max(500),
  startNumber: z.number().int(),
  /**
   * What brings the set to where the other steps begin, whatever it does and wherever it stands: with it a sheet asks nothing of the
   * start. Then it stands `atStart`, on `startNumber`, or on a place that nobody knows.
   */
  start: z
    .strictObject({ steps: z.array(RecipeStepSchema).max(MOST_STEPS).min(1), atStart: z.boolean() })
    .optional(),
  /** Empties the place that the set stands on, whether it is used or not, and stays there. */
  erase: z
    .strictObject({ regions: z.array(id).min(1), steps: z.array(RecipeStepSchema).max(MOST_STEPS).min(1) })
    .optional(),
  /** Returns everything to the factory state; done after `start`, and what it ends in is where `start` ends. */
  reset: z.strictObject({ steps: z.array(RecipeStepSchema).max(MOST_STEPS).min(1) }).optional(),
  /** Done once before all slots, and once after them. */
  begin: z.array(RecipeStepSchema).max(MOST_STEPS).default([]),
  finish: z.array(RecipeStepSchema).max(MOST_STEPS).default([]),
  /** How to come to a slot. `bankStep` is done only when the bank is another one; it lands on the bank's first position. */
  bankStep: z.array(RecipeStepSchema).max(MOST_STEPS),
  slotStep: z.array(RecipeStepSchema).max(MOST_STEPS),
  /** Open the list of items; done once for a slot, before its first field. */
  open: z.array(RecipeStepSchema).max(MOST_STEPS),
  /** Come to a field's item and open it. */
  item: z.array(RecipeStepSchema).max(MOST_STEPS),
  /** Change the value of a field and store it. */
  set: z.record(id, z.array(RecipeStepSchema).max(MOST_STEPS)),
  /** Change a setting of the whole set, from where the last slot was left. */
  settings: z.record(id, z.array(RecipeStepSchema).max(MOST_STEPS)).default({}),
  /** Clear the tone that the operator picked by hand, done before everything else. */
  clearPicked: z.array(RecipeStepSchema).max(MOST_STEPS).optional(),
  /** Leave the list of items. */
  close: z.array(RecipeStepSchema).max(MOST_STEPS),
  /** The order in which fields are set; a field that is not here has no known steps. */
  order: z.array(id).max(60),
  /** Setting a field brings one to the next item. */
  setMovesOn: z.literal(true).optional(),
  /** Fields that cannot be changed while another one has not this value: that one is set first, and back again after them. */
  unlock: z.strictObject({ field: id, value: z.number().int().min(0), for: z.array(id).min(1) }).optional(),
  /** The display's digits of a frequency and its last step, as the manual gives them. */
  frequencyEntry: FrequencyEntrySchema.optional(),
  /** Keys and their letters, or the wheel's characters in order, as the manual gives them. */
  letterKeys: z.record(id, z.string().max(12)).optional(),
  letterWheel: z.string().max(100).optional(),
  /** The key that types each character, as printed on the set. */
  charKeys: z.record(z.string().length(1), id).optional(),
  /** How one set is copied into another of its kind, which then holds everything that the first one does. */
  copy: z
    .strictObject({
      before: z.array(z.string().min(1).max(200)),
      steps: z
        .array(
          z.strictObject({
            on: z.enum(['source', 'target']),
            step: RecipeStepSchema,
            /** What the other of the two then shows. */
            otherShows: shows,
          }),
        )
        .min(1)
        .max(40),
    })
    .optional(),
  /** How to read a channel back without a computer. */
  readBack: z.array(z.string().min(1).max(200)).max(20),
});
export type Recipes = z.infer<typeof RecipesSchema>;
