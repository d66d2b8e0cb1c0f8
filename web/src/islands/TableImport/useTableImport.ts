import {
  columnsToRead,
  type FieldsOf,
  guessMapping,
  mayBeEmpty,
  type Names,
  type ReadRow,
  readTable,
  THINGS,
} from '@umbrex/core/fields';
import Papa from 'papaparse';
import { useMemo, useRef, useState } from 'react';
import { IMPORTED_AS, TableFileSchema, type TableKind } from '../../contract/tables';
import { counted } from '../../messages/labels';
import { call, failureText, Refusal, sendFile } from '../desk/api';
import { sayAfterLoad } from '../desk/deskStore';

export interface ImportProps<K extends TableKind = TableKind> {
  kind: K;
  /** What is there already. */
  present: readonly FieldsOf[K][];
  /** What ids stand for that a row names. */
  names: Names;
  /** The plan that channels come into. */
  planId?: string | undefined;
  close: () => void;
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
/** As many as one import may bring; a longer table is said, never cut. */
const MOST_ROWS = 2000;

function unreadable({ findings: [first] }: Refusal): string {
  return first && 'detail' in first ? first.detail : 'it is no workbook';
}

/** The cells of a table as it is saved here, or why it is none. */
function readJsonTable(text: string, what: string): string[][] | string {
  try {
    const read = TableFileSchema.safeParse(JSON.parse(text));
    if (!read.success) return 'This file is no table as it is saved here (umbrex/table@1).';
    if (read.data.what !== what) return `This is a table of ${read.data.what}, not of ${what}.`;
    return [read.data.columns, ...read.data.rows].map((row) => row.map(String));
  } catch {
    return 'This file is no JSON. Save it once more, as CSV or XLSX.';
  }
}

/** The state of bringing in a table: its text or cells, what the columns are, how each row reads. */
export function useTableImport<K extends TableKind>({ kind, present, names, planId, close }: ImportProps<K>) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<Readonly<Record<number, string | null>>>({});
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // The same row keeps its id while the table is mended, so that a retry of the same table is harmless.
  const ids = useRef<string[]>([]);
  const columns = useMemo(() => columnsToRead(kind), [kind]);

  const rows = useMemo(() => {
    const parsed = Papa.parse<string[]>(text.trim(), {
      delimitersToGuess: ['\t', ',', ';', '|'],
      skipEmptyLines: false,
    });
    return text.trim() === '' ? [] : parsed.data;
  }, [text]);
  const tooLong = rows.length > MOST_ROWS + 1;
  const mapping = useMemo(
    () => guessMapping(rows[0] ?? [], columns).map((guess, i) => (i in chosen ? (chosen[i] ?? null) : guess)),
    [rows, columns, chosen],
  );
  const read = useMemo((): ReadRow<FieldsOf[K]>[] => {
    if (rows.length < 2 || tooLong) return [];
    let n = 0;
    const newId = () => {
      ids.current[n] ??= crypto.randomUUID();
      return ids.current[n++] as string;
    };
    return readTable(kind, { rows: rows.slice(1), mapping, firstLine: 2, newId, present, names });
  }, [rows, tooLong, mapping, kind, present, names]);

  const good = read.flatMap(({ value }) => (value ? [value] : []));
  const twice = read.filter((row) => row.twice).length;

  const takeFile = async (file: File) => {
    setFault(null);
    setChosen({});
    try {
      if (file.name.toLowerCase().endsWith('.json')) {
        const cells = readJsonTable(await file.text(), THINGS[kind].many);
        if (typeof cells === 'string') setFault(cells);
        else setText(Papa.unparse(cells, { delimiter: '\t' }));
        return;
      }
      if (!file.name.toLowerCase().endsWith('.xlsx')) {
        setText(await file.text());
        return;
      }
      const cells = await sendFile('POST /api/roster/workbook', {}, await file.arrayBuffer(), XLSX);
      setText(Papa.unparse(cells.rows, { delimiter: '\t' }));
    } catch (error) {
      setFault(
        error instanceof Refusal && error.status === 400
          ? `This file cannot be read: ${unreadable(error)}. Save it as XLSX or CSV and try again.`
          : failureText(error),
      );
    }
  };

  const bring = async () => {
    setBusy(true);
    setFault(null);
    try {
      const { added, editId } = await call(
        'POST /api/roster/import',
        {},
        { planId, [IMPORTED_AS[kind]]: good },
      );
      sayAfterLoad({ text: `${counted(added, 'row')} brought in.`, kind: 'done', editId });
      window.location.reload();
    } catch (error) {
      setFault(`Nothing was brought in. ${failureText(error)}`);
      setBusy(false);
    }
  };
  /** Writes the table anew; the lines keep their numbers. */
  const rewrite = (change: (table: string[][]) => void) => {
    const table = rows.map((row) => [...row]);
    change(table);
    setText(Papa.unparse(table, { delimiter: '\t' }));
  };
  /** Settles one cell: what stands in a column of a line from now on. A column that the table does not have is added. */
  const setCell = (line: number, column: string, value: string) =>
    rewrite((table) => {
      const [head, row] = [table[0], table[line - 1]];
      if (!head || !row) return;
      let at = mapping.indexOf(column);
      if (at < 0) {
        at = head.length;
        head.push(column);
      }
      while (row.length <= at) row.push('');
      row[at] = value;
    });
  /** Takes a line out; an empty one is passed over. */
  const takeOut = (line: number) =>
    rewrite((table) => {
      table[line - 1] = [''];
    });
  const setColumn = (i: number, key: string | null) => setChosen((now) => ({ ...now, [i]: key }));
  return {
    text,
    setText,
    rows,
    columns,
    mapping,
    setColumn,
    setCell,
    takeOut,
    mayBeEmpty: (column: string) => mayBeEmpty(kind, column, names),
    read,
    good,
    bad: read.length - good.length - twice,
    twice,
    fault: tooLong
      ? `${rows.length - 1} rows: at most ${MOST_ROWS} at once. Bring the table in by parts.`
      : fault,
    busy,
    bring,
    takeFile,
    close,
  };
}
