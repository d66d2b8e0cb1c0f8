import { effortOfNumbers } from '@umbrex/core/effort';
import { NumberingSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { loadedAlike } from '@/server/sheetPage';

const numbers = NumberingSchema.shape.numbers;
const Body = z.strictObject({ numbers, others: z.array(numbers).min(1).max(6) });

/** POST numbers and others beside them: how many presses and minutes more each of the others takes to load the fleet. Nothing is kept. */
export const POST = endpoint(Body, async ({ db, session, params, body }) => {
  const desk = await loadDesk(db, session, params.planId ?? '');
  const plan = { ...desk.state.plan, numbering: { numbers: body.numbers, pins: [] } };
  return effortOfNumbers(plan, loadedAlike(desk), body.others);
});
