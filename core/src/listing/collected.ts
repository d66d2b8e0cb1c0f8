import type { PlanCountry } from '../facts/index';
import type { Question } from '../findings/index';
import { type ChannelState, isToneText, type ToneText } from '../model/index';
import { hzFromMHzText, inRadioRange } from '../units/index';
import type { Token } from './tokens';
import type { Direction, ToneKind } from './words';

/** A word that says something of which a channel has one; `mixed` is a mode and another one. */
export interface Saying {
  readonly of: 'mode' | 'width' | 'access' | 'state';
  readonly value: string;
  readonly start: number;
  readonly end: number;
}

/** Everything a line says, sorted by kind but not yet put together. */
export interface Collected {
  readonly line: string;
  readonly frequencies: { hz: number; direction: Direction | undefined; start: number; end: number }[];
  readonly tones: {
    tone: ToneText | 'unknown' | undefined;
    direction: Direction | undefined;
    start: number;
    end: number;
  }[];
  channel: { service: string | undefined; number: string; start: number; end: number } | undefined;
  serviceWord: string | undefined;
  /** As written; a bare sign stands for the usual offset that way. */
  offsetHz: number | '+' | '-' | undefined;
  /** Where that stands. */
  offsetAt: { start: number; end: number } | undefined;
  repeater: boolean;
  /** Words say that a tone opens something, as only repeaters are opened. */
  opens: boolean;
  direct: boolean;
  listen: boolean;
  access: 'open' | 'permission' | undefined;
  state: ChannelState | undefined;
  bandwidth: 'narrow' | 'wide' | undefined;
  mode: 'FM' | 'AM' | 'digital' | undefined;
  /** Every word that says something of which a channel has one. */
  readonly sayings: Saying[];
  /** The words that join modes, and the codes of digital ones. */
  readonly modeParts: { start: number; end: number; isCode?: true }[];
  /** What is left for the name, with its place among the words. */
  readonly name: { readonly token: Token; readonly at: number }[];
  readonly notes: string[];
  readonly questions: Question[];
}

/** Puts a text in place of a stretch of the line. */
export function withText(line: string, start: number, end: number, text: string): string {
  return `${line.slice(0, start)}${text}${line.slice(end)}`;
}

/** Where the reading of a line stands. */
export interface State {
  /** Whose services words mean first. */
  readonly country: PlanCountry;
  readonly got: Collected;
  readonly tokens: readonly Token[];
  readonly hasFrequency: boolean;
  /** What the words before said of the value that comes next. */
  direction: Direction | undefined;
  kind: ToneKind | undefined;
  /** Where the word stood that announced a code number, and says nothing else. */
  kindStart: number | undefined;
  /** A polarity that stood before its code. */
  polarity: 'N' | 'I' | undefined;
  /** The line has no frequency but by a number that could be little else. */
  readonly isLoose: boolean;
  /** The line names directions after their tones: `141.3 in 100 out`. */
  directionsFollow: boolean;
}

/** A number with this many decimals or this large is a frequency in megahertz. */
export function frequencyHz(text: string): number | undefined {
  if (!/^\d{2,4}\.\d{1,6}$/.test(text)) return undefined;
  const hz = hzFromMHzText(text);
  if (hz === undefined) return undefined;
  return Number(text) > 260 || /\.\d{3,}$/.test(text) ? hz : undefined;
}

/** A number that is a frequency where the line has no other one: it is no tone in use, and of a size that sets receive. */
export function looseFrequencyHz(text: string): number | undefined {
  if (!/^\d{2,3}\.\d{1,4}$/.test(text) || isToneText(toneForm(text))) return undefined;
  const hz = hzFromMHzText(text);
  // No tone has two figures behind the point.
  const isWhole = !tooLow(text) || /\.(\d{3,}|\d[1-9])$/.test(text);
  return hz !== undefined && isWhole && inRadioRange(hz) ? hz : undefined;
}

/** A number as a tone would be written: one figure behind the point. */
export const toneForm = (text: string): string => text.replace(/(\.\d)0+$/, '$1');

/** Below 108 MHz no service here has channels, so a small number with zeros behind it is a tone: `82.500`. */
export const tooLow = (text: string): boolean => Number(text) < 108;

/** Notes a tone with what the words before it said, and forgets those. */
export function pushTone(state: State, tone: ToneText | 'unknown' | undefined, from: Token, to: Token): true {
  state.got.tones.push({ tone, direction: state.direction, start: from.start, end: to.end });
  state.direction = undefined;
  state.kind = undefined;
  state.kindStart = undefined;
  return true;
}

/** Asks about words of a line that are read in more than one way: each offer stands in their place in a line of its own. */
export function askInstead(got: Collected, from: number, to: number, offers: readonly string[]): void {
  const lines = offers.map((offer) => withText(got.line, from, to, offer));
  got.questions.push({ code: 'left-over', blocking: true, about: got.line.slice(from, to), offers, lines });
}
