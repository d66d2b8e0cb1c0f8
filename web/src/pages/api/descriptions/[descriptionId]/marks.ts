import { endpoint } from '@/server/endpoint';
import { addMark } from '@/server/repositories/descriptions';

/** POST a person's word on a description: 201 with the marks, 400, 404, 409 changed meanwhile. */
export const POST = endpoint(
  'POST /api/descriptions/[descriptionId]/marks',
  ({ write, workspace, params, body }) =>
    write(async (trx) => {
      const { value, version, editId } = await addMark(
        trx,
        workspace.id,
        params.descriptionId,
        body.version,
        body.mark,
      );
      return { marks: value.marks, version, editId };
    }),
);
