import type { Channel, Description, Plan } from '../model/index';
import type { HeldLicence } from './person';
import { transmitRule } from './transmit';

/** On how many of a plan's channels somebody may transmit with the sets they hold. */
export interface MayTalk {
  readonly talk: number;
  readonly unknown: number;
  /** Channels that the plan talks on at all. */
  readonly of: number;
}

/**
 * Counts the channels on which a person may transmit with at least one of their kinds of set, by the rules. That the rules
 * allow it does not say that the set can; that is the fit's.
 * @param today as YYYY-MM-DD
 */
export function mayTalkOn(
  licences: readonly HeldLicence[],
  devices: readonly Pick<Description, 'certifiedFor' | 'station'>[],
  plan: Pick<Plan, 'channels' | 'country' | 'licensed'>,
  today: string,
): MayTalk {
  const context = { country: plan.country, licensed: plan.licensed, today };
  const talking = plan.channels.filter((channel) => channel.transmitHz !== null);
  const answers = talking.map((channel: Channel) => {
    const rules = devices.map((device) => transmitRule(channel, device, context, licences).may);
    if (rules.includes('transmit')) return 'transmit';
    return rules.includes('unknown') ? 'unknown' : 'listen';
  });
  return {
    talk: answers.filter((may) => may === 'transmit').length,
    unknown: answers.filter((may) => may === 'unknown').length,
    of: talking.length,
  };
}
