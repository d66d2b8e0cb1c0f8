import { z } from 'zod';
import { LineSchema } from './channel';

/**
 * How strong a call came, in words, strongest first. Source of the words: ACP 125, Communications instructions, radiotelephone procedures, signal
 * strength (from memory).
 */
export const STRENGTHS = ['loud', 'good', 'weak', 'very-weak', 'fading'] as const;
export type Strength = (typeof STRENGTHS)[number];

/** Which way a call went. */
export const CALL_WAYS = ['direct', 'repeater', 'unknown'] as const;

/** Why a call was not heard, where somebody settled that it is no matter of the sets: the signal does not get there, or nobody was at the set. */
export const CALL_SETTLED = ['open', 'reach', 'nobody-there'] as const;

const party = LineSchema.trim().min(1).max(60);
const where = LineSchema.trim().max(60).default('');

/** One call as somebody heard it, or did not: in one direction. Who heard each other is two of them. */
export const HeardSchema = z.strictObject({
  id: z.uuid(),
  /** The moment, in UTC. */
  at: z.iso.datetime(),
  planId: z.uuid(),
  channelId: z.uuid(),
  way: z.enum(CALL_WAYS).default('unknown'),
  /** Who talked, in the words of whoever wrote it, and with which set; `null` where that is not known. */
  from: party,
  fromId: z.uuid().nullable().default(null),
  /** Who listened. */
  to: party,
  toId: z.uuid().nullable().default(null),
  heard: z.boolean(),
  /** 1 cannot be read, 5 perfectly (ITU-R M.1172, QRK). */
  readability: z.union([z.number().int().min(1).max(5), z.literal('unknown')]).default('unknown'),
  strength: z.union([z.enum(STRENGTHS), z.literal('unknown')]).default('unknown'),
  /** Where they stood. */
  fromWhere: where,
  toWhere: where,
  settled: z.enum(CALL_SETTLED).default('open'),
  /** Who wrote it. */
  by: LineSchema.trim().max(60).default(''),
  note: LineSchema.trim().max(200).default(''),
});
export type Heard = z.infer<typeof HeardSchema>;
