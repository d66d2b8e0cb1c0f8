import type { State } from './collected';
import { say } from './sayings';

/**
 * `11K2F3E`: a designator of an emission, as the ITU Radio Regulations (Appendix 1) and 47 CFR 2.201 and 2.202 write it: the width with its
 * unit in place of the point, the modulation, the signal, the information. `F3E` and `G3E` are voice by FM or PM, `A3E` by AM.
 */
const DESIGNATOR = /^(?:(\d{1,3})([hkmg])(\d{0,2}))?([a-z])([0-9x])([a-z])[a-z]{0,2}$/;
/** What is wider than this is wide; 12.5 kHz channels carry 11.25 kHz at most (47 CFR 90.209). */
const NARROW_MOST_KHZ = 12.5;
const MODE: Readonly<Record<string, 'FM' | 'AM'>> = { f3e: 'FM', g3e: 'FM', a3e: 'AM' };

/** Takes a designator of an emission behind a frequency or channel; one of another kind is asked about elsewhere. Answers the words used, or 0. */
export function takeEmission(state: State, i: number): number {
  const { got, tokens } = state;
  const match = DESIGNATOR.exec(tokens[i]?.lower ?? '');
  const hasPlace = got.frequencies.length > 0 || got.channel !== undefined;
  if (!match || !hasPlace) return 0;
  const [, whole, unit, part = '', modulation, signal, information] = match;
  const mode = MODE[`${modulation}${signal}${information}`];
  if (!mode || (whole !== undefined && unit !== 'k')) return 0;
  got.mode = mode;
  say(state, 'mode', mode, i);
  if (whole !== undefined) {
    got.bandwidth = Number(`${whole}.${part || '0'}`) > NARROW_MOST_KHZ ? 'wide' : 'narrow';
    say(state, 'width', got.bandwidth, i);
  }
  return 1;
}
