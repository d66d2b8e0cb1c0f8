import type { Channel, Description, Plan, Unit } from '../model/index';
import { assign } from './assignment';
import type { FitDevice } from './device';
import { type FitPolicy, type Judgement, judge } from './judge';
import { unitKinds } from './kinds';

/** Devices that are alike, and how much they count: as many as there are, or as the group weighs them. */
export interface NumberingKind {
  readonly key: string;
  readonly device: FitDevice;
  readonly weight: number;
}

/** How a channel came to its number. */
export interface Numbered {
  readonly channelId: string;
  /** `null` where no two devices could share one, or nothing can hold the channel. */
  readonly number: number | null;
  /** The weight of the devices that find it there, and of those that can hold it at all. */
  readonly there: number;
  readonly able: number;
  readonly pinned: boolean;
  /** It has the number that it had before. */
  readonly kept: boolean;
  /** What the pin costs: how much more would be reached without it, in the units of `total`. */
  readonly price: number;
  /** The kinds that hold it at another number, by key. */
  readonly elsewhere: readonly string[];
}

export interface Numbering {
  readonly channels: readonly Numbered[];
  /** Σ of weight × value over the devices that find a channel at its number, with the bonus for numbers that stay. */
  readonly total: number;
  /** No numbering with these pins can have more. */
  readonly bound: number;
  /** The same sum if every device simply took its own first free slots, under one number for each channel. */
  readonly firstFit: number;
  readonly findings: readonly {
    readonly code: 'pin-impossible' | 'pin-twice';
    readonly channelId: string;
    readonly number: number;
  }[];
}

export interface NumberingWishes {
  /** The numbers of the last revision, by channel. */
  readonly last: Readonly<Record<string, number>>;
  /** Numbers that must be, by channel. */
  readonly pins: Readonly<Record<string, number>>;
}

/** What a channel is worth at the same place, by its tier. Common practice; the proportions are ours. */
const VALUE: Readonly<Record<Channel['tier'], number>> = { must: 3, should: 2, nice: 1 };
/** Gains count double, so that half of one, the bonus for a number that stays, is a whole number too. */
const WHOLE = 2;

/**
 * Chooses one number for each channel across a fleet, such that as many devices as possible (by weight and the channel's tier)
 * hold it at that number. Distinct numbers n(c); the gain of a channel at a number is the weight of the devices that can hold it
 * there times its value, doubled, plus half of that where it is the number of the last revision: a channel moves only when more
 * than half as much again is gained. The sum of gains is greatest, exactly, and the bound proves it.
 * Among numberings of the same sum, the channels that come first in the plan have the lower numbers.
 */
export function numberFleet(
  plan: Pick<Plan, 'channels'> & FitPolicy,
  kinds: readonly NumberingKind[],
  wishes: NumberingWishes,
): Numbering {
  const problem = numberingProblem(plan, kinds, wishes);
  const { gain, numbers, columnOfNumber, pinned } = problem;
  const best = solve(gain, numbers.length, pins(plan.channels, pinned.pins, columnOfNumber));
  const price = ({ id }: Channel) => {
    const { [id]: _, ...others } = pinned.pins;
    return solve(gain, numbers.length, pins(plan.channels, others, columnOfNumber)).total - best.total;
  };
  return {
    channels: numberedRows(problem, best.columnOf, wishes, price),
    total: best.total,
    bound: best.bound,
    firstFit: firstFitTotal(plan.channels, kinds, problem.reach),
    findings: pinned.findings,
  };
}

/** What is to be numbered: by channel, what it gains at each number, and who holds it there. */
export interface NumberingProblem {
  readonly channels: readonly Channel[];
  readonly kinds: readonly NumberingKind[];
  readonly reach: Reach;
  /** The numbers that can be chosen, ascending: the columns of `gain`. */
  readonly numbers: readonly number[];
  readonly columnOfNumber: ReadonlyMap<number, number>;
  readonly able: readonly ReadonlyMap<number, Holding>[];
  readonly gain: readonly (readonly number[])[];
  readonly pinned: {
    readonly pins: Readonly<Record<string, number>>;
    readonly findings: Numbering['findings'];
  };
}

