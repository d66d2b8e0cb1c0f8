import { shapeFindings } from '@umbrex/core/formats';
import {
  type Net,
  NetSchema,
  type Person,
  PersonSchema,
  type Station,
  StationSchema,
  type Team,
  TeamSchema,
} from '@umbrex/core/model';
import type { Knex } from 'knex';
import type { z } from 'zod';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';
import { recordEdit } from './edits';
import { releaseUnits } from './units';

interface Documents {
  person: Person;
  team: Team;
  station: Station;
  net: Net;
}
export type DocumentKind = keyof Documents;

/** What each kind must look like; the same schema checks the body, the row and the edit. */
export const DOCUMENT_SCHEMAS: { readonly [K in DocumentKind]: z.ZodType<Documents[K]> } = {
  person: PersonSchema,
  team: TeamSchema,
  station: StationSchema,
  net: NetSchema,
};

/** A document with the version that an edit must name. */
export interface Held<T> {
  readonly value: T;
  readonly version: number;
}
export interface Saved<T> extends Held<T> {
  readonly editId: string | null;
}

const parse = <K extends DocumentKind>(kind: K, document: unknown): Documents[K] =>
  DOCUMENT_SCHEMAS[kind].parse(document);
/** A value as it may be kept, also one that was put together here. @throws BadInput at the path of what may not */
function checked<K extends DocumentKind>(kind: K, value: Documents[K]): Documents[K] {
  const parsed = DOCUMENT_SCHEMAS[kind].safeParse(value);
  if (!parsed.success) throw new BadInput(shapeFindings(parsed.error));
  return parsed.data;
}
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** All of a kind in a workspace, by name. */
export async function listDocuments<K extends DocumentKind>(
  db: Knex,
  kind: K,
  workspaceId: string,
): Promise<Held<Documents[K]>[]> {
  const rows = await db(kind)
    .where({ workspace_id: workspaceId, deleted_at: null })
    .orderByRaw("lower(document->>'name')")
    .orderBy('id');
  return rows.map((row) => ({ value: parse(kind, row.document), version: row.version }));
}

/** Adds one; the id is the client's, so a second sending of the same one is answered alike. */
export async function addDocument<K extends DocumentKind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  given: Documents[K],
): Promise<Saved<Documents[K]>> {
  const value = checked(kind, given);
  await needTeams(trx, workspaceId, value, null);
  const there = await trx(kind).where({ id: value.id }).first();
  if (there) {
    const alike =
      there.workspace_id === workspaceId && !there.deleted_at && same(parse(kind, there.document), value);
    if (!alike) throw new ChangedMeanwhile(null);
    return { value, version: there.version, editId: null };
  }
  await trx(kind).insert({ id: value.id, workspace_id: workspaceId, document: JSON.stringify(value) });
  const editId = await recordEdit(trx, workspaceId, {
    kind,
    aggregateId: value.id,
    before: null,
    after: value,
  });
  return { value, version: 1, editId };
}

/** Changes one from a version; a stale one is refused with the newer state. */
export async function saveDocument<K extends DocumentKind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  version: number,
  given: Documents[K],
): Promise<Saved<Documents[K]>> {
  const value = checked(kind, given);
  const row = await lock(trx, kind, workspaceId, value.id, version);
  const before = parse(kind, row.document);
  await needTeams(trx, workspaceId, value, before);
  if (same(before, value)) return { value, version, editId: null };
  await trx(kind)
    .where({ id: value.id })
    .update({ document: JSON.stringify(value), version: version + 1 });
  const editId = await recordEdit(trx, workspaceId, { kind, aggregateId: value.id, before, after: value });
  return { value, version: version + 1, editId };
}

