import { mhzText } from '@umbrex/core/units';
import { toneWords } from './tones';

const KINDS: Readonly<Record<string, string>> = {
  channel: 'channel',
  plan: 'plan',
  order: 'order of the channels',
  unit: 'device',
  description: 'kind of device',
  person: 'person',
  team: 'team',
  station: 'station',
  net: 'net',
};

const FIELDS: Readonly<Record<string, string>> = {
  aliases: 'other names',
  shortNames: 'short names',
  trunk: 'network',
  scan: 'in scans',
  resumeDelay: 'stays after a call',
  carries: 'its channel',
  numbering: 'numbers',
  alerts: 'alert radios',
  fleet: 'status texts and calls',
  statuses: 'status texts',
  calls: 'calls',
  setup: 'settings of whole sets',
  roleSetup: 'settings by role',
  naming: 'names on displays',
  roleId: 'set up for',
  recording: 'recorded steps',
  areas: 'areas',
  reach: 'sounds for',
  weatherHz: 'transmitter',
  tier: 'weight',
  bandwidth: 'width',
  receiveHz: 'receive',
  transmitHz: 'transmit',
  transmitTone: 'transmit tone',
  receiveTone: 'receive tone',
  receivePolicy: 'receive policy',
  groupId: 'group',
  tonesSecret: 'secret tones',
  personId: 'holder in the roster',
  descriptionId: 'kind',
  fleetId: 'fleet ID',
  batteryChanged: 'battery changed',
  pickedTone: 'picked tone',
  keeps: 'kept numbers',
  holds: 'holds now',
  accepts: 'places let go of',
  testHeard: 'test heard',
  places: 'places',
  teamIds: 'teams',
  groupIds: 'groups',
  startsAt: 'time',
  timeZone: 'time zone',
  checkIns: 'check-ins',
  channelId: 'channel',
  fallbackId: 'fallback',
};

type Shape = Readonly<Record<string, unknown>> | null;

/** What an edit was, in words: what was done, to what, and for a change each field with before and after. */
export function editText(edit: { kind: string; before: unknown; after: unknown }): {
  what: string;
  changes: readonly string[];
} {
  const kind = KINDS[edit.kind] ?? edit.kind;
  if (edit.kind === 'order') return { what: `changed the ${kind}`, changes: [] };
  const [before, after] = [edit.before, edit.after] as [Shape, Shape];
  const some = after ?? before ?? {};
  const name = String(some.name ?? some.nickname ?? some.title ?? '');
  const called = name ? ` “${name}”` : '';
  if (before === null) return { what: `added the ${kind}${called}`, changes: [] };
  if (after === null) return { what: `deleted the ${kind}${called}`, changes: [] };
  const [old, other] = [before.document, after.document] as [Shape, Shape];
  if (old && other)
    return {
      what: `put another description of the ${kind} “${String(other.title ?? '')}” in the place of the old one`,
      changes: [`other in it: ${fieldsThatDiffer(old, other).map(fieldName).join(', ') || 'nothing'}`],
    };
  const changes = fieldsThatDiffer(before, after).map(
    (key) => `${fieldName(key)}: ${shown(key, before[key])} → ${shown(key, after[key])}`,
  );
  return { what: `changed the ${kind}${called}`, changes };
}

/** The fields in which two versions of one thing differ. */
export function fieldsThatDiffer(a: object, b: object): string[] {
  const [left, right] = [a, b] as [Record<string, unknown>, Record<string, unknown>];
  const keys = [...new Set([...Object.keys(left), ...Object.keys(right)])];
  return keys.filter((key) => JSON.stringify(left[key]) !== JSON.stringify(right[key]));
}

/** What a field is called. */
export function fieldName(key: string): string {
  return FIELDS[key] ?? key;
}

/** A field's value written out, so that two versions can be told apart. @param nameOf what an id stands for, where that is known */
export function wholeValue(key: string, value: unknown, nameOf: (id: string) => string | undefined): string {
  if (value === null || value === undefined || value === '')
    return key === 'transmitHz' ? 'listen only' : 'none';
  if (key === 'places' && Array.isArray(value)) return shown(key, value);
  if (Array.isArray(value))
    return value.length === 0 ? 'none' : value.map((part) => wholeValue(key, part, nameOf)).join('; ');
  if (typeof value === 'object')
    return Object.entries(value)
      .filter(([, part]) => part !== '' && part !== null)
      .map(([name, part]) => `${fieldName(name)} ${wholeValue(name, part, nameOf)}`)
      .join(', ');
  if (typeof value === 'string' && /Ids?$/.test(key)) return nameOf(value) ?? 'another one';
  return shown(key, value);
}

function shown(key: string, value: unknown): string {
  if (value === null || value === undefined || value === '') return 'none';
  if (key.endsWith('Hz') && typeof value === 'number') return `${mhzText(value)} MHz`;
  if (key.endsWith('Tone')) return toneWords(String(value));
  if (Array.isArray(value)) return value.length === 1 ? 'one entry' : `${value.length} entries`;
  if (typeof value === 'object') return 'other values';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value);
}
