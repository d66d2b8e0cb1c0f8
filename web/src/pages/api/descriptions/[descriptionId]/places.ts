import { placesOfSet } from '@umbrex/core/listing';
import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { listDescriptions } from '@/server/repositories/descriptions';

/** GET the places of a kind of set as people read them, for lines that are written with one in hand: 200, 404. */
export const GET = endpoint(
  'GET /api/descriptions/[descriptionId]/places',
  async ({ db, workspace, params }) => {
    const all = await listDescriptions(db, workspace.id);
    const found = all.find(({ description }) => description.id === params.descriptionId);
    if (!found) throw new NotHere();
    return placesOfSet(found.description);
  },
);
