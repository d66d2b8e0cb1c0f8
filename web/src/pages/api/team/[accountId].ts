import { endpoint } from '@/server/endpoint';
import { changeMember, removeMember } from '@/server/repositories/accounts';
import { needThing } from '@/server/store/store';

/** PUT a member's role and the person they are: 200, 404, 409 the last coordinator stays one. Their sessions here end. */
export const PUT = endpoint('PUT /api/team/[accountId]', ({ write, workspace, params, body }) =>
  write(async (trx) => {
    await needThing(trx, 'person', workspace.id, body.personId);
    await changeMember(trx, workspace.id, params.accountId, body.role, body.personId);
    return { role: body.role };
  }),
);

/** DELETE a member from the workspace: 200, 404, 409 the last coordinator. */
export const DELETE = endpoint('DELETE /api/team/[accountId]', ({ write, workspace, params }) =>
  write(async (trx) => {
    await removeMember(trx, workspace.id, params.accountId);
    return { removed: true };
  }),
);
