import { hzFromMHzText, mhzText } from '../units/index';
import type { Card, CardChannel, CardKnown, CardPlace } from './card';

/** What something that stands on a display may be: a place of a set, a channel that no such set shows so, or something of no plan. */
export type ScreenMatch =
  | {
      readonly is: 'place';
      readonly kind: number;
      readonly place: CardPlace;
      readonly channel: CardChannel;
      readonly by: ReadBy;
    }
  | { readonly is: 'channel'; readonly channel: CardChannel; readonly by: ReadBy }
  | { readonly is: 'known'; readonly row: CardKnown };
/** By what it was recognised. */
export type ReadBy = 'label' | 'name' | 'beginning' | 'frequency' | 'number';

/** So many are named at most of each sort: of more a longer text says which. */
export const MOST_MATCHES = 12;

/**
 * What it may be that stands on a display. A display is read as it is written: `07` is the label `7`, a comma is a point, capitals do not count, and
 * a name that is longer on the list may be cut on the display.
 * @param own the kind of set that is looked at; `null` for any of them
 * @returns one's own set first, of those the labels; then other kinds, then channels as such, then what published tables say
 */
export function screenShows(card: Card, text: string, own: number | null): ScreenMatch[] {
  const typed = text
    .normalize('NFKC')
    .replace(/\p{Cf}/gu, '')
    .trim();
  if (typed === '') return [];
  const channels = new Map(card.channels.map((channel) => [channel.id, channel]));
  const hz = frequencyOf(typed);
  const places = card.kinds.flatMap(({ places: all }, kind) =>
    all.flatMap((place): ScreenMatch[] => {
      const channel = channels.get(place.channelId);
      const by = channel && placeBy(place, channel, typed, hz);
      return channel && by ? [{ is: 'place', kind, place, channel, by }] : [];
    }),
  );
  const rank = (match: ScreenMatch) =>
    match.is !== 'place' ? 0 : (match.kind === own ? 0 : 10) + RANK.indexOf(match.by);
  const found = places
    .filter((match) => own === null || match.is !== 'place' || match.kind === own)
    .sort((a, b) => rank(a) - rank(b));
  // On other kinds only what none of one's own shows: a label 7 is another channel on every kind.
  const others =
    own === null || found.length > 0
      ? []
      : places.filter((match) => match.is === 'place' && match.kind !== own);
  const there = new Set([...found, ...others].map((match) => (match.is === 'place' ? match.channel.id : '')));
  const asSuch = card.channels.flatMap((channel): ScreenMatch[] => {
    if (there.has(channel.id)) return [];
    const by = channelBy(channel, typed, hz);
    return by ? [{ is: 'channel', channel, by }] : [];
  });
  const inPlan = hz !== undefined && [...there].length + asSuch.length > 0;
  const known = inPlan ? [] : knownBy(card.known, hz);
  return [...found, ...others, ...asSuch, ...known].slice(0, MOST_MATCHES);
}

const RANK: readonly ReadBy[] = ['label', 'name', 'frequency', 'number', 'beginning'];

/** By what a place may be the one; `undefined` where it is not. */
function placeBy(
  place: CardPlace,
  channel: CardChannel,
  typed: string,
  hz: number | undefined,
): ReadBy | undefined {
  if (sameLabel(place.label, typed)) return 'label';
  if (place.shows !== null && plain(place.shows) === plain(typed)) return 'name';
  if (hz !== undefined) return isOn(channel, hz) ? 'frequency' : undefined;
  if (place.shows !== null && begins(place.shows, typed)) return 'beginning';
  return undefined;
}

function channelBy(channel: CardChannel, typed: string, hz: number | undefined): ReadBy | undefined {
  if (hz !== undefined && isOn(channel, hz)) return 'frequency';
  if (channel.number !== null && sameLabel(String(channel.number), typed)) return 'number';
  const names = [channel.name, ...channel.shortNames, ...channel.aliases];
  if (names.some((name) => plain(name) === plain(typed))) return 'name';
  return names.some((name) => begins(name, typed)) ? 'beginning' : undefined;
}

/** Labels are the same where only leading zeros and capitals differ: `07`, `7`; `a3`, `A3`. */
function sameLabel(label: string, typed: string): boolean {
  const bare = (text: string) => plain(text).replace(/(^|[^\d.])0+(?=\d)/g, '$1');
  return bare(label) === bare(typed);
}

/** A text without what a display leaves out or draws otherwise: capitals, spaces, dashes. */
const plain = (text: string) =>
  text
    .normalize('NFKC')
    .toUpperCase()
    .replace(/[\s\-_]+/g, '');

/** Three letters at least: with fewer everything begins so. */
const begins = (name: string, typed: string) =>
  plain(typed).length >= 3 && plain(name).startsWith(plain(typed));

/** A frequency in hertz, as it is read off a display: with a point or a comma, with the unit or without. Whole numbers are labels. */
function frequencyOf(typed: string): number | undefined {
  const text = typed.replace(/\s*mhz$/i, '').replace(',', '.');
  return /^\d{2,4}\.\d{2,6}$/.test(text) ? hzFromMHzText(text) : undefined;
}

/** A display may leave out the last digits: `462.56` is 462.5625 where that begins so. */
function isOn({ receiveHz, transmitHz }: Pick<CardChannel, 'receiveHz' | 'transmitHz'>, hz: number): boolean {
  return [receiveHz, transmitHz].some((of) => of !== null && (of === hz || isCutOf(of, hz)));
}

/** Whether a frequency is another one with its last digits left out, by less than five kilohertz. */
function isCutOf(of: number, hz: number): boolean {
  return of > hz && of - hz < 5000 && mhzText(of).startsWith(mhzText(hz).replace(/0+$/, ''));
}

function knownBy(known: readonly CardKnown[], hz: number | undefined): ScreenMatch[] {
  if (hz === undefined) return [];
  return known.filter((row) => isOn(row, hz)).map((row): ScreenMatch => ({ is: 'known', row }));
}
