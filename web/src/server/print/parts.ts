import type { DrawnKeys } from '@umbrex/core/procedure';
import type {
  Column,
  Content,
  ContentTable,
  ContentText,
  ContentUnorderedList,
  TableCell,
} from 'pdfmake/interfaces';
import { keyPieces } from '../../messages/keys';
import { clean, LINES } from './pdf';

/** Parts that several documents are made of. */

export const plain = (text: string): ContentText => ({ text: clean(text) });
export const strong = (text: string): ContentText => ({ text: clean(text), bold: true });
export const mono = (text: string): ContentText => ({ text: clean(text), font: 'Mono' });
export const small = (text: string): ContentText => ({ text: clean(text), fontSize: 8 });
/** The words at the head of the columns of a table. */
export const head = (texts: readonly string[]): ContentText[] =>
  texts.map((text) => ({ text: clean(text), bold: true, fontSize: 8.5 }));

/** A box to be ticked. */
export const box = () => ({
  canvas: [{ type: 'rect' as const, x: 0, y: 1.5, w: 8, h: 8, lineWidth: 0.8 }],
});
/** The same in a row of columns. */
export const boxColumn = (): Column => ({ ...box(), width: 12 });
/** Lines, each with a box. */
export const ticks = (lines: readonly string[]): Content[] =>
  lines.map((line) => ({ columns: [boxColumn(), { ...plain(line), width: '*' }], columnGap: 2 }));
export const bullets = (lines: readonly string[]): ContentUnorderedList => ({ ul: lines.map(plain) });

/** A part with a frame that nobody reads past, on one page. */
export const framed = (title: string, inner: readonly Content[]): Content => ({
  margin: [0, 5, 0, 3],
  table: {
    widths: ['*'],
    dontBreakRows: true,
    body: [[{ stack: [strong(title), ...inner], margin: [2, 1, 2, 2] }]],
  },
});

/** A table with fine lines whose head stands on each page. */
export const lined = (
  widths: readonly (string | number)[],
  heads: readonly TableCell[][],
  rows: readonly TableCell[][],
  more: { fontSize?: number } = {},
): ContentTable => ({
  margin: [0, 2, 0, 2],
  layout: LINES,
  ...more,
  table: {
    headerRows: heads.length,
    keepWithHeaderRows: 1,
    dontBreakRows: true,
    widths: [...widths],
    body: [...heads, ...rows],
  },
});

/** Keys as they are drawn on paper: each on grey, one that is held underlined as well. */
export function keysDrawn(keys: readonly DrawnKeys[]): Content {
  const words = keys.flatMap((each, k): Content[] => [
    ...(k > 0 ? [{ text: '   ' }] : []),
    ...keyPieces(each).map((piece, p): Content => {
      const gap = p > 0 ? ' ' : '';
      if (piece.is === 'key')
        return {
          text: clean(`\u00a0${piece.legend}\u00a0`),
          font: 'Mono',
          bold: true,
          background: '#dddddd',
          ...(piece.held && { decoration: 'underline' as const }),
        };
      if (piece.is === 'display') return { text: clean(`${gap}${piece.text}`), font: 'Mono', bold: true };
      return { text: clean(`${gap}${piece.text}`) };
    }),
  ]);
  return { text: words };
}
/** How keys are drawn, said once on a sheet. */
export const KEYS_LEGEND =
  'A key stands on grey; one that is underlined is held as long as is written. What stands at the right is what the set shows after the step.';

/** What a display shows. */
export const display = (text: string): Content =>
  text === '' ? { text: '' } : { text: clean(text), font: 'Mono', fontSize: 8.5, bold: true };
