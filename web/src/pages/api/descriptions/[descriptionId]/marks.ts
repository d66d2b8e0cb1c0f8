import { MarkSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { addMark } from '@/server/repositories/descriptions';

const Body = z.strictObject({ version: z.number().int(), mark: MarkSchema });

/** POST a person's word on a description: 201 with the marks, 400, 404, 409 changed meanwhile. */
export const POST = endpoint(
  Body,
  ({ write, workspace, params, body }) =>
    write(async (trx) => {
      const { description, version, editId } = await addMark(
        trx,
        workspace.id,
        params.descriptionId ?? '',
        body.version,
        body.mark,
      );
      return { marks: description.marks, version, editId };
    }),
  { status: 201 },
);
