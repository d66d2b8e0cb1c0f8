import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';
import { cardSteps } from '@/server/views/cardSteps';

/** GET the steps of a set by a link to its holder's card: 200, 404, 429. */
export const GET = endpoint('GET /api/my/[token]/sets/[unitId]', async ({ db, params, context }) =>
  cardSteps(db, await holderByLink(db, params.token, context), params.unitId),
);
