import { shapeFindings } from '@umbrex/core/formats';
import { type Channel, ChannelSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';
import { recordEdit } from './edits';

export interface SavedChannel {
  readonly channel: Channel;
  readonly version: number;
  /** The edit that was made, by which it can be undone; `null` when nothing changed. */
  readonly editId: string | null;
}

const COLUMNS = {
  id: 'id',
  groupId: 'group_id',
  name: 'name',
  receiveHz: 'receive_hz',
  transmitHz: 'transmit_hz',
  transmitTone: 'transmit_tone',
  receiveTone: 'receive_tone',
  receivePolicy: 'receive_policy',
  bandwidth: 'bandwidth',
  mode: 'mode',
  service: 'service',
  access: 'access',
  tier: 'tier',
  note: 'note',
  aliases: 'aliases',
  shortNames: 'short_names',
  tonesSecret: 'tones_secret',
  listed: 'listed',
  trunk: 'trunk_network',
  scan: 'scan',
  resumeDelay: 'resume_delay',
} as const satisfies Record<keyof Channel, string>;

export function channelRow(channel: Channel): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(COLUMNS).map(([key, column]) => [column, columnValue(channel[key as keyof Channel])]),
  );
}

/** A list or a record goes into its column as JSON. */
const columnValue = (value: unknown) =>
  typeof value === 'object' && value !== null ? JSON.stringify(value) : value;

export function channelFromRow(row: Record<string, unknown>): Channel {
  return ChannelSchema.parse(
    Object.fromEntries(Object.entries(COLUMNS).map(([key, column]) => [key, row[column]])),
  );
}

/** The channels of all plans by name. */
export async function listChannelNames(
  db: Knex,
  workspaceId: string,
): Promise<{ id: string; name: string }[]> {
  return db('channel')
    .select('id', 'name')
    .where({ workspace_id: workspaceId, deleted_at: null })
    .orderBy('id');
}

/** Adds a channel at the end of its plan. The id is the client's, so a second sending of the same one is answered alike. */
export async function addChannel(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  given: Channel,
): Promise<SavedChannel> {
  const plan = await trx('plan')
    .where({ id: planId, workspace_id: workspaceId, deleted_at: null })
    .forUpdate()
    .first();
  if (!plan) throw new NotHere();
  const channel = checked(given);
  needGroup(plan.groups, channel);
  const there = await trx('channel').where({ id: channel.id }).first();
  if (there) {
    const same =
      there.plan_id === planId && there.deleted_at === null && sameChannel(channelFromRow(there), channel);
    if (!same) throw new ChangedMeanwhile(there.workspace_id === workspaceId ? stateOf(there) : null);
    return { channel, version: there.version, editId: null };
  }
  await needRoom(trx, planId);
  const last = await trx('channel').where({ plan_id: planId }).max('position as position').first();
  await trx('channel').insert({
    ...channelRow(channel),
    workspace_id: workspaceId,
    plan_id: planId,
    position: Number(last?.position ?? -1) + 1,
  });
  await trx('plan').where({ id: planId }).increment('version', 1);
  const editId = await recordEdit(trx, workspaceId, {
    kind: 'channel',
    aggregateId: channel.id,
    before: null,
    after: channel,
  });
  return { channel, version: 1, editId };
}

/** Changes a channel from a version; a stale one is refused with the newer channel. */
export async function saveChannel(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  given: Channel,
  undoes: string | null = null,
): Promise<SavedChannel> {
  const channel = checked(given);
  // The plan is held first, so that no group goes while a channel comes into it.
  const plan = await planOf(trx, workspaceId, id, 'share');
  const row = await lockChannel(trx, workspaceId, id, version);
  needGroup(plan.groups, channel);
  const before = channelFromRow(row);
  if (sameChannel(before, channel)) return { channel, version, editId: null };
  await trx('channel')
    .where({ id })
    .update({ ...channelRow({ ...channel, id }), version: version + 1 });
  const editId = await recordEdit(
    trx,
    workspaceId,
    { kind: 'channel', aggregateId: id, before, after: channel },
    undoes,
  );
  return { channel, version: version + 1, editId };
}

/** Takes a channel out of its plan; it can be taken back by undoing the edit. */
export async function deleteChannel(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  undoes: string | null = null,
): Promise<{ editId: string }> {
  await planOf(trx, workspaceId, id, 'change');
  const row = await lockChannel(trx, workspaceId, id, version);
  await trx('channel')
    .where({ id })
    .update({ deleted_at: trx.fn.now(), version: version + 1 });
  await trx('plan').where({ id: row.plan_id }).increment('version', 1);
  const before = channelFromRow(row);
  return {
    editId: await recordEdit(
      trx,
      workspaceId,
      { kind: 'channel', aggregateId: id, before, after: null },
      undoes,
    ),
  };
}

