import { masked } from '../fields/index';
import { headOf, type Plan } from '../model/index';

/**
 * A plan as those may see it who are not members: tones that the group keeps to itself are gone, and stand as unknown. A
 * tone that is kept secret is no security: anybody with a receiver can find it out.
 */
export function maskSecretTones(plan: Plan): Plan {
  return {
    ...plan,
    ...masked('plan', headOf(plan)),
    channels: plan.channels.map((channel) => masked('channel', channel)),
  };
}
