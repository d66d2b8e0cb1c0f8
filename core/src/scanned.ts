import { type Fit, fitDevice, fitPlan, wantedBy } from './fit/index';
import { withWanted } from './memory/index';
import { type Description, factoryMemory, type Memory, numbersWith, type Plan } from './model/index';
import { type ScannedPlace, type Stop, scanOf, scanReport } from './procedure/index';

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
  const device = fitDevice(description);
  const fit = fitPlan(plan, device, numbersWith(plan));
  const memory = withWanted(description, factoryMemory(description), wantedBy(fit.image));
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
