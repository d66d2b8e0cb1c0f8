import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { listDescriptions } from '@/server/repositories/descriptions';

/** GET the description of a kind of device as the document that is brought in again, as a download: 200, 404. */
export const GET = endpoint(null, async ({ db, workspace, params }) => {
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
