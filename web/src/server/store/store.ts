import { isDeepStrictEqual } from 'node:util';
import type { Finding } from '@umbrex/core/findings';
import { shapeFindings } from '@umbrex/core/formats';
import type { Knex } from 'knex';
import { KINDS, type Kind, type Saved, SCHEMAS, type Things, type Versioned } from '../../contract/things';
import { log } from '../log';
import { ChangedMeanwhile, NotHere } from '../problem';
import { type Edit, recordEdit } from '../repositories/edits';
import { checked, kept, read, readOnce, STANDS } from './document';
import { type At, type Move, RULES } from './rules';

/*
 * One store for everything that has versions: what is written was read before by the schema that will read it again, from the version that its
 * writer saw, with an edit by which it can be undone. What a kind has of its own stands in `rules.ts`.
 */

interface Row {
  readonly id: string;
  readonly document: unknown;
  readonly version: number;
  readonly deleted_at: Date | null;
  readonly [column: string]: unknown;
}

/** A row that no schema reads: it stands aside, named, until somebody mends it. */
export interface BrokenRow {
  readonly kind: Kind;
  readonly id: string;
  readonly version: number;
  readonly document: unknown;
  readonly findings: readonly Finding[];
}

const ORDER: Readonly<Partial<Record<Kind, string>>> = {
  channel: 'position, id',
  plan: 'created_at, id',
  unit: `document->>'descriptionId', lower(document->>'nickname'), id`,
  description: 'id',
  heard: `document->>'at' desc, id`,
  find: `document->>'at' desc, id`,
};
/** Which rows of a kind count: channels of a plan that was deleted wait with it. */
const LIVE: Readonly<Partial<Record<Kind, string>>> = {
  channel: 'plan_id in (select id from plan where deleted_at is null)',
  heard: 'plan_id in (select id from plan where deleted_at is null)',
};
const BY_NAME = `lower(document->>'name'), id`;

/** What is there now of a thing, as a refusal shows it: `null` where it is gone or nobody can read it. */
function stateOf<K extends Kind>(kind: K, row: Row) {
  return { value: row.deleted_at === null ? (read(kind, row) ?? null) : null, version: row.version };
}

const same = isDeepStrictEqual;

/**
 * All of a kind in a workspace, in its usual order. What cannot be read is left out, and logged: `brokenThings` names it.
 * @param most only so many of them, the first in that order
 */
export async function listThings<K extends Kind>(
  db: Knex,
  kind: K,
  workspaceId: string,
  columns: Readonly<Record<string, unknown>> = {},
  most?: number,
): Promise<Versioned<Things[K]>[]> {
  const query = db(kind)
    .select('*', db.raw(STANDS))
    .where({ workspace_id: workspaceId, deleted_at: null, ...columns })
    .andWhereRaw(LIVE[kind] ?? 'true')
    .orderByRaw(ORDER[kind] ?? BY_NAME);
  const rows: Row[] = await (most === undefined ? query : query.limit(most));
  const unread: string[] = [];
  const things = rows.flatMap((row) => {
    const value = readOnce(kind, row);
    if (value) return [{ value, version: row.version }];
    unread.push(row.id);
    log.error({ kind, id: row.id }, 'a row cannot be read');
    return [];
  });
  unreadSeen(workspaceId).set(`${kind} ${JSON.stringify(columns)}`, unread);
  return things;
}

/** By workspace and list: the rows that this process could not read when it last looked. */
const unread = new Map<string, Map<string, readonly string[]>>();
function unreadSeen(workspaceId: string): Map<string, readonly string[]> {
  const seen = unread.get(workspaceId) ?? new Map<string, readonly string[]>();
  unread.set(workspaceId, seen);
  return seen;
}

/** How many rows of a workspace could not be read when they were last asked for. */
export function unreadCount(workspaceId: string): number {
  return new Set([...unreadSeen(workspaceId).values()].flat()).size;
}

/** One of a kind. @throws NotHere where it is not there, BadInput where nobody can read it */
export async function thingAt<K extends Kind>(
  db: Knex,
  kind: K,
  workspaceId: string,
  id: string,
): Promise<Versioned<Things[K]>> {
  const row: Row | undefined = await db(kind)
    .where({ workspace_id: workspaceId, id, deleted_at: null })
    .first();
  if (!row) throw new NotHere();
  return { value: checked(kind, id, row.document), version: row.version };
}

