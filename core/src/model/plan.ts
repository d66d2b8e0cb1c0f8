import { z } from 'zod';
import { ALERT_EVENT_CODES, COUNTRIES, SERVICE_IDS } from '../facts/index';
import { type Channel, ChannelSchema, FrequencySchema, LineSchema } from './channel';
import { DaySchema } from './day';
import { inOrder } from './inOrder';
import { LicensedFrequencySchema } from './licence';

/** What a plan file says of itself. */
export const PLAN_FORMAT = 'umbrex/plan@1';

/** A group of channels, under a heading of its own. */
export const GroupSchema = z.strictObject({
  id: z.uuid(),
  name: LineSchema.trim().min(1).max(40),
  note: LineSchema.max(120),
});
export type Group = z.infer<typeof GroupSchema>;

/** One number for each channel across the fleet, and which of them somebody holds fast. Channels that are gone may still be named. */
export const NumberingSchema = z.strictObject({
  numbers: z.record(z.uuid(), z.number().int().min(0).max(99_999)),
  pins: z.array(z.uuid()).max(2000).default([]),
});

/** The number that each channel has across the fleet, by the channel's id. Numbers are decided of a state of a plan; they are no part of it. */
export type Numbers = Readonly<Record<string, number>>;

/** The numbers that a plan carries with it; none where nobody has numbered it. */
export function numbersWith({ numbering }: Pick<Plan, 'numbering'>): Numbers {
  return numbering?.numbers ?? {};
}

/** What alert radios shall do: for which areas, how far they listen, and on which transmitter. */
export const AlertsSchema = z.strictObject({
  /**
   * Six digits each: part of the county (0 is all of it), state, county; 000000 is everywhere (47 CFR 11.31). The first one counts most. A weather
   * frequency is none: no state has the number 62.
   */
  areas: z
    .array(z.string().regex(/^(?!162[45])\d{6}$/))
    .min(1)
    .max(31),
  /** Whether a set sounds for its first area alone, for all that it holds, or for everything it hears. */
  reach: z.enum(['one', 'list', 'everywhere']),
  weatherHz: z.union([z.literal('unknown'), FrequencySchema]),
  /** Events for which sets need not sound, where they can be told so (47 CFR 11.31). */
  silent: z.array(z.enum(ALERT_EVENT_CODES)).max(ALERT_EVENT_CODES.length).default([]),
});
export type Alerts = z.infer<typeof AlertsSchema>;

/** What fleet radios tell each other besides voices: texts that are sent by a key, and calls that reach several sets by one ID. */
export const FleetSchema = z.strictObject({
  statuses: z.array(LineSchema.trim().min(1).max(16)).max(32).default([]),
  calls: z
    .array(
      z.strictObject({
        name: LineSchema.trim().min(1).max(20),
        fleetId: z.string().regex(/^\d{1,8}$/),
      }),
    )
    .max(64)
    .default([]),
});
export type Fleet = z.infer<typeof FleetSchema>;

/**
 * Whether sheets write channel names: now, as their last part; another day; never; or only on sets whose display shows nothing else that
 * tells one place from another.
 */
export const NAMING = ['now', 'later', 'never', 'needed'] as const;
/** Whether sheets write names, for all kinds and for single ones. */
export const NamingSchema = z.strictObject({
  all: z.enum(NAMING).default('now'),
  /** By kind of device, where it differs. */
  kinds: z.record(z.string().max(41), z.enum(NAMING)).overwrite(inOrder).default({}),
});
/** One of them. */
export type Naming = (typeof NAMING)[number];

/** By kind of device and setting, the place in the setting's list. */
const SetupSchema = z.record(
  z.string().max(41),
  z.record(z.string().max(41), z.number().int().min(0).max(500)),
);

/** In one order, each once: two ways to say the same would be two kinds of set. */
const someGroups = z
  .array(z.uuid())
  .min(1)
  .max(60)
  .overwrite((ids) => [...new Set(ids)].sort());
/**
 * Which groups of channels sets carry, where it is not all: by kind of device, by the team that a set is set up for, by set. What is said
 * of a set goes before what is said of its team, that before what is said of its kind.
 */
export const CarriedSchema = z.strictObject({
  kinds: z.record(z.string().max(41), someGroups).overwrite(inOrder).default({}),
  teams: z.record(z.uuid(), someGroups).overwrite(inOrder).default({}),
  units: z.record(z.uuid(), someGroups).overwrite(inOrder).default({}),
});
export type Carried = z.infer<typeof CarriedSchema>;

/** Whether sets are loaded with channels that are not on the air. */
const LOADING = ['load', 'leave-out'] as const;

export { COUNTRIES } from '../facts/index';

