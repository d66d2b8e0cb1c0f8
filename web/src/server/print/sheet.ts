import { hasNothingToDo } from '@umbrex/core/flow';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { onAirText } from '../../messages/air';
import { trialText } from '../../messages/alerts';
import { findingText } from '../../messages/findings';
import { loadingSteps } from '../../messages/loading';
import { notReadyLines } from '../../messages/readiness';
import { senderText } from '../../messages/sender';
import {
  checkLines,
  lawText,
  lengthText,
  mustNotSend,
  screenText,
  settingBefore,
  staysText,
} from '../../messages/sheetWords';
import { WAY_TEXT } from '../../messages/ways';
import type { SheetData } from '../sheetPage';
import type { SheetView } from '../views/sheet';
import {
  box,
  bullets,
  framed,
  head,
  KEYS_LEGEND,
  keysDrawn,
  lined,
  plain,
  small,
  strong,
  ticks,
} from './parts';
import { heading, pdfOf, type Running, type Size } from './pdf';
import {
  able,
  beforeParts,
  cardParts,
  copyParts,
  doneLine,
  instead,
  overwritten,
  readBackTable,
  wayBackParts,
} from './sheetParts';
import { blockPart, SHORT_LEGEND, shortParts, type Written } from './steps';

/** A set's sheet: every step one after another, or in short, with all that its page says. @param address where the live one is */
export function deviceSheet(
  running: Running,
  view: SheetView,
  { form, address, size }: { form: 'steps' | 'short'; address: string; size: Size },
): Promise<Uint8Array<ArrayBuffer>> {
  const { data, names, steps } = view;
  const { unit, description, sheet, readiness, card } = data;
  const ready = readiness.isReady;
  const written: Written = { description, names, talk: view.talk };
  const notes = description.recipes ?? description.loading;
  return pdfOf(running, {
    size,
    ...atHeadOf(data),
    content: [
      {
        columns: [
          {
            width: '*',
            stack: [
              heading(unit.nickname),
              plain(
                [
                  `${description.title} (${description.pattern})`,
                  view.holder && `held by ${view.holder}`,
                  unit.serial && `serial ${unit.serial}`,
                  `firmware ${unit.firmware}`,
                ]
                  .filter(Boolean)
                  .join(', '),
              ),
              plain(lengthText(data, card)),
              strong(
                [sheet.way === 'unknown' ? 'steps not known' : view.claim.stamp, view.claim.meaning]
                  .filter(Boolean)
                  .join('. '),
              ),
              ...(sheet.way === 'unknown' || hasNothingToDo(data)
                ? []
                : [plain(WAY_TEXT[data.way](data.proof.tried, description.recipes?.start !== undefined))]),
              ...(readiness.canTalk ? [plain(senderText(data.sender, unit, view.spares))] : []),
              ...(view.areas.length > 0
                ? [plain(`Areas: ${view.areas.map(({ code, name }) => `${code} ${name}`).join('; ')}.`)]
                : []),
            ],
          },
          { width: 76, stack: [{ qr: address, fit: 70 }, small('the live sheet')] },
        ],
        columnGap: 10,
      },
      ...(ready ? [] : [framed('This sheet is not ready.', whyNotReady(data).map(plain))]),
      ...findingLines(view),
      ...able(data),
      ...(ready && notes && !hasNothingToDo(data) ? beforeParts(data) : []),
      ...(ready ? overwritten(data) : []),
      ...(ready ? instead(data, names) : []),
      ...(ready ? wayBackParts(view.steps, data) : []),
      ...(ready && steps.blocks.length > 0
        ? form === 'short' && steps.short
          ? [
              heading('Steps in short', 2),
              small(SHORT_LEGEND),
              ...shortParts(steps.short, steps.blocks, readiness.lines, written),
            ]
          : [
              heading('Steps', 2),
              small(KEYS_LEGEND),
              ...(screenText(steps.begins) && !description.recipes?.start
                ? [
                    plain(
                      `Before the first step the set shows ${screenText(steps.begins)}. If it does not, do not begin.`,
                    ),
                  ]
                : []),
              ...steps.blocks.map((block) => blockPart(block, written)),
            ]
        : []),
      ...(ready && data.stays.length > 0 ? [framed('What stays', [plain(staysText(data.stays))])] : []),
      ...(card && card.length > 0
        ? [
            heading('What to set', 2),
            ...(loadingSteps(description, 'unknown').length > 0
              ? [{ ol: loadingSteps(description, 'unknown').map(plain) }]
              : []),
            ...cardParts(card, names, view.talk),
          ]
        : []),
      ...(view.offer ? copyParts(view.offer, data) : []),
      ...readBack(view),
      ...(ready ? toTry(view) : []),
      ...keyMapParts(view.keyMap),
      ...(view.onAir.length > 0
        ? [
            heading('Against the repeaters', 2),
            bullets(view.onAir.map((place) => `${place.label} on ${place.station}: ${onAirText(place)}`)),
          ]
        : []),
      ...(view.trials.length > 0 ? [heading('When it sounds', 2), bullets(view.trials.map(trialText))] : []),
      plain(' '),
      plain(lawText(readiness)),
      ...(ready ? [doneLine()] : []),
    ],
  });
}

