import { writePlan } from '@umbrex/core/formats';
import { endpoint } from '@/server/endpoint';
import { planFor } from '@/server/planFor';

/** GET a plan as the document that others read, as a download; with `?public` as observers see it: 200, 404. */
export const GET = endpoint('GET /api/plans/[planId]/export', async ({ db, session, params, url }) => {
  const reader = url.searchParams.has('public') ? { ...session, role: 'observer' as const } : session;
  const { plan } = await planFor(db, reader, params.planId);
  const name = plan.name.replace(/[^\p{L}\p{N}-]+/gu, '-').toLowerCase();
  return new Response(writePlan(plan), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="plan.json"; filename*=UTF-8''${encodeURIComponent(name)}.json`,
    },
  });
});
