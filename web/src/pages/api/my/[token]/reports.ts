import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';
import { NotHere } from '@/server/problem';
import { takeReports } from '@/server/reports';

/** POST what somebody reports by the link to their card: 200 with an answer to each, 400, 404, 429. */
export const POST = endpoint('POST /api/my/[token]/reports', async ({ db, write, params, body, context }) => {
  const holder = await holderByLink(db, params.token, context);
  if (body.planId !== holder.planId) throw new NotHere();
  return { answers: await takeReports(db, write, holder, body.reports) };
});
