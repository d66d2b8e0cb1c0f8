import { z } from 'zod';
import { ALERT_EVENT_CODES, SERVICE_IDS } from '../facts/index';
import { BehaviourSchema } from './behaviour';
import { FrequencySchema } from './channel';
import { DaySchema } from './day';
import { idOf, isNoCommonName } from './ids';
import { ListSchema, listItems, valuesIn } from './lists';
import { RecipesSchema } from './recipes';
import { RecordingSchema } from './recording';
import { FieldSchema, RegionSchema } from './region';
import { slipsOf } from './slips';
import { toneModeOf } from './toneMode';
import type { Way } from './ways';

/** What a description says of itself. */
export const DESCRIPTION_FORMAT = 'umbrex/description@1';

const id = idOf(41);
const unknown = z.literal('unknown');

const BandSchema = z.strictObject({ fromHz: FrequencySchema, toHz: FrequencySchema });

/**
 * A tone that the operator picks by hand, in place of the channel's own: which way it works, and whether it stays when the
 * channel is changed (sticky) or goes with it.
 */
export const OperatorToneSchema = z.union([
  unknown,
  z.literal('none'),
  z.strictObject({ reach: z.enum(['transmit', 'both']), sticky: z.boolean(), list: id }),
]);
export type OperatorTone = z.infer<typeof OperatorToneSchema>;

/**
 * How a set scans. What each place does in it is a field of the place (`inScan`, `hasPriority`, `resumeDelayS`); a set that names its
 * priority places by their numbers has settings that hold `priorityNumber`.
 */
export const ScanSchema = z.union([
  unknown,
  z.literal('none'),
  z.strictObject({
    /** From one place to the next, in milliseconds. */
    everyMs: z.number().int().min(5).max(5000),
    /** How long it has to hear something at a place before it stays there, in milliseconds; where nobody looked, at most as long as it is there. */
    decideMs: z.union([unknown, z.number().int().min(0).max(5000)]).default('unknown'),
    /** How long it stays after somebody spoke, in milliseconds, where no field decides it. */
    resumeMs: z.number().int().min(0).max(60_000),
    /**
     * How often it looks at its priority places while it goes round or listens elsewhere, and how many it can have. A look takes as long as a stop at
     * each of them, and cuts the sound for that long.
     */
    priority: z.union([
      z.literal('none'),
      z.strictObject({
        everyMs: z.number().int().min(100).max(60_000),
        most: z.number().int().min(1).max(1000),
        /** The most in each of its banks, where that is less. */
        perBank: z.number().int().min(1).max(1000).optional(),
      }),
    ]),
    /** Going through bands by its own step, and how many of the frequencies where it heard something it keeps. */
    search: z.union([
      z.literal('none'),
      z.strictObject({
        bands: z.array(BandSchema).min(1).max(20),
        everyMs: z.number().int().min(1).max(1000),
        finds: z.number().int().min(0).max(100),
      }),
    ]),
  }),
]);
export type Scan = z.infer<typeof ScanSchema>;

/** How values come into the set where no keys are described, and what to know before. */
export const LoadingSchema = z.strictObject({
  by: z.enum(['keypad', 'cable', 'app']),
  before: z.array(z.string().min(1).max(200)).max(12),
  hazards: z.array(z.string().min(1).max(200)).max(12),
  readBack: z.array(z.string().min(1).max(200)).max(12),
});
export type Loading = z.infer<typeof LoadingSchema>;

const SettingSchema = z.strictObject({
  id,
  title: z.string().min(1).max(30),
  list: id,
  /**
   * What it decides, where that is known to the rest: the weather transmitter in hertz, how far an alert radio listens, how it sounds,
   * how a repeater answers, how many seconds one may talk through it, the number of a place with priority in a scan (or `none`).
   */
  holds: z.enum(['weatherHz', 'alertReach', 'alertBy', 'answer', 'talkLimitS', 'priorityNumber']).optional(),
  /** It switches this event of an alert radio; where its list has no off, the set always sounds for it. */
  event: z.enum(ALERT_EVENT_CODES).optional(),
  factory: z.number().int().min(0),
});

