import { type Asking, asksFor, type BenchSet, benchWays } from '@umbrex/core/benchWays';
import type { Knex } from 'knex';
import type { BenchWays } from '../../contract/bench';
import { today } from '../day';
import type { Desk } from '../desk';
import { attempt, preparedFor, stopsOf } from '../sheetPage';
import { listThings } from '../store/store';
import { rolloutView } from './rollout';

/** How each of some sets can be brought to the shown state: only ways that prove. Minutes at a calm pace; at a stand as the group reckons. */
export async function waysOf(
  desk: Desk,
  {
    setIds,
    masterIds,
    standMin,
  }: { setIds: readonly string[]; masterIds: readonly string[]; standMin: number },
): Promise<BenchWays> {
  const prepareOne = preparedFor(desk);
  const held = new Map(desk.units.map(({ unit }) => [unit.id, unit]));
  const kinds = new Map(desk.descriptions.map((kind) => [kind.description.id, kind]));
  const known = new Map<string, BenchSet>();
  for (const id of new Set([...masterIds, ...setIds])) {
    await new Promise((resolve) => setImmediate(resolve));
    const unit = held.get(id);
    const kind = unit && kinds.get(unit.descriptionId);
    const prepared = unit && kind && attempt(() => prepareOne(kind, unit), id);
    if (!unit || !kind || !prepared) continue;
    const { description } = kind;
    const waits = stopsOf(desk, unit, description, prepared).length > 0;
    known.set(id, { unit, description, prepared, waits });
  }
  const masters = masterIds.flatMap((id) => known.get(id) ?? []);
  const asking: Asking[] = [];
  const gone: BenchWays['left'][number][] = [];
  for (const id of new Set(setIds)) {
    await new Promise((resolve) => setImmediate(resolve));
    const set = known.get(id);
    if (set) asking.push(asksFor(set, masters, standMin));
    else gone.push({ id, why: 'no-way' });
  }
  const { sets, left } = benchWays(asking, masters);
  return { sets, left: [...left, ...gone] };
}

/** The bench days of a plan, with the sets that wait and the people who may help. */
export async function benchView(db: Knex, desk: Desk) {
  const { workspace, state, descriptions, units, shown } = desk;
  const [days, people, rollout] = await Promise.all([
    listThings(db, 'bench', workspace.id),
    listThings(db, 'person', workspace.id),
    rolloutView(db, desk),
  ]);
  const titles = new Map(descriptions.map(({ description: { id, title } }) => [id, title]));
  const standing = new Map(rollout?.rows.map((row) => [row.unitId, row.standing?.state]));
  return {
    days: days.filter(({ value }) => value.planId === state.plan.id),
    revision: shown === 'draft' ? null : shown,
    people: people.map(({ value: { id, name } }) => ({ id, name })),
    sets: units.map(({ unit, version }) => ({
      id: unit.id,
      version,
      nickname: unit.nickname,
      kind: titles.get(unit.descriptionId) ?? '',
      personId: unit.personId,
      standing: standing.get(unit.id) ?? null,
    })),
    today: today(),
  };
}
