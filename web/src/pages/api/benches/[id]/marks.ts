import { takeMarks } from '@/server/benchMarks';
import { endpoint } from '@/server/endpoint';
import { thingAt } from '@/server/store/store';

/** POST what was ticked on a bench day, each once by its id: 200 with what became of each and the day as it is now, 400, 404. */
export const POST = endpoint(
  'POST /api/benches/[id]/marks',
  async ({ db, write, session, workspace, params, body }) => {
    const answers = await takeMarks(db, write, session, params.id, body.marks);
    const { value, version } = await thingAt(db, 'bench', workspace.id, params.id);
    return { answers, day: { value, version } };
  },
);
