import { safeCell } from '@umbrex/core/fields';
import Papa from 'papaparse';
import { writeWorkbook } from './workbook';

export const TABLE_FORMS = ['csv', 'tsv', 'xlsx'] as const;
export type TableForm = (typeof TABLE_FORMS)[number];
const TYPES: Readonly<Record<TableForm, string>> = {
  csv: 'text/csv; charset=utf-8',
  tsv: 'text/tab-separated-values; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
};

/** A table as a file to keep, its first row a header; no cell of it is run by a spreadsheet. */
export async function tableFile(
  name: string,
  rows: readonly (readonly string[])[],
  as: TableForm,
): Promise<Response> {
  const safe = rows.map((row) => row.map(safeCell));
  const body =
    as === 'xlsx'
      ? await writeWorkbook(name, safe)
      : Papa.unparse(safe, { delimiter: as === 'tsv' ? '\t' : ',', newline: '\r\n' });
  return new Response(body, {
    headers: {
      'content-type': TYPES[as],
      'content-disposition': `attachment; filename="${name}.${as}"`,
      'cache-control': 'no-store',
    },
  });
}
