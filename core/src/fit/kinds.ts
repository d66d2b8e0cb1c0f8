import { heldMemory } from '../memory/index';
import { type Description, holdsOnePair, type Plan, type Unit } from '../model/index';
import { type Grounds, type NO_GROUNDS, senderOf } from '../rules/index';
import { type Carries, carriedBy } from './carried';
import { type FitDevice, fitDevice } from './device';

/** Devices that fit alike: of one kind, with the same numbers kept back, the same licences, the same groups and, where they were read, the same contents. */
export interface UnitKind {
  /** Tells it from the others of a fleet. */
  readonly key: string;
  readonly description: Description;
  /** Memory numbers their holders keep for themselves. */
  readonly keeps: readonly number[];
  readonly title: string;
  readonly device: FitDevice;
  readonly units: readonly Unit[];
  /** What they say of names, where that is not as the plan says. */
  readonly names: Unit['names'];
  /** Something of its holder's own is known to be in it. Without that it is a column of its own only where its fit is another one. */
  readonly hasOwn: boolean;
}

/** What is known of a set's contents, in a column's head: how many places are its holder's own. */
const titleOf = (own: number): string =>
  own === 0 ? 'as loaded' : `${own} ${own === 1 ? 'place' : 'places'} of its own`;

const groupsTitle = ({ groupIds: { length } }: Carries): string =>
  `${length} ${length === 1 ? 'group' : 'groups'}`;

/** Sorts a fleet into kinds that fit alike, in the order in which they come. @throws RangeError for a unit without its description */
export function unitKinds(
  units: readonly Unit[],
  descriptions: readonly Description[],
  grounds: Grounds | typeof NO_GROUNDS,
  plan: Partial<Pick<Plan, 'carried'>>,
): UnitKind[] {
  const byId = new Map(descriptions.map((description) => [description.id, description]));
  const kinds = new Map<string, UnitKind & { units: Unit[] }>();
  for (const unit of units) {
    const description = byId.get(unit.descriptionId);
    if (!description) throw new RangeError(`unit ${unit.id}: no description ${unit.descriptionId}`);
    const keeps = [...unit.keeps].sort((a, b) => a - b);
    const { places, settings, rest, wrote } = unit.holds;
    const isRead = places.length > 0 || Object.keys(settings).length > 0;
    const carries = holdsOnePair(description) ? unit.carries : null;
    const { names, alerts } = unit;
    const sender = senderOf(grounds, unit);
    const carriesGroups = carriedBy(plan, unit);
    const own = [
      keeps,
      isRead && [rest, places, settings, wrote],
      carries,
      names,
      sender.each,
      carriesGroups,
      alerts,
    ];
    const alike = JSON.stringify([description.id, own]);
    const kind = kinds.get(alike);
    if (kind) {
      kind.units.push(unit);
      continue;
    }
    const key = [
      description.id,
      keeps.length > 0 && `keeps ${keeps.join(' ')}`,
      isRead && `as ${unit.id} was read`,
      carries !== null && `carries ${carries}`,
      names !== 'plan' && `names ${names}`,
      sender.each !== null && `sent with as ${unit.id}`,
      carriesGroups && carriesGroups.by !== 'kind' && `carries the groups of ${unit.id}`,
      alerts && `areas ${alerts.areas.join(' ')} ${alerts.weatherHz}`,
    ];
    const ownPlaces = places.filter(
      ({ number, values }) => values !== null && wrote[number] === undefined,
    ).length;
    const title = [
      description.title,
      keeps.length > 0 && `${keeps.length} kept`,
      isRead && titleOf(ownPlaces),
      carriesGroups && carriesGroups.by !== 'kind' && groupsTitle(carriesGroups),
      alerts && 'its own areas',
    ];
    kinds.set(alike, {
      key: key.filter(Boolean).join(' '),
      description,
      keeps,
      hasOwn: ownPlaces > 0,
      title: title.filter(Boolean).join(', '),
      device: fitDevice(description, heldMemory(description, unit.holds).memory, {
        keeps,
        carries,
        sender,
        carriesGroups,
        alerts,
      }),
      names,
      units: [unit],
    });
  }
  return [...kinds.values()];
}
