import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import type { Kind } from '../../contract/things';

/** What an edit was made on: a thing, or the order of a plan's channels. */
export type EditKind = Kind | 'order';

export interface Edit {
  readonly id: string;
  readonly kind: EditKind;
  readonly aggregateId: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** Writes an edit down in the transaction that makes it; answers its id, by which it can be undone. */
export async function recordEdit(
  trx: Knex.Transaction,
  workspaceId: string,
  edit: Omit<Edit, 'id'>,
  undoes: string | null = null,
): Promise<string> {
  const id = randomUUID();
  await trx('edit').insert({
    id,
    workspace_id: workspaceId,
    kind: edit.kind,
    aggregate_id: edit.aggregateId,
    before: JSON.stringify(edit.before),
    after: JSON.stringify(edit.after),
    undoes,
  });
  await notify(trx, workspaceId, { kind: edit.kind, id: edit.aggregateId });
  return id;
}

/** The channel on which every process hears of changes. */
export const CHANGES = 'umbrex_changes';

/** Tells every process that something changed, once the transaction is through. */
export async function notify(
  trx: Knex.Transaction,
  workspaceId: string,
  change: { kind: string; id: string },
): Promise<void> {
  await trx.raw(
    `select pg_notify(?, json_build_object('workspaceId', ?::text, 'kind', ?::text, 'id', ?::text,
    'tab', current_setting('umbrex.tab', true))::text)`,
    [CHANGES, workspaceId, change.kind, change.id],
  );
}

/** What was done in one go, as the history lists it. */
export interface PastMove {
  /** By which it can be undone: of one edit its own id. */
  readonly id: string;
  readonly serial: number;
  readonly madeAt: Date;
  /** Who made it; `null` for what was there from the start, or before there were accounts. */
  readonly by: string | null;
  /** Of what it did, how much was undone. */
  readonly undone: 'none' | 'some' | 'all';
  readonly undoes: boolean;
  /** How many things of each kind were added, changed and deleted. */
  readonly counts: readonly { kind: EditKind; how: 'added' | 'changed' | 'deleted'; count: number }[];
  /** Its edits in their order, at most `MOST_LISTED`. */
  readonly edits: readonly Edit[];
}

/** So many edits of one move are told one by one. */
export const MOST_LISTED = 12;

/** Deletes can be taken back for this long. */
export const RECOVERABLE_DAYS = 30;

/** What was done in a workspace, newest first. @param beforeSerial only what was over before that edit */
export async function listMoves(
  db: Knex,
  workspaceId: string,
  most: number,
  beforeSerial = Number.MAX_SAFE_INTEGER,
): Promise<PastMove[]> {
  const moves: { move: string; serial: string }[] = await db('edit')
    .select({ move: db.raw(MOVE), serial: db.raw('max(serial)') } as never)
    .where({ workspace_id: workspaceId })
    .groupByRaw(MOVE)
    .havingRaw('max(serial) < ?', [beforeSerial])
    .orderBy('serial', 'desc')
    .limit(most);
  const ids = moves.map(({ move }) => move);
  const those = () => db('edit').where({ workspace_id: workspaceId }).whereRaw(`${MOVE} = any(?)`, [ids]);
  const [counts, listed] = await Promise.all([
    those()
      .leftJoin('account', 'account.id', 'edit.account_id')
      .groupByRaw(`${MOVE}, kind, ${HOW}`)
      .orderByRaw(`min(edit.serial)`)
      .select({ move: db.raw(MOVE), how: db.raw(HOW) }, 'kind')
      .select({
        by: db.raw('min(account.name)'),
        madeAt: db.raw('min(made_at)'),
        count: db.raw('count(*)::int'),
        undone: db.raw('count(*) filter (where exists (select 1 from edit u where u.undoes = edit.id))::int'),
        undoes: db.raw('bool_or(undoes is not null)'),
      }),
    db
      .from(
        those()
          .select('edit.*', {
            of: db.raw(MOVE),
            nth: db.raw(`row_number() over (partition by ${MOVE} order by serial)`),
          })
          .as('listed'),
      )
      .where('nth', '<=', MOST_LISTED)
      .orderBy('serial'),
  ]);
  return moves.flatMap(({ move, serial }): PastMove[] => {
    const parts = counts.filter((part) => part.move === move);
    const edits = listed.filter(({ of }) => of === move).map(editOf);
    const [first] = parts;
    if (!first) return [];
    const [count, undone] = [sumOf(parts, 'count'), sumOf(parts, 'undone')];
    return [
      {
        id: count === 1 ? (edits[0]?.id ?? move) : move,
        serial: Number(serial),
        madeAt: first.madeAt,
        by: first.by,
        undone: undone === 0 ? 'none' : undone < count ? 'some' : 'all',
        undoes: parts.some(({ undoes }) => undoes),
        counts: parts.map(({ kind, how, count }) => ({ kind, how, count })),
        edits,
      },
    ];
  });
}

/** An edit from before there were moves is one by itself. */
const MOVE = 'coalesce(edit.move, edit.id)';
const HOW = `case when before = 'null' then 'added' when after = 'null' then 'deleted' else 'changed' end`;

const sumOf = <K extends string>(parts: readonly Readonly<Record<K, number>>[], key: K) =>
  parts.reduce((sum, part) => sum + part[key], 0);

const editOf = (row: Edit & { aggregate_id: string }): Edit => ({
  id: row.id,
  kind: row.kind,
  aggregateId: row.aggregate_id,
  before: row.before,
  after: row.after,
});

/** A link that was over stands in the list for a while, and so do the steps that a phone reported. */
const LINKS_KEPT_DAYS = 60;
const STEPS_KEPT_DAYS = 90;

/** Takes away for good what was deleted longer ago than it can be taken back. */
export async function purgeDeleted(trx: Knex.Transaction): Promise<number> {
  const old = `deleted_at < now() - interval '${RECOVERABLE_DAYS} days'`;
  // A plan of which something was published stays, deleted as it is.
  const oldPlans = () =>
    trx('plan')
      .whereRaw(old)
      .andWhereRaw('not exists (select 1 from revision where revision.plan_id = plan.id)');
  // Links that were over long ago, or lead to a plan that goes, go before what they name.
  await trx('link').whereRaw(`expires_at < now() - interval '${LINKS_KEPT_DAYS} days'`).delete();
  await trx('link').whereIn('plan_id', oldPlans().select('id')).delete();
  // How far somebody was with a sheet is of no use once that was long ago; what said something of a set stands in its timeline.
  await trx('report')
    .where({ what: 'step' })
    .andWhereRaw(`received_at < now() - interval '${STEPS_KEPT_DAYS} days'`)
    .delete();
  let gone = await trx('channel').whereRaw(old).orWhereIn('plan_id', oldPlans().select('id')).delete();
  gone += await oldPlans().delete();
  gone += await trx('unit').whereRaw(old).delete();
  gone += await trx('description')
    .whereRaw(old)
    .andWhereRaw(
      'not exists (select 1 from unit where unit.workspace_id = description.workspace_id and unit.description_id = description.id)',
    )
    .delete();
  for (const table of ['team', 'station', 'net', 'bench', 'heard', 'find'])
    gone += await trx(table).whereRaw(old).delete();
  // Somebody who is still named by a device, an account or a link stays, deleted as they are.
  gone += await trx('person')
    .whereRaw(old)
    .andWhereRaw('not exists (select 1 from unit where unit.person_id = person.id)')
    .andWhereRaw('not exists (select 1 from membership where membership.person_id = person.id)')
    .andWhereRaw('not exists (select 1 from link where link.person_id = person.id)')
    .delete();
  await trx('session').where('expires_at', '<', trx.fn.now()).delete();
  await trx('attempt').whereRaw("at < now() - interval '1 day'").delete();
  return gone;
}

/** An edit of this workspace, or all of a move, newest first: what of it was not undone yet and can still be. */
export async function openEdits(trx: Knex.Transaction, workspaceId: string, id: string): Promise<Edit[]> {
  const rows = await trx('edit')
    .where({ workspace_id: workspaceId })
    .andWhere((of) => of.where({ id }).orWhere({ move: id }))
    .andWhereRaw('not exists (select 1 from edit u where u.undoes = edit.id)')
    .orderBy('serial', 'desc');
  const isRecoverable = ({ after, made_at }: { after: unknown; made_at: Date }) =>
    after !== null || Date.now() - new Date(made_at).getTime() <= RECOVERABLE_DAYS * 86_400_000;
  return rows.filter(isRecoverable).map(editOf);
}
