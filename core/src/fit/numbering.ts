import { type Channel, type Description, holdsOnePair, type Plan, type Unit } from '../model/index';
import type { Grounds, NO_GROUNDS } from '../rules/index';
import { assign } from './assignment';
import type { FitDevice } from './device';
import { fitPlan } from './fit';
import { unitKinds } from './kinds';
import type { FitPolicy } from './policy';
import { easeOf, type Reached, reachOf, worthOf } from './worth';

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
  /** How many of those there can talk. */
  readonly talking: number;
  /** The kinds that hold it at another place, by key, and the label of the factory place that it keeps there. */
  readonly elsewhere: readonly { readonly key: string; readonly home: string | null }[];
}

/** One number for each channel across the fleet, and what it was weighed by. */
export interface Numbering {
  readonly channels: readonly Numbered[];
  /** Σ over the channels of what the sets gain that find it at its number, and of what the number is worth by itself, in points. */
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

/** What a numbering keeps to: the last numbers, and those that somebody holds fast. */
export interface NumberingWishes {
  /** The numbers of the last revision, by channel. */
  readonly last: Readonly<Record<string, number>>;
  /** Numbers that must be, by channel. */
  readonly pins: Readonly<Record<string, number>>;
}

/**
 * Chooses one number for each channel across a fleet, such that as many people as possible read it on the set in their hand. Distinct
 * numbers n(c); the gain of a channel at a number is what it is worth to the sets on which the fit puts it where that number is read
 * (`worthOf`), plus what the number is worth by itself. A channel moves from its last number only when more than half as much again is
 * gained. The sum of gains is greatest, exactly, and the bound proves it. Sets keep factory places that already are the channel.
 * Among numberings of the same sum, the channels that come first in the plan have the lower numbers.
 */
export function numberFleet(
  plan: Pick<Plan, 'channels'> & FitPolicy,
  kinds: readonly NumberingKind[],
  wishes: NumberingWishes,
): Numbering {
  const problem = numberingProblem(plan, kinds, wishes);
  const { pinned } = problem;
  const best = solveHeld(problem, pinned.pins);
  const price = ({ id }: Channel) => {
    const { [id]: _, ...others } = pinned.pins;
    return solveHeld(problem, others).total - best.total;
  };
  return {
    channels: numberedRows(problem, best.columnOf, wishes, price),
    total: best.total,
    bound: best.bound,
    firstFit: firstFitTotal(plan, kinds, problem, wishes.last),
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
  const reach = kinds.map(({ device }) => reachOf(device, plan));
  const found = plan.channels.map(
    (_, row) => new Set(reach.flatMap((ofKind) => [...(ofKind[row]?.found.keys() ?? [])])),
  );
  const numbers = [
    ...new Set([...found.flatMap((ofChannel) => [...ofChannel]), ...Object.values(wishes.pins)]),
  ].sort((a, b) => a - b);
  return {
    channels: plan.channels,
    kinds,
    reach,
    numbers,
    columnOfNumber: new Map(numbers.map((number, column) => [number, column])),
    gain: plan.channels.map((channel, row) => gainsOf(channel, row, kinds, reach, numbers, wishes.last)),
    pinned: readPins(plan.channels, wishes.pins, found),
  };
}

/** What an assignment of columns comes to, channel by channel. */
export function numberedRows(
  { channels, kinds, reach, numbers, gain, pinned }: NumberingProblem,
  columnOf: readonly (number | undefined)[],
  wishes: NumberingWishes,
  priceOf: (channel: Channel) => number,
): Numbered[] {
  return channels.map((channel, row): Numbered => {
    const column = columnOf[row] ?? numbers.length;
    const isPinned = channel.id in pinned.pins;
    const gains = (gain[row]?.[column] ?? 0) > 0 || isPinned;
    const number = column < numbers.length && gains ? (numbers[column] ?? null) : null;
    const held = kinds.flatMap(({ key, weight }, k) => {
      const reached = reach[k]?.[row];
      if (!reached?.holds) return [];
      const found = number === null ? undefined : reached.found.get(number);
      return [{ key, weight, home: reached.home?.label ?? null, found }];
    });
    const weigh = (those: typeof held) => those.reduce((sum, { weight }) => sum + weight, 0);
    return {
      channelId: channel.id,
      number,
      there: weigh(held.filter(({ found }) => found)),
      talking: weigh(held.filter(({ found }) => found?.talks)),
      able: weigh(held),
      pinned: isPinned,
      kept: number !== null && wishes.last[channel.id] === number,
      price: isPinned ? priceOf(channel) : 0,
      elsewhere: held.flatMap(({ key, home, found }) => (found ? [] : [{ key, home }])),
    };
  });
}

/** A fleet as it counts for the numbering: each kind as much as there are sets of it. Nobody looks for a number on a repeater. */
export function numberingKinds(
  units: readonly Unit[],
  descriptions: readonly Description[],
  grounds: Grounds | typeof NO_GROUNDS,
  plan: Partial<Pick<Plan, 'carried'>>,
): NumberingKind[] {
  const kinds = unitKinds(units, descriptions, grounds, plan).filter(
    ({ description }) => !holdsOnePair(description),
  );
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

/** By kind and channel, where it can be found. */
type Reach = readonly (readonly Reached[])[];

/** What a channel is worth at each number: what every set gains that finds it there, and what the number is worth by itself. */
function gainsOf(
  channel: Channel,
  row: number,
  kinds: readonly NumberingKind[],
  reach: Reach,
  numbers: readonly number[],
  last: Readonly<Record<string, number>>,
): number[] {
  return numbers.map((number) => {
    let sum = 0;
    let isFound = false;
    kinds.forEach(({ weight }, k) => {
      const found = reach[k]?.[row]?.found.get(number);
      if (!found) return;
      isFound = true;
      sum += weight * worthOf(channel, found, last[channel.id] === number);
    });
    return isFound ? sum + easeOf(number) : 0;
  });
}

/** Pins that can be: the first of two on one number, each on a number where some device can hold the channel. */
function readPins(
  channels: readonly Channel[],
  wanted: Readonly<Record<string, number>>,
  found: readonly ReadonlySet<number>[],
): { pins: Record<string, number>; findings: Numbering['findings'] } {
  const pins: Record<string, number> = {};
  const findings: Numbering['findings'][number][] = [];
  const taken = new Set<number>();
  channels.forEach(({ id }, row) => {
    const number = wanted[id];
    if (number === undefined) return;
    if (taken.has(number)) findings.push({ code: 'pin-twice', channelId: id, number });
    else if (!found[row]?.has(number)) findings.push({ code: 'pin-impossible', channelId: id, number });
    else {
      taken.add(number);
      pins[id] = number;
    }
  });
  return { pins, findings };
}

/** The best numbering of a problem with some channels held to a number that is among its numbers. */
export function solveHeld(
  { channels, gain, numbers, columnOfNumber }: NumberingProblem,
  wanted: Readonly<Record<string, number>>,
): { columnOf: readonly number[]; total: number; bound: number } {
  const held = channels.flatMap(({ id }, row) => {
    const column = wanted[id] === undefined ? undefined : columnOfNumber.get(wanted[id]);
    return column === undefined ? [] : [[row, column] as const];
  });
  return solve(gain, numbers.length, new Map(held));
}

/** The numbers of a numbering by channel, as a plan keeps them. */
export function numbersOf({ channels }: Pick<Numbering, 'channels'>): Record<string, number> {
  return Object.fromEntries(
    channels.flatMap(({ channelId, number }) => (number === null ? [] : [[channelId, number]])),
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
      // Where it gains nothing it has no number, and keeps none from the others.
      const gains = row[j] ?? 0;
      const tie = scale === 1 ? 0 : -(rows - i) * (gains > 0 ? j : columns);
      return gains * scale + tie;
    }),
  );
  const { columnOf, bound } = assign(matrix, width);
  const total = columnOf.reduce((sum, column, row) => sum + (gain[row]?.[column] ?? 0), 0);
  // No assignment scores more than the bound; its ties take less than one unit of gain from it, so this many whole units at most.
  return { columnOf, total, bound: Math.floor((bound + scale - 1) / scale) };
}

/** What is reached when every device takes its own first slots: still the best single number for each channel among those. */
function firstFitTotal(
  plan: Pick<Plan, 'channels'> & FitPolicy,
  kinds: readonly NumberingKind[],
  { numbers, reach }: NumberingProblem,
  last: NumberingWishes['last'],
): number {
  const taken = kinds.map(({ device }, k) => {
    return fitPlan(plan, device).cells.map(({ slot }, row): Reached => {
      const number = slot ? device.readAs.get(slot.number) : undefined;
      const reached = reach[k]?.[row];
      const found = number === undefined ? undefined : reached?.found.get(number);
      return { holds: true, home: null, found: new Map(found ? [[number as number, found]] : []) };
    });
  });
  const isTaken = new Set(taken.flatMap((ofKind) => ofKind.flatMap(({ found }) => [...found.keys()])));
  const used = numbers.filter((number) => isTaken.has(number));
  const gain = plan.channels.map((channel, row) => gainsOf(channel, row, kinds, taken, used, last));
  return solve(gain, used.length, new Map()).total;
}
