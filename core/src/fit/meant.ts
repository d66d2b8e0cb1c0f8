import type { Channel, Slot } from '../model/index';

/** Whether a place is meant for what a channel is: control channels of networks and all others never share a region. */
export function isMeantFor({ region }: Slot, { trunk }: Pick<Channel, 'trunk'>): boolean {
  return (region.towers === true) === (trunk !== null);
}
