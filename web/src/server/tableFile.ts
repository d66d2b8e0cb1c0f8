import { safeCell } from '@umbrex/core/fields';
import Papa from 'papaparse';
import { writeWorkbook } from './workbook';

export const TABLE_FORMS = ['csv', 'tsv', 'xlsx', 'json'] as const;
export type TableForm = (typeof TABLE_FORMS)[number];
const TYPES: Readonly<Record<TableForm, string>> = {
  csv: 'text/csv; charset=utf-8',
  tsv: 'text/tab-separated-values; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json; charset=utf-8',
};

/** A table with its first row as titles, and what is said of it where there is room for that. */
interface Table {
  readonly what: string;
  readonly rows: readonly (readonly (string | number)[])[];
  /** Of which plan and state, for what is worked out of one. */
  readonly about?: object;
}

/** A table as a file to keep; in a form for spreadsheets no cell of it is run. */
export async function tableFile({ what, rows, about = {} }: Table, as: TableForm): Promise<Response> {
  return new Response(await written({ what, rows, about }, as), {
    headers: {
      'content-type': TYPES[as],
      'content-disposition': `attachment; filename="${what}.${as}"`,
      'cache-control': 'no-store',
    },
  });
}

async function written({ what, rows, about }: Required<Table>, as: TableForm) {
  if (as === 'json') {
    const [columns, ...rest] = rows;
    return JSON.stringify({ format: 'umbrex/table@1', what, ...about, columns, rows: rest }, null, 2);
  }
  const safe = rows.map((row) => row.map((cell) => safeCell(String(cell))));
  return as === 'xlsx'
    ? writeWorkbook(what, safe)
    : Papa.unparse(safe, { delimiter: as === 'tsv' ? '\t' : ',', newline: '\r\n' });
}
