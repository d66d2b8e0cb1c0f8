import type { Finding } from '../findings/index';
import { type Channel, holdsOnePair, kindOf, type Slot } from '../model/index';
import type { FitDevice } from './device';

/** A channel as a set has to hold it, or why it is nothing for this set before anything else is asked. */
export type Belonging =
  | { readonly as: Channel }
  | { readonly outcome: 'no' | 'unknown'; readonly reason: Finding };

/**
 * Whether a channel is anything for a set. Of a trunked network only the control channel of the tower that is heard here counts,
 * and only on a set that follows networks: it tells where the calls are. A repeater holds the pair that it carries and no other,
 * the other way round: it listens where our sets send.
 */
export function belonging(device: FitDevice, channel: Channel): Belonging {
  const { trunk } = channel;
  if (trunk) {
    const { network } = trunk;
    const no = (code: 'trunk-not-here' | 'trunk-calls' | 'tower-not-local'): Belonging => ({
      outcome: 'no',
      reason: { code, severity: 'note', network },
    });
    if (!device.description.regions.some(({ towers }) => towers)) return no('trunk-not-here');
    if (trunk.carries === 'calls') return no('trunk-calls');
    if (trunk.isLocal === false) return no('tower-not-local');
    if (trunk.isLocal === 'unknown')
      return { outcome: 'unknown', reason: { code: 'tower-unknown', severity: 'warning', network } };
    return { as: channel };
  }
  if (device.description.regions.every(({ towers }) => towers))
    return { outcome: 'no', reason: { code: 'only-networks', severity: 'note' } };
  if (!holdsOnePair(device.description)) return { as: channel };
  if (kindOf(channel) !== 'repeater')
    return { outcome: 'no', reason: { code: 'not-its-pair', severity: 'note' } };
  if (device.carries === null)
    return { outcome: 'unknown', reason: { code: 'pair-unknown', severity: 'warning' } };
  if (device.carries !== channel.id)
    return { outcome: 'no', reason: { code: 'not-its-pair', severity: 'note' } };
  return { as: otherWayRound(channel) };
}

/** A pair as its repeater has it. It waits for what our sets send, whatever they wait for themselves. */
function otherWayRound(channel: Channel): Channel {
  return {
    ...channel,
    receiveHz: channel.transmitHz ?? channel.receiveHz,
    transmitHz: channel.receiveHz,
    receiveTone: channel.transmitTone,
    transmitTone: channel.receiveTone,
    receivePolicy: 'closed',
  };
}

/** Keeps the blocks of a set apart by network: each holds towers of one alone, and each network has one block. */
export class NetworkBlocks {
  private readonly networkOf = new Map<number, string>();
  private readonly blockOf = new Map<string, number>();

  constructor(private readonly device: FitDevice) {}

  /** Whether a channel may go to a place, as far as networks are concerned. A block that its holder filled is left to them. */
  allows({ trunk, receiveHz }: Channel, { bank, number }: Slot): boolean {
    if (!trunk) return true;
    const block = this.blockOf.get(trunk.network);
    if (block !== undefined) return block === bank;
    if (this.networkOf.has(bank)) return false;
    const there = this.device.slots.filter((slot) => slot.bank === bank);
    const filled = there.filter((slot) => this.device.filled.has(slot.number));
    return filled.length === 0 || this.device.filled.get(number) === receiveHz;
  }

  take({ trunk }: Channel, { bank }: Pick<Slot, 'bank'>): void {
    if (!trunk) return;
    this.networkOf.set(bank, trunk.network);
    this.blockOf.set(trunk.network, bank);
  }
}