/** Takes one away; it can be brought back by undoing the edit. The sets that a person held are then nobody's, each by an edit of its own. */
export async function deleteDocument(
  trx: Knex.Transaction,
  kind: DocumentKind,
  workspaceId: string,
  id: string,
  version: number,
): Promise<{ editId: string }> {
  const row = await lock(trx, kind, workspaceId, id, version);
  await trx(kind)
    .where({ id })
    .update({ deleted_at: trx.fn.now(), version: version + 1 });
  if (kind === 'person') await releaseUnits(trx, workspaceId, id);
  const before = parse(kind, row.document);
  return { editId: await recordEdit(trx, workspaceId, { kind, aggregateId: id, before, after: null }) };
}

/** Puts one back as it was before an edit: there again, gone again, or with its old values. */
export async function revertDocument(
  trx: Knex.Transaction,
  kind: DocumentKind,
  workspaceId: string,
  edit: { id: string; aggregateId: string; before: unknown; after: unknown },
): Promise<void> {
  const id = edit.aggregateId;
  const row = await trx(kind).where({ id, workspace_id: workspaceId }).forUpdate().first();
  if (!row) throw new NotHere();
  const [before, after] = [edit.before, edit.after].map((part) => (part === null ? null : parse(kind, part)));
  const now = row.deleted_at === null ? parse(kind, row.document) : null;
  if (!same(now, after)) throw new ChangedMeanwhile({ value: now, version: row.version });
  const change = before
    ? { document: JSON.stringify(before), deleted_at: null }
    : { deleted_at: trx.fn.now() };
  await trx(kind)
    .where({ id })
    .update({ ...change, version: row.version + 1 });
  if (kind === 'person' && !before) await releaseUnits(trx, workspaceId, id);
  await recordEdit(trx, workspaceId, { kind, aggregateId: id, before: after, after: before }, edit.id);
}

async function lock(
  trx: Knex.Transaction,
  kind: DocumentKind,
  workspaceId: string,
  id: string,
  version: number,
) {
  const row = await trx(kind).where({ id, workspace_id: workspaceId, deleted_at: null }).forUpdate().first();
  if (!row) throw new NotHere();
  if (row.version !== version)
    throw new ChangedMeanwhile({ value: parse(kind, row.document), version: row.version });
  return row;
}

/** Several of a kind, held for a change, by id; the ones that are not there are absent. */
export async function lockDocuments<K extends DocumentKind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  ids: readonly string[],
): Promise<Map<string, Documents[K]>> {
  const rows = await trx(kind)
    .whereIn('id', ids)
    .andWhere({ workspace_id: workspaceId, deleted_at: null })
    .orderBy('id')
    .forUpdate();
  return new Map(rows.map((row) => [row.id, parse(kind, row.document)]));
}

/** @throws BadInput when a person comes into a team that is not there; one that they were in before may have gone meanwhile */
async function needTeams(
  trx: Knex.Transaction,
  workspaceId: string,
  value: Documents[DocumentKind],
  before: Documents[DocumentKind] | null,
): Promise<void> {
  if (!('teamIds' in value)) return;
  const had = new Set(before && 'teamIds' in before ? before.teamIds : []);
  const wanted = value.teamIds.filter((id) => !had.has(id));
  if (wanted.length === 0) return;
  const there = await trx('team')
    .whereIn('id', wanted)
    .andWhere({ workspace_id: workspaceId, deleted_at: null })
    .forShare()
    .select('id');
  const missing = wanted.find((id) => !there.some((row) => row.id === id));
  if (missing !== undefined)
    throw new BadInput([
      {
        code: 'dangling-reference',
        severity: 'error',
        path: `/value/teamIds/${value.teamIds.indexOf(missing)}`,
        what: 'team',
        id: missing,
      },
    ]);
}

/** @throws NotHere when somebody is named who is not in this workspace's roster; nobody is fine */
export async function needPerson(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string | null,
): Promise<void> {
  if (id === null) return;
  if (!(await trx('person').where({ id, workspace_id: workspaceId, deleted_at: null }).first('id')))
    throw new NotHere();
}
