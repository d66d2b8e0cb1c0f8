import { ALERT_EVENTS } from '../facts/index';
import type { Finding } from '../findings/index';
import { valuesOnceUsed } from '../memory/index';
import type { Alerts, Plan, Slot, Unit } from '../model/index';
import type { FitDevice } from './device';
import type { WantedSlot } from './image';

/** What an alert radio shall hold: area codes in its places, and the settings of the whole set that decide when it sounds. */
export interface AlertFit {
  readonly places: ReadonlyMap<number, WantedSlot>;
  readonly settings: Readonly<Record<string, number>>;
  readonly findings: readonly Finding[];
}

/** For what a set sounds and what it hears: its own areas and transmitter, else the plan's; how far it listens is the plan's. */
export function alertsOf(alerts: Plan['alerts'], own: Unit['alerts']): Alerts | null {
  return own === null ? alerts : { ...(alerts ?? { reach: 'list', silent: [] }), ...own };
}

const NOTHING: AlertFit = { places: new Map(), settings: {}, findings: [] };

/**
 * Fits a plan's alert areas to a device that has places for them. A set that listens for one area alone gets the first one, and the
 * others are named as ignored; what has no place, or is not in a setting's list, is never put nearby.
 */
export function fitAlerts(alerts: Alerts | null, device: FitDevice): AlertFit {
  const { description, present } = device;
  const field = device.field.areaCode;
  const places = device.slots.filter(({ region }) => region.content.kind === 'areas');
  if (!alerts || !field || places.length === 0) return NOTHING;
  const findings: Finding[] = [];
  const settings: Record<string, number> = {};
  const choose = (holds: 'weatherHz' | 'alertReach', wanted: string | number, missing: Finding) => {
    const setting = description.settings.find((candidate) => candidate.holds === holds);
    if (!setting) return;
    const index = device.lists[setting.list]?.findIndex(({ means }) => means === wanted) ?? -1;
    if (index < 0) findings.push(missing);
    else settings[setting.id] = index;
  };
  choose('alertReach', alerts.reach, {
    code: 'alert-reach-not-here',
    severity: 'error',
    reach: alerts.reach,
  });
  if (alerts.weatherHz === 'unknown')
    findings.push({ code: 'alert-transmitter-unknown', severity: 'warning' });
  else
    choose('weatherHz', alerts.weatherHz, {
      code: 'cannot-receive',
      severity: 'error',
      receiveHz: alerts.weatherHz,
    });
  if (alerts.reach === 'everywhere') findings.push({ code: 'alert-everywhere', severity: 'warning' });
  fitEvents(alerts.silent, device, settings, findings);
  const wanted = alerts.reach === 'one' ? alerts.areas.slice(0, 1) : alerts.areas;
  const ignored = alerts.areas.slice(wanted.length);
  if (ignored.length > 0) findings.push({ code: 'alert-areas-ignored', severity: 'warning', areas: ignored });
  const leftOut = wanted.slice(places.length);
  if (leftOut.length > 0) findings.push({ code: 'alert-areas-left-out', severity: 'error', areas: leftOut });
  const holds = (slot: Slot) => present.slots.get(slot.number)?.[field.id];
  const image = alerts.reach === 'one' ? inOrder(wanted, places) : whereTheyAre(wanted, places, holds);
  const filled = new Set(image.map(([slot]) => slot.number));
  const others = places.flatMap((slot) => {
    const area = filled.has(slot.number) ? undefined : holds(slot);
    return area === undefined ? [] : [String(area)];
  });
  if (alerts.reach === 'list' && others.length > 0)
    findings.push({ code: 'alert-areas-kept', severity: 'warning', areas: others });
  const unseen = places.filter(
    ({ number }) => !filled.has(number) && present.slots.get(number) === undefined,
  ).length;
  if (alerts.reach === 'list' && unseen > 0)
    findings.push({ code: 'alert-areas-unseen', severity: 'warning', places: unseen });
  return {
    places: new Map(
      image.map(([slot, area]): [number, WantedSlot] => {
        const values = {
          ...valuesOnceUsed(description, slot.region),
          ...present.slots.get(slot.number),
          [field.id]: area,
        };
        return [slot.number, { channelIds: [], values, content: { kind: 'area', areaCode: area } }];
      }),
    ),
    settings,
    findings,
  };
}

/** Switches each event that a set has a switch for, as the plan wants it. */
function fitEvents(
  silent: readonly string[],
  { description, lists }: FitDevice,
  settings: Record<string, number>,
  findings: Finding[],
): void {
  const alwaysOn: string[] = [];
  const switches = description.settings.filter(({ event }) => event !== undefined);
  for (const { id, event = '', list } of switches) {
    const index = lists[list]?.findIndex(({ means }) => means === !silent.includes(event)) ?? -1;
    if (index >= 0) settings[id] = index;
    else if (silent.includes(event)) alwaysOn.push(event);
  }
  const add = (code: 'alert-always-on' | 'alert-no-switch' | 'alert-warning-silent', events: string[]) =>
    events.length > 0 &&
    findings.push({ code, severity: code === 'alert-warning-silent' ? 'warning' : 'note', events });
  add('alert-always-on', alwaysOn);
  add(
    'alert-no-switch',
    silent.filter((event) => !switches.some((one) => one.event === event)),
  );
  const set = silent.filter(
    (event) => switches.some((one) => one.event === event) && !alwaysOn.includes(event),
  );
  add(
    'alert-warning-silent',
    set.filter((event) =>
      ALERT_EVENTS.some(({ code, kind }) => code === event && (kind === 'warning' || kind === 'emergency')),
    ),
  );
  if (set.includes('RWT')) findings.push({ code: 'alert-test-silent', severity: 'warning' });
}

/** The first area in the first place: where one area alone counts, it is that one. */
function inOrder(areas: readonly string[], places: readonly Slot[]): [Slot, string][] {
  return areas.slice(0, places.length).flatMap((area, i) => {
    const slot = places[i];
    return slot ? [[slot, area] as [Slot, string]] : [];
  });
}

/** Each area where the set has it already, else in an empty place, and last where something else stands. */
function whereTheyAre(
  areas: readonly string[],
  places: readonly Slot[],
  holds: (slot: Slot) => unknown,
): [Slot, string][] {
  const taken = new Map<Slot, string>();
  const put = (area: string, slot: Slot | undefined) => slot && taken.set(slot, area);
  for (const area of areas)
    put(
      area,
      places.find((slot) => holds(slot) === area),
    );
  const isIn = (area: string) => [...taken.values()].includes(area);
  for (const area of areas.filter((one) => !isIn(one))) {
    const free = places.filter((slot) => !taken.has(slot));
    put(area, free.find((slot) => holds(slot) === undefined) ?? free[0]);
  }
  return places.flatMap((slot) => {
    const area = taken.get(slot);
    return area === undefined ? [] : [[slot, area] as [Slot, string]];
  });
}
