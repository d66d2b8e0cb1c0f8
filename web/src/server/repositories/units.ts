import { type Unit, UnitSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';
import { recordEdit } from './edits';

export interface SavedUnit {
  readonly unit: Unit;
  readonly version: number;
  readonly editId: string | null;
}

/** A device's row: what is joined or sorted by has a column, the rest stands in `details`. */
const toRow = ({ id: _, descriptionId, nickname, holder, personId, serial, firmware, ...details }: Unit) => ({
  description_id: descriptionId,
  nickname,
  holder,
  person_id: personId,
  serial,
  firmware,
  picked_tone: details.pickedTone,
  details: JSON.stringify(details),
});
const fromRow = (row: Record<string, unknown>): Unit =>
  UnitSchema.parse({
    ...(row.details as object),
    id: row.id,
    descriptionId: row.description_id,
    nickname: row.nickname,
    holder: row.holder,
    personId: row.person_id,
    serial: row.serial,
    firmware: row.firmware,
    pickedTone: row.picked_tone,
  });

export async function listUnits(db: Knex, workspaceId: string): Promise<{ unit: Unit; version: number }[]> {
  const rows = await db('unit')
    .where({ workspace_id: workspaceId, deleted_at: null })
    .orderBy('description_id')
    .orderByRaw('lower(nickname)')
    .orderBy('id');
  return rows.map((row) => ({ unit: fromRow(row), version: row.version }));
}

/** Adds a device; the id is the client's, so a second sending of the same one is answered alike. */
export async function addUnit(trx: Knex.Transaction, workspaceId: string, unit: Unit): Promise<SavedUnit> {
  await needParts(trx, workspaceId, unit);
  const there = await trx('unit').where({ id: unit.id }).first();
  if (there) {
    const same =
      there.workspace_id === workspaceId &&
      JSON.stringify(fromRow(there)) === JSON.stringify(unit) &&
      !there.deleted_at;
    if (!same) throw new ChangedMeanwhile(null);
    return { unit, version: there.version, editId: null };
  }
  await trx('unit').insert({ id: unit.id, workspace_id: workspaceId, ...toRow(unit) });
  const editId = await recordEdit(trx, workspaceId, {
    kind: 'unit',
    aggregateId: unit.id,
    before: null,
    after: unit,
  });
  return { unit, version: 1, editId };
}

/** Changes a device from a version; a stale one is refused with the newer state. */
export async function saveUnit(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  unit: Unit,
): Promise<SavedUnit> {
  await needParts(trx, workspaceId, unit);
  const row = await lockUnit(trx, workspaceId, id, version);
  if (JSON.stringify(fromRow(row)) === JSON.stringify(unit)) return { unit, version, editId: null };
  await trx('unit')
    .where({ id })
    .update({ ...toRow(unit), version: version + 1 });
  const editId = await recordEdit(trx, workspaceId, {
    kind: 'unit',
    aggregateId: id,
    before: fromRow(row),
    after: unit,
  });
  return { unit, version: version + 1, editId };
}

export async function deleteUnit(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
): Promise<{ editId: string }> {
  const row = await lockUnit(trx, workspaceId, id, version);
  await trx('unit')
    .where({ id })
    .update({ deleted_at: trx.fn.now(), version: version + 1 });
  return {
    editId: await recordEdit(trx, workspaceId, {
      kind: 'unit',
      aggregateId: id,
      before: fromRow(row),
      after: null,
    }),
  };
}

/** Puts a device back as it was before an edit: there again, gone again, or with its old values. */
export async function revertUnit(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  before: Unit | null,
  after: Unit | null,
  undoes: string,
): Promise<void> {
  const row = await trx('unit').where({ id, workspace_id: workspaceId }).forUpdate().first();
  if (!row) throw new NotHere();
  const now = row.deleted_at === null ? fromRow(row) : null;
  if (JSON.stringify(now) !== JSON.stringify(after))
    throw new ChangedMeanwhile({ unit: now, version: row.version });
  // Whoever held it then may be gone.
  const isHeld = before?.personId != null && (await isThere(trx, workspaceId, before.personId));
  const back = before && !isHeld ? { ...before, personId: null } : before;
  const values = back ? { ...toRow(back), deleted_at: null } : { deleted_at: trx.fn.now() };
  await trx('unit')
    .where({ id })
    .update({ ...values, version: row.version + 1 });
  await recordEdit(trx, workspaceId, { kind: 'unit', aggregateId: id, before: after, after: back }, undoes);
}

/** The sets of a person who goes are nobody's from then on; each keeps the name it was held under. */
export async function releaseUnits(
  trx: Knex.Transaction,
  workspaceId: string,
  personId: string,
): Promise<void> {
  const rows = await trx('unit')
    .where({ workspace_id: workspaceId, person_id: personId, deleted_at: null })
    .orderBy('id')
    .forUpdate();
  for (const row of rows) {
    const before = fromRow(row);
    await saveUnit(trx, workspaceId, before.id, row.version, { ...before, personId: null });
  }
}

async function isThere(trx: Knex.Transaction, workspaceId: string, personId: string): Promise<boolean> {
  const row = await trx('person')
    .where({ workspace_id: workspaceId, id: personId, deleted_at: null })
    .first('id');
  return row !== undefined;
}

async function lockUnit(trx: Knex.Transaction, workspaceId: string, id: string, version: number) {
  const row = await trx('unit')
    .where({ id, workspace_id: workspaceId, deleted_at: null })
    .forUpdate()
    .first();
  if (!row) throw new NotHere();
  if (row.version !== version) throw new ChangedMeanwhile({ unit: fromRow(row), version: row.version });
  return row;
}

/** A device's kind and holder must be of this workspace. */
async function needParts(trx: Knex.Transaction, workspaceId: string, unit: Unit): Promise<void> {
  const missing = (path: string, what: string, id: string) =>
    new BadInput([{ code: 'dangling-reference', severity: 'error', path, what, id }]);
  const kind = await trx('description')
    .where({ workspace_id: workspaceId, id: unit.descriptionId })
    .first('id');
  if (!kind) throw missing('/unit/descriptionId', 'description', unit.descriptionId);
  if (unit.personId === null) return;
  if (!(await isThere(trx, workspaceId, unit.personId)))
    throw missing('/unit/personId', 'person', unit.personId);
}