/** The rows of a workspace that no schema reads, of all kinds. */
export async function brokenThings(db: Knex, workspaceId: string): Promise<BrokenRow[]> {
  const broken: BrokenRow[] = [];
  unreadSeen(workspaceId).clear();
  for (const kind of KINDS) {
    const rows: Row[] = await db(kind)
      .where({ workspace_id: workspaceId, deleted_at: null })
      .andWhereRaw(LIVE[kind] ?? 'true')
      .orderBy('id');
    for (const { id, version, document } of rows) {
      const parsed = SCHEMAS[kind].safeParse(document);
      if (!parsed.success)
        broken.push({ kind, id, version, document, findings: shapeFindings(parsed.error) });
    }
  }
  return broken;
}

/** Adds a thing. Its id is the client's, so a second sending of the same one is answered alike. */
export async function addThing<K extends Kind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  id: string,
  given: unknown,
  columns: Readonly<Record<string, unknown>> = {},
): Promise<Saved<Things[K]>> {
  const rules = RULES[kind];
  const at = placeOf(trx, workspaceId, id, columns);
  const asked = checked(kind, id, given);
  await rules.hold?.(at, 'add');
  const there = await rowOf(at, kind);
  const isFree = there === undefined || (rules.isIdChosen === true && there.deleted_at !== null);
  if (there && !isFree) {
    const isMine = there.workspace_id === workspaceId;
    const isAlike = Object.entries(columns).every(([name, value]) => there[name] === value);
    if (!isMine) throw new ChangedMeanwhile(null);
    if (!isAlike || there.deleted_at !== null || !same(read(kind, there), asked))
      throw new ChangedMeanwhile(stateOf(kind, there));
    return { value: asked, version: there.version, editId: null };
  }
  const value = (await rules.beside?.(at, asked, null, 'add')) ?? asked;
  const version = (there?.version ?? 0) + 1;
  const row = { document: kept(value), version };
  if (there) await update(at, kind, { ...row, deleted_at: null });
  else await trx(kind).insert({ id, workspace_id: workspaceId, ...columns, ...rules.placed?.(at), ...row });
  return { value, version, editId: await told(at, kind, null, value) };
}

/** Changes a thing from a version; also one that nobody could read, which is then mended. @throws ChangedMeanwhile with the newer state */
export async function saveThing<K extends Kind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  id: string,
  version: number,
  given: unknown,
): Promise<Saved<Things[K]>> {
  const asked = checked(kind, id, given);
  const { at, row } = await held(trx, kind, workspaceId, id, 'save', version);
  const before = read(kind, row);
  // Of one that nobody could read it is not known what it named before: what is gone is left out.
  const move = before ? 'save' : 'back';
  const value = (await RULES[kind].beside?.(at, asked, before ?? null, move)) ?? asked;
  if (before && same(before, value)) return { value, version, editId: null };
  await update(at, kind, { document: kept(value), version: version + 1 });
  return { value, version: version + 1, editId: await told(at, kind, before ?? row.document, value) };
}

/** Puts a thing that was taken away back, as it is given. @throws NotHere where it was never there, or for good no longer */
export async function bringBackThing<K extends Kind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  id: string,
  given: unknown,
): Promise<void> {
  const asked = checked(kind, id, given);
  const { at, row } = await held(trx, kind, workspaceId, id, 'back');
  if (row.deleted_at === null) throw new ChangedMeanwhile(stateOf(kind, row));
  const value = (await RULES[kind].beside?.(at, asked, null, 'back')) ?? asked;
  await update(at, kind, { document: kept(value), deleted_at: null, version: row.version + 1 });
  await told(at, kind, null, value);
}

/** Takes a thing away; it can be brought back by undoing the edit. */
export async function takeThing(
  trx: Knex.Transaction,
  kind: Kind,
  workspaceId: string,
  id: string,
  version: number,
): Promise<{ editId: string }> {
  const { at, row } = await held(trx, kind, workspaceId, id, 'take', version);
  await update(at, kind, { deleted_at: trx.fn.now(), version: version + 1 });
  return { editId: await told(at, kind, read(kind, row) ?? row.document, null) };
}

