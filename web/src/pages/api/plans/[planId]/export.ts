import { maskSecretTones, writePlan } from '@umbrex/core/formats';
import type { APIRoute } from 'astro';
import { allows } from '@/server/auth/roles';
import { endpoint } from '@/server/endpoint';
import { loadPlan } from '@/server/repositories/plans';

const load = endpoint(null, async ({ db, workspace, session, params, url }) => {
  const { plan } = await loadPlan(db, workspace.id, params.planId ?? '');
  const isPublic = !allows(session.role, 'member') || url.searchParams.has('public');
  return isPublic ? maskSecretTones(plan) : plan;
});

/** GET a plan as the document that others read, as a download; `?public` and observers get secret tones masked: 200, 404. */
export const GET: APIRoute = async (context) => {
  const answer = await load(context);
  if (!answer.ok) return answer;
  const plan = await answer.json();
  const name = String(plan.name)
    .replace(/[^\p{L}\p{N}-]+/gu, '-')
    .toLowerCase();
  return new Response(writePlan(plan), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="plan.json"; filename*=UTF-8''${encodeURIComponent(name)}.json`,
    },
  });
};
