import { type CardSlot, type CopyOffer, drawn } from '@umbrex/core/procedure';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { contentBrief } from '../../messages/contents';
import {
  ableToSendLines,
  beforeLines,
  copyText,
  hazardLines,
  LOST,
  overwrittenText,
  readBackColumns,
  screenText,
  sendsInsteadLines,
  TWO_TICKS,
  talkGoesOutText,
  wayBackText,
} from '../../messages/sheetWords';
import type { SheetData } from '../sheetPage';
import type { SheetView } from '../views/sheet';
import {
  box,
  boxColumn,
  bullets,
  display,
  framed,
  head,
  keysDrawn,
  lined,
  mono,
  plain,
  strong,
  ticks,
} from './parts';
import { heading } from './pdf';

/** Parts of a set's sheet, on its own document and in a bench packet. */

export type Names = ReadonlyMap<string, string>;

export const able = ({ ableToSend }: SheetData): Content[] =>
  ableToSend.length === 0
    ? []
    : [
        framed('These places can send, and must not', [
          plain('The set has no way to forbid it here. Do not press talk on any of them.'),
          bullets(ableToSendLines(ableToSend).map(({ labels, what }) => `${labels}: ${what}`)),
        ]),
      ];

export function beforeParts({ description, readiness }: SheetData): Content[] {
  const notes = description.recipes ?? description.loading;
  if (!notes) return [];
  const { looksFree } = readiness;
  return [
    {
      columnGap: 10,
      columns: [
        framed('Hazards', [bullets(hazardLines(notes, readiness))]),
        {
          stack: [
            { margin: [0, 6, 0, 0], ...strong('Before you start') },
            ...ticks(beforeLines(notes, readiness)),
            ...(looksFree.length > 0
              ? [
                  plain(TWO_TICKS),
                  {
                    columnGap: 4,
                    columns: [0, 1, 2].map((third) => ({
                      stack: looksFree
                        .filter((_, i) => i % 3 === third)
                        .map(
                          ({ label }): Content => ({
                            columns: [{ text: '✓', width: 10 }, boxColumn(), { ...mono(label), width: '*' }],
                          }),
                        ),
                    })),
                  } as Content,
                ]
              : []),
          ],
        },
      ],
    },
  ];
}

export function overwritten({ unit, readiness, unseen }: SheetData): Content[] {
  const going = readiness.overwritten;
  if (going.length === 0) return [];
  return [
    heading('What will be overwritten', 2),
    plain(overwrittenText(unit.holds, going.length, unseen.length)),
    // Of what nobody has looked at paper says how many; its steps name each.
    {
      fontSize: 8.5,
      ...bullets(
        going.flatMap(({ number, label, before }) =>
          before === 'unknown' ? [] : [`no ${number} (${label}): ${before ? contentBrief(before) : 'empty'}`],
        ),
      ),
    },
  ];
}

export function instead({ readiness }: SheetData, names: Names): Content[] {
  const lines = sendsInsteadLines(readiness.sendsInstead, names);
  return lines.length === 0 ? [] : [framed('Do not press talk here', lines.map(plain))];
}

export function wayBackParts(
  { way }: Pick<SheetView['steps'], 'way'>,
  { description }: SheetData,
): Content[] {
  if (!way) return [];
  return [
    framed(LOST, [
      {
        ol: way.steps.map(({ runs, says }) => ({
          margin: [3, 0, 0, 0],
          // The grey of a key reaches a little to its left, where the figure stands.
          text: [plain('\u00a0'), keysDrawn(drawn(runs, description.keys)), plain(`  ${says}`)],
        })),
      },
      plain(
        `${wayBackText(way)} Then do not count on: open the live sheet, say where you stopped, and go on from there.`,
      ),
    ]),
  ];
}

export function cardParts(
  card: readonly CardSlot[],
  names: Names,
  talk: ReadonlyMap<number, number>,
): Content[] {
  return card.map(({ number, label, channelIds, values }): Content => {
    const hz = talk.get(number);
    const title =
      channelIds.length === 0
        ? `${label}: number ${number}`
        : `${channelIds.map((id) => names.get(id)).join(', ')}: number ${number}${label === String(number) ? '' : `, label ${label}`}`;
    return {
      unbreakable: true,
      margin: [0, 4, 0, 0],
      stack: [
        strong(title),
        ...(hz === undefined ? [] : [strong(talkGoesOutText(hz))]),
        ...(values.length === 0 ? [plain('Fixed by the factory; nothing to set.')] : []),
        {
          columnGap: 6,
          columns: [0, 1, 2].map((third) => ({
            stack: values
              .filter((_, i) => i % 3 === third)
              .map(
                (value): Content => ({
                  columnGap: 2,
                  columns: [
                    boxColumn(),
                    {
                      width: '*',
                      text: [
                        plain(`${value.title} `),
                        { ...mono(value.shown || 'empty'), bold: true },
                        plain(value.isThere ? ' as it comes' : ''),
                      ],
                    },
                  ],
                }),
              ),
          })),
        },
      ],
    };
  });
}

export function copyParts(offer: CopyOffer, { unit, description }: SheetData): Content[] {
  const { copying } = offer;
  const title = heading('Or copy it from another set', 2);
  if (!copying.proven || !copying.slowToo)
    return [title, strong('The copying steps of this kind of set do not prove.')];
  if (offer.why !== null) return [title, plain(copyText(offer, unit.nickname))];
  return [
    title,
    plain(copyText(offer, unit.nickname)),
    bullets(copying.before),
    lined(
      [10, 16, 76, 140, '*', 'auto'],
      [head(['', '', 'On', 'Keys', '', 'It shows'])],
      copying.steps.map(({ on, step }, i) => [
        box(),
        mono(String(i + 1)),
        strong(on === 'source' ? 'the full one' : unit.nickname),
        keysDrawn(drawn(step.runs, description.keys)) as TableCell,
        plain(step.says),
        display(screenText(copying.screens[i] ?? [])) as TableCell,
      ]),
    ),
  ];
}

export function readBackTable({ readiness }: SheetData, names: Names): Content[] {
  const columns = readBackColumns(readiness.lines, names);
  if (readiness.lines.length === 0) return [];
  return [
    lined(
      [10, ...columns.map(({ title }) => (title === 'Channel' ? '*' : 'auto'))],
      [head(['', ...columns.map(({ title }) => title)])],
      readiness.lines.map((line) => [
        box(),
        ...columns.map(({ look, of }) => (look === 'plain' ? plain(of(line)) : mono(of(line)))),
      ]),
      { fontSize: 8 },
    ),
  ];
}

export const doneLine = (): Content => ({
  margin: [0, 10, 0, 0],
  ...plain('Done by ______________________ on ______________'),
});
