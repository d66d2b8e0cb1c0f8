import {
  type CommonChange,
  type CommonOption,
  commonGround,
  memberNamed,
  type Otherwise,
} from '@umbrex/core/common';
import { type HeardPair, reachHeard } from '@umbrex/core/heard';
import { heldMemory } from '@umbrex/core/memory';
import type { Description, Plan, Unit } from '@umbrex/core/model';
import { isSpokenWith } from '@umbrex/core/onAir';
import { prove } from '@umbrex/core/procedure';
import { NEIGHBOUR_REACH_M } from '@umbrex/core/tones';
import type { Knex } from 'knex';
import { airAround } from '../alike';
import type { Desk } from '../desk';
import { heardIn } from '../heardOn';
import { type HeardEntry, heardEntries } from '../repositories/directory';
import { listThings } from '../store/store';

/** So many sets are asked for at once. */
export const MOST_MEMBERS = 60;
/** Of so many options the steps are written out and proven. */
const WRITTEN_OUT = 3;

/** A change with its steps, as far as they prove. */
export interface ShownChange extends Omit<CommonChange, 'wanted'> {
  readonly description: Description;
  readonly isProven: boolean;
}

/** One way to meet; only the first ones come with their steps. */
export interface ShownOption extends Omit<CommonOption, 'changes'> {
  /** Of the calls between these sets there, by the log: how many pairs the signal reached, and how many it is settled that it does not. */
  readonly reached: { readonly heard: number; readonly notHeard: number; readonly of: number };
  /** Stations of others that come out there, nearest first, by what directories said. */
  readonly neighbours: readonly string[];
  readonly changes: readonly (Pick<CommonChange, 'set' | 'label' | 'presses'> & {
    readonly steps: ShownChange | null;
  })[];
}

/** Some sets, and where they meet. */
export interface CommonView {
  readonly sets: readonly {
    readonly id: string;
    readonly nickname: string;
    readonly kind: string;
    readonly holder: string;
  }[];
  readonly kinds: readonly { readonly id: string; readonly title: string }[];
  readonly names: ReadonlyMap<string, string>;
  readonly chosen: readonly string[];
  readonly found: { readonly options: readonly ShownOption[]; readonly otherwise: Otherwise | null } | null;
}

/** Common ground of some sets of the fleet and of strangers by kind; without two of them only the choice. */
export async function commonView(db: Knex, desk: Desk, asked: readonly string[]): Promise<CommonView> {
  const { workspace, state, descriptions, units } = desk;
  const kinds = new Map(descriptions.map(({ description }) => [description.id, description]));
  const those = units
    .map(({ unit }) => unit)
    .filter(({ descriptionId }) => {
      const description = kinds.get(descriptionId);
      return description !== undefined && isSpokenWith(description) && description.kind !== 'alert';
    });
  const [people, stations] = await Promise.all([
    listThings(db, 'person', workspace.id),
    listThings(db, 'station', workspace.id),
  ]);
  const byId = new Set(those.map(({ id }) => id));
  const holders = new Map(people.map(({ value }) => [value.id, value.name]));
  const members = [...new Set(asked)]
    .slice(0, MOST_MEMBERS)
    .flatMap((word) => memberNamed(word, those, [...kinds.values()]) ?? []);
  const names = new Map<string, string>(
    members.map(({ key, unit }) => [key, unit?.nickname ?? 'a set of any make, code off']),
  );
  const fleet = airAround(desk, stations);
  const found = members.length < 2 ? null : commonGround(fleet, desk.fleet, members);
  const [pairsOn, entries] = await Promise.all([heardIn(db, desk), heardEntries(db, workspace.id)]);
  const ownIds = members.flatMap(({ unit }) => (unit && byId.has(unit.id) ? [unit.id] : []));
  const own = new Set(stations.map(({ value }) => value.name));
  const unitOf = new Map(members.map(({ key, unit }) => [key, unit]));
  return {
    sets: those.map(({ id, nickname, descriptionId, personId, holder }) => ({
      id,
      nickname,
      kind: kinds.get(descriptionId)?.title ?? '',
      holder: holders.get(personId ?? '') ?? holder,
    })),
    kinds: [...kinds.values()]
      .filter((description) => isSpokenWith(description) && description.kind !== 'alert')
      .map(({ id, title }) => ({ id, title })),
    names,
    chosen: members.map(({ key }) => key),
    found: found && {
      otherwise: found.otherwise,
      options: found.options.slice(0, 12).map((option, i) => ({
        ...option,
        reached: reachedAmong(ownIds, pairsOn(option.channelId)),
        neighbours: neighboursOn(state.plan, option.channelId, entries, own),
        changes: option.changes.map((change) => ({
          set: change.set,
          label: change.label,
          presses: change.presses,
          steps: i < WRITTEN_OUT ? withProof(change, unitOf.get(change.set), kinds) : null,
        })),
      })),
    },
  };
}

function reachedAmong(ids: readonly string[], pairs: readonly HeardPair[]): ShownOption['reached'] {
  let [heard, notHeard] = [0, 0];
  for (const from of ids)
    for (const to of ids) {
      if (from === to) continue;
      const is = reachHeard(pairs, from, to);
      if (is === 'heard') heard += 1;
      if (is === 'not-heard') notHeard += 1;
    }
  return { heard, notHeard, of: ids.length * (ids.length - 1) };
}

const MOST_NAMED = 3;

function neighboursOn(
  { channels }: Plan,
  channelId: string,
  entries: readonly HeardEntry[],
  own: ReadonlySet<string>,
): string[] {
  const hz = channels.find(({ id }) => id === channelId)?.receiveHz;
  return entries
    .filter(
      ({ entry, distanceM }) =>
        entry.outputHz === hz && distanceM <= NEIGHBOUR_REACH_M && !own.has(entry.title),
    )
    .slice(0, MOST_NAMED)
    .map(({ entry }) => entry.title);
}

function withProof(
  { wanted, ...change }: CommonChange,
  unit: Unit | null | undefined,
  kinds: ReadonlyMap<string, Description>,
): ShownChange | null {
  const description = unit && kinds.get(unit.descriptionId);
  if (!description) return null;
  const { memory } = heldMemory(description, unit.holds);
  const isProven = change.sheet.way === 'keys' && prove(description, memory, wanted, change.sheet).proven;
  return { ...change, description, isProven };
}
