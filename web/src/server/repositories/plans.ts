import { randomUUID } from 'node:crypto';
import { shapeFindings, withFreshIds } from '@umbrex/core/formats';
import {
  headOf,
  PLAN_FORMAT,
  type Plan,
  type PlanHead,
  PlanHeadSchema,
  PlanSchema,
} from '@umbrex/core/model';
import type { Knex } from 'knex';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';
import { channelFromRow, channelRow } from './channels';
import { recordEdit } from './edits';

/** A plan as the desk holds it: the document, and the version of each part that an edit must name. */
export interface PlanState {
  readonly plan: Plan;
  readonly version: number;
  readonly channelVersions: Readonly<Record<string, number>>;
}

export async function listPlans(db: Knex, workspaceId: string): Promise<{ id: string; name: string }[]> {
  return db('plan')
    .select('id', 'name')
    .where({ workspace_id: workspaceId, deleted_at: null })
    .orderBy('created_at')
    .orderBy('id');
}

/** A whole plan with its channels in order. */
export async function loadPlan(db: Knex, workspaceId: string, planId: string): Promise<PlanState> {
  const row = await db('plan').where({ id: planId, workspace_id: workspaceId, deleted_at: null }).first();
  if (!row) throw new NotHere();
  const rows = await db('channel')
    .where({ plan_id: planId, deleted_at: null })
    .orderBy('position')
    .orderBy('id');
  const plan = PlanSchema.parse({
    format: PLAN_FORMAT,
    id: row.id,
    name: row.name,
    country: row.country,
    receivePolicy: row.receive_policy,
    resumeDelay: row.resume_delay,
    groups: row.groups,
    licensed: row.licensed,
    services: row.services,
    numbering: row.numbering,
    alerts: row.alerts,
    fleet: row.fleet,
    setup: row.setup,
    roleSetup: row.role_setup,
    naming: row.naming,
    channels: rows.map(channelFromRow),
  });
  return {
    plan,
    version: row.version,
    channelVersions: Object.fromEntries(rows.map((channel) => [channel.id, channel.version])),
  };
}

/** Puts a new plan in whole. A plan whose id is taken, here or elsewhere, gets a fresh id by the caller. */
export async function insertPlan(trx: Knex.Transaction, workspaceId: string, plan: Plan): Promise<void> {
  await trx('plan').insert({
    id: plan.id,
    workspace_id: workspaceId,
    name: plan.name,
    country: plan.country,
    receive_policy: plan.receivePolicy,
    resume_delay: plan.resumeDelay,
    groups: JSON.stringify(plan.groups),
    licensed: JSON.stringify(plan.licensed),
    services: JSON.stringify(plan.services),
    numbering: plan.numbering && JSON.stringify(plan.numbering),
    alerts: plan.alerts && JSON.stringify(plan.alerts),
    fleet: JSON.stringify(plan.fleet),
    setup: JSON.stringify(plan.setup),
    role_setup: JSON.stringify(plan.roleSetup),
    naming: JSON.stringify(plan.naming),
  });
  const rows = plan.channels.map((channel, i) => ({
    ...channelRow(channel),
    workspace_id: workspaceId,
    plan_id: plan.id,
    position: i,
  }));
  if (rows.length > 0) await trx.batchInsert('channel', rows, 200);
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
  await recordEdit(trx, workspaceId, {
    kind: 'planDocument',
    aggregateId: plan.id,
    before: null,
    after: { name: plan.name },
  });
  return plan.id;
}

/** Takes a plan away with all its channels; it can be brought back by undoing the edit. */
export async function deletePlan(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  version: number,
): Promise<string> {
  await needAnotherPlan(trx, workspaceId, planId);
  const { plan } = await lockPlan(trx, workspaceId, planId, version);
  await trx('plan')
    .where({ id: planId })
    .update({ deleted_at: trx.fn.now(), version: version + 1 });
  return recordEdit(trx, workspaceId, {
    kind: 'planDocument',
    aggregateId: planId,
    before: { name: plan.name },
    after: null,
  });
}

