import { CTCSS_TENTHS_HZ } from '../facts/index';
import { type Description, type ToneText, toneFromText, writtenLists } from '../model/index';
import { type Between, hearsThrough, type SetOnAir } from './hears';

/** Something about sets on one channel that a pair alone does not show; sets by their places in the list. */
export type AirNote =
  /** A tone that was picked by hand is left on. */
  | { readonly is: 'picked-left'; readonly sets: readonly number[] }
  /** They talk where a repeater comes out: near them it is covered, and it does not hear them. */
  | { readonly is: 'covers-output'; readonly sets: readonly number[]; readonly repeaters: readonly number[] }
  /** Several repeaters are on the pair: which of the sets open which, none of them, or more than one. */
  | {
      readonly is: 'several-repeaters';
      readonly opens: readonly { readonly repeater: number; readonly sets: readonly number[] }[];
      readonly several: readonly number[];
    }
  /** What one sends lies next in the list to what another waits for: a decoder may open for it now and then. */
  | {
      readonly is: 'tones-near';
      readonly sent: ToneText;
      readonly awaited: ToneText;
      readonly sets: readonly number[];
    }
  /** Sets of different kinds show their tones as code numbers, which makers count differently: not known until it was tried both ways. */
  | { readonly is: 'codes-untried'; readonly sets: readonly number[] };

/** A set on a channel with its kind. */
export interface Noted {
  readonly set: SetOnAir;
  readonly description: Pick<Description, 'id' | 'lists' | 'fields'>;
}

/** What there is to say of the sets on a channel as a whole. */
export function airNotes(sets: readonly Noted[], repeaters: readonly Between[]): AirNote[] {
  const those = (is: (one: Noted) => boolean) => sets.flatMap((one, i) => (is(one) ? [i] : []));
  const notes: AirNote[] = [];
  const picked = those(
    ({ set }) => set.picked !== 'off' && set.picked.tone !== 'unknown' && set.picked.tone !== 'off',
  );
  if (picked.length > 0) notes.push({ is: 'picked-left', sets: picked });
  const outputs = repeaters.flatMap(({ outputHz }, i) =>
    sets.some(({ set }) => talksOn(set) === outputHz) ? [i] : [],
  );
  if (outputs.length > 0) {
    const covering = those(({ set }) => outputs.some((i) => talksOn(set) === repeaters[i]?.outputHz));
    notes.push({ is: 'covers-output', sets: covering, repeaters: outputs });
  }
  if (repeaters.length > 1) {
    const opened = sets.map(({ set }) =>
      repeaters.flatMap((repeater, i) => (opensIt(set, repeater) ? [i] : [])),
    );
    const opens = repeaters.map((_, repeater) => ({
      repeater,
      sets: opened.flatMap((those, i) => (those.includes(repeater) ? [i] : [])),
    }));
    const several = opened.flatMap((those, i) => (those.length > 1 ? [i] : []));
    notes.push({ is: 'several-repeaters', opens, several });
  }
  return [...notes, ...nearTones(sets, repeaters), ...untriedCodes(sets)];
}

const placeOf = ({ place }: SetOnAir) => (place === 'unknown' ? null : place);
const talksOn = (set: SetOnAir): number | null =>
  set.maySend === false ? null : (placeOf(set)?.transmitHz ?? null);

/** Whether a set opens a repeater: its call gets as far as whoever listens. */
function opensIt(set: SetOnAir, repeater: Between): boolean {
  const { gate, at } = hearsThrough(set, repeater, { ...set, isOn: true });
  return gate === null || at === 'to';
}

function nearTones(sets: readonly Noted[], repeaters: readonly Between[]): AirNote[] {
  const sent = new Set([
    ...sets.flatMap(({ set }) => (talksOn(set) === null ? [] : [placeOf(set)?.transmitTone ?? 'off'])),
    ...repeaters.map(({ outputTone }) => outputTone),
  ]);
  const awaited = new Map<string, number[]>();
  for (const [i, { set }] of sets.entries()) {
    const tone = placeOf(set)?.receiveTone ?? 'off';
    awaited.set(tone, [...(awaited.get(tone) ?? []), i]);
  }
  return [...sent].flatMap((one) =>
    [...awaited].flatMap(([tone, those]): AirNote[] =>
      areNear(one, tone) ? [{ is: 'tones-near', sent: one, awaited: tone, sets: those }] : [],
    ),
  );
}

/** Whether two tones stand next to each other in the list of CTCSS tones (common practice: neighbours open each other’s decoder now and then). */
export function areNear(a: ToneText | 'unknown', b: ToneText | 'unknown'): boolean {
  if (a === 'unknown' || b === 'unknown' || a === b) return false;
  const [one, two] = [toneFromText(a), toneFromText(b)];
  if (one.kind !== 'ctcss' || two.kind !== 'ctcss') return false;
  const at = [one, two].map(({ tenthsHz }) => CTCSS_TENTHS_HZ.indexOf(tenthsHz));
  return at[0] !== -1 && at[1] !== -1 && Math.abs((at[0] ?? 0) - (at[1] ?? 0)) === 1;
}

function untriedCodes(sets: readonly Noted[]): AirNote[] {
  const codes = new Map<string, boolean>();
  const coded = sets.flatMap(({ set, description }, i) => {
    const shows = codes.get(description.id) ?? showsCodes(description);
    codes.set(description.id, shows);
    const place = placeOf(set);
    const isToned =
      place && [place.transmitTone, place.receiveTone].some((tone) => tone !== undefined && tone !== 'off');
    return shows && isToned ? [i] : [];
  });
  const kinds = new Set(sets.flatMap(({ set, description }) => (placeOf(set) ? [description.id] : [])));
  return coded.length > 0 && kinds.size > 1 ? [{ is: 'codes-untried', sets: coded }] : [];
}

const TONE_FIELDS: ReadonlySet<string> = new Set([
  'transmitTone',
  'receiveTone',
  'bothTones',
  'transmitCtcss',
  'receiveCtcss',
  'transmitDcs',
  'receiveDcs',
]);

/** Whether a kind of set shows its tones by numbers that are no tones, such as 1 to 38. */
export function showsCodes(description: Pick<Description, 'lists' | 'fields'>): boolean {
  const lists = writtenLists(description);
  return description.fields.some(({ holds, list }) => {
    if (!TONE_FIELDS.has(holds) || list === undefined || list === 'unknown') return false;
    const tones = (lists[list] ?? []).filter(({ means }) => means !== 'off');
    return (
      tones.length > 0 &&
      tones.every(({ shown, means }) => /^\d{1,3}$/.test(shown) && shown !== digitsOf(means))
    );
  });
}

const digitsOf = (means: unknown) => String(means).replace(/\D/g, '');
