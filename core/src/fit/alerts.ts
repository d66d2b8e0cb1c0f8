import type { Finding } from '../findings/index';
import { type Alerts, factoryValues } from '../model/index';
import type { FitDevice } from './device';
import type { WantedSlot } from './fit';

/** What an alert radio shall hold: area codes in its places, and the settings of the whole set that decide when it sounds. */
export interface AlertFit {
  readonly places: ReadonlyMap<number, WantedSlot>;
  readonly settings: Readonly<Record<string, number>>;
  readonly findings: readonly Finding[];
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
  const wanted = alerts.reach === 'one' ? alerts.areas.slice(0, 1) : alerts.areas;
  const ignored = alerts.areas.slice(wanted.length);
  if (ignored.length > 0) findings.push({ code: 'alert-areas-ignored', severity: 'warning', areas: ignored });
  const left = wanted.slice(places.length);
  if (left.length > 0) findings.push({ code: 'alert-areas-left-out', severity: 'error', areas: left });
  const image = wanted.slice(0, places.length).flatMap((area, i): [number, WantedSlot][] => {
    const slot = places[i];
    if (!slot) return [];
    const before = present.slots.get(slot.number) ?? null;
    const values = { ...(before ?? factoryValues(description, 0)), [field.id]: area };
    const content = { receiveHz: 0, transmitHz: null, areaCode: area };
    return [[slot.number, { channelIds: [], values, content, present: before }]];
  });
  return { places: new Map(image), settings, findings };
}
