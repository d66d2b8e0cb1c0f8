import { endpoint } from '@/server/endpoint';
import { revokeCardLink } from '@/server/repositories/cards';

/** DELETE a link to a card: 200, and at its next request it shows nothing; 404. */
export const DELETE = endpoint('DELETE /api/team/links/[id]', ({ write, workspace, params }) =>
  write(async (trx) => {
    await revokeCardLink(trx, workspace.id, params.id);
    return { revoked: true };
  }),
);
