import { endpoint } from '@/server/endpoint';
import { revisionDocument } from '@/server/repositories/revisions';

/** GET a published state as a document, as a download: 200, 404. */
export const GET = endpoint(
  'GET /api/plans/[planId]/revisions/[number]',
  async ({ db, workspace, params }) => {
    const document = await revisionDocument(db, workspace.id, params.planId, Number(params.number));
    return new Response(`${JSON.stringify(document, null, 2)}\n`, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="revision-${params.number}.json"`,
      },
    });
  },
);
