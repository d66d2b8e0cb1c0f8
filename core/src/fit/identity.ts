import type { Finding } from '../findings/index';
import { valuesOnceUsed } from '../memory/index';
import type { Description, Fleet, Region, Slot, Unit } from '../model/index';
import type { FitDevice } from './device';
import type { WantedSlot } from './image';
import { spellable } from './names';
import { shortenName } from './shortForms';

/** A set as others call it: by its nickname, under its fleet ID. */
export type Called = Pick<Unit, 'nickname' | 'fleetId'>;

/** Places that hold who a set is, whom it can call and what it can say by a key, with what could not be had. */
export interface IdentityFit {
  readonly places: ReadonlyMap<number, WantedSlot>;
  readonly findings: readonly Finding[];
}

/** Whether a kind of set holds any of this, so that what others are called changes its sheet. */
export function hasIdentity({ regions }: Pick<Description, 'regions'>): boolean {
  return regions.some(({ content: { kind } }) => kind === 'own' || kind === 'calls' || kind === 'status');
}

/**
 * Fits fleet signalling to one set: its own ID, the others and the group's calls in its call list, the group's status texts, each in its own
 * kind of place. An ID that the set cannot hold, or that two sets have, is never changed or guessed: it is said, and left out.
 */
export function fitIdentity(
  { statuses, calls }: Fleet,
  device: FitDevice,
  unit: Called,
  others: readonly Called[],
): IdentityFit {
  const { identity } = device.description;
  const findings: Finding[] = [];
  const places = new Map<number, WantedSlot>();
  const digits = typeof identity === 'object' ? identity.digits : 0;
  const isFit = (id: string) => /^\d+$/.test(id) && id.length === digits;
  const put = (kind: Region['content']['kind'], entries: readonly { name: string; fleetId?: string }[]) => {
    const there = device.slots.filter(({ region }) => region.content.kind === kind);
    entries.slice(0, there.length).forEach((entry, i) => {
      const slot = there[i];
      if (slot) places.set(slot.number, entryAt(device, slot, entry));
    });
    return there.length === 0 ? [] : entries.slice(there.length);
  };

  const same = others.find(({ fleetId }) => fleetId !== '' && fleetId === unit.fleetId);
  if (device.slots.some(({ region }) => region.content.kind === 'own')) {
    if (unit.fleetId === '') findings.push({ code: 'fleet-id-missing', severity: 'warning' });
    else if (!isFit(unit.fleetId))
      findings.push({ code: 'fleet-id-unfit', severity: 'error', fleetId: unit.fleetId, digits });
    else if (same)
      findings.push({
        code: 'fleet-id-twice',
        severity: 'error',
        fleetId: unit.fleetId,
        other: same.nickname,
      });
    else put('own', [{ name: unit.nickname, fleetId: unit.fleetId }]);
  }

  const called = [
    ...calls,
    ...[...others]
      .filter(({ fleetId }) => fleetId !== '')
      .sort((a, b) => a.fleetId.localeCompare(b.fleetId) || a.nickname.localeCompare(b.nickname))
      .map(({ nickname, fleetId }) => ({ name: nickname, fleetId })),
  ];
  const callsLeft = [
    ...called.filter(({ fleetId }) => !isFit(fleetId)),
    ...put(
      'calls',
      called.filter(({ fleetId }) => isFit(fleetId)),
    ),
  ].map(({ name }) => name);
  const hasCalls = device.slots.some(({ region }) => region.content.kind === 'calls');
  if (hasCalls && callsLeft.length > 0)
    findings.push({ code: 'calls-left-out', severity: 'warning', names: callsLeft });
  const left = put(
    'status',
    statuses.map((name) => ({ name })),
  ).map(({ name }) => name);
  if (left.length > 0) findings.push({ code: 'statuses-left-out', severity: 'warning', texts: left });
  return { places, findings };
}

/** A text as a kind of set shows it; empty where it shows none. */
export function entryText(description: Description, text: string): string {
  const rule = spellable(description);
  return typeof rule === 'object' ? shortenName(text, rule.length, rule.characters) : '';
}

/** One entry as its place holds it; a text that is too long is made shorter as names are. */
function entryAt(
  { description, field, present }: FitDevice,
  { number, region }: Slot,
  { name, fleetId }: { name: string; fleetId?: string },
): WantedSlot {
  const text = entryText(description, name);
  const values = {
    ...valuesOnceUsed(description, region),
    ...present.slots.get(number),
    ...(field.name && { [field.name.id]: text }),
    ...(field.fleetId && fleetId !== undefined && { [field.fleetId.id]: fleetId }),
  };
  if (region.content.kind === 'status')
    return { channelIds: [], values, content: { kind: 'text', name: text } };
  const content = {
    kind: 'id' as const,
    ...(field.name && { name: text }),
    ...(field.fleetId && fleetId !== undefined && { fleetId }),
  };
  return { channelIds: [], values, content };
}
