import { searchDirectory } from '@/server/directory';
import { endpoint } from '@/server/endpoint';
import { keepEntries } from '@/server/repositories/directory';

/**
 * POST a place and a distance: the directory's stations there, nearest first, each with distance and direction; what it says
 * is kept for the tone advisor. 200 also when the directory has nothing or does not answer: the findings say why. 400.
 */
export const POST = endpoint('POST /api/directory/search', async ({ write, workspace, body }) => {
  const search = await searchDirectory(body.near, body.withinM);
  if (search.ok) {
    const { source, found } = search.reading;
    await write((trx) => keepEntries(trx, workspace.id, source, found));
  }
  return search;
});
