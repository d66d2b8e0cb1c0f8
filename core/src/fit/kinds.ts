import type { Description, Unit } from '../model/index';

/** Devices that fit alike: of one kind, with the same numbers kept back. */
export interface UnitKind {
  /** Tells it from the others of a fleet. */
  readonly key: string;
  readonly description: Description;
  /** Memory numbers their holders keep for themselves. */
  readonly keeps: readonly number[];
  readonly title: string;
  readonly units: readonly Unit[];
}

/** Sorts a fleet into kinds that fit alike, in the order in which they come. @throws RangeError for a unit without its description */
export function unitKinds(units: readonly Unit[], descriptions: readonly Description[]): UnitKind[] {
  const byId = new Map(descriptions.map((description) => [description.id, description]));
  const kinds = new Map<string, UnitKind & { units: Unit[] }>();
  for (const unit of units) {
    const description = byId.get(unit.descriptionId);
    if (!description) throw new RangeError(`unit ${unit.id}: no description ${unit.descriptionId}`);
    const keeps = [...unit.keeps].sort((a, b) => a - b);
    const key = keeps.length === 0 ? description.id : `${description.id} keeps ${keeps.join(' ')}`;
    const title = keeps.length === 0 ? description.title : `${description.title}, ${keeps.length} kept`;
    const kind = kinds.get(key);
    if (kind) kind.units.push(unit);
    else kinds.set(key, { key, description, keeps, title, units: [unit] });
  }
  return [...kinds.values()];
}
