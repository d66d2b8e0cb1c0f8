import { entryText } from './fit/index';
import { heldMemory, knownOf } from './memory/index';
import { type Description, type Plan, slotReader, slotsOf, type Unit } from './model/index';
import { alike } from './units/index';

/** One text with the sets on which it stands; empty where the place is. */
export interface SaidBy {
  readonly text: string;
  readonly unitIds: readonly string[];
}

/** What fleet sets do not have alike in what they tell each other besides voices. */
export type FleetDiffers =
  /** One key sends different texts, by its place, from 1. */
  | { readonly is: 'status'; readonly place: number; readonly says: readonly SaidBy[] }
  /** One ID is called by different names. */
  | { readonly is: 'call'; readonly fleetId: string; readonly says: readonly SaidBy[] }
  /** A set answers to another ID than the one it is listed under; empty where it answers to none. */
  | {
      readonly is: 'own';
      readonly unitId: string;
      readonly holds: string;
      readonly listed: string;
      readonly shownBy: readonly string[];
    }
  /** Several sets answer to one ID. */
  | { readonly is: 'twice'; readonly fleetId: string; readonly unitIds: readonly string[] }
  /** An ID that can be called and that no set answers to, nor is it one of the group’s calls. */
  | {
      readonly is: 'nobody';
      readonly fleetId: string;
      readonly name: string;
      readonly unitIds: readonly string[];
    };

/** What sets hold of calls and texts, and of how many places of how many sets nobody knows. */
export interface FleetCalls {
  readonly sets: number;
  /** Sets of which some of these places were never looked at. */
  readonly notSeen: readonly string[];
  readonly differs: readonly FleetDiffers[];
}

type Kept = {
  readonly unit: Unit;
  readonly own: string | null;
  readonly calls: Map<string, string>;
  readonly status: Map<number, string>;
};

/**
 * Holds the status texts, calls and IDs of sets against each other, as they are known to hold them. A text that a kind of set shows shortened is the
 * one that the plan or the list means by it; what nobody looked at is no difference.
 */
export function fleetCalls(
  { fleet }: Pick<Plan, 'fleet'>,
  units: readonly Unit[],
  descriptions: readonly Description[],
): FleetCalls {
  const kinds = new Map(descriptions.map((one) => [one.id, one]));
  const called = new Map([
    ...units.flatMap(({ fleetId, nickname }) => (fleetId ? [[fleetId, nickname] as const] : [])),
    ...fleet.calls.map(({ fleetId, name }) => [fleetId, name] as const),
  ]);
  const notSeen: string[] = [];
  const kept: Kept[] = units.flatMap((unit) => {
    const description = kinds.get(unit.descriptionId);
    const places = description
      ? slotsOf(description).filter(({ region }) => isFleet(region.content.kind))
      : [];
    if (!description || places.length === 0) return [];
    /** What is meant by a text that may stand here shortened. */
    const long = (text: string, those: readonly string[]) =>
      those.find((one) => alike(entryText(description, one)) === alike(text)) ?? text;
    const { memory } = heldMemory(description, unit.holds);
    const read = slotReader(description);
    const one: { own: string | null; calls: Map<string, string>; status: Map<number, string> } = {
      own: null,
      calls: new Map(),
      status: new Map(),
    };
    let isSeen = true;
    const count = { own: 0, calls: 0, status: 0 };
    for (const slot of places) {
      const { kind } = slot.region.content;
      if (!isFleet(kind)) continue;
      count[kind] += 1;
      const { state, unknown } = knownOf(description, slot, memory);
      if (state === 'unknown' || unknown.length > 0) {
        isSeen = false;
        continue;
      }
      const content = read(slot, memory.slots.get(slot.number) ?? null);
      const text = content && 'name' in content ? (content.name ?? '') : '';
      if (kind === 'status') {
        // The one of its own place first: two may be short alike.
        const own = fleet.statuses[count.status - 1];
        one.status.set(
          count.status,
          long(text, own === undefined ? fleet.statuses : [own, ...fleet.statuses]),
        );
      } else if (kind === 'own') one.own = content?.kind === 'id' ? (content.fleetId ?? '') : '';
      else if (content?.kind === 'id' && content.fleetId) {
        const name = called.get(content.fleetId);
        one.calls.set(content.fleetId, long(text, name === undefined ? [] : [name]));
      }
    }
    if (!isSeen) notSeen.push(unit.id);
    return [{ unit, ...one }];
  });
  return { sets: kept.length, notSeen, differs: differences(fleet, kept) };
}

type FleetKind = 'own' | 'calls' | 'status';
const isFleet = (kind: string): kind is FleetKind => kind === 'own' || kind === 'calls' || kind === 'status';

function differences(fleet: Plan['fleet'], kept: readonly Kept[]): FleetDiffers[] {
  const places = [...new Set(kept.flatMap(({ status }) => [...status.keys()]))].sort((a, b) => a - b);
  const status = places.flatMap((place): FleetDiffers[] => {
    const says = saidBy(kept, ({ status: all }) => all.get(place));
    return says.length > 1 ? [{ is: 'status', place, says }] : [];
  });
  const ids = [...new Set(kept.flatMap(({ calls }) => [...calls.keys()]))].sort();
  const calls = ids.flatMap((fleetId): FleetDiffers[] => {
    const says = saidBy(kept, ({ calls: all }) => all.get(fleetId));
    return says.length > 1 ? [{ is: 'call', fleetId, says }] : [];
  });
  const own = kept.flatMap(({ unit, own: holds }): FleetDiffers[] => {
    if (holds === null || holds === unit.fleetId) return [];
    const shownBy = kept.flatMap((one) => (one.calls.has(unit.fleetId) ? [one.unit.id] : []));
    return [{ is: 'own', unitId: unit.id, holds, listed: unit.fleetId, shownBy }];
  });
  const answering = new Map<string, string[]>();
  for (const { unit, own: id } of kept) if (id) answering.set(id, [...(answering.get(id) ?? []), unit.id]);
  const twice = [...answering].flatMap(([fleetId, unitIds]): FleetDiffers[] =>
    unitIds.length > 1 ? [{ is: 'twice', fleetId, unitIds }] : [],
  );
  const groups = new Set(fleet.calls.map(({ fleetId }) => fleetId));
  // A set that nobody looked at may answer to what it is listed under.
  const unseen = new Set(kept.flatMap(({ unit, own: id }) => (id === null ? [unit.fleetId] : [])));
  const nobody = ids.flatMap((fleetId): FleetDiffers[] => {
    if (groups.has(fleetId) || answering.has(fleetId) || unseen.has(fleetId)) return [];
    const having = kept.filter((one) => one.calls.has(fleetId));
    const name = having[0]?.calls.get(fleetId) ?? '';
    return [{ is: 'nobody', fleetId, name, unitIds: having.map(({ unit }) => unit.id) }];
  });
  return [...status, ...calls, ...own, ...twice, ...nobody];
}

/** What sets say of one thing, each text once; those that say nothing of it are left out. */
function saidBy(kept: readonly Kept[], said: (one: Kept) => string | undefined): SaidBy[] {
  const texts = new Map<string, { text: string; unitIds: string[] }>();
  for (const one of kept) {
    const text = said(one);
    if (text === undefined) continue;
    const there = texts.get(alike(text)) ?? { text, unitIds: [] };
    there.unitIds.push(one.unit.id);
    texts.set(alike(text), there);
  }
  return [...texts.values()];
}
