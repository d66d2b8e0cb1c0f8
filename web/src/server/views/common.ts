import {
  type CommonChange,
  type CommonOption,
  commonGround,
  memberNamed,
  type Otherwise,
} from '@umbrex/core/common';
import { heldMemory } from '@umbrex/core/memory';
import type { Description, Unit } from '@umbrex/core/model';
import { type AirFleet, isSpokenWith } from '@umbrex/core/onAir';
import { prove } from '@umbrex/core/procedure';
import type { Knex } from 'knex';
import type { Desk } from '../desk';
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
  const { workspace, state, grounds, descriptions, units } = desk;
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
  const holders = new Map(people.map(({ value }) => [value.id, value.name]));
  const members = [...new Set(asked)]
    .slice(0, MOST_MEMBERS)
    .flatMap((word) => memberNamed(word, those, [...kinds.values()]) ?? []);
  const names = new Map<string, string>(
    members.map(({ key, unit }) => [key, unit?.nickname ?? 'a set of any make, code off']),
  );
  const fleet: Omit<AirFleet, 'units'> = {
    plan: state.plan,
    descriptions: [...kinds.values()],
    grounds,
    stations: stations.map(({ value }) => value),
  };
  const found = members.length < 2 ? null : commonGround(fleet, desk.fleet, members);
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
