import { peopleTable, safeCell, unitTable } from '@umbrex/core/roster';
import Papa from 'papaparse';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { listDescriptions } from '@/server/repositories/descriptions';
import { listThings } from '@/server/store/store';
import { writeWorkbook } from '@/server/workbook';

const Query = z.object({ what: z.enum(['people', 'devices']), as: z.enum(['csv', 'tsv', 'xlsx']) });
const TYPES = {
  csv: 'text/csv; charset=utf-8',
  tsv: 'text/tab-separated-values; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

/** GET people or devices as a table, `?what=people|devices&as=csv|tsv|xlsx`, as a download: 200, 404 another what or as. */
export const GET = endpoint('GET /api/roster/export', async ({ db, workspace, url }) => {
  const query = Query.safeParse(Object.fromEntries(url.searchParams));
  if (!query.success) throw new NotHere();
  const { what, as } = query.data;
  const [people, teams, units, descriptions, channels] = await Promise.all([
    listThings(db, 'person', workspace.id),
    listThings(db, 'team', workspace.id),
    listThings(db, 'unit', workspace.id),
    listDescriptions(db, workspace.id),
    listThings(db, 'channel', workspace.id),
  ]);
  const values = people.map(({ value }) => value);
  const table =
    what === 'people'
      ? peopleTable(
          values,
          teams.map(({ value }) => value),
        )
      : unitTable(
          units.map(({ value }) => value),
          values,
          {
            descriptions: descriptions.map(({ description }) => description),
            teams: teams.map(({ value }) => value),
            channels: channels.map(({ value }) => value),
          },
        );
  const rows = table.map((row) => row.map(safeCell));
  const body =
    as === 'xlsx'
      ? await writeWorkbook(what, rows)
      : Papa.unparse(rows, { delimiter: as === 'tsv' ? '\t' : ',', newline: '\r\n' });
  return new Response(body, {
    headers: {
      'content-type': TYPES[as],
      'content-disposition': `attachment; filename="${what}.${as}"`,
      'cache-control': 'no-store',
    },
  });
});
