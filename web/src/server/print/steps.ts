import type { Description } from '@umbrex/core/model';
import {
  columnKeys,
  columnLetter,
  columnOfMark,
  columnSpans,
  drawn,
  drawnCell,
  type Routine,
  type RoutineStep,
  type SheetBlock,
  type ShortForm,
  type SlotLine,
} from '@umbrex/core/procedure';
import { mhzText } from '@umbrex/core/units';
import type { Content, TableCell } from 'pdfmake/interfaces';
import {
  blockTitle,
  type CellPiece,
  cellPieces,
  onceBegun,
  readyText,
  screenText,
  signLines,
  talkGoesOutText,
} from '../../messages/sheetWords';
import { MARK_WORDS, placeTitle, routineTitle } from '../../messages/steps';
import { box, boxColumn, display, keysDrawn, lined, mono, plain, small, strong } from './parts';
import { clean, heading } from './pdf';

/** What the steps of a sheet are written with. */
export interface Written {
  readonly description: Description;
  readonly names: ReadonlyMap<string, string>;
  /** Where the talk key of a place sends on which nobody should talk, by memory number, in hertz. */
  readonly talk: ReadonlyMap<number, number>;
}

/** The steps of one place, or of one part of the work, below their title, which stands on each page that they go over to. */
export function blockPart(block: SheetBlock, { description, names, talk }: Written): Content {
  const { line, part, windowS, steps } = block;
  const hz = part === 'names' || !line ? undefined : talk.get(line.number);
  const title: TableCell = {
    stack: [
      { columns: [boxColumn(), { ...strong(blockTitle(block, names)), width: '*' }], columnGap: 2 },
      ...(hz === undefined ? [] : [strong(talkGoesOutText(hz))]),
      ...(line && windowS !== undefined
        ? [plain(`Have this ready: ${readyText(line)}. ${onceBegun(windowS)}`)]
        : []),
    ],
    colSpan: 5,
  };
  return {
    ...lined(
      [10, 22, 165, '*', 'auto'],
      [[title, '', '', '', '']],
      steps.map(({ n, step, screen }) => [
        box(),
        mono(String(n)),
        keysDrawn(drawn(step.runs, description.keys)) as TableCell,
        plain(step.says),
        display(screenText(screen)) as TableCell,
      ]),
    ),
    margin: [0, 4, 0, 2],
    ...(steps.length <= TOGETHER && { unbreakable: true }),
  };
}
/** More than so many steps fill most of a page, and may go over to the next one. */
const TOGETHER = 24;

/** The steps in short: what is done alike at many places once, then a line for each place. */
export function shortParts(
  short: ShortForm,
  blocks: readonly SheetBlock[],
  lines: readonly SlotLine[],
  written: Written,
): Content[] {
  return short.parts.flatMap((part): Content[] => {
    if (part.kind === 'routine') return routineParts(part, lines, written);
    const block = blocks.find((one) => one.part === part.part && one.slotNumber === part.slotNumber);
    return block ? [blockPart(block, written)] : [];
  });
}

function routineParts(
  routine: Routine,
  lines: readonly SlotLine[],
  { description, names, talk }: Written,
): Content[] {
  const { keys, fields } = description;
  const cells = routine.lines.map((line) =>
    line.cells.map((cell, i) => {
      const column = routine.columns[i];
      return column ? drawnCell(column, cell, keys) : undefined;
    }),
  );
  const half = Math.ceil(routine.steps.length / 2);
  const written = routine.steps.map((step, i) => ({
    margin: [0, 0.8, 0, 0.8] as [number, number, number, number],
    columns: [
      { ...mono(String(i + 1)), width: 16 },
      { text: stepText(routine, step, keys), width: '*' },
    ],
    columnGap: 3,
  }));
  const spans = columnSpans(routine);
  const count = routine.columns.length;
  const title = (field: string) => fields.find(({ id }) => id === field)?.title ?? 'Come to it';
  const [top, below]: [TableCell[], TableCell[]] = [
    [
      { text: '', rowSpan: 2 },
      { ...strong('No.'), rowSpan: 2 },
      { ...strong('Place'), rowSpan: 2 },
      ...spans.flatMap(({ field, count: wide }): TableCell[] => [
        { ...strong(title(field)), colSpan: wide },
        ...Array.from({ length: wide - 1 }, () => ({ text: '' })),
      ]),
      { ...strong('Shows in the end'), rowSpan: 2 },
    ],
    ['', '', '', ...routine.columns.map((_, i): TableCell => strong(columnLetter(i))), ''],
  ];
  return [
    heading(routineTitle(routine.part, routine.lines.length), 2),
    { columns: [{ stack: written.slice(0, half) }, { stack: written.slice(half) }], columnGap: 14 },
    small(signLines(routine, cells).join(' ')),
    lined(
      [10, 'auto', count > 8 ? 62 : 90, ...routine.columns.map(() => 'auto'), 'auto'],
      [top, below],
      routine.lines.map(({ slotNumber, shows }, r): TableCell[] => {
        const line = lines.find(({ number }) => number === slotNumber);
        const hz = routine.part === 'names' ? undefined : talk.get(slotNumber);
        return [
          box(),
          mono(String(slotNumber)),
          {
            text: [
              ...(line && line.label !== String(slotNumber) ? [{ ...strong(`${line.label} `) }] : []),
              plain(line ? placeTitle(line, names) : 'leaves the plan'),
              ...(hz === undefined ? [] : [strong(` Only listen: talk goes out on ${mhzText(hz)}.`)]),
            ],
          },
          ...(cells[r] ?? []).map(
            (cell): TableCell => ({
              text: cell ? cellPieces(cell).flatMap(cellText) : '',
            }),
          ),
          display(screenText(shows)) as TableCell,
        ];
      }),
      { fontSize: count > 8 ? 7 : 8.5 },
    ),
  ];
}

const cellText = ({ text, is }: CellPiece) => [
  {
    ...mono(text),
    ...(is === 'strong' && { bold: true }),
    ...(is === 'small' && { fontSize: 7 }),
  },
  { text: ' ' },
];

/** One step of a routine: what is pressed, in words, and where a column says more. */
function stepText(routine: Routine, step: RoutineStep, keys: Description['keys']): Content[] {
  const column = step.column === undefined ? undefined : routine.columns[step.column];
  const told = (piece: RoutineStep['says'][number]) => {
    if (typeof piece === 'string') return plain(piece);
    const at = columnOfMark(routine, step, piece.mark);
    return { ...strong(at === undefined ? MARK_WORDS[piece.mark] : columnLetter(at)), italics: true };
  };
  const pressed = [...columnKeys(column), ...(step.runs ? [step.runs] : [])];
  return [
    ...(step.column === undefined ? [] : [strong(`(${columnLetter(step.column)}) `)]),
    ...pressed.flatMap((runs) => [keysDrawn(drawn(runs, keys)), { text: ' ' }]),
    ...step.says.map(told),
    ...(step.tail.length > 0 ? [plain(' After each: '), keysDrawn(drawn(step.tail, keys))] : []),
    ...(step.promises ? [{ text: clean(` ${step.promises}`), font: 'Mono', bold: true }] : []),
  ];
}

/** How a routine is read, said once above the first one. */
export const SHORT_LEGEND =
  'A letter in brackets stands for a column: at each place, take what stands there. A key stands on grey; one that is underlined is held as long as is written.';
