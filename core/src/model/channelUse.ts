import type { Channel } from './channel';
import type { Plan } from './plan';

// No schema in here: a page that only shows channels does not wait for the library of schemas.

/**
 * What scanning sets shall do with a channel. A broadcast never falls silent, so that a scan would stay on it: the usual is to leave it
 * out. Common practice, no published source.
 */
export function wantedInScan({
  scan,
  service,
}: Pick<Channel, 'scan' | 'service'>): 'in' | 'out' | 'priority' {
  if (scan !== 'usual') return scan;
  return service === 'weather' ? 'out' : 'in';
}

/** How a channel is used, read off its frequencies. */
export function kindOf(channel: Pick<Channel, 'receiveHz' | 'transmitHz'>): 'repeater' | 'direct' | 'listen' {
  if (channel.transmitHz === null) return 'listen';
  return channel.transmitHz === channel.receiveHz ? 'direct' : 'repeater';
}

/**
 * The tone a set must wait for on this channel under the plan's and the channel's own policy: `off` where it is open,
 * `unknown` where nobody knows what is sent to us and the policy is closed.
 */
export function wantedReceiveTone(channel: Channel, planPolicy: Plan['receivePolicy']): string {
  const policy = channel.receivePolicy === 'plan' ? planPolicy : channel.receivePolicy;
  return policy === 'open' ? 'off' : channel.receiveTone;
}
