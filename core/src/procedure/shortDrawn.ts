import type { RecipeMark } from '../model/index';
import { type DrawnKeys, drawn, type Run } from './runs';
import type { Routine, RoutineStep, ShortCell, ShortColumn } from './short';

/** What stands in a column of a line, as it is printed. */
export type DrawnCell =
  /** That step, or all steps of its section, are left out. */
  | { readonly kind: 'left-out'; readonly what: 'step' | 'section' }
  /** It is done, and there is nothing more to say. */
  | { readonly kind: 'done' }
  /** So many presses of the column's key, and the value that they bring. */
  | { readonly kind: 'times'; readonly times: number; readonly value: string | undefined }
  /** What is typed; with `typed` where the value that it brings reads otherwise. */
  | { readonly kind: 'typed'; readonly text: string; readonly value: string | undefined }
  /** Letters, each to be turned to. */
  | { readonly kind: 'spelt'; readonly letters: readonly string[] }
  /** What shall be shown: of several keys one after another, the first and the last text of each. */
  | { readonly kind: 'until'; readonly shows: readonly (readonly string[])[] }
  | { readonly kind: 'keys'; readonly keys: readonly DrawnKeys[]; readonly value: string | undefined }
  | {
      readonly kind: 'letters';
      readonly letters: readonly { readonly letter: string; readonly keys: readonly DrawnKeys[] }[];
    };

/** How a cell of a short form is printed. @param legends what is printed on the keys */
export function drawnCell(
  column: ShortColumn,
  cell: ShortCell,
  legends: Readonly<Record<string, string>>,
): DrawnCell {
  if (cell.does !== 'this') return { kind: 'left-out', what: cell.does === 'no-step' ? 'step' : 'section' };
  const { value } = cell;
  const [runs = []] = cell.runs;
  switch (column.kind) {
    case 'whether':
      return { kind: 'done' };
    case 'times':
      return { kind: 'times', times: runs[0]?.do === 'press' ? runs[0].times : 0, value };
    case 'typed': {
      const text = runs.map((run) => (run.do === 'press' ? (legends[run.key] ?? run.key) : '')).join('');
      // A point that no key types makes a frequency readable, and nobody looks for its key.
      const hasPoint = Object.values(legends).includes('.');
      const isSame = value === text || (!hasPoint && value?.replaceAll('.', '') === text);
      return { kind: 'typed', text: isSame ? (value ?? text) : text, value: isSame ? undefined : value };
    }
    case 'until':
      return {
        kind: 'until',
        shows: runs.map((run) => {
          const all = run.do === 'until' ? run.shows.map((text) => text.trim()) : [];
          return all.length > 1 ? [all[0] ?? '', all.at(-1) ?? ''] : all;
        }),
      };
    case 'spelt':
      return { kind: 'spelt', letters: cell.letters };
    case 'letters':
      return {
        kind: 'letters',
        letters: cell.runs.map((each, i) => ({ letter: cell.letters[i] ?? '', keys: drawn(each, legends) })),
      };
    case 'keys': {
      const keys = drawn(runs, legends);
      const last = keys.at(-1);
      const isSaid = last?.kind === 'until' && last.shows.at(-1)?.trim() === value?.trim();
      return { kind: 'keys', keys, value: isSaid ? undefined : value };
    }
    default:
      return column satisfies never;
  }
}

/** The letter by which a routine names a column, counted from 0: A, B, … Z, A2, B2, … */
export function columnLetter(column: number): string {
  return `${String.fromCharCode(65 + (column % 26))}${column < 26 ? '' : Math.floor(column / 26) + 1}`;
}

/** Columns that belong to one field, side by side, for one title above them. */
export function columnSpans({ columns }: Pick<Routine, 'columns'>): { field: string; count: number }[] {
  const spans: { field: string; count: number }[] = [];
  for (const { field } of columns) {
    const last = spans.at(-1);
    if (last?.field === field) last.count++;
    else spans.push({ field, count: 1 });
  }
  return spans;
}

/** The keys that a column is about, each as it is pressed once. */
export function columnKeys(column: ShortColumn | undefined): Run[][] {
  if (column?.kind === 'times' || column?.kind === 'spelt')
    return [[{ do: 'press', key: column.key, times: 1 }]];
  if (column?.kind !== 'until') return [];
  return column.keys.map(({ key, heldMs }) => [
    { do: 'press', key, times: 1, ...(heldMs !== undefined && { heldMs }) },
  ]);
}

const OF_VALUE: ReadonlySet<RecipeMark> = new Set(['value', 'mhz', 'sendMhz', 'typed']);

/**
 * The column that tells what stands in a step’s words for a mark of its value: the step’s own, else the last one before it in its section,
 * else the next; `undefined` where none does, and for marks of the place.
 */
export function columnOfMark(
  { steps, columns }: Pick<Routine, 'steps' | 'columns'>,
  step: RoutineStep,
  mark: RecipeMark,
): number | undefined {
  if (!OF_VALUE.has(mark)) return undefined;
  const tells = (column: number | undefined) =>
    column !== undefined && columns[column]?.kind !== 'whether' ? column : undefined;
  if (step.column !== undefined) return tells(step.column);
  const there = steps.filter(({ section }) => section === step.section);
  const at = there.indexOf(step);
  const told = [...there.slice(0, at).reverse(), ...there.slice(at)].find(
    ({ column }) => tells(column) !== undefined,
  );
  return told?.column;
}