/** Brings a deleted channel back where it stood; where its group is gone, into the plan's first one. */
export async function restoreChannel(
  trx: Knex.Transaction,
  workspaceId: string,
  was: Channel,
  undoes: string,
): Promise<SavedChannel> {
  const plan = await planOf(trx, workspaceId, was.id, 'change');
  const groups = plan.groups as readonly { id: string }[];
  const hasGroup = groups.some(({ id }) => id === was.groupId);
  const channel = hasGroup ? was : { ...was, groupId: groups[0]?.id ?? was.groupId };
  const row = await trx('channel').where({ id: channel.id, workspace_id: workspaceId }).forUpdate().first();
  if (!row) throw new NotHere();
  if (row.deleted_at === null) throw new ChangedMeanwhile(stateOf(row));
  const version = row.version + 1;
  await needRoom(trx, row.plan_id);
  await trx('channel')
    .where({ id: channel.id })
    .update({ deleted_at: null, version, group_id: channel.groupId });
  await trx('plan').where({ id: row.plan_id }).increment('version', 1);
  const editId = await recordEdit(
    trx,
    workspaceId,
    { kind: 'channel', aggregateId: channel.id, before: null, after: channel },
    undoes,
  );
  return { channel, version, editId };
}

/** As many channels as a plan has at most; one more and it could not be read again. */
const MOST_CHANNELS = 2000;

async function needRoom(trx: Knex.Transaction, planId: string): Promise<void> {
  const row = await trx('channel').where({ plan_id: planId, deleted_at: null }).count('* as n').first();
  if (Number(row?.n ?? 0) >= MOST_CHANNELS)
    throw new BadInput([
      {
        code: 'document-shape',
        severity: 'error',
        path: '/channels',
        detail: `a plan has ${MOST_CHANNELS} channels at most`,
      },
    ]);
}

/** The plan of a channel, held: to share while its groups must stay as they are, or for a change of its own. */
async function planOf(trx: Knex.Transaction, workspaceId: string, id: string, how: 'share' | 'change') {
  const at = await trx('channel').where({ id, workspace_id: workspaceId }).first('plan_id');
  if (!at) throw new NotHere();
  const plan = trx('plan').where({ id: at.plan_id });
  return (how === 'share' ? plan.forShare() : plan.forUpdate()).first();
}

/** A channel as it may be kept, also one that was put together here. @throws BadInput at the path of what may not */
function checked(channel: Channel): Channel {
  const parsed = ChannelSchema.safeParse(channel);
  if (!parsed.success) throw new BadInput(shapeFindings(parsed.error));
  return parsed.data;
}

/** The version a channel has now; for undo, which works on what is there. */
export async function channelVersion(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
): Promise<number> {
  const row = await trx('channel').where({ id, workspace_id: workspaceId, deleted_at: null }).first();
  if (!row) throw new NotHere();
  return row.version;
}

export async function currentChannel(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
): Promise<Channel | null> {
  const row = await trx('channel').where({ id, workspace_id: workspaceId, deleted_at: null }).first();
  return row ? channelFromRow(row) : null;
}

async function lockChannel(trx: Knex.Transaction, workspaceId: string, id: string, version: number) {
  const row = await trx('channel')
    .where({ id, workspace_id: workspaceId, deleted_at: null })
    .forUpdate()
    .first();
  if (!row) throw new NotHere();
  if (row.version !== version) throw new ChangedMeanwhile(stateOf(row));
  return row;
}

function stateOf(row: Record<string, unknown>) {
  return row.deleted_at === null
    ? { channel: channelFromRow(row), version: row.version }
    : { channel: null, version: row.version };
}

function needGroup(groups: readonly { id: string }[], channel: Channel): void {
  if (groups.some((group) => group.id === channel.groupId)) return;
  throw new BadInput([
    {
      code: 'dangling-reference',
      severity: 'error',
      path: '/channel/groupId',
      what: 'group',
      id: channel.groupId,
    },
  ]);
}

export function sameChannel(a: Channel, b: Channel): boolean {
  return Object.keys(COLUMNS).every(
    (key) => columnValue(a[key as keyof Channel]) === columnValue(b[key as keyof Channel]),
  );
}
