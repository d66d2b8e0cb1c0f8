import { endpoint } from '@/server/endpoint';
import { holderSignedIn } from '@/server/holder';
import { foreignWork } from '@/server/views/foreign';

/** GET what it takes to fit one more channel to a set of one's own: 200, 404 where it is none of theirs. */
export const GET = endpoint('GET /api/my/sets/[unitId]/foreign', async ({ db, session, params, url }) =>
  foreignWork(db, await holderSignedIn(db, session, url), params.unitId),
);
