import { z } from 'zod';

/** How a power limit is measured: at the transmitter's output, or as effective radiated power. */
export type PowerBasis = 'transmitter' | 'erp';

/** Who needs what to transmit in a service. */
export const LICENCE_KINDS = [
  /** Nobody needs a licence of their own (by rule, or a class licence). */
  'none',
  /** An individual licence that covers close family, not employees. */
  'family',
  /** A personal licence of the operator. */
  'personal',
  /** The licensee's own frequencies; employees are covered by it. */
  'business',
  /** A station licence or an authorisation by the responsible agency. */
  'authorised',
  /** Nobody here transmits. */
  'closed',
] as const;
/** One of them. */
export type LicenceKind = (typeof LICENCE_KINDS)[number];

/** One channel of a published service table; every field that has a usual value may be left out. */
export const ServiceChannelSchema = z.strictObject({
  /** The service's own channel number or name, as people write it: `19`, `22A`, `V24`. */
  number: z.string().min(1).max(10),
  /** A repeater pair, with the number of its output. */
  pair: z.boolean().default(false),
  name: z.string().min(1).max(40),
  receiveHz: z.number().int().positive(),
  /** `null` where nobody here may transmit. */
  transmitHz: z.number().int().positive().nullable(),
  maxPowerW: z.number().positive().nullable(),
  powerBasis: z.enum(['transmitter', 'erp']).nullable(),
  bandwidthHz: z.number().int().positive(),
  handHeldOnly: z.boolean().default(false),
  /** The most that a fixed station may use there, in watts; `null` where none may send. Absent where the rule knows no difference. */
  fixedMaxW: z.number().positive().nullable().optional(),
  mode: z.enum(['FM', 'AM', 'digital']).default('FM'),
  /** Distress and calling channels: never keyed up to test. */
  neverTest: z.boolean().default(false),
  /** Where the rules forbid tones. */
  noTones: z.boolean().default(false),
  /** Set aside for something else than voice; nobody talks there. */
  reservedFor: z.string().optional(),
  /** The tone that goes with it by plan, as canonical text. */
  tone: z.string().optional(),
  /** Other numbers and names for the same channel. */
  aliases: z.array(z.string()).default([]),
});
export type ServiceChannel = z.infer<typeof ServiceChannelSchema>;

/** A stretch of a band in which stations are not tied to channels, with the repeater offset that is usual there. */
export const BandPlanSchema = z.strictObject({
  fromHz: z.number().int(),
  toHz: z.number().int(),
  /** From a repeater's output to its input; 0 where only direct contacts are usual. */
  usualOffsetHz: z.number().int(),
  /** Whether voices are allowed there at all. */
  voice: z.boolean().default(true),
});

/** A radio service: who may transmit, on what, with what, and where that is written. */
export const ServiceSchema = z.strictObject({
  id: z.string().regex(/^[a-z][a-z0-9-]{1,20}$/),
  title: z.string(),
  /** `EU` stands for the countries of the European recommendations and IARU Region 1. */
  country: z.enum(['US', 'AU', 'EU']),
  citation: z.string(),
  powerCitation: z.string(),
  licence: z.enum(LICENCE_KINDS),
  licenceCitation: z.string(),
  /** The service by which such a licence is called, where it is not this one. */
  licensedAs: z.string().optional(),
  /** Whether a set must be certified for this very service. */
  /** Its channels are public safety's: only their agencies and whom they let send there. */
  publicSafety: z.boolean().default(false),
  /** Its rows say which frequencies there are: only a licensee who has one on a licence, as an own frequency of the plan, sends there. */
  ownOnly: z.boolean().default(false),
  /** Only aboard a vessel. */
  aboard: z.boolean().default(false),
  /** Only with an antenna that does not come off. */
  fixedAntenna: z.boolean().default(false),
  /** How its stations may be modulated, for voices. */
  modes: z.array(z.enum(['FM', 'AM', 'digital'])).default(['FM']),
  modesCitation: z.string().default(''),
  /** Other services, a certification for which is good here as well. */
  certifiedAlso: z.array(z.string()).default([]),
  certification: z.boolean(),
  certificationCitation: z.string(),
  repeaters: z.boolean(),
  /** How often a station says who it is, in minutes; `null` where no rule asks for it. */
  identifyEveryMinutes: z.number().positive().nullable(),
  identifyCitation: z.string(),
  /** Words that people put before a channel number of this service, lower case. */
  words: z.array(z.string()),
  channels: z.array(ServiceChannelSchema),
  bands: z.array(BandPlanSchema).default([]),
  /** How far its repeaters shift where the band plan says nothing, in hertz; 0 where nothing is usual. */
  usualShiftHz: z.number().int().min(0).default(0),
});
export type Service = z.infer<typeof ServiceSchema>;
/** What a table file writes: the usual values left out, and its name, which stands with the others. */
export type ServiceTable = Omit<z.input<typeof ServiceSchema>, 'title'>;
