import { type Fit, fitDevice, fitPlan, wantedBy } from './fit/index';
import { withWanted } from './memory/index';
import {
  type Description,
  factoryMemory,
  isOnAir,
  type Memory,
  numbersWith,
  type Plan,
  slotReader,
  slotsOf,
  wantedInScan,
} from './model/index';
import {
  roundTimes,
  type ScannedPlace,
  type Stop,
  scanOf,
  scanReport,
  timingOf,
  type Wish,
} from './procedure/index';

/** An hour: no call is longer, in seconds. */
export const MOST_CALL_S = 3600;

/** What a scan makes of one channel of a plan: its place, and the chance to miss a call there; `null` where the set does not scan it. */
export interface ChannelScanned {
  readonly channelId: string;
  readonly name: string;
  readonly place: ScannedPlace | null;
}

/** A plan on a set that scans: how long a round takes (milliseconds), and what it misses. */
export interface PlanScanned {
  readonly roundMs: number;
  /** How many places it goes round, those of the plan and all others. */
  readonly stops: readonly Stop[];
  readonly channels: readonly ChannelScanned[];
}

/** A kind of set as it scans once it is loaded: `null` where it does not scan, or nobody knows how. @param callMs how long a call is */
export function scanOfPlan(plan: Plan, description: Description, callMs: number): PlanScanned | null {
  const { fit, memory } = loadedWith(plan, description);
  return scanOfMemory(plan, description, fit, memory, callMs);
}

/** The same for a set with this in its memory. */
export function scanOfMemory(
  plan: Pick<Plan, 'channels'>,
  description: Description,
  { cells }: Pick<Fit, 'cells'>,
  memory: Memory,
  callMs: number,
): PlanScanned | null {
  const stops = scanOf(description, memory);
  const report = scanReport(description, stops, callMs);
  if (!report) return null;
  const places = new Map(report.places.map((place) => [place.number, place]));
  const slots = new Map(cells.map(({ channelId, slot }) => [channelId, slot?.number ?? -1]));
  return {
    roundMs: report.roundMs,
    stops,
    channels: plan.channels.map(({ id, name }) => ({
      channelId: id,
      name,
      place: places.get(slots.get(id) ?? -1) ?? null,
    })),
  };
}

/** How much each place that a scan comes by matters to a plan, in the order of the stops. */
export function scanWishes(
  plan: Pick<Plan, 'channels'>,
  description: Description,
  { cells }: Pick<Fit, 'cells'>,
  stops: readonly Stop[],
): Wish[] {
  const mark = description.fields.find(({ holds }) => holds === 'inScan');
  const slots = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
  const byId = new Map(plan.channels.map((channel) => [channel.id, channel]));
  return stops.map(({ number }) => {
    const channels = cells.flatMap(({ slot, channelId }) =>
      slot !== null && slot.number === number ? (byId.get(channelId) ?? []) : [],
    );
    const isMust = channels.some(
      (channel) => channel.tier === 'must' || wantedInScan(channel) === 'priority',
    );
    const weight = Math.max(0, ...channels.map(({ tier }) => WEIGHT[tier]));
    const canLeaveOut = mark !== undefined && (slots.get(number ?? -1)?.settable.includes(mark.id) ?? false);
    return { isMust, weight, canLeaveOut };
  });
}

/** A place that no channel of the plan is at weighs nothing. */
const WEIGHT = { must: 3, should: 2, nice: 1 } as const;

/** A part of a set's places that can be scanned by itself, and how long a round of it takes. */
export interface BankScanned {
  readonly name: string;
  readonly count: number;
  readonly roundMs: number;
}

/** The stops of a scan by bank or scan list, in the set's order. */
function banksOf(description: Description, memory: Memory, stops: readonly Stop[]): Map<string, Stop[]> {
  const read = slotReader(description);
  const banks = new Map<string, Stop[]>();
  for (const slot of slotsOf(description)) {
    const stop = stops.find(({ number }) => number === slot.number);
    if (!stop) continue;
    const content = read(slot, memory.slots.get(slot.number) ?? null);
    const list =
      content && isOnAir(content) && typeof content.inScan === 'number'
        ? `list ${content.inScan}`
        : undefined;
    const name = list ?? slot.bankName;
    banks.set(name, [...(banks.get(name) ?? []), stop]);
  }
  return banks;
}

/** The banks of a set, or its scan lists, each as if it alone were on; empty where it has one only. */
export function scanByBank(description: Description, memory: Memory, stops: readonly Stop[]): BankScanned[] {
  const { scan } = description;
  const banks = banksOf(description, memory, stops);
  if (typeof scan !== 'object' || banks.size < 2) return [];
  return [...banks].map(([name, those]) => ({
    name,
    count: those.length,
    roundMs: Math.round(roundTimes(those, timingOf(scan)).roundMs),
  }));
}

/** A kind of set once a plan is loaded: its fit, and what its memory then holds. */
export function loadedWith(plan: Plan, description: Description): { fit: Fit; memory: Memory } {
  const fit = fitPlan(plan, fitDevice(description), numbersWith(plan));
  return { fit, memory: withWanted(description, factoryMemory(description), wantedBy(fit.image)) };
}

/** What it takes to hear one group of a plan: which banks have to be on, and what a scan over those misses of it. */
export interface ThemeScanned {
  readonly groupId: string;
  readonly name: string;
  /** Names of the banks, or of the scan lists, that have to be on. */
  readonly banks: readonly string[];
  /** How many places are scanned then, and how many of them are of the group. */
  readonly count: number;
  readonly own: number;
  readonly roundMs: number;
  /** The chance to miss a call at the worst of the group’s places. */
  readonly worst: number;
}

/** For each group of a plan the banks that have to be on to hear it, the others off; groups that are not scanned are left out. @param callMs how long a call is */
export function scanByTheme(
  plan: Pick<Plan, 'channels' | 'groups'>,
  description: Description,
  { fit, memory }: { readonly fit: Pick<Fit, 'cells'>; readonly memory: Memory },
  stops: readonly Stop[],
  callMs: number,
): ThemeScanned[] {
  const banks = banksOf(description, memory, stops);
  if (banks.size < 2) return [];
  const groupOf = new Map(plan.channels.map(({ id, groupId }) => [id, groupId]));
  return plan.groups.flatMap(({ id: groupId, name }): ThemeScanned[] => {
    const own = new Set(
      fit.cells.flatMap(({ channelId, slot }) =>
        slot && groupOf.get(channelId) === groupId ? [slot.number] : [],
      ),
    );
    const on = [...banks].filter(([, those]) =>
      those.some(({ number }) => number !== null && own.has(number)),
    );
    const scanned = on.flatMap(([, those]) => those);
    const report = on.length > 0 ? scanReport(description, scanned, callMs) : null;
    if (!report) return [];
    const misses = report.places.flatMap(({ number, missChance }) => (own.has(number) ? [missChance] : []));
    return [
      {
        groupId,
        name,
        banks: on.map(([bank]) => bank),
        count: scanned.length,
        own: misses.length,
        roundMs: report.roundMs,
        worst: Math.max(0, ...misses),
      },
    ];
  });
}
