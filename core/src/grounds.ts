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
  return { day, each: Object.fromEntries(each), ...byKeepersWord(stations, day) };
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

/**
 * The pairs of repeaters that may not be used: every keeper that is listed has refused, or gave leave that has ended. And those of which
 * nobody knows yet: nobody was asked, or nobody has answered.
 */
function byKeepersWord(stations: readonly Station[], day: string): Pick<Grounds, 'refused' | 'unsettled'> {
  const byPair = new Map<string, { pair: Pair; words: Set<ReturnType<typeof keepersWord>> }>();
  for (const station of stations) {
    const pair = pairOf(station);
    if (!pair) continue;
    const key = `${pair.receiveHz} ${pair.transmitHz}`;
    const there = byPair.get(key) ?? { pair, words: new Set() };
    there.words.add(keepersWord(station.permission, day));
    byPair.set(key, there);
  }
  const those = (word: 'refused' | 'unsettled') =>
    [...byPair.values()].flatMap(({ pair, words }) => {
      const best = words.has('settled') ? 'settled' : words.has('unsettled') ? 'unsettled' : 'refused';
      return best === word ? [pair] : [];
    });
  return { refused: those('refused'), unsettled: those('unsettled') };
}

function keepersWord(permission: Station['permission'], day: string): 'settled' | 'unsettled' | 'refused' {
  if (isRefused(permission, day)) return 'refused';
  return permission.state === 'unknown' || permission.state === 'asked' ? 'unsettled' : 'settled';
}

function pairOf(station: Station): Pair | undefined {
  const [receiveHz, transmitHz] = [factOf(station, 'outputHz'), factOf(station, 'inputHz')];
  return receiveHz === undefined || transmitHz === undefined ? undefined : { receiveHz, transmitHz };
}
