import { checkDescription } from '@umbrex/core/formats';
import { stepFindings } from '@umbrex/core/procedure';
import { endpoint } from '@/server/endpoint';
import { BadInput, NotHere } from '@/server/problem';
import { listDescriptions, replaceDescription } from '@/server/repositories/descriptions';

/** GET the description of a kind of device as the document that is brought in again, as a download: 200, 404. */
export const GET = endpoint('GET /api/descriptions/[descriptionId]', async ({ db, workspace, params }) => {
  const all = await listDescriptions(db, workspace.id);
  const found = all.find(({ description }) => description.id === params.descriptionId);
  if (!found) throw new NotHere();
  return new Response(`${JSON.stringify(found.description, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${found.description.id}.json"`,
    },
  });
});

/** PUT a corrected description in its place: 200 with findings about its words, 400 with findings that name the path, 404, 409 changed meanwhile. */
export const PUT = endpoint(
  'PUT /api/descriptions/[descriptionId]',
  async ({ write, workspace, params, body }) => {
    const result = checkDescription(body.description);
    if (!result.ok) throw new BadInput(result.findings);
    const { id } = result.value;
    if (id !== params.descriptionId)
      throw new BadInput([
        {
          code: 'document-shape',
          severity: 'error',
          path: '/id',
          detail: `${id}, not ${params.descriptionId}`,
        },
      ]);
    return write(async (trx) => {
      const { version, editId, value } = await replaceDescription(
        trx,
        workspace.id,
        body.version,
        result.value,
      );
      return { id, version, editId, findings: stepFindings(value) };
    });
  },
);
