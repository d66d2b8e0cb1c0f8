import type { Behaviour, Description } from '../model/index';
import { mod } from './slotMove';

/** Typed digits as a frequency in hertz, where the set takes so many and hears there; `undefined` for anything else. */
export function typedHz(
  { frequencyEntry: rule }: Behaviour,
  { receive }: Description,
  entry: string,
): number | undefined {
  if (!rule || entry.length !== rule.digits || !/^\d+$/.test(entry)) return undefined;
  const hz = Number(entry) * rule.unitHz;
  const isHeard = receive !== 'unknown' && receive.bands.some((band) => hz >= band.fromHz && hz <= band.toHz);
  return isHeard ? hz : undefined;
}

/** Digits that stand for a frequency (hertz) in the set's own way of typing it. */
export function hzDigits({ frequencyEntry: rule }: Behaviour, hz: number): string {
  return rule && hz > 0 ? String(Math.round(hz / rule.unitHz)).padStart(rule.digits, '0') : '';
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
