import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';
import { foreignWork } from '@/server/views/foreign';

/** GET what it takes to fit one more channel to a set, by a link to its holder's card: 200, 404, 429. */
export const GET = endpoint('GET /api/my/[token]/sets/[unitId]/foreign', async ({ db, params, context }) =>
  foreignWork(db, await holderByLink(db, params.token, context), params.unitId),
);