/** A plan without its channels. */
export const PlanHeadSchema = z.strictObject({
  name: LineSchema.trim().min(1).max(60),
  /** Whose rules apply; without tables rules answer unknown. */
  country: z.enum(COUNTRIES),
  /** Whether sets wait for the receive tone where one is sent (closed) or hear everyone (open). */
  receivePolicy: z.enum(['open', 'closed']),
  /** Whether scans stay for the answer after somebody spoke: for conversations they do. */
  resumeDelay: z.enum(['on', 'off']).default('on'),
  groups: z.array(GroupSchema).min(1).max(60),
  /** The workspace's own business frequencies. */
  licensed: z.array(LicensedFrequencySchema).max(200).default([]),
  /** The services this group works with; none named means all of the country. The rules know the others all the same. */
  services: z.array(z.enum(SERVICE_IDS)).max(SERVICE_IDS.length).default([]),
  /** `null` while nobody has numbered the channels: then each kind of device takes its own first slots. */
  numbering: NumberingSchema.nullable().default(null),
  /** `null` while the group sets up no alert radios. */
  alerts: AlertsSchema.nullable().default(null),
  /** Areas that the county table does not have, by their code, under the group's own names. */
  areaNames: z
    .record(z.string().regex(/^\d{6}$/), LineSchema.trim().min(1).max(40))
    .overwrite(inOrder)
    .default({}),
  /** What fleet radios hold besides channels. */
  fleet: FleetSchema.default({ statuses: [], calls: [] }),
  /** Settings of the whole set that the group wants alike, by kind of device and setting: places in the setting's list. */
  setup: SetupSchema.overwrite(inOrder).default({}),
  /** The same for sets that a team or role carries, by its id: what stands here goes before what all have. */
  roleSetup: z.record(z.uuid(), SetupSchema).overwrite(inOrder).default({}),
  naming: NamingSchema.default({ all: 'now', kinds: {} }),
  carried: CarriedSchema.default({ kinds: {}, teams: {}, units: {} }),
  /**
   * What becomes of a channel on a set whose holder has no right to send there, where the set cannot be told to listen only: left out, or
   * loaded with a warning on every page of the sheet. Distress, calling and public-safety channels are left out in any case.
   */
  withoutRight: z.enum(['leave-out', 'warn']).default('leave-out'),
  /** What is taken of sets that nobody of the roster holds: that whoever takes one has the licences, or has none. */
  spares: z.enum(['licensed', 'listen-only']).default('licensed'),
  /** Whether sets are loaded with channels that are only planned: early, so that nobody loads twice, or not before they are on the air. */
  planned: z.enum(LOADING).default('load'),
  /** Whether sets keep channels that were withdrawn. */
  withdrawn: z.enum(LOADING).default('leave-out'),
  /** The day on which the sets are loaded, as YYYY-MM-DD, for which every right is judged; `null` for the day it is. */
  loadOn: DaySchema.nullable().default(null),
  /** It was put away: not offered where plans are chosen, and there all the same. */
  archived: z.boolean().default(false),
});
export type PlanHead = z.infer<typeof PlanHeadSchema>;

/**
 * The day for which rights are judged, as YYYY-MM-DD: the one on which sets are loaded. One that has gone by decides nothing more.
 * @param today the day it is, as YYYY-MM-DD
 */
export function loadingDay({ loadOn }: Pick<PlanHead, 'loadOn'>, today: string): string {
  return loadOn !== null && loadOn > today ? loadOn : today;
}

/**
 * What becomes of a channel that is not on the air: loaded all the same and marked, or left out; `undefined` for one that is on the air.
 */
export function notOnAir(
  { state }: Pick<Channel, 'state'>,
  plan: Partial<Pick<PlanHead, 'planned' | 'withdrawn'>>,
): { state: 'planned' | 'withdrawn'; does: (typeof LOADING)[number] } | undefined {
  if (state === 'on-air') return undefined;
  const does = state === 'planned' ? (plan.planned ?? 'load') : (plan.withdrawn ?? 'leave-out');
  return { state, does };
}

/** The channel plan: what the group wants, in its order. The JSON export is this document. */
export const PlanSchema = z.strictObject({
  format: z.literal(PLAN_FORMAT),
  id: z.uuid(),
  ...PlanHeadSchema.shape,
  channels: z.array(ChannelSchema).max(2000),
});
export type Plan = z.infer<typeof PlanSchema>;

/** A plan without its format, id and channels: what is edited as one. */
export function headOf(plan: PlanHead): PlanHead {
  const parts = (Object.keys(PlanHeadSchema.shape) as (keyof PlanHead)[]).map((key) => [key, plan[key]]);
  return Object.fromEntries(parts) as PlanHead;
}
