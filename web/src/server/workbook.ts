import ExcelJS from 'exceljs';
import { BadInput } from './problem';

/** A sheet that is longer is refused whole: a part of it would look like all. */
const MOST_ROWS = 10_000;
const MOST_COLUMNS = 60;

/** The cells of a workbook's first sheet as texts; a date as YYYY-MM-DD. @throws BadInput when it is no workbook */
export async function readWorkbook(file: ArrayBuffer): Promise<string[][]> {
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(file);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    throw new BadInput([{ code: 'file-unreadable', severity: 'error', path: '', detail }]);
  }
  const sheet = book.worksheets[0];
  if (!sheet)
    throw new BadInput([{ code: 'file-unreadable', severity: 'error', path: '', detail: 'no sheet' }]);
  const rows: string[][] = [];
  const width = sheet.columnCount;
  let last = 0;
  // Rows that only have a format are none.
  sheet.eachRow((_, number) => {
    last = number;
  });
  if (last > MOST_ROWS || width > MOST_COLUMNS)
    throw new BadInput([
      {
        code: 'file-unreadable',
        severity: 'error',
        path: '',
        detail: `${last} rows and ${width} columns: at most ${MOST_ROWS} and ${MOST_COLUMNS}`,
      },
    ]);
  for (let r = 1; r <= last; r++) {
    const row = sheet.getRow(r);
    rows.push(Array.from({ length: width }, (_, c) => cellText(row.getCell(c + 1))));
  }
  return gathered(rows);
}

function cellText(cell: ExcelJS.Cell): string {
  if (cell.value instanceof Date) return cell.value.toISOString().slice(0, 10);
  return String(cell.text ?? '');
}

/** As many characters as a cell takes. Source: Microsoft, Excel specifications and limits. */
const MOST_LETTERS = 32_767;

/** Texts that are longer than a cell go on in columns beside it, titled `Holds now (2)`. */
function spread(rows: readonly (readonly string[])[]): string[][] {
  const [header = []] = rows;
  const widths = header.map((_, c) =>
    Math.max(1, ...rows.map((row) => Math.ceil((row[c] ?? '').length / MOST_LETTERS))),
  );
  return rows.map((row, r) =>
    widths.flatMap((width, c) =>
      Array.from({ length: width }, (_, part) =>
        r === 0
          ? `${row[c] ?? ''}${part === 0 ? '' : ` (${part + 1})`}`
          : (row[c] ?? '').slice(part * MOST_LETTERS, (part + 1) * MOST_LETTERS),
      ),
    ),
  );
}

/** The same rows with what was spread put together again. */
function gathered(rows: readonly (readonly string[])[]): string[][] {
  const [header = []] = rows;
  const own = header.map((title, c) => {
    const [, base, part] = /^(.*) \((\d+)\)$/.exec(title) ?? [];
    const at = Number(part) - 1;
    return base !== undefined && at > 0 && header[c - at] === base ? c - at : c;
  });
  return rows.map((row, r) => {
    const cells = header.map(() => '');
    for (const [c, to] of own.entries())
      cells[to] = r === 0 ? (header[to] ?? '') : `${cells[to]}${row[c] ?? ''}`;
    return cells.filter((_, c) => own[c] === c);
  });
}

/** A table as a workbook: the first row is a header, every cell is text, so nothing in it is a formula. */
export async function writeWorkbook(
  title: string,
  rows: readonly (readonly string[])[],
): Promise<Uint8Array<ArrayBuffer>> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(title, { views: [{ state: 'frozen', ySplit: 1 }] });
  for (const row of spread(rows)) sheet.addRow(row);
  sheet.getRow(1).font = { bold: true };
  sheet.columns.forEach((column, i) => {
    column.numFmt = '@';
    column.width = Math.min(40, Math.max(8, ...rows.map((row) => (row[i] ?? '').length + 2)));
  });
  return new Uint8Array(await book.xlsx.writeBuffer());
}
