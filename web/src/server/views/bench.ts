import type { BenchJob } from '@umbrex/core/bench';
import type { Prepared } from '@umbrex/core/flow';
import { afterSheet, ownPlaces } from '@umbrex/core/flow';
import { copySteps, offerCopy, offerFile } from '@umbrex/core/procedure';
import type { Knex } from 'knex';
import type { BenchLeft, BenchWays } from '../../contract/bench';
import { type Desk, today } from '../desk';
import { attempt, preparedFor, stopsOf } from '../sheetPage';
import { listThings } from '../store/store';
import { rolloutView } from './rollout';

type Ways = BenchJob['sets'][number]['ways'];

/** How each of some sets can be brought to the shown state: only ways that prove. Minutes at a calm pace; at a stand as the group reckons. */
export async function benchWays(
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
  const sets: BenchJob['sets'] = [];
  const left: { id: string; why: BenchLeft }[] = [];
  const preparedOf = (id: string) => {
    const unit = held.get(id);
    const kind = unit && kinds.get(unit.descriptionId);
    const prepared = unit && kind && attempt(() => prepareOne(kind, unit), id);
    return unit && kind && prepared ? { unit, kind, prepared } : undefined;
  };
  for (const id of new Set(setIds)) {
    await new Promise((resolve) => setImmediate(resolve));
    const one = preparedOf(id);
    if (!one) {
      left.push({ id, why: 'no-way' });
      continue;
    }
    const { unit, kind, prepared } = one;
    const { description } = kind;
    const { places, settings } = prepared.changes;
    if (places.length === 0 && settings.length === 0) left.push({ id, why: 'held' });
    else if (stopsOf(desk, unit, description, prepared).length > 0) left.push({ id, why: 'waits' });
    else {
      const ways: Ways = [...ownWays(prepared, standMin)];
      const copy = copyWay(id);
      if (copy) ways.push(copy);
      if (ways.length > 0) sets.push({ id, personId: unit.personId, ways });
      else left.push({ id, why: 'no-way' });
    }

    function ownWays({ sheet, proof, now, wanted }: Prepared, minutes: number): Ways {
      if (sheet.way === 'file') return proof.proven ? [{ way: 'file', minutes, masterIds: [] }] : [];
      const byFile = offerFile(description, now, wanted);
      const isWhole = byFile?.proven === true && byFile.byKeys.length === 0;
      return [
        ...(sheet.way === 'keys' && proof.proven
          ? [{ way: 'keys' as const, minutes: Math.max(1, Math.ceil(proof.minutes)), masterIds: [] }]
          : []),
        ...(isWhole ? [{ way: 'file' as const, minutes, masterIds: [] }] : []),
      ];
    }

    /** By copying from those of the chosen sets that are known to come to the same. */
    function copyWay(setId: string): Ways[number] | undefined {
      if (!copySteps(description)) return undefined;
      const own = ownPlaces(description, prepared.now, unit.holds.wrote);
      const shall = afterSheet(description, prepared);
      let minutes = 0;
      const from = masterIds.filter((masterId) => {
        const master = preparedOf(masterId);
        if (!master || masterId === setId || master.unit.descriptionId !== unit.descriptionId) return false;
        const offer = offerCopy(description, { unit, shall, before: prepared.now, own }, [
          { unit: master.unit, shall: afterSheet(description, master.prepared) },
        ]);
        const isGood = offer?.why === null && offer.copying.proven;
        if (isGood) minutes = Math.max(minutes, Math.ceil(offer.copying.minutes));
        return isGood;
      });
      return from.length > 0 ? { way: 'copy', minutes: Math.max(1, minutes), masterIds: from } : undefined;
    }
  }
  // Only what is loaded that day, or holds it already, can be copied from: one that waits would pass on something else.
  const loaded = new Set(sets.map(({ id }) => id));
  const holdsIt = (id: string) => {
    const changes = preparedOf(id)?.prepared.changes;
    return changes?.places.length === 0 && changes.settings.length === 0;
  };
  const ready = new Set(masterIds.filter((id) => loaded.has(id) || holdsIt(id)));
  return {
    sets: sets.flatMap((set) => {
      const ways = set.ways.flatMap((way): Ways => {
        const from = way.masterIds.filter((id) => ready.has(id));
        return way.way === 'copy' && from.length === 0 ? [] : [{ ...way, masterIds: from }];
      });
      if (ways.length > 0) return [{ ...set, ways }];
      left.push({ id: set.id, why: 'no-way' });
      return [];
    }),
    left,
  };
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
      waits: standing.get(unit.id) === 'late' || standing.get(unit.id) === 'unknown',
    })),
    today: today(),
  };
}
