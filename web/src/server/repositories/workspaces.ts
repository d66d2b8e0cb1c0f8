import { randomUUID } from 'node:crypto';
import type { PlanCountry } from '@umbrex/core/facts';
import { PLAN_FORMAT, type Plan, PlanSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { setRole } from './accounts';
import { insertPlan } from './plans';

export interface Workspace {
  readonly id: string;
  readonly name: string;
}

/** The workspace that was made first: on one's own machine the only one. */
export async function firstWorkspace(db: Knex): Promise<Workspace | undefined> {
  return db('workspace').select('id', 'name').orderBy('created_at').orderBy('id').first();
}

export async function insertWorkspace(trx: Knex.Transaction, workspace: Workspace): Promise<void> {
  await trx('workspace').insert(workspace);
}

/** A plan with one group and nothing in it, for a workspace that begins from nothing; whose rules it follows is asked. */
export function emptyPlan(id: string, groupId: string, country: PlanCountry): Plan {
  return PlanSchema.parse({
    format: PLAN_FORMAT,
    id,
    name: 'First plan',
    country,
    receivePolicy: 'closed',
    groups: [{ id: groupId, name: 'Channels', note: '' }],
    channels: [],
  });
}

/**
 * Starts a workspace beside another: an empty plan, the kinds of device that the other one knows, and one coordinator. Answers
 * its id.
 */
export async function startWorkspace(
  trx: Knex.Transaction,
  { name, country }: { name: string; country: PlanCountry },
  beside: string,
  accountId: string,
): Promise<string> {
  const id = randomUUID();
  await insertWorkspace(trx, { id, name });
  await trx.raw(
    'insert into description (workspace_id, id, document) select ?, id, document from description where workspace_id = ? and deleted_at is null',
    [id, beside],
  );
  await insertPlan(trx, id, emptyPlan(randomUUID(), randomUUID(), country));
  await setRole(trx, { workspaceId: id, accountId, role: 'coordinator', personId: null });
  return id;
}
