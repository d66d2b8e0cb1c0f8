import { awayOf, countThere } from '@umbrex/core/evidence';
import type { Board, Cell } from '@umbrex/core/fit';
import type { Plan, Unit } from '@umbrex/core/model';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { findingText } from '../../messages/findings';
import { setsThere } from '../../messages/rollout';
import { VERDICT_TEXT, VERDICTS } from '../../messages/verdicts';
import { lined, mono, plain, small, strong } from './parts';
import { heading, pdfOf, type Running, type Size } from './pdf';

/** What stands for a verdict on paper; its words are above the table. */
const LETTER: Readonly<Record<Cell['verdict'], string>> = {
  full: 'F',
  adapted: 'A',
  listen: 'L',
  no: '–',
  apart: '/',
  unknown: '?',
};
/** So many kinds of set stand side by side on one page. */
const ACROSS = 14;

/** Every channel of the plan on every kind of set, with the label of its place; then why a channel is not as the plan means it. */
export function fitBoardPaper(
  running: Running,
  plan: Plan,
  { kinds }: Board,
  units: readonly Unit[],
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const gone = awayOf(units);
  const numbered = kinds.map((kind, i) => ({
    ...kind,
    n: i + 1,
    byChannel: new Map(kind.cells.map((cell) => [cell.channelId, cell])),
  }));
  const parts: (typeof numbered)[] = [];
  for (let at = 0; at < numbered.length; at += ACROSS) parts.push(numbered.slice(at, at + ACROSS));
  return pdfOf(running, {
    size,
    pageOrientation: 'landscape',
    content: [
      heading('Fit board'),
      small(
        VERDICTS.map(
          (verdict) => `${LETTER[verdict]}  ${VERDICT_TEXT[verdict].word}: ${VERDICT_TEXT[verdict].meaning}`,
        ).join('   '),
      ),
      ...(kinds.length === 0 ? [plain('There are no sets yet.')] : []),
      ...parts.flatMap((part, p): Content[] => [
        {
          ...(heading(`Kinds ${part[0]?.n} to ${part.at(-1)?.n}`, 2) as object),
          ...(p > 0 && { pageBreak: 'before' }),
        } as Content,
        {
          columns: [0, 1, 2].map((third) => ({
            stack: part
              .filter((_, i) => i % 3 === third)
              .map(({ n, title, unitIds }) =>
                small(`${n}  ${title}, ${setsThere(countThere(unitIds, gone))}`),
              ),
          })),
        },
        lined(
          [130, ...part.map(() => '*')],
          [[strong('Channel'), ...part.map(({ n }) => strong(String(n)))]],
          plan.channels.map(({ id, name }) => [
            plain(name),
            ...part.map(({ byChannel }): TableCell => {
              const cell = byChannel.get(id);
              return cell ? mono([LETTER[cell.verdict], cell.slot?.label].filter(Boolean).join(' ')) : '';
            }),
          ]),
          { fontSize: 8 },
        ),
      ]),
      ...numbered.flatMap((kind) => reasons(kind, plan)),
    ],
  });
}

/** Why channels are not on a kind of set as the plan means them, those with the same reason together. */
function reasons(
  { n, title, cells }: { n: number; title: string; cells: readonly Cell[] },
  plan: Plan,
): Content[] {
  const names = new Map(plan.channels.map(({ id, name }) => [id, name]));
  const alike = new Map<string, string[]>();
  for (const { channelId, verdict, findings } of cells) {
    const [first] = findings;
    if (verdict === 'full' || !first) continue;
    const reason = `${VERDICT_TEXT[verdict].word}: ${findingText(first).what}`;
    alike.set(reason, [...(alike.get(reason) ?? []), names.get(channelId) ?? '']);
  }
  if (alike.size === 0) return [];
  return [
    heading(`${n}  ${title}`, 2),
    ...[...alike].map(
      ([reason, channels]): Content => ({
        fontSize: 8.5,
        margin: [0, 1, 0, 1],
        text: [strong(`${channels.join(', ')}, `), plain(reason)],
      }),
    ),
  ];
}