/** Lays a plan, a fleet and wishes out as the gains of an assignment. */
export function numberingProblem(
  plan: Pick<Plan, 'channels'> & FitPolicy,
  kinds: readonly NumberingKind[],
  wishes: NumberingWishes,
): NumberingProblem {
  // By kind and channel, the numbers at which it can be held.
  const reach = kinds.map(({ device }) =>
    plan.channels.map((channel) => numbersFor(device, judge(device, channel, plan))),
  );
  const able = plan.channels.map((_, row) => holders(row, kinds, reach));
  const numbers = [
    ...new Set([...able.flatMap((byNumber) => [...byNumber.keys()]), ...Object.values(wishes.pins)]),
  ].sort((a, b) => a - b);
  return {
    channels: plan.channels,
    kinds,
    reach,
    numbers,
    columnOfNumber: new Map(numbers.map((number, column) => [number, column])),
    able,
    gain: plan.channels.map((channel, i) => gainsOf(channel, able[i] ?? new Map(), numbers, wishes.last)),
    pinned: readPins(plan.channels, wishes.pins, able),
  };
}

/** What an assignment of columns comes to, channel by channel. */
export function numberedRows(
  { channels, kinds, numbers, able, gain, pinned }: NumberingProblem,
  columnOf: readonly (number | undefined)[],
  wishes: NumberingWishes,
  priceOf: (channel: Channel) => number,
): Numbered[] {
  return channels.map((channel, row): Numbered => {
    const column = columnOf[row] ?? numbers.length;
    const holds = able[row] ?? new Map<number, Holding>();
    const all = new Set([...holds.values()].flatMap(({ keys }) => keys));
    const isPinned = channel.id in pinned.pins;
    const gains = (gain[row]?.[column] ?? 0) > 0 || isPinned;
    const number = column < numbers.length && gains ? (numbers[column] ?? null) : null;
    const at = number === null ? undefined : holds.get(number);
    return {
      channelId: channel.id,
      number,
      there: at?.weight ?? 0,
      able: kinds.filter(({ key }) => all.has(key)).reduce((sum, { weight }) => sum + weight, 0),
      pinned: isPinned,
      kept: number !== null && wishes.last[channel.id] === number,
      price: isPinned ? priceOf(channel) : 0,
      elsewhere: [...all].filter((key) => !at?.keys.includes(key)),
    };
  });
}

/** A fleet as it counts for the numbering: each kind as much as there are sets of it. Nobody looks for a number on a repeater. */
export function numberingKinds(
  units: readonly Unit[],
  descriptions: readonly Description[],
): NumberingKind[] {
  const kinds = unitKinds(units, descriptions).filter(({ description }) => description.kind !== 'repeater');
  return kinds.map(({ key, device, units: of }) => ({
    key,
    device,
    weight: of.length,
  }));
}

/** What a plan says of its numbers: the last ones, and which of them are held fast. */
export function numberingWishes({ numbering }: Pick<Plan, 'numbering'>): NumberingWishes {
  const last = numbering?.numbers ?? {};
  const pins = (numbering?.pins ?? []).flatMap((id) =>
    last[id] === undefined ? [] : [[id, last[id]] as const],
  );
  return { last, pins: Object.fromEntries(pins) };
}

interface Holding {
  readonly keys: string[];
  weight: number;
}

/** By kind and channel, memory numbers. */
type Reach = readonly (readonly (readonly number[])[])[];

/** For one channel: which kinds can hold it at which number. */
function holders(row: number, kinds: readonly NumberingKind[], reach: Reach): Map<number, Holding> {
  const found = new Map<number, Holding>();
  kinds.forEach(({ key, weight }, k) => {
    for (const number of reach[k]?.[row] ?? []) {
      const there = found.get(number) ?? { keys: [], weight: 0 };
      there.keys.push(key);
      there.weight += weight;
      found.set(number, there);
    }
  });
  return found;
}

/** The memory numbers at which a device can hold a channel. In a region whose slots are alike one answers for all of them. */
export function numbersFor(device: FitDevice, judgement: Judgement): number[] {
  if (judgement.outcome !== 'talk' && judgement.outcome !== 'listen') return [];
  const alike = new Map<string, boolean>();
  return judgement.slots.flatMap((slot) => {
    const isAlike =
      slot.region.content.kind === 'free' &&
      device.description.fields.every((f) => slot.settable.includes(f.id));
    if (!isAlike) return judgement.at(slot) ? [slot.number] : [];
    const known = alike.get(slot.region.id) ?? judgement.at(slot) !== undefined;
    alike.set(slot.region.id, known);
    return known ? [slot.number] : [];
  });
}

