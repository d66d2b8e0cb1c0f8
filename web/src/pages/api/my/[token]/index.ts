import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';
import { cardView } from '@/server/views/card';

/** GET the card of a link, without an account: 200, 404 where the link is over or was taken back, 429. */
export const GET = endpoint('GET /api/my/[token]', async ({ db, params, context }) =>
  cardView(db, await holderByLink(db, params.token, context)),
);
