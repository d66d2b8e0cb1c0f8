import type { Service } from '../facts/index';
import { loadingDay, type Plan } from '../model/index';
import { checkBetween } from './between';
import { checkChannel } from './channel';
import type { NextMove, PlanFinding } from './finding';

export { neighbours } from './between';
export type { NextMove, PlanFinding, Repair } from './finding';
export * from './gather';
export * from './radioCheck';

const ORDER: Readonly<Record<NextMove, number>> = { fix: 0, ask: 1, look: 2, know: 3 };

/**
 * Reviews a whole plan before anybody programs it: what must be mended, whom to ask, what to look at, what to know. In that
 * order, then in the plan's.
 * @param options `today` as YYYY-MM-DD, or the plan's day of loading after it, decides about licences that end; other tables than the shipped ones may be given
 */
export function reviewPlan(
  plan: Plan,
  options: { today?: string; tables?: readonly Service[] } = {},
): PlanFinding[] {
  const { today } = options;
  const day = today === undefined ? {} : { today: loadingDay(plan, today) };
  const context = { country: plan.country, licensed: plan.licensed, ...options, ...day };
  const place = new Map(plan.channels.map((channel, i) => [channel.id, i]));
  const found = [
    ...plan.channels.flatMap((channel) => checkChannel(channel, plan, context)),
    ...checkBetween(plan.channels),
  ].map((entry): PlanFinding => {
    const path = `/channels/${place.get(entry.channelId ?? '') ?? 0}`;
    return { ...entry, finding: { ...entry.finding, path } };
  });
  const at = (entry: PlanFinding) => place.get(entry.channelId ?? '') ?? 0;
  return found.sort((a, b) => ORDER[a.next] - ORDER[b.next] || at(a) - at(b));
}
