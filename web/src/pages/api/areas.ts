import { readArea } from '@umbrex/core/areas';
import { usAreas } from '@/server/areas';
import { endpoint } from '@/server/endpoint';

/** POST area codes as they are written: 200 with what each comes to by the county table; 400. */
export const POST = endpoint('POST /api/areas', async ({ body }) => {
  const all = await usAreas();
  return body.codes.map((code) => readArea(code, all));
});
