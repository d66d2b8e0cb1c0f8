import { addressOf } from '@/server/address';
import { endpoint } from '@/server/endpoint';
import { log } from '@/server/log';
import { PaperSchema, paperOf } from '@/server/print/documents';
import { pdfResponse } from '@/server/print/pdf';
import { NotHere } from '@/server/problem';

/**
 * GET a document for paper, `?what=wall|contacts|ics205|ics217a|pocket|sheet|packet|kind|board&size=A4|LETTER`, as PDF; with `&progress` one
 * JSON a line says how far it is, and the last one has the document: 200, 403 what is not for one's eyes, 404, 429 too many at once.
 */
export const GET = endpoint(
  'GET /api/plans/[planId]/print',
  async ({ db, session, params, url, context }) => {
    const read = PaperSchema.safeParse(Object.fromEntries(url.searchParams));
    if (!read.success) throw new NotHere();
    const asks = { session, planId: params.planId, origin: addressOf(context.request, url) };
    if (!url.searchParams.has('progress')) {
      const { bytes, name } = await paperOf(db, read.data, asks);
      return pdfResponse(bytes, name);
    }
    const gone = new AbortController();
    const text = new TextEncoder();
    const stream = new ReadableStream<Uint8Array>({
      async start(out) {
        const say = (value: object) => {
          if (!gone.signal.aborted) out.enqueue(text.encode(`${JSON.stringify(value)}\n`));
        };
        try {
          const { bytes, name } = await paperOf(db, read.data, { ...asks, signal: gone.signal, onStep: say });
          say({ at: 'done', name, pdf: Buffer.from(bytes).toString('base64') });
        } catch (error) {
          // The answer has begun: what came in between is said in it.
          if (!gone.signal.aborted) log.error({ error: String(error) }, 'a document could not be made');
          say({ at: 'stopped', why: error instanceof NotHere ? 'not-here' : 'stopped' });
        }
        if (!gone.signal.aborted) out.close();
      },
      cancel: () => gone.abort(),
    });
    return new Response(stream, {
      headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
    });
  },
);
