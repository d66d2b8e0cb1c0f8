import { countAttempt, LINK_BY_ADDRESS } from '@/server/auth/limits';
import { endpoint } from '@/server/endpoint';
import { enrolled } from '@/server/enrol';
import { NotHere } from '@/server/problem';
import { useLink } from '@/server/repositories/links';
import { addThing } from '@/server/store/store';

/**
 * POST what a holder says of their own set, with an enrolment link and no account: 201. The device waits for a coordinator's
 * word. 400, 404 a link that is used or too old, 429.
 */
export const POST = endpoint('POST /api/enrol/[token]', async ({ db, write, params, body, context }) => {
  await countAttempt(db, `link ${context.clientAddress}`, LINK_BY_ADDRESS);
  return write(async (trx) => {
    const link = await useLink(trx, params.token);
    if (link?.kind !== 'enrol') throw new NotHere();
    const unit = await enrolled(trx, body, link);
    await addThing(trx, 'unit', link.workspaceId, unit.id, unit);
    return { nickname: unit.nickname };
  });
});
