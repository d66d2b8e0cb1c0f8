import { endpoint } from '@/server/endpoint';
import { saveSteps } from '@/server/repositories/descriptions';

/** PUT the steps that somebody recorded with a set in hand: 200 with the version, 400 findings by line, 404, 409 changed meanwhile. */
export const PUT = endpoint(
  'PUT /api/descriptions/[descriptionId]/steps',
  ({ write, workspace, params, body }) =>
    write(async (trx) => {
      const { version, editId } = await saveSteps(
        trx,
        workspace.id,
        params.descriptionId,
        body.version,
        body.recording,
      );
      return { version, editId };
    }),
);
