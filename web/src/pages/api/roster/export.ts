import { THINGS, tableOf } from '@umbrex/core/fields';
import { z } from 'zod';
import { OF_PLAN, TABLE_KINDS } from '@/contract/tables';
import { endpoint } from '@/server/endpoint';
import { namesIn } from '@/server/names';
import { NotHere } from '@/server/problem';
import { listThings } from '@/server/store/store';
import { TABLE_FORMS, tableFile } from '@/server/tableFile';

const Query = z
  .object({
    what: z.enum(TABLE_KINDS.map((kind) => THINGS[kind].many)),
    as: z.enum(TABLE_FORMS),
    plan: z.uuid().optional(),
  })
  .refine(({ what, plan }) => plan !== undefined || !OF_PLAN.some((kind) => THINGS[kind].many === what));

/** GET things as a table, `?what=people&as=csv|tsv|xlsx|json`, as a download; channels and calls of `plan=…`: 200, 404 another what or as. */
export const GET = endpoint('GET /api/roster/export', async ({ db, workspace, url }) => {
  const query = Query.safeParse(Object.fromEntries(url.searchParams));
  if (!query.success) throw new NotHere();
  const { what, as, plan } = query.data;
  const kind = TABLE_KINDS.find((one) => THINGS[one].many === what);
  if (!kind) throw new NotHere();
  const things = await listThings(db, kind, workspace.id, OF_PLAN.includes(kind) ? { plan_id: plan } : {});
  const values = things.map(({ value }) => value);
  return tableFile({ what, rows: tableOf(kind, values, await namesIn(db, workspace.id)) }, as);
});
