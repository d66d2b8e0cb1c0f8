import {
  type Behaviour,
  type Description,
  digitsOf,
  hzOfDigits,
  type ListItem,
  type SlotValues,
} from '../model/index';
import { mod } from './slotMove';

/** Typed digits as a frequency in hertz, where the set takes so many and hears or sends there; `undefined` for anything else. */
export function typedHz(
  { frequencyEntry: rule }: Behaviour,
  { receive, transmit }: Description,
  entry: string,
): number | undefined {
  const hz = rule && hzOfDigits(rule, receive, entry);
  if (hz === undefined) return undefined;
  const isIn = (sides: Description['receive'] | Description['transmit']) =>
    sides !== 'unknown' && sides.bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
  return isIn(receive) || isIn(transmit) ? hz : undefined;
}

/** Digits that stand for a frequency (hertz) in the set's own way of typing it; none where there are none. */
export function hzDigits(
  { frequencyEntry: rule }: Behaviour,
  { receive }: Pick<Description, 'receive'>,
  hz: number,
): string {
  return (rule && hz > 0 ? digitsOf(rule, receive, hz) : undefined) ?? '';
}

/**
 * A text after one more tap of a key with letters: soon after the last tap of the same key its next letter, else a new one.
 * `undefined` where there is no room for it.
 */
export function tapped(text: string, letters: string, isAgain: boolean, most: number): string | undefined {
  if (isAgain && text !== '') {
    const next = letters[mod(letters.indexOf(text.at(-1) ?? '') + 1, letters.length)] ?? '';
    return text.slice(0, -1) + next;
  }
  return text.length < most ? text + (letters[0] ?? '') : undefined;
}

/** How many letters a name has on this set; 0 where it has none, or nobody knows. */
export function nameLength({ names }: Pick<Description, 'names'>): number {
  return typeof names === 'object' ? names.length : 0;
}

/** The place in a list of offsets of how far a frequency (hertz) lies from the one a slot receives on; `undefined` for no such offset. */
export function offsetIndex(
  { fields }: Description,
  list: readonly ListItem[],
  values: SlotValues,
  hz: number | undefined,
): number | undefined {
  const frequency = fields.find(({ holds }) => holds === 'receiveHz');
  const own = Number(values?.[frequency?.id ?? ''] ?? 0);
  const index = hz === undefined ? -1 : list.findIndex(({ means }) => means === hz - own);
  return index < 0 ? undefined : index;
}

/** A text with one of its letters turned on by so many places of a wheel that goes round. */
export function turnedLetter(text: string, at: number, wheel: string, by: number): string {
  const letters = [...text];
  letters[at] = wheel[mod(wheel.indexOf(letters[at] ?? ' ') + by, wheel.length)] ?? ' ';
  return letters.join('');
}
