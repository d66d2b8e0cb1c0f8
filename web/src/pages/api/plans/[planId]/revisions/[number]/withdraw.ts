import { endpoint } from '@/server/endpoint';
import { withdraw } from '@/server/repositories/revisions';

/** POST a reason: the revision stays, marked as withdrawn; 200, 404, 409 when it was already. */
export const POST = endpoint(
  'POST /api/plans/[planId]/revisions/[number]/withdraw',
  async ({ session, workspace, params, body, write }) => {
    const number = Number(params.number);
    await write((trx) =>
      withdraw(trx, workspace.id, params.planId, number, { by: session.name, reason: body.reason }),
    );
    return { withdrawn: number };
  },
);
