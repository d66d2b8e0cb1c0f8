import { z } from 'zod';
import { LineSchema } from './channel';
import type { Description } from './description';
import { inOrder } from './inOrder';
import type { Slot } from './slots';
import { isOnStep } from './steps';

const name = LineSchema.max(41);

/** One place of a set as somebody read it: each field in the set's own words, frequencies in hertz; `null` where it is empty. */
export const HeldPlaceSchema = z.strictObject({
  number: z.number().int().min(0).max(99_999),
  values: z
    .record(name, z.union([LineSchema.max(40), z.number()]))
    .overwrite(inOrder)
    .nullable(),
});
export type HeldPlace = z.infer<typeof HeldPlaceSchema>;

/** Settings of the whole set as somebody read them, in the set's own words, by their ids. */
export const HeldSettingsSchema = z.record(name, LineSchema.max(40)).overwrite(inOrder);

/**
 * What is known of a set's memory: places and settings by name. The rest is as the factory left it where somebody said so (a new set, or
 * one just reset); else nobody knows it.
 */
export interface Held {
  readonly rest: 'unknown' | 'factory';
  readonly places: readonly HeldPlace[];
  readonly settings: Readonly<Record<string, string>>;
}

/** As many places as a region of a set may have. */
export const MOST_PLACES = 10_000;

/** What a plan wrote, by memory number: the version of the plan whose sheet was done. What is not among it is its holder's own. */
export const WroteSchema = z
  .record(z.string().regex(/^\d{1,5}$/), z.number().int().min(0))
  .refine((wrote) => Object.keys(wrote).length <= MOST_PLACES, `at most ${MOST_PLACES} places`)
  .overwrite(inOrder);

/** Whether a set can hold this as an ID; nothing is one too. Where nobody knows its digits, any will do. */
export function isFleetId({ identity }: Pick<Description, 'identity'>, text: string): boolean {
  return (
    text === '' ||
    (/^\d{1,8}$/.test(text) && (typeof identity !== 'object' || text.length === identity.digits))
  );
}

/** Whether a set has a transmitter for a frequency (hertz); where nobody knows, it may. */
export function canSend({ transmit }: Pick<Description, 'transmit'>, hz: number): boolean {
  return transmit === 'unknown' || transmit.bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
}

/**
 * The most power a set has on a frequency (hertz), in watts: what its place or its band allows; infinite where nothing does less than the
 * steps that it has.
 */
export function mostPowerW(
  { transmit }: Pick<Description, 'transmit'>,
  { fixed }: Pick<Slot, 'fixed'>,
  transmitHz: number | null,
): number {
  const band =
    transmit === 'unknown' || transmitHz === null
      ? undefined
      : transmit.bands.find(({ fromHz, toHz }) => transmitHz >= fromHz && transmitHz <= toHz);
  const infinite = Number.POSITIVE_INFINITY;
  return Math.min(fixed?.mostPowerW ?? infinite, band?.mostPowerW ?? infinite);
}

/** Whether a frequency (hertz) can be entered on a set at all; where nobody knows what it hears, any that is whole. */
export function canHear({ receive }: Pick<Description, 'receive'>, hz: number): boolean {
  if (receive === 'unknown') return Number.isInteger(hz) && hz > 0;
  return isOnStep(receive, hz) && receive.bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
}
