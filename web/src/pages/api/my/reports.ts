import { endpoint } from '@/server/endpoint';
import { takeReports } from '@/server/reports';

/** POST what somebody reports of their own sets: 200 with an answer to each, 400. */
export const POST = endpoint('POST /api/my/reports', async ({ db, write, session, body }) => {
  const holder = { session, planId: body.planId, hidesTones: false, until: null };
  return { answers: await takeReports(db, write, holder, body.reports) };
});
