import type { LoadedBy } from '@umbrex/core/model';
import { type CardSlot, type CopyOffer, drawn } from '@umbrex/core/procedure';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { onAirText } from '../../messages/air';
import { trialText } from '../../messages/alerts';
import { clockText, TASK_WAY } from '../../messages/bench';
import { contentBrief } from '../../messages/contents';
import { dayText } from '../../messages/days';
import { findingText } from '../../messages/findings';
import { counted } from '../../messages/labels';
import { loadingSteps } from '../../messages/loading';
import { STOP_TEXT } from '../../messages/readiness';
import { WAY_TEXT as LOADED_TEXT } from '../../messages/rollout';
import { senderText } from '../../messages/sender';
import {
  ableToSendLines,
  beforeLines,
  checkLines,
  copyText,
  hazardLines,
  LOST,
  lengthText,
  mustNotSend,
  readBackColumns,
  screenText,
  sendsInsteadLines,
  settingBefore,
  TWO_TICKS,
  talkGoesOutText,
  wayBackText,
} from '../../messages/sheetWords';
import { WAY_TEXT } from '../../messages/ways';
import type { SheetData } from '../sheetPage';
import type { packetView } from '../views/packet';
import type { SheetView } from '../views/sheet';
import {
  box,
  boxColumn,
  bullets,
  display,
  framed,
  head,
  KEYS_LEGEND,
  keysDrawn,
  lined,
  mono,
  plain,
  small,
  strong,
  ticks,
} from './parts';
import { CUT, heading, pdfOf, type Running, type Size } from './pdf';
import { blockPart, SHORT_LEGEND, shortParts, type Written } from './steps';

type Names = ReadonlyMap<string, string>;

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
              strong(
                sheet.way === 'unknown' ? 'steps not known' : `${view.stamp.word}. ${view.stamp.meaning}`,
              ),
              plain(lengthText(data, card)),
              ...(sheet.way === 'unknown'
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
      ...(ready ? [] : [framed('This sheet is not ready.', notReadyLines(data).map(plain))]),
      ...findingLines(view),
      ...able(data),
      ...(ready && notes ? beforeParts(data) : []),
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
      ...(ready && data.stays.length > 0
        ? [
            framed('What stays', [
              plain(
                `Number ${data.stays.join(', ')}: it keeps what an earlier state of the plan put there, and no step is known that empties it. Do not use it.`,
              ),
            ]),
          ]
        : []),
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
      plain(
        readiness.canTalk
          ? 'Transmit only where you are licensed, on a set certified for the service; identify when you test, keep tests short, and never test on distress or calling channels. Check your local rules. A tone is not privacy.'
          : 'It only listens. Check your local rules on listening, and on speaking of what you heard.',
      ),
      ...(ready ? [doneLine()] : []),
    ],
  });
}

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
  const isSame = changes.places.length === 0 && changes.settings.length === 0;
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
  if (isSame) return [...top, plain('Nothing to change: it holds what it should.')];
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

/** What must stand at the head of every page of a sheet. */
const atHeadOf = ({ ableToSend }: SheetData) =>
  ableToSend.length === 0
    ? {}
    : {
        header: { margin: [36, 16, 36, 0], ...strong(mustNotSend(ableToSend)) } as Content,
        pageMargins: [36, 48, 36, 44] as [number, number, number, number],
      };

function notReadyLines({ toAccept, readiness, proof, sheet }: SheetData): string[] {
  return [
    ...(toAccept.length > 0
      ? [`${counted(toAccept.length, 'place')} of the holder’s own would be overwritten: look first.`]
      : []),
    ...readiness.stops.map((stop) => STOP_TEXT[stop]),
    ...(proof.firstDifference && sheet.way !== 'unknown' ? [findingText(proof.firstDifference).what] : []),
  ];
}

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

const able = ({ ableToSend }: SheetData): Content[] =>
  ableToSend.length === 0
    ? []
    : [
        framed('These places can send, and must not', [
          plain('The set has no way to forbid it here. Do not press talk on any of them.'),
          bullets(ableToSendLines(ableToSend).map(({ labels, what }) => `${labels}: ${what}`)),
        ]),
      ];

function beforeParts({ description, readiness }: SheetData): Content[] {
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

function overwritten({ unit, readiness, unseen }: SheetData): Content[] {
  const going = readiness.overwritten;
  if (going.length === 0) return [];
  return [
    heading('What will be overwritten', 2),
    plain(
      unseen.length === 0
        ? `${counted(going.length, 'place')} that hold something now${unit.holds.on === 'unknown' ? '' : `, as of ${dayText(unit.holds.on)}`}.`
        : `${counted(going.length, 'place')}. Nobody has looked at ${unseen.length === going.length ? 'them' : `${unseen.length} of them`}: whatever stands there goes. If something must stay, look first and write it down here.`,
    ),
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

function instead({ readiness }: SheetData, names: Names): Content[] {
  const lines = sendsInsteadLines(readiness.sendsInstead, names);
  return lines.length === 0 ? [] : [framed('Do not press talk here', lines.map(plain))];
}

function wayBackParts({ way }: Pick<SheetView['steps'], 'way'>, { description }: SheetData): Content[] {
  if (!way) return [];
  return [
    framed(LOST, [
      {
        ol: way.steps.map(({ runs, says }) => ({
          margin: [3, 0, 0, 0],
          text: [keysDrawn(drawn(runs, description.keys)), plain(`  ${says}`)],
        })),
      },
      plain(
        `${wayBackText(way)} Then do not count on: open the live sheet, say where you stopped, and go on from there.`,
      ),
    ]),
  ];
}

function cardParts(card: readonly CardSlot[], names: Names, talk: ReadonlyMap<number, number>): Content[] {
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

function copyParts(offer: CopyOffer, { unit, description }: SheetData): Content[] {
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

function readBackTable({ readiness }: SheetData, names: Names): Content[] {
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

const doneLine = (): Content => ({
  margin: [0, 10, 0, 0],
  ...plain('Done by ______________________ on ______________'),
});
