import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { evidenceFrom, isAboutMemory, withEntry } from '@umbrex/core/evidence';
import type { Unit } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { type Kind, SCHEMAS, type Things } from '../../contract/things';
import { today } from '../day';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';

/** Where something is written: the transaction, whose it is, which one, and its row where it has one. */
export interface At {
  readonly trx: Knex.Transaction;
  readonly workspaceId: string;
  readonly id: string;
  readonly columns: Readonly<Record<string, unknown>>;
  /** Saves another thing in the same transaction, by an edit of its own. */
  readonly save: (kind: Kind, id: string, version: number, value: unknown) => Promise<unknown>;
}
/** What happens to a thing; `back` when an edit is undone, so that what it named may be gone. */
export type Move = 'add' | 'save' | 'take' | 'back';

/** What a kind of thing has of its own in being written. */
interface Rules<T> {
  /** Holds what must stay as it is meanwhile, before the thing itself, so that no two wait for each other. */
  readonly hold?: (at: At, move: Move) => Promise<void>;
  /** The value as it may stand beside the others. @throws BadInput at the path of what may not */
  readonly beside?: (at: At, value: T, before: T | null, move: Move) => Promise<T>;
  /** What changes with it, each by an edit of its own or by the version of the whole it is a part of. */
  readonly follow?: (at: At, before: T | null, after: T | null) => Promise<void>;
  /** Ids that people choose: one that was given up can be taken again. */
  readonly isIdChosen?: true;
  /** Columns of a new row besides the given ones. */
  readonly placed?: (at: At) => Readonly<Record<string, unknown>>;
}

export const RULES: { readonly [K in Kind]: Rules<Things[K]> } = {
  plan: {
    hold: async (at, move) => {
      if (move === 'take') await needAnotherPlan(at);
    },
    beside: async (at, head) => {
      await needEmptyGroups(at, new Set(head.groups.map(({ id }) => id)));
      return head;
    },
  },
  channel: {
    hold: async ({ trx, workspaceId, columns }, move) => {
      const at = { id: columns.plan_id as string, workspace_id: workspaceId, deleted_at: null };
      const plan = trx('plan').where(at);
      // Held, so that no group goes while a channel comes into it.
      if (!(await (move === 'save' ? plan.forShare() : plan.forUpdate()).first('id'))) throw new NotHere();
    },
    beside: async (at, channel, before, move) => {
      if (move === 'add' || (move === 'back' && before === null)) await needRoom(at);
      const row = await at
        .trx('plan')
        .where({ id: at.columns.plan_id as string })
        .first('document');
      // Of a plan that nobody can read there are no groups to come into.
      const groups: readonly { readonly id: string }[] =
        SCHEMAS.plan.safeParse(row.document).data?.groups ?? [];
      if (groups.some(({ id }) => id === channel.groupId)) return channel;
      const [first] = groups;
      if (move !== 'back' || !first) throw missing('/value/groupId', 'group', channel.groupId);
      return { ...channel, groupId: first.id };
    },
    follow: async ({ trx, columns }, before, after) => {
      if (before === null || after === null)
        await trx('plan')
          .where({ id: columns.plan_id as string })
          .increment('version', 1);
    },
    placed: ({ trx, columns }) => ({
      position: trx.raw('(select coalesce(max(position), -1) + 1 from channel where plan_id = ?)', [
        columns.plan_id as string,
      ]),
    }),
  },
  unit: {
    beside: async (at, given, before, move) => {
      const unit = move === 'save' ? await withItsWord(at, given, before) : given;
      if (!(await thereOf(at, 'description', [unit.descriptionId])).has(unit.descriptionId))
        throw missing('/value/descriptionId', 'description', unit.descriptionId);
      if (unit.personId === null || (await thereOf(at, 'person', [unit.personId])).has(unit.personId))
        return unit;
      if (move !== 'back') throw missing('/value/personId', 'person', unit.personId);
      return { ...unit, personId: null };
    },
  },
  person: {
    beside: async (at, person, before, move) => {
      const had = new Set(move === 'back' ? [] : before?.teamIds);
      const asked = person.teamIds.filter((id) => !had.has(id));
      const there = await thereOf(at, 'team', asked);
      const gone = asked.find((id) => !there.has(id));
      if (gone === undefined) return person;
      if (move !== 'back') throw missing(`/value/teamIds/${person.teamIds.indexOf(gone)}`, 'team', gone);
      return { ...person, teamIds: person.teamIds.filter((id) => there.has(id)) };
    },
    follow: async (at, _, after) => {
      if (after === null) await releaseUnits(at);
    },
  },
  team: {},
  station: {},
  net: {},
  bench: {
    beside: async (at, bench, _, move) => {
      if (move === 'back' || (await thereOf(at, 'plan', [bench.planId])).has(bench.planId)) return bench;
      throw missing('/value/planId', 'plan', bench.planId);
    },
  },
  find: {
    beside: async (at, find, _, move) => {
      if (find.unitId === null || (await thereOf(at, 'unit', [find.unitId])).has(find.unitId)) return find;
      // A set that is gone meanwhile.
      return move === 'save' ? find : { ...find, unitId: null };
    },
  },
  heard: {
    beside: async (at, call, _, move) => {
      if (move === 'add') {
        if (!(await thereOf(at, 'plan', [call.planId])).has(call.planId))
          throw missing('/value/planId', 'plan', call.planId);
        if (!(await thereOf(at, 'channel', [call.channelId])).has(call.channelId))
          throw missing('/value/channelId', 'channel', call.channelId);
      }
      // A set that is gone meanwhile: the words say who it was.
      const sets = await thereOf(
        at,
        'unit',
        [call.fromId, call.toId].flatMap((id) => id ?? []),
      );
      const still = (id: string | null) => (id !== null && sets.has(id) ? id : null);
      return move === 'add' ? { ...call, fromId: still(call.fromId), toId: still(call.toId) } : call;
    },
  },
  description: {
    isIdChosen: true,
    hold: async ({ trx, workspaceId, id }, move) => {
      if (move !== 'take') return;
      const at = { workspace_id: workspaceId, description_id: id, deleted_at: null };
      if (await trx('unit').where(at).first('id')) throw new ChangedMeanwhile({ used: 'description' });
    },
  },
};

