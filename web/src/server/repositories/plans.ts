import { randomUUID } from 'node:crypto';
import { withFreshIds } from '@umbrex/core/formats';
import { type Channel, headOf, PLAN_FORMAT, type Plan, PlanHeadSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import type { PlanState } from '../../contract/routes';
import { ChangedMeanwhile, NotHere } from '../problem';
import { addChannels, placeChannels } from '../store/channels';
import { addThing, bringBackThing, listThings, saveThing, takeThing, thingAt } from '../store/store';
import { type Edit, recordEdit } from './edits';

/**
 * The plans of a workspace, those in use before those that were put away, oldest first; also one that cannot be read, under the name it
 * has.
 */
export async function listPlans(
  db: Knex,
  workspaceId: string,
): Promise<{ id: string; name: string; archived: boolean }[]> {
  return db('plan')
    .select('id', db.raw(`coalesce(name, 'cannot be read') as name`), db.raw(`${ARCHIVED} as archived`))
    .where({ workspace_id: workspaceId, deleted_at: null })
    .orderBy('archived')
    .orderBy('created_at')
    .orderBy('id');
}
const ARCHIVED = `document->'archived' is not distinct from 'true'::jsonb`;

/** The same with how many channels each has, and whose rules it follows. */
export async function plansAtAGlance(db: Knex, workspaceId: string) {
  const plans = await listPlans(db, workspaceId);
  const counts = await db('channel')
    .select('plan_id')
    .count('id as channels')
    .where({ workspace_id: workspaceId, deleted_at: null })
    .groupBy('plan_id');
  const countries = await db('plan')
    .select('id', db.raw(`document->>'country' as country`))
    .where({ workspace_id: workspaceId });
  const channelsOf = new Map(counts.map(({ plan_id, channels }) => [plan_id, Number(channels)]));
  const countryOf = new Map(countries.map(({ id, country }) => [id, country]));
  return plans.map((plan) => ({
    ...plan,
    channels: channelsOf.get(plan.id) ?? 0,
    country: PlanHeadSchema.shape.country.catch('unknown').parse(countryOf.get(plan.id)),
  }));
}

/** A whole plan with its channels in order. @throws NotHere; BadInput where its head cannot be read */
export async function loadPlan(db: Knex, workspaceId: string, planId: string): Promise<PlanState> {
  const { value: head, version } = await thingAt(db, 'plan', workspaceId, planId);
  const channels = await listThings(db, 'channel', workspaceId, { plan_id: planId });
  return {
    plan: { format: PLAN_FORMAT, id: planId, ...head, channels: channels.map(({ value }) => value) },
    version,
    channelVersions: Object.fromEntries(channels.map((channel) => [channel.value.id, channel.version])),
  };
}

/** Puts a new plan in whole, with its channels. A plan whose id is taken, here or elsewhere, gets a fresh id by the caller. */
export async function insertPlan(trx: Knex.Transaction, workspaceId: string, plan: Plan): Promise<void> {
  await addThing(trx, 'plan', workspaceId, plan.id, headOf(plan));
  await addChannels(trx, workspaceId, plan.id, plan.channels);
}

/** Takes a plan document in; where an id of it is taken, here or elsewhere, all of it gets fresh ones. Answers the plan's id. */
export async function importPlan(
  trx: Knex.Transaction,
  workspaceId: string,
  document: Plan,
): Promise<string> {
  const channelIds = document.channels.map((channel) => channel.id);
  const planTaken = await trx('plan').where({ id: document.id }).first('id');
  const channelTaken = await trx('channel').whereIn('id', channelIds).first('id');
  const plan = planTaken || channelTaken ? withFreshIds(document, randomUUID) : document;
  await insertPlan(trx, workspaceId, plan);
  return plan.id;
}

/** Adds a channel at the end of a plan. */
export function addChannel(trx: Knex.Transaction, workspaceId: string, planId: string, channel: Channel) {
  return addThing(trx, 'channel', workspaceId, channel.id, channel, { plan_id: planId });
}

/** Where each channel of a plan stands: its group and its place, in order. */
export type Order = readonly { readonly id: string; readonly groupId: string }[];

/**
 * Puts the channels in another order. It must name exactly the channels that are there. One that comes into another group is a newer
 * version of itself.
 */
export async function saveOrder(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  version: number,
  order: Order,
  undoes: string | null = null,
): Promise<string> {
  const held = await trx('plan')
    .where({ id: planId, workspace_id: workspaceId, deleted_at: null })
    .forUpdate()
    .first('version');
  if (!held) throw new NotHere();
  const state = await loadPlan(trx, workspaceId, planId);
  if (held.version !== version) throw new ChangedMeanwhile(state);
  const there = new Map(state.plan.channels.map((channel) => [channel.id, channel]));
  const groups = new Set(state.plan.groups.map((group) => group.id));
  const named = new Set(order.map((entry) => entry.id));
  const same =
    named.size === there.size && order.length === there.size && [...named].every((id) => there.has(id));
  if (!same || order.some((entry) => !groups.has(entry.groupId))) throw new ChangedMeanwhile(state);
  await placeChannels(trx, workspaceId, there, order);
  await trx('plan').where({ id: planId }).increment('version', 1);
  const before: Order = orderOf(state.plan);
  return recordEdit(trx, workspaceId, { kind: 'order', aggregateId: planId, before, after: order }, undoes);
}

/**
 * Makes a plan what a document says, channel by channel, each by an edit of its own: what is gone comes back, what is not in it goes. It stays put
 * away where it was.
 */
export async function becomePlan(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  version: number,
  wanted: Plan,
): Promise<void> {
  const now = await loadPlan(trx, workspaceId, planId);
  const there = new Map(now.plan.channels.map((channel) => [channel.id, channel]));
  const head = { ...headOf(wanted), archived: now.plan.archived };
  const kept = new Set(head.groups.map(({ id }) => id));
  const groups = [...head.groups, ...now.plan.groups.filter(({ id }) => !kept.has(id))];
  // No channel stands without its group meanwhile.
  const both = await saveThing(trx, 'plan', workspaceId, planId, version, { ...head, groups });
  const stays = new Set(wanted.channels.map(({ id }) => id));
  for (const { id } of now.plan.channels)
    if (!stays.has(id)) await takeThing(trx, 'channel', workspaceId, id, now.channelVersions[id] ?? 0);
  for (const channel of wanted.channels) {
    const { id } = channel;
    if (there.has(id))
      await saveThing(trx, 'channel', workspaceId, id, now.channelVersions[id] ?? 0, channel);
    else if (await trx('channel').where({ id, workspace_id: workspaceId, plan_id: planId }).first('id'))
      await bringBackThing(trx, 'channel', workspaceId, id, channel);
    else await addChannel(trx, workspaceId, planId, channel);
  }
  const row = await trx('plan').where({ id: planId }).first('version');
  const last = await saveThing(trx, 'plan', workspaceId, planId, row?.version ?? both.version, head);
  const { plan } = await loadPlan(trx, workspaceId, planId);
  if (JSON.stringify(orderOf(plan)) !== JSON.stringify(orderOf(wanted)))
    await saveOrder(trx, workspaceId, planId, last.version, orderOf(wanted));
}

/** Puts the channels back in the order they had before an edit. @throws ChangedMeanwhile when they were put in order again since */
export async function revertOrder(trx: Knex.Transaction, workspaceId: string, edit: Edit): Promise<void> {
  const { plan, version } = await loadPlan(trx, workspaceId, edit.aggregateId);
  const isAsLeft = JSON.stringify(orderOf(plan)) === JSON.stringify((edit.after as Order).map(orderEntry));
  if (!isAsLeft) throw new ChangedMeanwhile({ plan, version });
  await saveOrder(trx, workspaceId, edit.aggregateId, version, edit.before as Order, edit.id);
}

const orderEntry = ({ id, groupId }: Order[number]) => ({ id, groupId });
const orderOf = ({ channels }: Plan): Order => channels.map(orderEntry);
