import type { LikelyDatum } from '@umbrex/core/findings';
import type { HeardDraft, HeardPair, LoggedCall, Weighs } from '@umbrex/core/heard';
import type { Heard } from '@umbrex/core/model';

/** How strong a call came. */
export const STRENGTH_WORDS: Readonly<Record<Heard['strength'], string>> = {
  loud: 'loud',
  good: 'good',
  weak: 'weak',
  'very-weak': 'very weak',
  fading: 'fading',
  unknown: '',
};

/** Which way a call went. */
export const WAY_WORDS: Readonly<Record<Heard['way'], string>> = {
  direct: 'direct',
  repeater: 'through the repeater',
  unknown: 'way not known',
};

/** Why a call was not heard, where that was settled. */
export const SETTLED_WORDS: Readonly<Record<Heard['settled'], string>> = {
  open: 'not settled',
  reach: 'the signal does not get there',
  'nobody-there': 'nobody was at the set',
};

/** What a call still says of its sets. */
export const WEIGHS_WORDS: Readonly<Record<Weighs, string>> = {
  full: '',
  'before-load': 'before one of them was loaded: counts less',
  'day-of-load': 'on the day one of them was loaded: counts less',
  'load-undated': 'nobody knows when one of them was loaded: counts less',
};

type Report = Pick<LoggedCall | HeardDraft, 'heard' | 'readability' | 'strength'>;

/** How a call came, in short: `heard 5, loud`. */
export function heardWords({ heard, readability, strength }: Report): string {
  if (!heard) return 'not heard';
  const how = [readability === 'unknown' ? '' : String(readability), STRENGTH_WORDS[strength]].filter(
    Boolean,
  );
  return how.length === 0 ? 'heard' : `heard ${how.join(', ')}`;
}

/** The sign of what the log says of a pair, and its words. */
export const HEARD_SIGNS: Readonly<Record<string, readonly [sign: string, words: string]>> = {
  true: ['✓', 'heard'],
  false: ['✕', 'not heard'],
  sometimes: ['±', 'heard now and then'],
  old: ['‹', 'older than the load of one of them'],
  aside: ['–', 'settled: no matter of the sets'],
};

/** What the log says of a pair, by its sign. */
export const signOf = ({ hears }: Pick<HeardPair, 'hears'>): readonly [string, string] =>
  HEARD_SIGNS[String(hears)] ?? ['', ''];

/** Where one settles what is most likely not as it is written. */
export const DATUM_WORDS: Readonly<Record<LikelyDatum, string>> = {
  'from-set': 'What it holds',
  'to-set': 'What it holds',
  station: 'The repeater',
  right: 'Licences',
  condition: 'The set',
  reach: 'What else it may be',
  moment: 'What else it may be',
  open: 'What else it may be',
};
