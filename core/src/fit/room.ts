import { type AirContent, type Channel, type Slot, sameContent } from '../model/index';
import { NetworkBlocks } from './belongs';
import type { FitDevice } from './device';
import type { Judgement } from './judge';
import { emptyForZones, zonesOf } from './zones';

/** What is settled on a set before anybody asks for numbers: who chooses first, which channels it has room for, and which need not move. */
export interface Room {
  /** The order in which channels choose. */
  readonly turns: readonly Judgement[];
  /** Places that are this channel as they were made, by channel: a set keeps R1 to R8 where they are. */
  readonly homeOf: ReadonlyMap<string, Slot>;
  /** The memory numbers of those: nobody else comes there. */
  readonly homes: ReadonlySet<number>;
  /** The channels that come in where a set cannot hold them all: those with a home, and of the others the first in turn. */
  readonly holds: ReadonlySet<string>;
  /** The network that each block belongs to. */
  readonly blocks: NetworkBlocks;
  /** The block of the zone that a channel's group has, where it fits into one. */
  readonly zoneOf: ReadonlyMap<string, number>;
  /** Empty places that groups with a zone will need: the others come there last. */
  readonly forZones: ReadonlySet<number>;
}

/**
 * Settles what numbers have no part in. What a set holds, where it keeps a factory place and which block a network has depends on the
 * set and the plan alone, so that the best numbers are an assignment and nothing else, and what it promises is what the fit does.
 */
export function roomIn(judged: readonly Judgement[], device: FitDevice, channels: readonly Channel[]): Room {
  const turns = inTurn(judged, device, channels);
  const homeOf = new Map<string, Slot>();
  const blocks = new NetworkBlocks(device);
  const contents = new Map<number, AirContent>();
  for (const judgement of turns) {
    const { channel } = judgement;
    const home = homeFor(judgement, (slot, content) => {
      const there = contents.get(slot.number);
      return there ? sameContent(there, content) : blocks.allows(channel, slot);
    });
    if (home) {
      homeOf.set(channel.id, home.slot);
      contents.set(home.slot.number, home.content);
      blocks.take(channel, home.slot);
    } else if (channel.trunk && isIn(judgement)) {
      const slot = judgement.slots.find((one) => blocks.allows(channel, one) && judgement.at(one));
      if (slot) blocks.take(channel, slot);
    }
  }
  const moving = turns.filter((judgement) => isIn(judgement) && !homeOf.has(judgement.channel.id));
  const coming = moving.slice(0, freeRoom(device));
  const holds = new Set([...homeOf.keys(), ...coming.map(({ channel }) => channel.id)]);
  const zoneOf = zonesOf(coming, device, channels);
  const forZones = emptyForZones(zoneOf, coming, device);
  return { turns, homeOf, homes: new Set(contents.keys()), holds, blocks, zoneOf, forZones };
}

/** The place where people read a channel's number, where the set can have it there. */
export function numberedPlace(
  judgement: Judgement,
  { slotRead }: FitDevice,
  room: Room,
  number: number | undefined,
): Slot | undefined {
  const slot = number === undefined ? undefined : slotRead.get(number);
  return slot && judgement.slots.includes(slot) && sitsAt(judgement, room)(slot) ? slot : undefined;
}

/**
 * Whether a channel comes to one of the places it may ask for if that is its number. Not where the set does not hold it or keeps it
 * somewhere else, and not where the set would send although a place is left where it only listens.
 */
export function sitsAt(
  { channel, outcome, slots, at }: Judgement,
  { homeOf, homes, holds, blocks }: Room,
): (slot: Slot) => boolean {
  if (homeOf.has(channel.id) || !holds.has(channel.id)) return () => false;
  const isLoud = (slot: Slot | undefined) => slot?.fixed !== undefined && slot.fixed.transmitHz !== null;
  const mustBeQuiet = outcome === 'listen' && !isLoud(slots.find((slot) => at(slot)));
  return (slot) =>
    !homes.has(slot.number) &&
    blocks.allows(channel, slot) &&
    !(mustBeQuiet && isLoud(slot)) &&
    at(slot) !== undefined;
}

/** How many free places a set can still fill: of those that its holder filled, each counts. */
export function freeRoom({ description: { capacity }, freeSlots, filled }: FitDevice): number {
  const most = Math.min(capacity ?? freeSlots.length, freeSlots.length);
  // Without a capacity a place of the holder's own may be taken when no other is left, and is asked for.
  return capacity === undefined
    ? most
    : Math.max(0, most - freeSlots.filter(({ number }) => filled.has(number)).length);
}

const OUTCOMES = ['talk', 'listen', 'no', 'unknown'] as const;
const TIERS = ['must', 'should', 'nice'] as const;

const isIn = ({ outcome }: Judgement) => outcome === 'talk' || outcome === 'listen';

/**
 * The factory place that is this channel already, where that is what it would choose first. Two channels may have the same one, if they
 * come to the same there.
 */
function homeFor(
  { slots, contentAt }: Judgement,
  isFree: (slot: Slot, content: AirContent) => boolean,
): { slot: Slot; content: AirContent } | undefined {
  for (const slot of slots) {
    if (!slot.fixed) return undefined;
    const content = contentAt(slot);
    if (content && isFree(slot, content)) return { slot, content };
  }
  return undefined;
}

/**
 * The order in which channels choose: to talk before to listen, then as in the plan. Where a device cannot hold them all, what must
 * be in goes before what should, whatever is done with it, and each group stays together as far as it goes. A place where the talk
 * key would cover what others listen to is given last.
 */
function inTurn(
  judged: readonly Judgement[],
  device: FitDevice,
  channels: readonly Channel[],
): readonly Judgement[] {
  const { slots, freeSlots } = device;
  const capacity = device.description.capacity ?? freeSlots.length;
  const groups = [...new Set(channels.map(({ groupId }) => groupId))];
  const isScarce =
    judged.filter(isIn).length > slots.length - freeSlots.length + Math.min(capacity, freeSlots.length);
  const rank = (judgement: Judgement) => {
    if (!isScarce) return 0;
    const { tier, groupId } = judgement.channel;
    const last = wouldCover(judgement) ? TIERS.length : 0;
    return (last + TIERS.indexOf(tier)) * (groups.length + 1) + groups.indexOf(groupId);
  };
  const ranked = judged.map((judgement) => ({
    judgement,
    rank: rank(judgement) * OUTCOMES.length + OUTCOMES.indexOf(judgement.outcome),
  }));
  return ranked.sort((a, b) => a.rank - b.rank).map(({ judgement }) => judgement);
}

/** Whether a set that only listens on a channel would send there all the same when its talk key is pressed. */
function wouldCover({ outcome, slots, at }: Judgement): boolean {
  if (outcome !== 'listen') return false;
  const best = slots.find((slot) => at(slot) !== undefined);
  return (best && at(best)?.findings.some(({ code }) => code === 'talk-goes-out-on-output')) ?? false;
}
