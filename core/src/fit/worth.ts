import type { Channel, Native, Plan, Slot } from '../model/index';
import { doesCarry } from './carried';
import type { FitDevice } from './device';
import { type Judgement, judge } from './judge';
import type { Placement } from './place';
import type { FitPolicy } from './policy';
import { type Room, roomIn, sitsAt } from './room';

/** How one kind of set finds one channel at a number. */
export interface Found {
  /** It talks there, and does not only listen. */
  readonly talks: boolean;
  /** How many more values have to be set there than where it would be cheapest to have it. */
  readonly extraFields: number;
}

/** Where one kind of set can have one channel. */
export interface Reached {
  /** It holds the channel, at whatever place. */
  readonly holds: boolean;
  /** The factory place that it keeps, whatever the number. */
  readonly home: Slot | null;
  readonly found: ReadonlyMap<number, Found>;
}

const TIER: Readonly<Record<Channel['tier'], number>> = { must: 3, should: 2, nice: 1 };
/** Who looks for a channel to talk looks in a hurry; who only listens has set it up before. */
const TALKING = 10;
/** Gains count double, so that half of one, the bonus for a number that stays, is a whole number too. */
const WHOLE = 2;

/**
 * What it is worth that one set finds a channel at a number, in points: by the channel's tier, ten times as much where it talks, half as
 * much again where the number stays, less a point for each value that has to be set for it. Common practice; the proportions are ours.
 */
export function worthOf(channel: Channel, { talks, extraFields }: Found, isLast: boolean): number {
  return TIER[channel.tier] * (talks ? TALKING : 1) * (isLast ? WHOLE + 1 : WHOLE) - extraFields;
}

/** What a number is worth by itself, in points, once for a channel: few figures are remembered and typed, round ones are said. */
export function easeOf(number: number): number {
  const short = number < 10 ? 6 : number < 100 ? 4 : number < 1000 ? 2 : 0;
  return short + (number > 0 && number % 10 === 0 ? 1 : 0);
}

/**
 * At which numbers a kind of set finds each channel of a plan, in its order: exactly those at which the fit puts it when the plan has that
 * number, and no other number has a say in it.
 */
export function reachOf(device: FitDevice, plan: Pick<Plan, 'channels'> & FitPolicy): Reached[] {
  const isCarried = ({ groupId }: Channel) => doesCarry(device.carriesGroups, groupId);
  const carried = plan.channels.filter(isCarried);
  const judged = new Map(carried.map((channel) => [channel.id, judge(device, channel, plan)]));
  const room = roomIn([...judged.values()], device, carried);
  return plan.channels.map(({ id }) => {
    const judgement = judged.get(id);
    if (!judgement) return { holds: false, home: null, found: new Map() };
    const home = room.homeOf.get(judgement.channel.id) ?? null;
    return {
      holds: room.holds.has(judgement.channel.id),
      home,
      found: foundOn(device, judgement, room),
    };
  });
}

function foundOn(device: FitDevice, judgement: Judgement, room: Room): Map<number, Found> {
  const found = new Map<number, Found>();
  const talks = judgement.outcome === 'talk';
  const home = room.homeOf.get(judgement.channel.id);
  const homeNumber = home && device.readAs.get(home.number);
  if (homeNumber !== undefined) found.set(homeNumber, { talks, extraFields: 0 });
  if (home || !room.holds.has(judgement.channel.id)) return found;
  const toWrite = fieldsToWrite(device, judgement);
  const fewest = judgement.slots.reduce(
    (least, slot) => (room.homes.has(slot.number) ? least : Math.min(least, toWrite(slot) ?? least)),
    Number.POSITIVE_INFINITY,
  );
  const sits = sitsAt(judgement, room);
  for (const slot of judgement.slots) {
    const number = device.readAs.get(slot.number);
    if (number !== undefined && sits(slot))
      found.set(number, { talks, extraFields: (toWrite(slot) ?? 0) - fewest });
  }
  return found;
}

/** How many values have to be set to have a channel in a slot; empty free slots of a region are alike. */
function fieldsToWrite({ filled, present, description }: FitDevice, { at }: Judgement) {
  const alike = new Map<string, number | undefined>();
  const factory = new Map<string, Native>(description.fields.map(({ id, factory }) => [id, factory]));
  const count = (placement: Placement | undefined, slot: Slot) => {
    if (!placement) return undefined;
    const there = present.slots.get(slot.number);
    return Object.entries(placement.values).filter(
      ([field, value]) => (there ? there[field] : factory.get(field)) !== value,
    ).length;
  };
  return (slot: Slot): number | undefined => {
    if (slot.fixed || filled.has(slot.number)) return count(at(slot), slot);
    if (!alike.has(slot.region.id)) alike.set(slot.region.id, count(at(slot), slot));
    return alike.get(slot.region.id);
  };
}
