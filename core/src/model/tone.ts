import { z } from 'zod';
import { CTCSS_RARE_TENTHS_HZ, CTCSS_TENTHS_HZ, DCS_CODES, type Polarity, partnersOf } from '../facts/index';
import { hzTextFromTenths, tenthsFromHzText } from '../units/index';

/** A tone as a radio handles it: none, a CTCSS tone in tenths of a hertz, or a DCS code with its polarity. */
export type Tone =
  | { readonly kind: 'off' }
  | { readonly kind: 'ctcss'; readonly tenthsHz: number }
  | { readonly kind: 'dcs'; readonly code: string; readonly polarity: Polarity };

/** The canonical text of a tone, its identity in documents and lists: `off`, `82.5`, `D023N`. */
export type ToneText = string;

const KNOWN: ReadonlySet<string> = new Set([
  'off',
  ...[...CTCSS_TENTHS_HZ, ...CTCSS_RARE_TENTHS_HZ].map(hzTextFromTenths),
  ...DCS_CODES.flatMap((code) => [`D${code}N`, `D${code}I`]),
]);

/** Whether a text is the canonical text of a tone in use. */
export function isToneText(text: string): text is ToneText {
  return KNOWN.has(text);
}

/** Reads a canonical text. @throws RangeError for any other text. */
export function toneFromText(text: ToneText): Tone {
  if (text === 'off') return { kind: 'off' };
  const dcs = /^D([0-7]{3})([NI])$/.exec(text);
  if (dcs) return { kind: 'dcs', code: dcs[1] as string, polarity: dcs[2] as Polarity };
  const tenthsHz = tenthsFromHzText(text);
  if (tenthsHz === undefined) throw new RangeError(`tone: ${text}`);
  return { kind: 'ctcss', tenthsHz };
}

/** Writes a tone as its canonical text. */
export function toneText(tone: Tone): ToneText {
  switch (tone.kind) {
    case 'off':
      return 'off';
    case 'ctcss':
      return hzTextFromTenths(tone.tenthsHz);
    case 'dcs':
      return `D${tone.code}${tone.polarity}`;
    default:
      return tone satisfies never;
  }
}

/** The other canonical texts that sound the same on the air: `D023I` gives `['D047N']`, a CTCSS tone none. */
export function sameOnAir(text: ToneText): ToneText[] {
  const tone = toneFromText(text);
  return tone.kind === 'dcs' ? partnersOf(tone).map((other) => `D${other.code}${other.polarity}`) : [];
}

/** A tone in use, as canonical text. */
export const ToneTextSchema = z
  .string()
  .regex(/^(off|\d{2,3}\.\d|D[0-7]{3}[NI])$/, 'a tone as off, 82.5 or D023N')
  .refine(isToneText, 'a tone in use (50 CTCSS and 150.0, 104 DCS codes)');

/** A tone, or the plain statement that nobody knows it yet. */
export const ToneOrUnknownSchema = z.union([z.literal('unknown'), ToneTextSchema]);
