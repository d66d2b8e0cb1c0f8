import { valuesOnceUsed } from '../memory/index';
import { awaitedTone, type Channel, isOnAir, type Plan, type Region, type Slot } from '../model/index';
import type { FitDevice } from './device';
import type { WantedSlot } from './image';
import type { Judgement } from './judge';
import { spellable } from './names';
import { isReceiveOnly } from './place';
import { shortenName } from './shortForms';

/** Whether people come to the places of a region by a zone and a place in it: then a group belongs in one zone. */
function isZoned({ banks, label, content, towers }: Region): boolean {
  return banks.length > 1 && /\{bank\}/.test(label) && content.kind === 'free' && towers === undefined;
}

/**
 * The zone of each group that fits into one whole, by channel: the block of its places. Each group has a zone of its own as long as there
 * are enough; else several share one, the largest first. A group that fits into no zone has none, and its channels go where there is room.
 * @param moving the channels that come to free places, in the order in which they choose
 */
export function zonesOf(
  moving: readonly Judgement[],
  { freeSlots, holding }: FitDevice,
  channels: readonly Channel[],
): Map<string, number> {
  const zones = new Map<number, Slot[]>();
  for (const slot of freeSlots)
    if (isZoned(slot.region)) zones.set(slot.bank, [...(zones.get(slot.bank) ?? []), slot]);
  if (zones.size === 0) return new Map();
  // What is only heard goes where the set never sends, if it has such places: apart from the rest of its group.
  const members = moving.map((judgement): Member => {
    const bare = [...zones].filter(([, [first]]) => first && isAskedAt(judgement, first));
    return { judgement, isHeard: isDeaf(firstFree(judgement)), banks: new Set(bare.map(([bank]) => bank)) };
  });
  const groups = channels.reduce((all, { groupId }) => all.add(groupId), new Set<string>());
  const parts = [...groups].flatMap((groupId) =>
    [false, true]
      .map((heard) =>
        members.filter(
          ({ judgement, isHeard }) => judgement.channel.groupId === groupId && isHeard === heard,
        ),
      )
      .filter(({ length }) => length > 0),
  );
  const largestFirst = parts.toSorted((a, b) => b.length - a.length);
  const own = pack(parts, zones, holding, true);
  if (own.size === moving.length) return own;
  const shared = [pack(parts, zones, holding, false), pack(largestFirst, zones, holding, false)];
  return shared.reduce((best, one) => (one.size > best.size ? one : best), own);
}

/**
 * The empty places that groups with a zone will need there, beside those that hold their channels already: the first ones. Channels without
 * a zone leave them to the last.
 */
export function emptyForZones(
  zoneOf: ReadonlyMap<string, number>,
  moving: readonly Judgement[],
  { freeSlots, holding }: FitDevice,
): Set<number> {
  return new Set(
    [...new Set(zoneOf.values())].flatMap((zone) => {
      const inZone = freeSlots.filter(({ bank }) => bank === zone);
      const members = moving.filter(({ channel }) => zoneOf.get(channel.id) === zone);
      const coming = members.filter((one) => !inZone.some((slot) => isThere(one, slot, holding)));
      const empty = inZone.flatMap(({ number }) => (holding.has(number) ? [] : [number]));
      return empty.slice(0, coming.length);
    }),
  );
}

/** Whether a place holds the channel already: its frequency, and the tone it waits for, if it waits for one. */
export function isThere({ contentAt }: Judgement, slot: Slot, holding: FitDevice['holding']): boolean {
  const now = holding.get(slot.number);
  const wanted = now && contentAt(slot);
  if (!wanted || !isOnAir(now) || now.receiveHz !== wanted.receiveHz) return false;
  return awaitedTone(now) === awaitedTone(wanted);
}

const isDeaf = (slot: Slot | undefined) => slot !== undefined && isReceiveOnly(slot);

/** A channel that comes to a free place: whether it is only heard, and the zones it may come to. */
interface Member {
  readonly judgement: Judgement;
  readonly isHeard: boolean;
  readonly banks: ReadonlySet<number>;
}

/** Whether a channel may ask for a place, and can be there; the places of a zone are alike in that. */
function isAskedAt({ slots, at }: Judgement, slot: Slot): boolean {
  return slots.includes(slot) && at(slot) !== undefined;
}

/** The free place that a channel would choose first. */
function firstFree({ slots, at }: Judgement): Slot | undefined {
  return slots.find((slot) => !slot.fixed && at(slot));
}

/**
 * Puts groups into zones one after another: where most of it is already, else each into a fresh one, or into the first that has room.
 * @param holding what the places hold now
 */
function pack(
  groups: readonly (readonly Member[])[],
  zones: ReadonlyMap<number, readonly Slot[]>,
  holding: FitDevice['holding'],
  eachItsOwn: boolean,
): Map<string, number> {
  const taken = new Map<number, number>();
  const zoneOf = new Map<string, number>();
  for (const members of groups) {
    const there = (slots: readonly Slot[]) =>
      holding.size === 0
        ? 0
        : members.filter(({ judgement }) => slots.some((slot) => isThere(judgement, slot, holding))).length;
    const fits = [...zones].filter(([bank, slots]) => {
      const before = taken.get(bank) ?? 0;
      const empty = slots.filter(({ number }) => !holding.has(number)).length;
      const [some] = slots;
      return (
        empty + there(slots) - before >= members.length &&
        (!eachItsOwn || before === 0) &&
        isDeaf(some) === members[0]?.isHeard &&
        members.every(({ banks }) => banks.has(bank))
      );
    });
    const [zone] = fits.toSorted(([, a], [, b]) => there(b) - there(a));
    if (!zone) continue;
    taken.set(zone[0], (taken.get(zone[0]) ?? 0) + members.length);
    for (const { judgement } of members) zoneOf.set(judgement.channel.id, zone[0]);
  }
  return zoneOf;
}

/** The names of zones, where the set has places for them: each the name of the groups that are in it. Zones without a channel stay. */
export function zoneNames(
  { channels, groups = [] }: Pick<Plan, 'channels'> & Partial<Pick<Plan, 'groups'>>,
  { description, slots, slotAt, field, present }: FitDevice,
  used: ReadonlyMap<number, WantedSlot>,
): Map<number, WantedSlot> {
  const names = new Map<number, WantedSlot>();
  const rule = spellable(description);
  if (!field.name || typeof rule !== 'object') return names;
  const groupOf = new Map(channels.map(({ id, groupId }) => [id, groupId]));
  for (const region of description.regions) {
    if (region.content.kind !== 'zones') continue;
    const { of } = region.content;
    const places = slots.filter((slot) => slot.region === region);
    const banks = [...new Set(slots.filter((slot) => slot.region.id === of).map(({ bank }) => bank))];
    places.forEach((place, i) => {
      const inZone = [...used].filter(([number]) => slotAt.get(number)?.bank === banks[i]);
      const there = new Set(inZone.flatMap(([, { channelIds }]) => channelIds.map((id) => groupOf.get(id))));
      const text = groups.flatMap(({ id, name }) => (there.has(id) ? [name] : [])).join(' / ');
      if (!field.name || text === '') return;
      const name = shortenName(text, rule.length, rule.characters);
      const values = {
        ...valuesOnceUsed(description, region),
        ...present.slots.get(place.number),
        [field.name.id]: name,
      };
      names.set(place.number, { channelIds: [], values, content: { kind: 'text', name } });
    });
  }
  return names;
}