function gainsOf(
  channel: Channel,
  holds: ReadonlyMap<number, Holding>,
  numbers: readonly number[],
  last: Readonly<Record<string, number>>,
): number[] {
  const value = VALUE[channel.tier];
  return numbers.map((number) => {
    const weight = holds.get(number)?.weight ?? 0;
    return weight * value * (last[channel.id] === number ? WHOLE + 1 : WHOLE);
  });
}

/** Pins that can be: the first of two on one number, each on a number where some device can hold the channel. */
function readPins(
  channels: readonly Channel[],
  wanted: Readonly<Record<string, number>>,
  able: readonly ReadonlyMap<number, Holding>[],
): { pins: Record<string, number>; findings: Numbering['findings'] } {
  const pins: Record<string, number> = {};
  const findings: Numbering['findings'][number][] = [];
  const taken = new Set<number>();
  channels.forEach(({ id }, row) => {
    const number = wanted[id];
    if (number === undefined) return;
    if (taken.has(number)) findings.push({ code: 'pin-twice', channelId: id, number });
    else if (!able[row]?.has(number)) findings.push({ code: 'pin-impossible', channelId: id, number });
    else {
      taken.add(number);
      pins[id] = number;
    }
  });
  return { pins, findings };
}

function pins(
  channels: readonly Channel[],
  wanted: Readonly<Record<string, number>>,
  columnOfNumber: ReadonlyMap<number, number>,
): ReadonlyMap<number, number> {
  return new Map(
    channels.flatMap(({ id }, row) => {
      const column = wanted[id] === undefined ? undefined : columnOfNumber.get(wanted[id]);
      return column === undefined ? [] : [[row, column] as const];
    }),
  );
}

/**
 * The best assignment with some rows held to a column. Each row has a column besides where it gains nothing: a channel without a
 * common number. Sums of the same gain are told apart by the order of the plan, as far as whole numbers reach.
 */
function solve(
  gain: readonly (readonly number[])[],
  columns: number,
  held: ReadonlyMap<number, number>,
): { columnOf: readonly number[]; total: number; bound: number } {
  const rows = gain.length;
  const heldColumns = new Set(held.values());
  const most = gain.reduce((sum, row) => sum + row.reduce((a, b) => Math.max(a, b), 0), 0);
  // The least of Σ (rows − i) · column puts the first channels at the lowest numbers; it must never outweigh one unit of gain.
  const tieSpan = rows * rows * (columns + rows) + 1;
  const scale = most * tieSpan < Number.MAX_SAFE_INTEGER / 4 ? tieSpan : 1;
  const width = columns + rows;
  // More than all gains together, so that a pinned row never leaves its column and nobody else takes it.
  const never = -(most + 1) * scale * 2;
  const matrix = gain.map((row, i) =>
    Array.from({ length: width }, (_, j) => {
      if (held.has(i)) return held.get(i) === j ? (row[j] ?? 0) * scale : never;
      if (heldColumns.has(j)) return never;
      const tie = scale === 1 ? 0 : -(rows - i) * Math.min(j, columns);
      return (row[j] ?? 0) * scale + tie;
    }),
  );
  const { columnOf, bound } = assign(matrix, width);
  const total = columnOf.reduce((sum, column, row) => sum + (gain[row]?.[column] ?? 0), 0);
  // No assignment scores more than the bound; its ties take less than one unit of gain from it, so this many whole units at most.
  return { columnOf, total, bound: Math.floor((bound + scale - 1) / scale) };
}

/** What is reached when every device takes its own first slots: still the best single number for each channel among those. */
function firstFitTotal(channels: readonly Channel[], kinds: readonly NumberingKind[], reach: Reach): number {
  const takes = channels.map(() => new Map<number, number>());
  kinds.forEach(({ weight }, k) => {
    const used = new Set<number>();
    takes.forEach((take, row) => {
      const number = reach[k]?.[row]?.find((one) => !used.has(one));
      if (number === undefined) return;
      used.add(number);
      take.set(number, (take.get(number) ?? 0) + weight);
    });
  });
  const numbers = [...new Set(takes.flatMap((take) => [...take.keys()]))];
  const gain = channels.map(({ tier }, row) =>
    numbers.map((number) => (takes[row]?.get(number) ?? 0) * VALUE[tier] * WHOLE),
  );
  return solve(gain, numbers.length, new Map()).total;
}
