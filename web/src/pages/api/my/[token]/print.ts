import { format } from 'date-fns';
import { z } from 'zod';
import { addressOf } from '@/server/address';
import { today } from '@/server/day';
import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';
import { PaperSchema, paperOf } from '@/server/print/documents';
import { pdfResponse } from '@/server/print/pdf';
import { pocketCard } from '@/server/print/pocket';
import { NotHere } from '@/server/problem';
import { cardView } from '@/server/views/card';
import { cardSteps } from '@/server/views/cardSteps';

const Query = z.object({
  what: z.enum(['pocket', 'sheet']).default('pocket'),
  size: PaperSchema.shape.size,
  form: PaperSchema.shape.form,
  unit: PaperSchema.shape.unit,
});

/**
 * GET the pocket card by the link to a card, or the sheet of one of its sets, `?what=sheet&unit=…&form=short&size=A4|LETTER`, as PDF: 200, 404 a link
 * that is over or a sheet that it does not show, 429.
 */
export const GET = endpoint('GET /api/my/[token]/print', async ({ db, params, url, context }) => {
  const read = Query.safeParse(Object.fromEntries(url.searchParams));
  if (!read.success) throw new NotHere();
  const { what, size, unit, form } = read.data;
  const holder = await holderByLink(db, params.token, context);
  const origin = addressOf(context.request, url);
  const live = `${origin}/my/${params.token}`;
  if (what === 'sheet') {
    // What a link does not show step by step it does not show on paper either.
    const { setId } = await cardSteps(db, holder, unit ?? '');
    const { session, planId } = holder;
    const paper = PaperSchema.parse({ what, size, unit: setId, form });
    const { bytes, name } = await paperOf(db, paper, {
      session,
      planId,
      origin,
      liveAt: `${live}#set/${setId}`,
    });
    return pdfResponse(bytes, name);
  }
  const card = await cardView(db, holder);
  const state = `${card.planName}, ${card.revision === null ? 'draft' : `revision ${card.revision}`}`;
  const running = { title: 'Pocket card', state, day: format(new Date(), 'd MMMM yyyy') };
  return pdfResponse(await pocketCard(running, card, live, size), `card-${today()}`);
});
