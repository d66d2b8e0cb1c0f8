import type { PlanFinding, Repair } from './finding';

/** One thing to say, with every channel it is said of, and the repairs that mend it, one a channel. */
export interface GatheredFinding {
  readonly first: PlanFinding;
  readonly channelIds: readonly string[];
  readonly repairs: readonly Repair[];
}

/** Gathers findings that say the very same of several channels and are mended alike, in the order of the first of each. */
export function gatherFindings(found: readonly PlanFinding[]): GatheredFinding[] {
  const gathered = new Map<string, { first: PlanFinding; channelIds: string[]; repairs: Repair[] }>();
  for (const entry of found) {
    const { path: _, ...said } = entry.finding;
    const key = JSON.stringify([said, entry.repair?.code]);
    const there = gathered.get(key) ?? { first: entry, channelIds: [], repairs: [] };
    if (entry.channelId !== null) there.channelIds.push(entry.channelId);
    if (entry.repair) there.repairs.push(entry.repair);
    gathered.set(key, there);
  }
  return [...gathered.values()];
}
