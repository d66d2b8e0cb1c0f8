import { maskSecretTones } from '@umbrex/core/formats';
import type { Knex } from 'knex';
import { allows } from '../contract/roles';
import type { PlanState } from '../contract/routes';
import type { Session } from './auth/session';
import { loadPlan } from './repositories/plans';

/** A plan as somebody may see it: the only source of plans for pages, API and exports. Observers do not see tones that are kept to the group. */
export async function planFor(
  db: Knex,
  { workspace, role }: Pick<Session, 'workspace' | 'role'>,
  planId: string,
): Promise<PlanState> {
  const state = await loadPlan(db, workspace.id, planId);
  return allows(role, 'member') ? state : { ...state, plan: maskSecretTones(state.plan) };
}
