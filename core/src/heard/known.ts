import { kindOf, type Plan, type Station } from '../model/index';
import { factOf } from '../stations/index';
import type { LineKnown } from './items';
import type { Roster } from './who';

/** What a line of the log may name, by a plan, its sets and people, and the list of stations. */
export function namesOfLog(
  { channels }: Pick<Plan, 'channels'>,
  roster: Roster,
  stations: readonly Station[],
): Pick<LineKnown, 'channels' | 'roster' | 'stations'> {
  return {
    channels: channels.map((channel) => ({
      id: channel.id,
      name: channel.name,
      aliases: channel.aliases,
      kind: kindOf(channel),
    })),
    roster: {
      units: roster.units.map(({ id, nickname, personId }) => ({ id, nickname, personId })),
      people: roster.people.map(({ id, name }) => ({ id, name })),
    },
    stations: stations.flatMap((station) => {
      if (station.kind !== 'repeater') return [];
      const outputHz = factOf(station, 'outputHz');
      const on = channels.filter((one) => kindOf(one) === 'repeater' && one.receiveHz === outputHz);
      return [{ name: station.name, channelIds: on.map(({ id }) => id) }];
    }),
  };
}