/** Puts a thing back as it was before an edit: there again, gone again, or with its old values. */
export async function revertThing<K extends Kind>(
  trx: Knex.Transaction,
  workspaceId: string,
  edit: Edit & { readonly kind: K },
): Promise<void> {
  const { kind, aggregateId: id } = edit;
  const [before, after] = [edit.before, edit.after].map((part) =>
    part === null ? null : checked(kind, id, part),
  ) as [Things[K] | null, Things[K] | null];
  const { at, row } = await held(trx, kind, workspaceId, id, before === null ? 'take' : 'back');
  const now = row.deleted_at === null ? (read(kind, row) ?? row.document) : null;
  if (!same(now, after)) throw new ChangedMeanwhile(stateOf(kind, row));
  const version = row.version + 1;
  if (before === null) {
    await update(at, kind, { deleted_at: trx.fn.now(), version });
    await told(at, kind, after, null, edit.id);
    return;
  }
  const back = (await RULES[kind].beside?.(at, before, after, 'back')) ?? before;
  await update(at, kind, { document: kept(back), deleted_at: null, version });
  await told(at, kind, after, back, edit.id);
}

/** Several of a kind, held for a change, by id; the ones that are not there are absent. */
export async function lockThings<K extends Kind>(
  trx: Knex.Transaction,
  kind: K,
  workspaceId: string,
  ids: readonly string[],
): Promise<Map<string, Things[K]>> {
  const rows: Row[] = await trx(kind)
    .whereIn('id', ids)
    .andWhere({ workspace_id: workspaceId, deleted_at: null })
    .orderBy('id')
    .forUpdate();
  return new Map(
    rows.flatMap((row) => {
      const value = read(kind, row);
      return value ? [[row.id, value] as const] : [];
    }),
  );
}

/** @throws NotHere when something is named that is not in this workspace; nothing is fine */
export async function needThing(db: Knex, kind: Kind, workspaceId: string, id: string | null): Promise<void> {
  if (id === null) return;
  if (!(await db(kind).where({ id, workspace_id: workspaceId, deleted_at: null }).first('id')))
    throw new NotHere();
}

function placeOf(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  columns: Readonly<Record<string, unknown>>,
): At {
  const save: At['save'] = (kind, other, version, value) =>
    saveThing(trx, kind, workspaceId, other, version, value);
  return { trx, workspaceId, id, columns, save };
}

/** The row of a thing, wherever it is; ids that people choose are taken in one workspace only. */
function rowOf({ trx, workspaceId, id }: At, kind: Kind): Promise<Row | undefined> {
  return trx(kind)
    .where(RULES[kind].isIdChosen ? { id, workspace_id: workspaceId } : { id })
    .forUpdate()
    .first();
}

/** A thing's row, held for a change after all that its kind holds first. @throws NotHere, ChangedMeanwhile from another version */
async function held(
  trx: Knex.Transaction,
  kind: Kind,
  workspaceId: string,
  id: string,
  move: Move,
  version?: number,
): Promise<{ at: At; row: Row }> {
  const mine = { id, workspace_id: workspaceId };
  const seen: Row | undefined = await trx(kind).where(mine).first();
  if (!seen) throw new NotHere();
  const at = placeOf(trx, workspaceId, id, seen);
  await RULES[kind].hold?.(at, move);
  const row: Row = await trx(kind).where(mine).forUpdate().first();
  if (version !== undefined && row.deleted_at !== null) throw new NotHere();
  if (version !== undefined && row.version !== version) throw new ChangedMeanwhile(stateOf(kind, row));
  return { at, row };
}

function update({ trx, workspaceId, id }: At, kind: Kind, change: Readonly<Record<string, unknown>>) {
  return trx(kind).where({ id, workspace_id: workspaceId }).update(change);
}

/** Writes the edit down, and lets follow what follows. */
async function told(
  at: At,
  kind: Kind,
  before: unknown,
  after: unknown,
  undoes: string | null = null,
): Promise<string> {
  const follow = RULES[kind].follow as
    | ((at: At, before: unknown, after: unknown) => Promise<void>)
    | undefined;
  await follow?.(at, before, after);
  return recordEdit(at.trx, at.workspaceId, { kind, aggregateId: at.id, before, after }, undoes);
}