/**
 * A set of which somebody says something that its timeline does not have yet, with that as an entry: that it holds something else than before,
 * or that places of its holder's own may go.
 */
async function withItsWord({ trx }: At, unit: Unit, before: Unit | null): Promise<Unit> {
  if (before === null) return unit;
  const lastOf = ({ timeline }: Unit) => timeline.findLast(isAboutMemory)?.id;
  const isSaid = lastOf(unit) !== lastOf(before) || isDeepStrictEqual(before.holds, unit.holds);
  const numbers = unit.accepts.filter((number) => !before.accepts.includes(number));
  if (isSaid && numbers.length === 0) return unit;
  const { rows } = await trx.raw(
    `select name from account where id = nullif(current_setting('umbrex.account', true), '')::uuid`,
  );
  const by: string = rows[0]?.name ?? '';
  const told = isSaid ? unit : withEntry(unit, evidenceFrom(unit.holds, randomUUID(), by));
  if (numbers.length === 0) return told;
  return withEntry(told, { what: 'let-go', id: randomUUID(), day: today(), by, numbers });
}

function missing(path: string, what: string, id: string): BadInput {
  return new BadInput([{ code: 'dangling-reference', severity: 'error', path, what, id }]);
}

/** Which of some ids are there, held so that they stay. */
async function thereOf(
  { trx, workspaceId }: At,
  kind: Kind,
  ids: readonly string[],
): Promise<ReadonlySet<string>> {
  if (ids.length === 0) return new Set();
  const rows = await trx(kind)
    .whereIn('id', ids)
    .andWhere({ workspace_id: workspaceId, deleted_at: null })
    .forShare()
    .select('id');
  return new Set(rows.map(({ id }) => id));
}

/** Everything here stands beside a plan: the last one stays, also when two would go at once. @throws ChangedMeanwhile */
async function needAnotherPlan({ trx, workspaceId, id }: At): Promise<void> {
  await trx('workspace').where({ id: workspaceId }).forUpdate().first('id');
  const others = await trx('plan')
    .where({ workspace_id: workspaceId, deleted_at: null })
    .whereNot({ id })
    .first('id');
  if (!others) throw new ChangedMeanwhile({ last: 'plan' });
}

/** @throws BadInput when a group goes that still has channels */
async function needEmptyGroups({ trx, id }: At, kept: ReadonlySet<string>): Promise<void> {
  const rows = await trx('channel').where({ plan_id: id, deleted_at: null }).distinct('group_id');
  const lost = rows.find((row) => !kept.has(row.group_id));
  if (lost)
    throw new BadInput([
      { code: 'group-has-channels', severity: 'error', path: '/value/groups', groupId: lost.group_id },
    ]);
}

/** As many channels as a plan has at most; one more and it could not be read again. */
const MOST_CHANNELS = 2000;

async function needRoom({ trx, id, columns }: At): Promise<void> {
  const row = await trx('channel')
    .where({ plan_id: columns.plan_id as string, deleted_at: null })
    .whereNot({ id })
    .count('* as n')
    .first();
  if (Number(row?.n ?? 0) < MOST_CHANNELS) return;
  const detail = `a plan has ${MOST_CHANNELS} channels at most`;
  throw new BadInput([{ code: 'document-shape', severity: 'error', path: '/channels', detail }]);
}

/** The sets of a person who goes are nobody's from then on; each keeps the name it was held under. */
async function releaseUnits({ trx, workspaceId, id: personId, save }: At): Promise<void> {
  const rows = await trx('unit')
    .where({ workspace_id: workspaceId, person_id: personId, deleted_at: null })
    .orderBy('id')
    .forUpdate();
  // One that nobody can read lets go of them when it is mended.
  for (const { id, version, document } of rows)
    if (SCHEMAS.unit.safeParse(document).success)
      await save('unit', id, version, { ...document, personId: null });
}