/**
 * What each key does besides what the steps use it for, and how to leave what was pressed by mistake. A programmable key does what its
 * setting says: the values of that setting's list mean functions.
 */
export const KeyMapSchema = z.strictObject({
  /** The keys that bring a set to where its keys do this, as one that comes on switched off. */
  after: z.array(id).max(4).default([]),
  functions: z.record(
    id,
    z.strictObject({
      title: z.string().min(1).max(80),
      /** How to come back, in words; empty where nothing is to be left. */
      leave: z.string().max(120),
      /** The key that does it, where one key does. */
      leaveBy: z.strictObject({ key: id, heldMs: z.number().int().min(1).max(60_000).optional() }).optional(),
    }),
  ),
  keys: z
    .array(
      z.strictObject({
        key: id,
        /** Held at least so long; a short press without it. */
        heldMs: z.number().int().min(1).max(60_000).optional(),
        does: z.union([id, z.strictObject({ setting: id })]),
      }),
    )
    .max(60),
});
export type KeyMap = z.infer<typeof KeyMapSchema>;

/** One person's word on a description, with the set in hand. */
export const MarkSchema = z.strictObject({
  kind: z.enum(['confirmed', 'contradicted']),
  on: DaySchema,
  by: z.string().trim().min(1).max(60),
  firmware: z.string().trim().min(1).max(20),
  note: z.string().max(400),
});
export type Mark = z.infer<typeof MarkSchema>;

const shape = z.strictObject({
  format: z.literal(DESCRIPTION_FORMAT),
  id: z
    .string()
    .regex(/^[a-z0-9][a-z0-9-]{1,40}$/)
    .refine(isNoCommonName, 'this name is taken in every object'),
  title: z.string().min(1).max(40),
  pattern: z.string().min(1).max(80),
  kind: z.enum(['gmrs', 'frs', 'business', 'amateur', 'cb', 'receiver', 'alert', 'repeater']),
  station: z.enum(['hand-held', 'mobile', 'fixed']),
  /** Whether its antenna comes off: where it must not, the rules ask. */
  antenna: z.enum(['fixed', 'removable', 'unknown']).default('unknown'),
  /** Absent where it has a display; without one nobody can read a place back. */
  display: z.literal('none').optional(),
  /** How long the cell lasts that keeps its memory, in years; absent where it has none, or nobody said. */
  memoryCellYears: z.number().int().min(1).max(30).optional(),
  /** Services whose certification it carries. */
  certifiedFor: z.union([unknown, z.array(z.enum(SERVICE_IDS))]),
  /** The firmware versions it was written for. */
  firmware: z.array(z.string().min(1).max(20)).max(40),
  receive: z.union([
    unknown,
    z.strictObject({
      bands: z.array(BandSchema).max(100),
      stepHz: z.number().int().positive(),
      /** Further steps that it has, in hertz: a frequency that is a whole number of any of them can be had. */
      otherStepsHz: z.array(z.number().int().positive()).min(1).max(8).optional(),
      modes: z
        .array(z.enum(['FM', 'AM', 'digital']))
        .min(1)
        .default(['FM']),
    }),
  ]),
  transmit: z.union([
    unknown,
    z.strictObject({
      /** A band may allow less power than the set has elsewhere, in watts at the transmitter. */
      bands: z
        .array(z.strictObject({ ...BandSchema.shape, mostPowerW: z.number().positive().optional() }))
        .max(100),
      /** The only power there is, where no field chooses it. */
      fixedPowerW: z.union([unknown, z.number().positive()]).optional(),
    }),
  ]),
  names: z.union([
    unknown,
    z.literal('none'),
    z.strictObject({
      length: z.number().int().min(1).max(40),
      characters: z.string().min(1).max(200),
    }),
  ]),
  operatorTone: OperatorToneSchema.default('unknown'),
  /** The IDs by which such sets tell and call each other, and how many digits they have. */
  identity: z
    .union([unknown, z.literal('none'), z.strictObject({ digits: z.number().int().min(1).max(8) })])
    .default('unknown'),
  scan: ScanSchema.default('unknown'),
  lists: z.record(id, ListSchema),
  fields: z.array(FieldSchema).max(60),
  settings: z.array(SettingSchema).max(100),
  regions: z.array(RegionSchema).min(1).max(60),
  /** The most memories that can be filled at once, where that is less than there are places. */
  capacity: z.number().int().positive().optional(),
  loading: LoadingSchema.optional(),
  /** What is printed on each key, by the key's id. */
  keys: z.record(id, z.string().min(1).max(12)),
  keyMap: KeyMapSchema.optional(),
  behaviour: BehaviourSchema.optional(),
  recipes: RecipesSchema.optional(),
  /** The steps that its keys were learnt from, where somebody recorded them with a set in hand. */
  recording: RecordingSchema.optional(),
  /** People's word on it; how sure the document is follows from these and from the replay. */
  marks: z.array(MarkSchema).max(1000),
});
export type Description = z.infer<typeof shape>;

