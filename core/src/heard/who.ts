import type { Person, Unit } from '../model/index';
import { alike } from '../units/index';

/** Those who may be meant by a name: sets, and people by the sets that they hold. */
export interface Roster {
  /** Sets that talk and listen. */
  readonly units: readonly Pick<Unit, 'id' | 'nickname' | 'personId'>[];
  readonly people: readonly Pick<Person, 'id' | 'name'>[];
}

/** Which set is meant by a name, and by what: its own name, or that of the one who holds no other. `null` where that is not known. */
export interface SetMeant {
  readonly unitId: string | null;
  readonly by: 'set' | 'only-set-held' | 'several-held' | 'none-held' | 'nobody';
}

const NONE: SetMeant = { unitId: null, by: 'nobody' };

/** Looks for the set that somebody named, without regard to capitals; a name that two have is nobody's. */
export function setMeant(said: string, { units, people }: Roster): SetMeant {
  const name = alike(said);
  const sets = units.filter(({ nickname }) => alike(nickname) === name);
  const persons = people.filter((person) => alike(person.name) === name);
  const [set, another] = sets;
  if (set) return another || persons.length > 0 ? NONE : { unitId: set.id, by: 'set' };
  const [person, twin] = persons;
  if (!person || twin) return NONE;
  const held = units.filter(({ personId }) => personId === person.id);
  const [only] = held;
  if (held.length === 0) return { unitId: null, by: 'none-held' };
  return only && held.length === 1
    ? { unitId: only.id, by: 'only-set-held' }
    : { unitId: null, by: 'several-held' };
}
