import type { Plan } from '../model/index';
import type { RuleContext } from '../rules/index';

/** How a fit can end for one channel on one device; `apart` where the device does not carry the channel's group, or the plan leaves it out since it is not on the air. */
export type Verdict = 'full' | 'adapted' | 'listen' | 'no' | 'unknown' | 'apart';

/** What of a plan the fit of one channel depends on, beside the channel itself. */
export type FitPolicy = Pick<Plan, 'receivePolicy' | 'withoutRight'> & RuleContext;

/** Whether whoever holds a set may send on a channel with it, by what the fit made of that. */
export function sendsBy(verdict: Verdict): boolean | 'unknown' {
  return verdict === 'unknown' ? verdict : verdict === 'full' || verdict === 'adapted';
}
