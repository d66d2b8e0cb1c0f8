import type { PlanCountry } from '../facts/index';
import { cutTo } from '../model/index';
import { type Columns, columnsOf, lineOf } from './columns';
import { type LineReading, readLine } from './line';

/** One line of a pasted listing: where it stood, as it was written, and how it reads. */
export interface PastedLine {
  /** Counted from 1, as in the text that was pasted. */
  readonly line: number;
  readonly text: string;
  /** The line as it is read: that of a table is put together from its columns. */
  readonly read: string;
  readonly reading: LineReading;
}

/** How the cells of one line of a table are told apart. */
export type CellsOf = (line: string, delimiter: string) => readonly string[];

const MOST_LINES = 500;
const LONGEST_NOTE = 400;
/** Ways of parting cells, in the order in which they are tried. */
const DELIMITERS = ['\t', ';', '|', ','] as const;

/**
 * Reads a whole listing or a range copied from a spreadsheet, line by line. Where its first line is a row of column titles, these decide what
 * each cell is, a name stays as it is written, and remarks become the note. Empty lines are passed over. Nothing is saved by this: each line is
 * a draft with its questions.
 * @param cellsOf parts the cells of one line; quotation marks are its business
 * @param mended what was put in place of a line that asked, by the line as it was read
 * @returns the lines, and how many were beyond the 500 that are read at once
 */
export function readListing(
  text: string,
  country: PlanCountry = 'US',
  cellsOf: CellsOf = (line, delimiter) => line.split(delimiter),
  mended: ReadonlyMap<string, string> = new Map(),
): { lines: PastedLine[]; beyond: number } {
  const all = text
    .split(/\r\n|\r|\n/)
    .map((written, i) => ({ line: i + 1, written }))
    .filter(({ written }) => written.trim() !== '');
  const table = all[0] && tableOf(all[0].written, cellsOf);
  const wanted = table ? all.slice(1) : all;
  const lines = wanted.slice(0, MOST_LINES).map(({ line, written }): PastedLine => {
    const { read, note } = rowOf(written, table, cellsOf);
    const reading = readLine(latestOf(read, mended), country);
    return { line, text: written.replace(/\t+/g, ' ').trim(), read, reading: withNote(reading, note) };
  });
  return { lines, beyond: Math.max(0, wanted.length - MOST_LINES) };
}

interface Table {
  readonly delimiter: string;
  readonly columns: Columns;
}

function tableOf(first: string, cellsOf: CellsOf): Table | undefined {
  for (const delimiter of DELIMITERS) {
    const columns = first.includes(delimiter) ? columnsOf(cellsOf(first, delimiter)) : undefined;
    if (columns) return { delimiter, columns };
  }
  return undefined;
}

function rowOf(written: string, table: Table | undefined, cellsOf: CellsOf): { read: string; note: string } {
  const cells = table ? cellsOf(written, table.delimiter) : [];
  // A line that is no row of the table is read as it stands.
  if (!table || cells.length < 2) return { read: written.replace(/\t+/g, ' ').trim(), note: '' };
  return lineOf(cells, table.columns);
}

/** What a line became by one mend after another. */
export function latestOf(read: string, mended: ReadonlyMap<string, string>): string {
  let now = read;
  for (let k = 0; k < 20; k++) {
    const next = mended.get(now);
    if (next === undefined || next === now) break;
    now = next;
  }
  return now;
}

function withNote(reading: LineReading, note: string): LineReading {
  const { channel } = reading;
  if (!channel || note === '') return reading;
  const whole = [channel.note, note].filter(Boolean).join(', ');
  return { ...reading, channel: { ...channel, note: cutTo(whole, LONGEST_NOTE) } };
}
