import { endpoint, readBytes } from '@/server/endpoint';
import { Refused } from '@/server/problem';
import { readWorkbook } from '@/server/workbook';

const TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const MOST_BYTES = 4_000_000;

/** POST a workbook: 200 with the cells of its first sheet as texts, nothing is saved; 400 unreadable, 413, 415. */
export const POST = endpoint('POST /api/roster/workbook', async ({ context }) => {
  if (context.request.headers.get('content-type') !== TYPE) throw new Refused(415, `send ${TYPE}`);
  return { rows: await readWorkbook(new Uint8Array(await readBytes(context.request, MOST_BYTES)).buffer) };
});
