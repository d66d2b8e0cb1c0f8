import { effortOfNumbers } from '@umbrex/core/effort';
import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { attempt, loadedAlike } from '@/server/sheetPage';

/**
 * POST numbers and others beside them: how many presses and minutes more each of the others takes to load the
 * fleet, and how many sets are left out of that since their sheet cannot be made. Nothing is kept.
 */
export const POST = endpoint('POST /api/plans/[planId]/effort', async ({ db, session, params, body }) => {
  const desk = await loadDesk(db, session, params.planId);
  const plan = { ...desk.state.plan, numbering: { numbers: body.numbers, pins: [] } };
  const effort = body.others.map(() => ({ presses: 0, minutes: 0 }));
  let left = 0;
  for (const alike of loadedAlike(desk)) {
    const more = attempt(() => effortOfNumbers(plan, [alike], body.others), alike.description.id);
    if (!more) left += alike.count;
    more?.forEach(({ presses, minutes }, i) => {
      const sum = effort[i];
      if (sum) [sum.presses, sum.minutes] = [sum.presses + presses, sum.minutes + minutes];
    });
  }
  return { effort, left };
});
