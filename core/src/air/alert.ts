import { type Alerts, type Description, type Memory, slotsOf, writtenLists } from '../model/index';

/** An alert as its header says it: on which frequency (hertz), which event, for which areas (six digits each). */
export interface AlertMessage {
  readonly hz: number;
  readonly event: string;
  readonly areas: readonly string[];
}

/** What an alert radio makes of a message: it sounds, in the way it is set to, or it stays silent, and why. */
export type AlertOutcome =
  | { readonly sounds: true; readonly by: string }
  | {
      readonly sounds: false;
      readonly why: 'other-transmitter' | 'switched-off' | 'no-area' | 'other-area' | 'not-known';
    };

/**
 * Whether a stored area and one in a header are the same: the five digits equal, the part digit equal or 0 on either side; county 000 is
 * the whole state, and 000000 everywhere. Source: 47 CFR 11.31(c), from memory.
 */
export function isSameArea(stored: string, sent: string): boolean {
  if (stored === '000000' || sent === '000000') return true;
  const [part, otherPart] = [stored.slice(0, 1), sent.slice(0, 1)];
  if (part !== '0' && otherPart !== '0' && part !== otherPart) return false;
  const [county, otherCounty] = [stored.slice(1), sent.slice(1)];
  return otherCounty.endsWith('000')
    ? county.slice(0, 2) === otherCounty.slice(0, 2)
    : county === otherCounty;
}

/** What a set with this memory does when a message comes. It reads the set's own values alone, and knows no plan. */
export function alertOutcome(description: Description, memory: Memory, message: AlertMessage): AlertOutcome {
  const lists = writtenLists(description);
  const means = (found: Description['settings'][number] | undefined) => {
    const at = found && memory.settings[found.id];
    return at === undefined ? undefined : lists[found?.list ?? '']?.[at]?.means;
  };
  const held = (holds: 'weatherHz' | 'alertReach' | 'alertBy') =>
    means(description.settings.find((setting) => setting.holds === holds));
  const hears = held('weatherHz');
  if (hears === undefined) return { sounds: false, why: 'not-known' };
  if (hears !== message.hz) return { sounds: false, why: 'other-transmitter' };
  const ofEvent = description.settings.find(({ event }) => event === message.event);
  if (ofEvent && means(ofEvent) === undefined) return { sounds: false, why: 'not-known' };
  if (means(ofEvent) === false) return { sounds: false, why: 'switched-off' };
  const sounds = { sounds: true, by: String(held('alertBy') ?? 'unknown') } as const;
  const reach = held('alertReach') ?? 'list';
  if (reach === 'everywhere') return sounds;
  const field = description.fields.find(({ holds }) => holds === 'areaCode');
  const places = slotsOf(description).filter(({ region }) => region.content.kind === 'areas');
  const stored = places.map(({ number }) => memory.slots.get(number)?.[field?.id ?? '']);
  // Set to one area, it looks at its first place alone.
  const looked = reach === 'one' ? stored.slice(0, 1) : stored;
  const counts = looked.filter((area) => typeof area === 'string');
  const isMeant = counts.some((area) => message.areas.some((sent) => isSameArea(area, sent)));
  if (isMeant) return sounds;
  const isUnseen = (reach === 'one' ? places.slice(0, 1) : places).some(
    ({ number }) => memory.slots.get(number) === undefined,
  );
  if (isUnseen) return { sounds: false, why: 'not-known' };
  return { sounds: false, why: counts.length === 0 ? 'no-area' : 'other-area' };
}

/** A message tried on a set, what the plan wants of it, and what comes of it. */
export interface AlertTrial {
  readonly about: 'area' | 'neighbour' | 'event';
  readonly message: AlertMessage;
  readonly wanted: boolean;
  readonly outcome: AlertOutcome;
}

/** Warnings to try a set with, the first that the plan does not silence; the national one is never switched off (47 CFR 11.31). */
const URGENT = ['TOR', 'EVI', 'FFW', 'SVR'];
const NATIONAL = 'EAN';

/**
 * Tries a set on messages that follow from the plan: one for each of its areas, one for a county that is not among them, and one for
 * each event that shall be silent. Nothing is sent anywhere: on the air that is forbidden (47 CFR 11.45).
 */
export function tryAlerts(alerts: Alerts, description: Description, memory: Memory): AlertTrial[] {
  const { areas, silent, weatherHz, reach } = alerts;
  const isSilent = (code: string) => silent.some((event) => event === code);
  if (weatherHz === 'unknown') return [];
  const urgent = URGENT.find((code) => !isSilent(code)) ?? NATIONAL;
  const trial = (about: AlertTrial['about'], event: string, area: string, wanted: boolean): AlertTrial => {
    const message = { hz: weatherHz, event, areas: [area] };
    return { about, message, wanted, outcome: alertOutcome(description, memory, message) };
  };
  const other = countyBeside(areas);
  const [first = '000000'] = areas;
  return [
    ...areas.map((area) => trial('area', urgent, area, reach !== 'one' || isSameArea(first, area))),
    ...(other === undefined ? [] : [trial('neighbour', urgent, other, reach === 'everywhere')]),
    ...silent.map((event) => trial('event', event, first, false)),
  ];
}

/** A county of the same state that no area of the plan covers; none where an area is everywhere or the whole state. */
function countyBeside(areas: readonly string[]): string | undefined {
  const state = (areas[0] ?? '').slice(1, 3);
  return Array.from({ length: 20 }, (_, k) => `0${state}${String(2 * k + 1).padStart(3, '0')}`).find(
    (county) => !areas.some((area) => isSameArea(area, county) || isSameArea(county, area)),
  );
}