/** Everything here stands beside a plan: the last one stays, also when two would go at once. @throws ChangedMeanwhile */
async function needAnotherPlan(trx: Knex.Transaction, workspaceId: string, planId: string): Promise<void> {
  await trx('workspace').where({ id: workspaceId }).forUpdate().first('id');
  const others = await trx('plan')
    .where({ workspace_id: workspaceId, deleted_at: null })
    .whereNot({ id: planId })
    .first('id');
  if (!others) throw new ChangedMeanwhile({ last: 'plan' });
}

/** Brings a deleted plan back, or takes one away that came in by file. */
export async function revertPlan(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  restore: boolean,
  undoes: string,
): Promise<void> {
  if (!restore) await needAnotherPlan(trx, workspaceId, planId);
  const row = await trx('plan').where({ id: planId, workspace_id: workspaceId }).forUpdate().first();
  if (!row) throw new NotHere();
  if ((row.deleted_at === null) === restore) throw new ChangedMeanwhile(null);
  await trx('plan')
    .where({ id: planId })
    .update({ deleted_at: restore ? null : trx.fn.now(), version: row.version + 1 });
  const name = { name: row.name };
  await recordEdit(
    trx,
    workspaceId,
    {
      kind: 'planDocument',
      aggregateId: planId,
      before: restore ? null : name,
      after: restore ? name : null,
    },
    undoes,
  );
}

/** Changes a plan's name, groups or policy. A group that still has channels cannot go. */
export async function savePlanHead(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  version: number,
  given: PlanHead,
  undoes: string | null = null,
): Promise<string> {
  const parsed = PlanHeadSchema.safeParse(given);
  if (!parsed.success) throw new BadInput(shapeFindings(parsed.error));
  const head = parsed.data;
  const state = await lockPlan(trx, workspaceId, planId, version);
  const kept = new Set(head.groups.map((group) => group.id));
  if (state.plan.channels.some((channel) => !kept.has(channel.groupId))) throw new ChangedMeanwhile(state);
  await trx('plan')
    .where({ id: planId })
    .update({
      name: head.name,
      country: head.country,
      receive_policy: head.receivePolicy,
      resume_delay: head.resumeDelay,
      groups: JSON.stringify(head.groups),
      licensed: JSON.stringify(head.licensed),
      services: JSON.stringify(head.services),
      numbering: head.numbering && JSON.stringify(head.numbering),
      alerts: head.alerts && JSON.stringify(head.alerts),
      fleet: JSON.stringify(head.fleet),
      setup: JSON.stringify(head.setup),
      role_setup: JSON.stringify(head.roleSetup),
      naming: JSON.stringify(head.naming),
      version: version + 1,
    });
  return recordEdit(
    trx,
    workspaceId,
    {
      kind: 'plan',
      aggregateId: planId,
      before: headOf(state.plan),
      after: head,
    },
    undoes,
  );
}

/** Where each channel of a plan stands: its group and its place, in order. */
export type Order = readonly { readonly id: string; readonly groupId: string }[];

/** Puts the channels in another order. It must name exactly the channels that are there. */
export async function saveOrder(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  version: number,
  order: Order,
  undoes: string | null = null,
): Promise<string> {
  const state = await lockPlan(trx, workspaceId, planId, version);
  const there = new Set(state.plan.channels.map((channel) => channel.id));
  const groups = new Set(state.plan.groups.map((group) => group.id));
  const named = new Set(order.map((entry) => entry.id));
  const same =
    named.size === there.size && order.length === there.size && [...named].every((id) => there.has(id));
  if (!same || order.some((entry) => !groups.has(entry.groupId))) throw new ChangedMeanwhile(state);
  for (const [position, { id, groupId }] of order.entries())
    await trx('channel').where({ id }).update({ position, group_id: groupId });
  await trx('plan')
    .where({ id: planId })
    .update({ version: version + 1 });
  const before: Order = state.plan.channels.map(({ id, groupId }) => ({ id, groupId }));
  return recordEdit(trx, workspaceId, { kind: 'order', aggregateId: planId, before, after: order }, undoes);
}

/** Holds a plan for a change that was made from a version. */
async function lockPlan(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  version: number,
): Promise<PlanState> {
  const row = await trx('plan')
    .where({ id: planId, workspace_id: workspaceId, deleted_at: null })
    .forUpdate()
    .first();
  if (!row) throw new NotHere();
  const state = await loadPlan(trx, workspaceId, planId);
  if (row.version !== version) throw new ChangedMeanwhile(state);
  return state;
}
