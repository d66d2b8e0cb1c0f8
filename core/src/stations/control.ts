import { bareChannel, type Channel, type Plan, type Station } from '../model/index';
import { mhzText } from '../units/index';
import { factOf } from './view';

const LONGEST_NAME = 40;

/**
 * The control channels of a trunked site as channels of a plan, those left out that the plan has already. Whether the site is heard
 * where the group is stays unknown until somebody has listened.
 * @param newId gives each its id
 */
export function controlChannels(
  station: Station,
  plan: { readonly channels: readonly Pick<Channel, 'receiveHz' | 'trunk'>[]; readonly groupId: string },
  newId: () => string,
): Channel[] {
  const there = new Set(
    plan.channels.filter(({ trunk }) => trunk !== null).map(({ receiveHz }) => receiveHz),
  );
  return (factOf(station, 'controlHz') ?? [])
    .filter((hz) => !there.has(hz))
    .map((hz): Channel => {
      const tail = ` ${mhzText(hz)}`;
      return {
        ...bareChannel({
          name: station.name.slice(0, LONGEST_NAME - tail.length) + tail,
          receiveHz: hz,
          transmitHz: null,
          mode: 'digital',
          tier: 'nice',
          trunk: { network: station.name.slice(0, LONGEST_NAME), carries: 'control', isLocal: 'unknown' },
        }),
        id: newId(),
        groupId: plan.groupId,
      };
    });
}

/** What of a plan `controlChannels` looks at. */
export function controlContext({ channels, groups }: Pick<Plan, 'channels' | 'groups'>): {
  channels: Pick<Channel, 'receiveHz' | 'trunk'>[];
  groupId: string;
} {
  return {
    channels: channels.map(({ receiveHz, trunk }) => ({ receiveHz, trunk })),
    groupId: groups[0]?.id ?? '',
  };
}
