import { endpoint } from '@/server/endpoint';
import { holderSignedIn } from '@/server/holder';
import { cardSteps } from '@/server/views/cardSteps';

/** GET the steps of a set of one's own: 200, 404 where there are none to be worked by. */
export const GET = endpoint('GET /api/my/sets/[unitId]', async ({ db, session, params, url }) =>
  cardSteps(db, await holderSignedIn(db, session, url), params.unitId),
);
