import type { Person, Station, Unit } from './model/index';
import type { Grounds, Pair, Sender } from './rules/index';
import { factOf, isRefused } from './stations/index';

/** What is known of a fleet’s people, and of the repeaters around, on a day (YYYY-MM-DD). */
export function groundsOf(
  units: readonly Pick<Unit, 'id' | 'personId' | 'roleId'>[],
  people: readonly Pick<Person, 'id' | 'licences' | 'teamIds'>[],
  stations: readonly Station[],
  day: string,
): Grounds {
  const each = units.map((unit) => [unit.id, whoSendsWith(unit, people, day)] as const);
  return { day, each: Object.fromEntries(each), refused: refusedPairs(stations, day) };
}

/** A set's holder; of a set that no one person holds, everybody of the team that carries it. */
function whoSendsWith(
  { personId, roleId }: Pick<Unit, 'personId' | 'roleId'>,
  people: readonly Pick<Person, 'id' | 'licences' | 'teamIds'>[],
  day: string,
): Sender['each'] {
  const them =
    personId !== null
      ? people.filter(({ id }) => id === personId)
      : people.filter(({ teamIds }) => roleId !== null && teamIds.includes(roleId));
  // Somebody who holds it and cannot be read has no licence that is known.
  if (them.length === 0) return personId === null ? null : [[]];
  return them.map(({ licences }) =>
    licences.map(({ service, holds, expires }) => ({
      service,
      holds,
      // Of one that is good that day nothing more is asked: sets whose holders may do the same fit alike.
      expires: expires === 'unknown' || expires < day ? expires : day,
    })),
  );
}

/** The pairs on which every repeater that is listed has refused, or gave leave that has ended. */
function refusedPairs(stations: readonly Station[], day: string): Pair[] {
  const byPair = new Map<string, { pair: Pair; isOpen: boolean }>();
  for (const station of stations) {
    const pair = pairOf(station);
    if (!pair) continue;
    const key = `${pair.receiveHz} ${pair.transmitHz}`;
    const isOpen = (byPair.get(key)?.isOpen ?? false) || !isRefused(station.permission, day);
    byPair.set(key, { pair, isOpen });
  }
  return [...byPair.values()].flatMap(({ pair, isOpen }) => (isOpen ? [] : [pair]));
}

function pairOf(station: Station): Pair | undefined {
  const [receiveHz, transmitHz] = [factOf(station, 'outputHz'), factOf(station, 'inputHz')];
  return receiveHz === undefined || transmitHz === undefined ? undefined : { receiveHz, transmitHz };
}
