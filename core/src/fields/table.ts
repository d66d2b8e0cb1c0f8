import type { z } from 'zod';
import type { Finding } from '../findings/index';
import { alike } from '../units/index';
import type { Column, Names } from './field';

import { OFFSET_COLUMNS, withOffset } from './offset';
import { type FieldsOf, fieldsOf, shapeOf, THINGS, type ThingKind } from './things';

/** The columns of a thing's table; fields that share one stand in it together. */
export function columnsOf(kind: ThingKind): Column[] {
  const columns = new Map(fieldsOf(kind).map(([, { column, synonyms }]) => [column, synonyms]));
  return [...columns].map(([title, synonyms]) => ({ title, synonyms }));
}

/** The columns that a table may have that is brought in: its own, and for channels those that say where it sends by an offset. */
export function columnsToRead(kind: ThingKind): Column[] {
  return [...columnsOf(kind), ...(kind === 'channel' ? OFFSET_COLUMNS : [])];
}

/** Whether a cell of a column may be left empty. */
export function mayBeEmpty(kind: ThingKind, column: string, names: Names): boolean {
  const those = fieldsOf(kind).filter(([, field]) => field.column === column);
  return those.length > 0 && those.every(([, { read }]) => read('', names) !== undefined);
}

/** Things as the rows of a table with a header, such that reading it gives the same things. */
export function tableOf<K extends ThingKind>(
  kind: K,
  things: readonly FieldsOf[K][],
  names: Names,
): string[][] {
  const columns = columnsOf(kind);
  const rows = things.map((thing) => {
    const cells = new Map<string, string>();
    for (const [key, { column, write }] of fieldsOf(kind)) {
      const text = write((thing as Readonly<Record<string, unknown>>)[key], names);
      const there = cells.get(column);
      cells.set(column, there ? [there, text].filter(Boolean).join(' · ') : text);
    }
    return columns.map(({ title }) => cells.get(title) ?? '');
  });
  return [columns.map(({ title }) => title), ...rows];
}

/**
 * Guesses which column each cell of a header row stands for, by its title; `null` for what is none of them. Each column is taken once, an
 * exact title before a synonym.
 */
export function guessMapping(header: readonly string[], columns: readonly Column[]): (string | null)[] {
  const taken = new Set<string>();
  const mapping: (string | null)[] = header.map(() => null);
  const plain = (text: string) => alike(text.replace(/_/g, ' '));
  const take = (fits: (column: Column, text: string) => boolean) =>
    header.forEach((cell, i) => {
      if (mapping[i] !== null) return;
      const found = columns.find((column) => !taken.has(column.title) && fits(column, plain(cell)));
      if (!found) return;
      taken.add(found.title);
      mapping[i] = found.title;
    });
  take((column, text) => text === plain(column.title));
  take((column, text) => column.synonyms.some((synonym) => plain(synonym) === text));
  return mapping;
}

/** A row that was read: the value when it can be taken, and what is said of it. */
export interface ReadRow<T> {
  /** Counted from 1, as the spreadsheet counts. */
  readonly line: number;
  readonly value: T | null;
  /** It is there already, by one of its marks, and is left out. */
  readonly twice: boolean;
  readonly findings: readonly Finding[];
}

interface Rows<T> {
  readonly rows: readonly (readonly string[])[];
  /** The title of each column, `null` for one that is passed over. */
  readonly mapping: readonly (string | null)[];
  /** The line of the first row. */
  readonly firstLine: number;
  /** Makes a fresh id. */
  readonly newId: () => string;
  /** What is there already. */
  readonly present: readonly T[];
  readonly names: Names;
}

/** Reads things from the rows of a table. What is there already, or twice in the table, is left out and said; what cannot be read is asked. */
export function readTable<K extends ThingKind>(kind: K, input: Rows<FieldsOf[K]>): ReadRow<FieldsOf[K]>[] {
  const { marks, twin, schema } = THINGS[kind];
  const there = new Map(input.present.flatMap((one) => marks(one).map((mark) => [alike(mark), 'the list'])));
  const seen = new Map<string, string>();
  return input.rows.flatMap((row, i): ReadRow<FieldsOf[K]>[] => {
    if (row.every((cell) => cell.trim() === '')) return [];
    const line = input.firstLine + i;
    const cells: Record<string, string> = {};
    input.mapping.forEach((title, k) => {
      if (title !== null) cells[title] = unquoted(row[k] ?? '');
    });
    const placed = kind === 'channel' ? withOffset(cells, line) : { cells, findings: [] };
    const { draft, findings } = readCells(kind, placed.cells, input.names, line);
    findings.push(...placed.findings);
    const parsed = (schema as z.ZodType<FieldsOf[K]>).safeParse({
      ...draft,
      ...(shapeOf(kind).id && { id: input.newId() }),
    });
    if (!parsed.success && findings.length === 0)
      findings.push(...complaints(kind, parsed.error, cells, line));
    const value = findings.length === 0 && parsed.success ? parsed.data : null;
    const own = (value ? marks(value) : []).map(alike);
    const mine = value && twin ? [alike(twin(value))] : own;
    const like =
      own.map((mark) => there.get(mark)).find((found) => found !== undefined) ??
      mine.map((mark) => seen.get(mark)).find((found) => found !== undefined);
    if (like !== undefined) {
      const twice: Finding = { code: 'row-twice', severity: 'warning', line, like };
      return [{ line, value: null, twice: true, findings: [twice] }];
    }
    for (const mark of mine) seen.set(mark, `line ${line}`);
    return [{ line, value, twice: false, findings }];
  });
}

/** What the cells of a row give, field by field; a field whose column is not there is left to its usual value. */
function readCells(kind: ThingKind, cells: Readonly<Record<string, string>>, names: Names, line: number) {
  const draft: Record<string, unknown> = {};
  const findings: Finding[] = [];
  const usual = (key: string) => {
    const shape = shapeOf(kind)[key];
    return shape?.safeParse(undefined).success ?? false;
  };
  for (const [key, { column, read, wanted }] of fieldsOf(kind)) {
    const cell = cells[column];
    // Left out: as usual, or, where nothing is usual, as an empty cell.
    if (cell === undefined && usual(key)) continue;
    const value = read(cell ?? '', names);
    if (value !== undefined) draft[key] = value;
    else
      findings.push({ code: 'cell-unreadable', severity: 'error', line, column, value: cell ?? '', wanted });
  }
  return { draft, findings };
}

/** What the schema says of a row that was read cell by cell, each at its column. */
function complaints(
  kind: ThingKind,
  error: z.ZodError,
  cells: Readonly<Record<string, string>>,
  line: number,
): Finding[] {
  const fields = new Map(fieldsOf(kind));
  return error.issues.map((issue) => {
    const column = fields.get(String(issue.path[0] ?? ''))?.column ?? '';
    const value = cells[column] ?? '';
    return { code: 'cell-unreadable', severity: 'error', line, column, value, wanted: issue.message };
  });
}

/** A cell that was kept from being taken for a formula has an apostrophe before it; it does not belong to the text. */
function unquoted(cell: string): string {
  return /^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell;
}

/**
 * A cell that no spreadsheet takes for a formula: an apostrophe goes before what could begin one.
 * Source: OWASP, CSV Injection.
 */
export function safeCell(text: string): string {
  return /^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}
