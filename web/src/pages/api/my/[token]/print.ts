import { format } from 'date-fns';
import { z } from 'zod';
import { addressOf } from '@/server/address';
import { today } from '@/server/day';
import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';
import { pdfResponse, SIZES } from '@/server/print/pdf';
import { pocketCard } from '@/server/print/pocket';
import { NotHere } from '@/server/problem';
import { cardView } from '@/server/views/card';

/** GET the pocket card by the link to a card, `?size=A4|LETTER`, as PDF: 200, 404 a link that is over, 429. */
export const GET = endpoint('GET /api/my/[token]/print', async ({ db, params, url, context }) => {
  const size = z
    .enum(SIZES)
    .default('A4')
    .safeParse(url.searchParams.get('size') ?? undefined);
  if (!size.success) throw new NotHere();
  const card = await cardView(db, await holderByLink(db, params.token, context));
  const state = `${card.planName}, ${card.revision === null ? 'draft' : `revision ${card.revision}`}`;
  const running = { title: 'Pocket card', state, day: format(new Date(), 'd MMMM yyyy') };
  const address = `${addressOf(context.request, url)}/my/${params.token}`;
  return pdfResponse(await pocketCard(running, card, address, size.data), `card-${today()}`);
});
