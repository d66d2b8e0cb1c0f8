import { searchAreas } from '@umbrex/core/areas';
import {
  CONSUMER_CODE_TONES,
  CTCSS_TENTHS_HZ,
  DCS_CODES,
  dcsWord,
  partnersOf,
  SERVICES,
  searchServices,
} from '@umbrex/core/facts';
import { readTone, starterSets } from '@umbrex/core/listing';
import { sameOnAir } from '@umbrex/core/model';
import { shownOn, tonesOn } from '@umbrex/core/tones';
import { hzTextFromTenths } from '@umbrex/core/units';
import { usAreas } from '../areas';
import type { Desk } from '../desk';

/** As much of what is asked as is read. */
const MOST_LETTERS = 60;
/** A figure with a unit, or the beginning of a code: whoever writes that means a tone, and is asked which one. */
const LIKE_A_TONE = /^[\d.]+ ?(hz|mhz|khz)$|^d\d/i;

/**
 * What is looked up: services and their channels, tones as each kind of set calls them, counties with their codes. Kinds are those
 * that somebody holds; where nobody holds any yet, all of them. Services that the plan works with come first.
 * @param asked what is searched for; empty for all there is, but for counties, of which there are thousands
 */
export async function referenceView({ state: { plan, version }, units, descriptions }: Desk, asked: string) {
  const query = asked.trim().slice(0, MOST_LETTERS);
  const used = new Set(units.map(({ unit }) => unit.descriptionId));
  const devices = descriptions
    .filter(({ description }) => used.size === 0 || used.has(description.id))
    .map(({ description }) => ({ title: description.title, tones: tonesOn(description) }));
  /** What a tone is called on each of them; `undefined` where nobody has written it down, `null` where it does not have it. */
  const called = (tone: string) =>
    devices.map(({ title, tones }) => ({
      title,
      label: tones.known ? (shownOn(tones, tone) ?? null) : undefined,
    }));

  const reading = query === '' ? undefined : readTone(query);
  const tone = reading?.tone;
  const chosen = new Set<string>(plan.services);
  const tables = Object.values(SERVICES);
  return {
    query,
    planId: plan.id,
    version,
    devices: devices.map(({ title }) => title),
    tone:
      tone === undefined || tone === 'off'
        ? undefined
        : { tone, called: called(tone), alike: sameOnAir(tone) },
    questions: reading && tone === undefined && LIKE_A_TONE.test(query) ? reading.questions : [],
    starters: starterSets(plan.country).map(({ id, title, channels }) => ({
      id,
      title,
      count: channels.length,
    })),
    services: searchServices(query, [
      ...tables.filter(({ id }) => chosen.has(id)),
      ...tables.filter(({ id }) => !chosen.has(id)),
    ]),
    licensed: plan.licensed,
    counties: query.length >= 3 ? searchAreas(await usAreas(), query) : { areas: [], total: 0 },
    tones: [...CTCSS_TENTHS_HZ.map(hzTextFromTenths), ...DCS_CODES.map((code) => `D${code}N`)]
      .filter(
        (each) =>
          query === '' ||
          each.toLowerCase().includes(query.toLowerCase()) ||
          each === tone ||
          sameOnAir(each).includes(tone ?? ''),
      )
      .map((each) => toneRow(each, called(each))),
  };
}

function toneRow<Called>(tone: string, called: Called) {
  const number = CONSUMER_CODE_TONES.indexOf(tone);
  const code = tone.startsWith('D') ? tone.slice(1, 4) : undefined;
  return {
    tone,
    /** The usual code number; empty where it has none. */
    number: number > 0 ? String(number) : '',
    partner: code
      ? partnersOf({ code, polarity: 'N' })
          .map((other) => `D${other.code}${other.polarity}`)
          .join(', ')
      : '',
    /** The bits as they are sent, the last one first; empty for tones that are none. */
    word: code ? dcsWord(code).toString(2).padStart(23, '0') : '',
    called,
  };
}
