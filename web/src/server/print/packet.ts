import { changesNothing } from '@umbrex/core/memory';
import type { LoadedBy } from '@umbrex/core/model';
import type { CopyOffer } from '@umbrex/core/procedure';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { clockText, TASK_WAY } from '../../messages/bench';
import { dayText } from '../../messages/days';
import { counted } from '../../messages/labels';
import { loadingSteps } from '../../messages/loading';
import { WAY_TEXT as LOADED_TEXT } from '../../messages/rollout';
import { mustNotSend, nothingToChange } from '../../messages/sheetWords';
import type { SheetData } from '../sheetPage';
import type { packetView } from '../views/packet';
import { box, head, KEYS_LEGEND, lined, mono, plain, small, strong } from './parts';
import { CUT, heading, pdfOf, type Running, type Size } from './pdf';
import {
  able,
  beforeParts,
  cardParts,
  copyParts,
  doneLine,
  instead,
  type Names,
  overwritten,
  readBackTable,
  wayBackParts,
} from './sheetParts';
import { blockPart, SHORT_LEGEND, shortParts, type Written } from './steps';

/** What is taken along to a bench day: its list, labels, and each set's sheet in short. */
export function benchPacket(
  running: Running,
  view: NonNullable<Awaited<ReturnType<typeof packetView>>>,
  planName: string,
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const { day, rows, sheets, names } = view;
  const at = (min: number) => clockText(day.beginsMin + min);
  const labels = rows.map(
    ({ set }): TableCell => ({
      stack: [strong(set), small(`${planName}, revision ${day.revision}`), small(dayText(day.day))],
    }),
  );
  const across = 4;
  return pdfOf(running, {
    size,
    content: [
      heading(day.name),
      plain(`${dayText(day.day)}, revision ${day.revision} of ${planName}.`),
      rows.length === 0
        ? plain('Nothing was worked out for this day yet.')
        : lined(
            [10, 34, 34, 110, 110, '*'],
            [head(['', 'From', 'To', 'Who', 'Set', 'How'])],
            rows.map(({ fromMin, toMin, who, set, way, standId, from }) => [
              box(),
              mono(at(fromMin)),
              mono(at(toMin)),
              plain(who),
              strong(set),
              plain(
                [TASK_WAY[way], standId && `stand ${standId}`, from && `from ${from}`]
                  .filter(Boolean)
                  .join(', '),
              ),
            ]),
          ),
      ...(labels.length > 0
        ? [
            { ...(heading('Labels') as object), pageBreak: 'before' } as Content,
            {
              layout: CUT,
              table: {
                dontBreakRows: true,
                widths: Array.from({ length: across }, () => '*'),
                body: Array.from({ length: Math.ceil(labels.length / across) }, (_, row) =>
                  Array.from({ length: across }, (_, k) => labels[row * across + k] ?? ''),
                ),
              },
            },
          ]
        : []),
      ...sheets.flatMap((sheet): Content[] => packetSheet(sheet, names)),
    ],
  });
}
type PacketSheet = NonNullable<Awaited<ReturnType<typeof packetView>>>['sheets'][number];

function packetSheet({ data, steps, talk, way, offer }: PacketSheet, names: Names): Content[] {
  const { unit, description, sheet, proof, readiness, changes, card } = data;
  const written: Written = { description, names, talk };
  const isSame = changesNothing(changes);
  const byKeys = way === 'keys' && sheet.steps.length > 0;
  const top: Content[] = [
    { ...(heading(unit.nickname) as object), pageBreak: 'before' } as Content,
    plain(
      way === 'keys'
        ? `${description.title}, ${counted(sheet.steps.length, 'step')}, about ${Math.ceil(proof.minutes)} minutes.`
        : `${description.title}, ${LOADED_TEXT[way]}.`,
    ),
    ...(data.ableToSend.length > 0 ? [strong(mustNotSend(data.ableToSend))] : []),
  ];
  if (!readiness.isReady) return [...top, strong('Its sheet is not ready: do not load it by these keys.')];
  if (isSame) return [...top, plain(nothingToChange(data))];
  const before = (description.recipes ?? description.loading) ? beforeParts(data) : [];
  if (byKeys)
    return [
      ...top,
      ...able(data),
      ...before,
      ...overwritten(data),
      ...instead(data, names),
      ...wayBackParts(steps, data),
      ...(steps.short
        ? [small(SHORT_LEGEND), ...shortParts(steps.short, steps.blocks, readiness.lines, written)]
        : [small(KEYS_LEGEND), ...steps.blocks.map((block) => blockPart(block, written))]),
      doneLine(),
    ];
  return [
    ...top,
    ...before,
    ...howOtherwise(way, offer, data),
    ...(way !== 'copy' && card ? cardParts(card, names, talk) : readBackTable(data, names)),
    doneLine(),
  ];
}

function howOtherwise(way: LoadedBy, offer: CopyOffer | undefined, data: SheetData): Content[] {
  if (way !== 'copy') return [{ ol: loadingSteps(data.description, way).map(plain) }];
  if (offer) return copyParts(offer, data);
  return [
    strong(
      'Nobody described how this kind is copied: load it by its own sheet, or take another way on the day.',
    ),
  ];
}
