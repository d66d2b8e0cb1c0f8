import { endpoint } from '@/server/endpoint';
import { holderSignedIn } from '@/server/holder';
import { cardView } from '@/server/views/card';

/** GET one's own card: 200, 404 where there is no such plan. */
export const GET = endpoint('GET /api/my', async ({ db, session, url }) =>
  cardView(db, await holderSignedIn(db, session, url)),
);