/** What must stand at the head of every page of a sheet. */
const atHeadOf = ({ ableToSend }: SheetData) =>
  ableToSend.length === 0
    ? {}
    : {
        header: { margin: [36, 16, 36, 0], ...strong(mustNotSend(ableToSend)) } as Content,
        pageMargins: [36, 48, 36, 44] as [number, number, number, number],
      };

const whyNotReady = ({ toAccept, readiness, proof: { firstDifference } }: SheetData): string[] => [
  ...notReadyLines(readiness.stops, toAccept.length),
  ...(readiness.stops.includes('not-proven') && firstDifference ? [findingText(firstDifference).what] : []),
];

const findingLines = ({ findings }: SheetView): Content[] =>
  findings.length === 0
    ? []
    : [
        bullets(
          findings.map((finding) => {
            const { what, help } = findingText(finding);
            return [what, help && `What would help: ${help}`].filter(Boolean).join(' ');
          }),
        ),
      ];

function readBack(view: SheetView): Content[] {
  const { data, checks, labels, names } = view;
  const { description, sheet, readiness, settings } = data;
  const notes = description.recipes ?? description.loading;
  return [
    heading('Read back', 2),
    ...(sheet.steps.length > 0 ? ticks(checkLines(readiness.canTalk ? checks : [], labels, names)) : []),
    ...(notes
      ? [bullets(notes.readBack)]
      : [plain('Steps not known for this set: set each value by its manual and tick it off here.')]),
    ...readBackTable(data, names),
    ...ticks(
      settings.map(
        (setting) => `For the whole set, ${setting.title}: ${setting.shall} ${settingBefore(setting)}`,
      ),
    ),
  ];
}

function toTry({ toTry: { rows, leftOut } }: SheetView): Content[] {
  if (rows.length === 0) return [];
  const three = ['pass', 'fail', 'undecided'] as const;
  return [
    heading('What to try', 2),
    plain(`Each thing that could be wrong, once. Silence is undecided, not right. ${leftOut}`),
    lined(
      ['*', 130, 34, 34, 48],
      [head(['Try', 'It shows', 'Right', 'Wrong', 'Undecided'])],
      rows.map(({ title, shows, caution, result }) => [
        { stack: [plain(title), ...(caution ? [strong(caution)] : [])] },
        plain(shows),
        ...three.map((one): TableCell => (result === one ? { text: '✓' } : box())),
      ]),
    ),
  ];
}

/** What the keys of a set do as it is configured, and how to leave a wrong one. */
export function keyMapParts(lines: SheetView['keyMap']): Content[] {
  if (lines.length === 0) return [];
  return [
    heading('Key map', 2),
    plain('What the keys do, and the way back from a wrong one.'),
    lined(
      [130, '*', 190],
      [head(['Key', 'What it does', 'Back'])],
      lines.map(({ legend, heldMs, does, leave, setting }) => [
        keysDrawn([{ kind: 'key', legend, times: 1, ...(heldMs !== undefined && { heldMs }) }]) as TableCell,
        plain(
          `${does ?? 'nobody has looked what it does on this set'}${setting ? ` (set under ${setting})` : ''}`,
        ),
        plain(leave ?? ''),
      ]),
    ),
  ];
}
