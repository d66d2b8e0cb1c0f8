import { z } from 'zod';
import { LineSchema } from './channel';
import { DayOrUnknownSchema } from './day';
import { EvidenceSchema, MOST_EVIDENCE } from './evidence';
import { HeldPlaceSchema, HeldSettingsSchema, MOST_PLACES, WroteSchema } from './held';
import { AlertsSchema, NAMING } from './plan';
import { ToneOrUnknownSchema } from './tone';

const line = LineSchema.trim();
const looked = z.enum(['unknown', 'good', 'bad']).default('unknown');

/** What is looked at when an old set comes in. */
export const IntakeSchema = z.strictObject({
  cell: looked,
  antennaSocket: looked,
  speaker: looked,
  reset: looked,
});

/** For which areas the alert radio of one household sounds and which transmitter it hears, where that is not as the plan says. */
export const OwnAlertsSchema = AlertsSchema.pick({ areas: true, weatherHz: true });

/** One device in somebody's hands: which kind it is, what it is called, who holds it. */
export const UnitSchema = z.strictObject({
  id: z.uuid(),
  descriptionId: z.string().regex(/^[a-z0-9][a-z0-9-]{1,40}$/),
  nickname: line.min(1).max(40),
  /** Where it is when nobody of the roster holds it: a cabinet, a vehicle. */
  holder: line.max(60),
  /** Who of the roster holds it. */
  personId: z.uuid().nullable().default(null),
  serial: line.max(40),
  /** As the set shows it; `unknown` when nobody has looked. */
  firmware: line.min(1).max(20),
  fleetId: line.max(20).default(''),
  accessories: line.max(120).default(''),
  /** The day its cell or backup cells were changed. */
  batteryChanged: DayOrUnknownSchema.default('unknown'),
  /** The day the cell was changed that keeps its memory, on a kind that has one. */
  memoryCellChanged: DayOrUnknownSchema.default('unknown'),
  /** The tone its operator picked by hand, where the set has such a thing; it stands in place of the channels' own. */
  pickedTone: ToneOrUnknownSchema.default('unknown'),
  /**
   * What its memory holds now, and since when: `read` where somebody looked, `plan` where a sheet was done on it, `factory` where it is
   * new or just reset. What is not known by one of these is unknown.
   */
  holds: z
    .strictObject({
      what: z.enum(['unknown', 'factory', 'plan', 'other', 'read']),
      on: DayOrUnknownSchema,
      /** What the places hold that are not named here. */
      rest: z.enum(['unknown', 'factory']).default('unknown'),
      places: z.array(HeldPlaceSchema).max(MOST_PLACES).default([]),
      settings: HeldSettingsSchema.default({}),
      /** The places that a sheet of the plan wrote, with the number of the revision, or the version of the draft. */
      wrote: WroteSchema.default({}),
    })
    // What was read or written counts no more once somebody says that it holds something else.
    .overwrite((holds) =>
      holds.what === 'read' || holds.what === 'plan'
        ? holds
        : {
            ...holds,
            rest: holds.what === 'factory' ? ('factory' as const) : ('unknown' as const),
            places: [],
            settings: {},
            wrote: {},
          },
    )
    .default({ what: 'unknown', on: 'unknown', rest: 'unknown', places: [], settings: {}, wrote: {} }),
  /** What was seen and done with it, in the order in which it was written down. */
  timeline: z.array(EvidenceSchema).max(MOST_EVIDENCE).default([]),
  /** How its sheet begins while nobody knows what it holds: with every value set anew, or with a reset, to which its holder agreed. */
  start: z.enum(['absolute', 'reset']).default('absolute'),
  /** Whether its sheet writes names, where that is not as the plan says: without them its places go by number. */
  names: z.enum(['plan', ...NAMING]).default('plan'),
  /** Places whose present contents may go: somebody has looked at them. */
  accepts: z.array(z.number().int().min(0).max(99_999)).max(MOST_PLACES).default([]),
  /** For an alert radio, the day on which its last test was heard. */
  testHeard: DayOrUnknownSchema.default('unknown'),
  /** For an alert radio, its own areas and transmitter; `null` where they are the plan’s. */
  alerts: OwnAlertsSchema.nullable().default(null),
  /** For a repeater, the channel of the plan that it carries. */
  carries: z.uuid().nullable().default(null),
  /** The team or role that it is set up for, where its settings differ by that. */
  roleId: z.uuid().nullable().default(null),
  /** Memory numbers that its holder keeps for themselves: no plan writes there. */
  keeps: z.array(z.number().int().min(0).max(99_999)).max(500).default([]),
  intake: IntakeSchema.default({
    cell: 'unknown',
    antennaSocket: 'unknown',
    speaker: 'unknown',
    reset: 'unknown',
  }),
  /** Whether a coordinator has looked at what its holder wrote of it. */
  confirmed: z.boolean().default(true),
  note: LineSchema.max(400).default(''),
});
export type Unit = z.infer<typeof UnitSchema>;
/** A unit as it is written, with what has a usual value left out. */
export type UnitInput = z.input<typeof UnitSchema>;
