import { maskSecretTones } from '@umbrex/core/formats';
import type { Knex } from 'knex';
import type { State } from '../contract/revisions';
import { allows } from '../contract/roles';
import type { PlanState } from '../contract/routes';
import type { Session } from './auth/session';
import { loadPlan } from './repositories/plans';
import { revisionPlan } from './repositories/revisions';

/**
 * A plan as somebody may see it: the only source of plans for pages, API and exports. Observers do not see tones that are kept to the group.
 * @param of its draft, or a published state by number; versions are the draft's in any case
 */
export async function planFor(
  db: Knex,
  { workspace, role }: Pick<Session, 'workspace' | 'role'>,
  planId: string,
  of: State = 'draft',
): Promise<PlanState> {
  const draft = await loadPlan(db, workspace.id, planId);
  const state = of === 'draft' ? draft : { ...draft, plan: await revisionPlan(db, workspace.id, planId, of) };
  return allows(role, 'member') ? state : { ...state, plan: maskSecretTones(state.plan) };
}
