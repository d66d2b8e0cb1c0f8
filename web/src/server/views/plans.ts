import { allows } from '../../contract/roles';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { plansAtAGlance } from '../repositories/plans';

/** The plans of the workspace, those that are in use and those that were put away. */
export async function plansView({ session, workspace, state }: Desk) {
  return {
    planId: state.plan.id,
    plans: await plansAtAGlance(getDb(), workspace.id),
    workspaceName: workspace.name,
    isSignedIn: session.accountId !== null,
    mayEdit: allows(session.role, 'editor'),
  };
}
