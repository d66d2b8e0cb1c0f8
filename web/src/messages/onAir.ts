import type { AirNote, Between, HearGate, PairOnAir, SetOnAir } from '@umbrex/core/air';
import type { FleetDiffers, SaidBy } from '@umbrex/core/fleetCalls';
import { mhzText } from '@umbrex/core/units';
import { toneWords } from './tones';

/** How a call comes out, as it is marked: heard, heard badly, not known, or stopped by whom. */
export const MARKS = ['heard', 'poor', 'unknown', 'from', 'repeater', 'to'] as const;
export type Mark = (typeof MARKS)[number];

/** The mark of a call. */
export function markOf({ hears, at, sounds }: Pick<PairOnAir, 'hears' | 'at' | 'sounds'>): Mark {
  if (hears === true) return sounds === 'harsh' || sounds === 'weak' ? 'poor' : 'heard';
  if (hears === 'unknown') return 'unknown';
  return at ?? 'unknown';
}

/** What the marks mean. */
export const MARK_WORDS: Readonly<Record<Mark, string>> = {
  heard: 'hears',
  poor: 'hears, harsh or weak',
  unknown: 'not known',
  from: 'stops at who talks',
  repeater: 'stops at the repeater',
  to: 'stops at who listens',
};

/** The letter of a gate, and its word. */
export const GATE_WORDS: Readonly<Record<HearGate, readonly [letter: string, word: string]>> = {
  off: ['O', 'out of order'],
  place: ['P', 'no place'],
  'may-transmit': ['S', 'does not send'],
  'transmit-frequency': ['F', 'frequency'],
  mode: ['M', 'mode'],
  width: ['W', 'width'],
  station: ['R', 'repeater not on the air'],
  'input-frequency': ['I', 'repeater’s input'],
  'input-tone': ['K', 'repeater’s tone'],
  'talk-limit': ['L', 'talk limit'],
  'output-frequency': ['Q', 'repeater’s output'],
  'receive-tone': ['T', 'tone waited for'],
  mute: ['U', 'muted'],
  scan: ['Z', 'scan'],
};

/** What a place does, in short: where it sends and listens, with which tones. */
export function placeWords({ place, picked }: SetOnAir, side: 'sends' | 'listens'): string {
  if (place === null) return 'no place for it';
  if (place === 'unknown') return 'nobody has looked';
  const tone = (of: string | undefined) => (of === undefined ? 'off' : of);
  if (side === 'listens') {
    const awaited = picked !== 'off' && picked.reach === 'both' ? picked.tone : tone(place.receiveTone);
    return `listens on ${mhzText(place.receiveHz)}${awaited === 'off' ? ', open' : `, waits for ${toneOrUnknown(awaited)}`}`;
  }
  if (place.transmitHz === null) return 'sends nothing';
  const sent = picked === 'off' ? tone(place.transmitTone) : picked.tone;
  return `sends ${mhzText(place.transmitHz)}${sent === 'off' ? ', no tone' : ` with ${toneOrUnknown(sent)}`}${picked === 'off' ? '' : ', picked by hand'}`;
}

const toneOrUnknown = (tone: string) => (tone === 'unknown' ? 'a tone nobody looked at' : toneWords(tone));

/** How a repeater stands between two sets, in short. */
export function betweenWords({ inputHz, outputHz, inputTone, outputTone, status }: Between): string {
  const hz = (of: number | 'unknown') => (of === 'unknown' ? 'not known' : mhzText(of));
  const up =
    status === 'on-air'
      ? ''
      : status === 'unknown'
        ? ' Nobody has said whether it is on the air.'
        : ` It is ${status === 'off-air' ? 'off the air' : status}.`;
  return `In ${hz(inputHz)}, needs ${inputTone === 'off' ? 'no tone' : toneOrUnknown(inputTone)}; out ${hz(outputHz)}${outputTone === 'off' ? '' : ` with ${toneOrUnknown(outputTone)}`}.${up}`;
}

/** Some names, and how many more there are. */
export function someNames(names: readonly string[], most = 4): string {
  const more = names.length - most;
  if (more <= 0) return names.join(', ');
  return `${names.slice(0, most).join(', ')} and ${more} more`;
}

/** What is said of the sets on a channel as a whole. */
export function noteText(note: AirNote, names: readonly string[], repeaters: readonly string[]): string {
  const of = (those: readonly number[]) => someNames(those.map((i) => names[i] ?? ''));
  switch (note.is) {
    case 'picked-left':
      return `A tone picked by hand is left on: ${of(note.sets)}.`;
    case 'covers-output':
      return `They talk where ${note.repeaters.map((i) => repeaters[i] ?? '').join(' and ')} comes out: near them it is covered, and it does not hear them. ${of(note.sets)}.`;
    case 'several-repeaters': {
      const each = note.opens.map(
        ({ repeater, sets }) => `${repeaters[repeater] ?? ''} is opened by ${sets.length}`,
      );
      return `Several repeaters are on this pair: ${each.join(', ')}${note.several.length > 0 ? `; ${note.several.length} open more than one at once` : ''}.`;
    }
    case 'tones-near':
      return `${toneWords(note.sent)} lies next to ${toneWords(note.awaited)}: it may open ${of(note.sets)} now and then.`;
    case 'codes-untried':
      return `Makers count code numbers differently: ${of(note.sets)} ${note.sets.length === 1 ? 'is' : 'are'} not known to match until it was tried both ways. With the code off on both it always works.`;
    default:
      return note satisfies never;
  }
}

/** What fleet sets do not have alike, in words. */
export function fleetDiffersText(differs: FleetDiffers, nameOf: (unitId: string) => string): string {
  const of = (ids: readonly string[]) => someNames(ids.map(nameOf));
  const each = (says: readonly SaidBy[]) =>
    says.map(({ text, unitIds }) => `${text ? `“${text}”` : 'nothing'} on ${of(unitIds)}`).join('; ');
  switch (differs.is) {
    case 'status':
      return `Status text ${differs.place} is not the same: ${each(differs.says)}.`;
    case 'call':
      return `${differs.fleetId} is not called the same: ${each(differs.says)}.`;
    case 'own': {
      const listed = differs.listed ? `is listed as ${differs.listed}` : 'is listed without an ID';
      const holds = differs.holds ? `answers to ${differs.holds}` : 'answers to none';
      const shown = differs.shownBy.length > 0 ? `; ${of(differs.shownBy)} cannot call it` : '';
      return `${nameOf(differs.unitId)} ${listed}, and ${holds}${shown}.`;
    }
    case 'twice':
      return `${of(differs.unitIds)} all answer to ${differs.fleetId}.`;
    case 'nobody':
      return `Nobody answers to ${differs.fleetId}${differs.name ? ` (${differs.name})` : ''}, which ${of(differs.unitIds)} can call.`;
    default:
      return differs satisfies never;
  }
}