/** Whether a program loads this kind of set, by cable or app, and not its keys. */
export function isLoadedByProgram({ loading }: Pick<Description, 'loading'>): boolean {
  return loading !== undefined && loading.by !== 'keypad';
}

/** The way in which a kind of set is loaded. */
export function wayOf(description: Pick<Description, 'loading'>): Way {
  return isLoadedByProgram(description) ? 'file' : 'keys';
}

/** Whether this kind holds one pair of the plan, the other way round: it listens where our sets send. */
export function holdsOnePair({ kind }: Pick<Description, 'kind'>): boolean {
  return kind === 'repeater';
}

/** As many values as all lists of a description have together at most. */
const MOST_VALUES = 50_000;

/** As many places as all regions of a description have together at most. */
const MOST_PLACES_IN_ALL = 12_000;
/** As many lists, and as many keys. */
const MOST_NAMED = 200;

/** A kind of device, as one document: what it can do and how its keys work. It knows no plan. */
export const DescriptionSchema = shape.superRefine((description, context) => {
  const fieldIds = new Set(description.fields.map((field) => field.id));
  const values = Object.values(description.lists).reduce((sum, list) => sum + valuesIn(list), 0);
  if (values > MOST_VALUES)
    context.addIssue({
      code: 'custom',
      path: ['lists'],
      message: `${values} values in all lists together; ${MOST_VALUES} at most`,
    });
  const say = (path: (string | number)[], message: string) =>
    context.addIssue({ code: 'custom', path, message });
  const places = description.regions.reduce((sum, { count }) => sum + count, 0);
  if (places > MOST_PLACES_IN_ALL)
    say(['regions'], `${places} places in all regions together; ${MOST_PLACES_IN_ALL} at most`);
  for (const part of ['lists', 'keys'] as const) {
    const many = Object.keys(description[part]).length;
    if (many > MOST_NAMED) say([part], `${many} of them; ${MOST_NAMED} at most`);
  }
  const needList = (list: string | undefined, path: (string | number)[]) => {
    if (list !== undefined && list !== 'unknown' && !description.lists[list]) say(path, `no list "${list}"`);
  };
  description.fields.forEach((field, i) => {
    needList(field.list, ['fields', i, 'list']);
    const hasList = field.list !== undefined;
    if (field.holds === 'name' && hasList) say(['fields', i, 'list'], 'a name has no list');
    if (field.holds === 'toneMode' && field.list !== undefined && field.list !== 'unknown')
      listItems(description.lists[field.list] ?? []).forEach(({ shown, means }) => {
        const mode = toneModeOf(means);
        if (!mode)
          say(['lists', field.list ?? ''], `"${shown}" does not say what is sent and what is awaited`);
        for (const holds of mode ? [mode.sent, mode.awaited] : [])
          if (holds !== 'off' && !description.fields.some((other) => other.holds === holds))
            say(['lists', field.list ?? ''], `"${shown}": no field holds ${holds}`);
      });
    if (!['name', 'receiveHz', 'transmitHz', 'areaCode', 'fleetId'].includes(field.holds) && !hasList)
      say(['fields', i, 'list'], 'needs a list, or "unknown"');
  });
  if (typeof description.operatorTone === 'object')
    needList(description.operatorTone.list, ['operatorTone', 'list']);
  description.settings.forEach((setting, i) => {
    needList(setting.list, ['settings', i, 'list']);
  });
  const { keyMap } = description;
  keyMap?.after.forEach((key, i) => {
    if (!description.keys[key]) say(['keyMap', 'after', i], `no legend for the key "${key}"`);
  });
  keyMap?.keys.forEach(({ key, does }, i) => {
    const path = ['keyMap', 'keys', i];
    if (!description.keys[key]) say([...path, 'key'], `no legend for the key "${key}"`);
    const setting =
      typeof does === 'object' ? description.settings.find(({ id }) => id === does.setting) : undefined;
    if (typeof does === 'object' && !setting) say([...path, 'does'], `no setting "${does.setting}"`);
    const wanted =
      typeof does === 'string'
        ? [does]
        : listItems(description.lists[setting?.list ?? ''] ?? []).map(({ means }) => String(means));
    for (const name of wanted) if (!keyMap.functions[name]) say([...path, 'does'], `no function "${name}"`);
  });
  const numbers = new Set<number>();
  description.regions.forEach((region, i) => {
    const settable = new Set<string>();
    region.ways.forEach(({ fields }, w) => {
      for (const field of fields)
        if (!fieldIds.has(field)) say(['regions', i, 'ways', w], `no field "${field}"`);
        else if (settable.has(field)) say(['regions', i, 'ways', w], `field "${field}" stands here twice`);
        else settable.add(field);
    });
    const { content } = region;
    if (content.kind === 'zones') {
      const zoned = description.regions.find((other) => other.id === content.of);
      if (!zoned) say(['regions', i, 'content', 'of'], `no region "${content.of}"`);
      else if (Math.ceil(zoned.count / zoned.size) < region.count)
        say(['regions', i, 'count'], `more places than zones of "${content.of}"`);
    }
    const maySend =
      content.kind === 'fixed'
        ? content.channels.some(({ transmitHz }) => transmitHz !== null)
        : content.kind === 'free' && !content.receiveOnly;
    if (region.towers && maySend) say(['regions', i, 'towers'], 'a place for towers never sends');
    if (region.stride < region.size)
      say(['regions', i, 'stride'], 'blocks overlap: stride is smaller than size');
    if (region.content.kind === 'fixed' && region.content.channels.length !== region.size)
      say(['regions', i, 'content', 'channels'], `needs one row for each of the ${region.size} positions`);
    for (let k = 0; k < region.count; k++) {
      const number = region.first + Math.floor(k / region.size) * region.stride + (k % region.size);
      if (numbers.has(number)) say(['regions', i], `memory number ${number} is in two places`);
      numbers.add(number);
    }
  });
  for (const { path, message } of slipsOf(description, numbers)) say([...path], message);
  const modes = description.behaviour?.modes;
  if (description.behaviour && modes) {
    for (const key of Object.keys(description.behaviour.keys))
      if (!description.keys[key]) say(['keys'], `no legend for the key "${key}"`);
    const needMode = (mode: string, path: (string | number)[]) => {
      if (!modes[mode]) say(path, `no mode "${mode}"`);
    };
    const items = new Set(description.behaviour.items.map(({ number }) => number));
    needMode(description.behaviour.start, ['behaviour', 'start']);
    for (const [name, mode] of Object.entries(modes)) {
      if (mode.timeout) needMode(mode.timeout.go, ['behaviour', 'modes', name, 'timeout', 'go']);
      if (mode.takesCopy) needMode(mode.takesCopy.go, ['behaviour', 'modes', name, 'takesCopy', 'go']);
      mode.on.forEach((row, i) => {
        if (row.go) needMode(row.go, ['behaviour', 'modes', name, 'on', i, 'go']);
        for (const action of row.do ?? [])
          if (action.act === 'openItem' && !items.has(action.item))
            say(['behaviour', 'modes', name, 'on', i, 'do'], `no item "${action.item}"`);
        if (Array.isArray(row.keys))
          for (const key of row.keys)
            if (!description.behaviour?.keys[key])
              say(['behaviour', 'modes', name, 'on', i, 'keys'], `no key "${key}"`);
      });
    }
  }
});
