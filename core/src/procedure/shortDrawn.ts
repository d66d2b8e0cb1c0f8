import { type DrawnKeys, drawn } from './runs';
import type { ShortCell, ShortColumn } from './short';

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
  /** What shall be shown: of several keys one after another, the first and the last text of each. */
  /** Letters, each to be turned to. */
  | { readonly kind: 'spelt'; readonly letters: readonly string[] }
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
