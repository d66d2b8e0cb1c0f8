import type { Blocker } from '@umbrex/core/publish';
import { blockerText } from '@/messages/revisions';
import { today } from '@/server/day';
import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { planFor } from '@/server/planFor';
import { BadInput, ChangedMeanwhile } from '@/server/problem';
import { listRevisions, publish } from '@/server/repositories/revisions';
import { draftNames, publishView } from '@/server/views/publish';

/** GET what was published of a plan, newest first: 200, 404. */
export const GET = endpoint(
  'GET /api/plans/[planId]/revisions',
  async ({ db, session, workspace, params }) => {
    await planFor(db, session, params.planId);
    return listRevisions(db, workspace.id, params.planId);
  },
);

/** POST the draft as the next revision: 201; 400 what stops it, 404, 409 with the newest one when somebody was faster. */
export const POST = endpoint(
  'POST /api/plans/[planId]/revisions',
  async ({ db, session, workspace, params, body, write }) => {
    const desk = await loadDesk(db, session, params.planId);
    const view = await publishView(db, desk);
    if (view.draft !== body.draft || view.after !== body.after)
      throw new ChangedMeanwhile({ newest: desk.revisions[0] ?? null });
    const names = draftNames(desk);
    const words = (blocker: Blocker) => blockerText(blocker, names).slice(0, 400);
    const reasons = new Map(body.overruled.map(({ mark, reason }) => [mark, reason]));
    const stopping = view.blockers.filter(({ mark }) => !reasons.has(mark));
    if (stopping.length > 0)
      throw new BadInput(
        stopping.map((blocker) => ({
          code: 'publish-stopped',
          severity: 'error',
          path: '/overruled',
          words: words(blocker),
        })),
      );
    const now = today();
    const decided = view.choices.flatMap(({ choice, value, decided: before }) =>
      body.decided.includes(choice)
        ? [{ choice, value, by: session.name, day: now }]
        : before
          ? [before]
          : [],
    );
    const { id, number } = await write((trx) =>
      publish(trx, workspace.id, params.planId, {
        by: session.name,
        accountId: session.accountId,
        reason: body.reason,
        effectiveFrom: body.effectiveFrom,
        overruled: view.blockers.map((blocker) => ({
          mark: blocker.mark,
          words: words(blocker),
          reason: reasons.get(blocker.mark) ?? '',
        })),
        decided,
        cost: view.cost,
        after: body.after,
        draft: body.draft,
        descriptions: desk.descriptions.map(({ description }) => description),
      }),
    );
    return { id, number };
  },
);
