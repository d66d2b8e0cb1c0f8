import type { Service } from '../facts/index';
import { type Channel, type ChannelState, loadingDay, type Plan } from '../model/index';
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
 * @param options `said`, by channel, in which state the list of stations has it: where that is another one a change is proposed; `today` as YYYY-MM-DD, or the plan's day of loading after it, decides about licences that end; other tables than the shipped ones may be given
 */
export function reviewPlan(
  plan: Plan,
  options: {
    today?: string;
    tables?: readonly Service[];
    said?: Readonly<Record<string, ChannelState>>;
  } = {},
): PlanFinding[] {
  const { today, said = {} } = options;
  const day = today === undefined ? {} : { today: loadingDay(plan, today) };
  const context = { country: plan.country, licensed: plan.licensed, ...options, ...day };
  const place = new Map(plan.channels.map((channel, i) => [channel.id, i]));
  const found = [
    ...plan.channels.flatMap((channel) => [
      ...checkChannel(channel, plan, context),
      ...checkState(channel, said[channel.id]),
    ]),
    ...checkBetween(plan.channels),
  ].map((entry): PlanFinding => {
    const path = `/channels/${place.get(entry.channelId ?? '') ?? 0}`;
    return { ...entry, finding: { ...entry.finding, path } };
  });
  const at = (entry: PlanFinding) => place.get(entry.channelId ?? '') ?? 0;
  return found.sort((a, b) => ORDER[a.next] - ORDER[b.next] || at(a) - at(b));
}

/**
 * A channel whose repeater went on the air, is not there yet or is gone, as the list of stations has it: the plan may follow. One that the group
 * withdrew is its own decision, whatever the repeater does.
 */
function checkState(channel: Channel, said: ChannelState | undefined): PlanFinding[] {
  const { state } = channel;
  if (said === undefined || said === state || state === 'withdrawn') return [];
  return [
    {
      finding: { code: 'state-differs', severity: 'note', state, said },
      channelId: channel.id,
      next: 'look',
      repair: { code: 'as-said', channel: { ...channel, state: said } },
    },
  ];
}
