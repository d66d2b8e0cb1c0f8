import { z } from 'zod';
import { StateInAddressSchema } from '@/contract/revisions';
import { allows } from '@/contract/roles';
import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { Forbidden, NotHere } from '@/server/problem';
import { TABLE_FORMS, tableFile } from '@/server/tableFile';
import { fitTable, numbersTable, rolloutTable } from '@/server/views/tables';

const Query = z.object({
  what: z.enum(['numbers', 'fit', 'rollout']),
  as: z.enum(TABLE_FORMS),
  of: StateInAddressSchema,
});

/** GET what is worked out of a plan, `?what=numbers|fit|rollout&as=csv|tsv|xlsx|json&of=draft|3`, as a download: 200, 403 numbers for who may not edit, 404. */
export const GET = endpoint('GET /api/plans/[planId]/table', async ({ db, session, params, url }) => {
  const query = Query.safeParse(Object.fromEntries(url.searchParams));
  if (!query.success) throw new NotHere();
  const { what, as, of } = query.data;
  if (what === 'numbers' && !allows(session.role, 'editor')) throw new Forbidden();
  const desk = await loadDesk(db, session, params.planId, of ?? (what === 'rollout' ? 'published' : 'draft'));
  const table =
    what === 'rollout' ? await rolloutTable(db, desk) : what === 'fit' ? fitTable(desk) : numbersTable(desk);
  const { id, name } = desk.state.plan;
  const about = { plan: { id, name }, of: desk.shown };
  return tableFile({ what, rows: [table.columns, ...table.rows], about }, as);
});
