import type { RadioCheck } from '@umbrex/core/check';
import { memoryWord } from '@umbrex/core/evidence';
import type { AbleToSend } from '@umbrex/core/fit';
import { hasNothingToDo, type Prepared } from '@umbrex/core/flow';
import { wantsNothing } from '@umbrex/core/memory';
import { isOnAir, type Unit } from '@umbrex/core/model';
import type {
  CardSlot,
  CopyOffer,
  DrawnCell,
  DrawnKeys,
  Routine,
  SettingLine,
  SheetBlock,
  SlotLine,
  WayBack,
} from '@umbrex/core/procedure';
import type { Readiness, SendsInstead } from '@umbrex/core/readiness';
import { mhzText } from '@umbrex/core/units';
import type { confidenceText } from './confidence';
import { contentBrief, scanBrief } from './contents';
import { dayText } from './days';
import { findingText } from './findings';
import { secondsText } from './keys';
import { counted, listOf } from './labels';
import { evidenceText, evidenceWhen } from './rollout';
import { PART_TEXT, placeTitle } from './steps';
import { toneWords } from './tones';

/** The words of a sheet, the same on a page and on paper that the server makes. */

/** A set of which nothing must change: the plan wants nothing of it, or what is on record says that it has all of it. */
export const nothingToChange = ({ wanted }: Pick<Prepared, 'wanted'>): string =>
  wantsNothing(wanted)
    ? 'Nothing to change: the plan wants nothing of this set.'
    : 'Nothing to change: by what is on record this set holds what it should.';

/**
 * What a sheet claims, and what that rests on. It has a stamp only where something was replayed: where nothing is to be done, what is on
 * record of the set is all there is.
 */
export function claimOf(
  { sheet, changes, unit }: Pick<Prepared, 'sheet' | 'changes'> & { readonly unit: Unit },
  stamp: ReturnType<typeof confidenceText>,
  planName: (id: string) => string | null | undefined,
): { readonly stamp: string | null; readonly meaning: string } {
  if (sheet.way === 'unknown')
    return {
      stamp: null,
      meaning:
        'Nobody has described the keys of this kind of set. Below stands what each place shall hold, in its own words; how to set it is in its manual.',
    };
  if (!hasNothingToDo({ sheet, changes })) return { stamp: stamp.word, meaning: stamp.meaning };
  const word = memoryWord(unit);
  return {
    stamp: null,
    meaning: word
      ? `On record: ${evidenceText(word, planName)}; ${evidenceWhen(word)}. Whether it is so a look at the set tells.`
      : 'What it holds nobody has looked at.',
  };
}

/** How long a sheet is. @param card what each place shall hold, where it is not set by keys */
export function lengthText(
  { sheet, proof, changes, wanted }: Pick<Prepared, 'sheet' | 'proof' | 'changes' | 'wanted'>,
  card: readonly CardSlot[] | null,
): string {
  if (hasNothingToDo({ sheet, changes })) return nothingToChange({ wanted });
  if (card !== null)
    return `${card.length === 1 ? 'One place' : `${card.length} places`}${sheet.way === 'file' ? ', sent by file; the file was sent to a virtual set and read back' : ''}.`;
  const presses =
    sheet.presses === sheet.mostPresses
      ? counted(sheet.presses, 'press', 'presses')
      : `about ${sheet.presses} presses, ${sheet.mostPresses} at most`;
  return `${counted(sheet.steps.length, 'step')}, ${presses}, about ${Math.ceil(proof.minutes)} ${proof.minutes > 1 ? 'minutes' : 'minute'} at a calm pace.`;
}

/** What is dangerous on a kind of set. */
export const hazardLines = (
  notes: { readonly hazards: readonly string[] },
  { canTalk }: Pick<Readiness, 'canTalk'>,
): string[] => [
  ...notes.hazards,
  canTalk
    ? 'Never press TALK while you set it up, and never without an antenna. Do not do this while driving.'
    : 'Do not do this while driving.',
];
/** What is to be done before the first key. */
export const beforeLines = (
  notes: { readonly before: readonly string[] },
  { clearPickedTone }: Pick<Readiness, 'clearPickedTone'>,
): string[] => [
  ...notes.before,
  ...(clearPickedTone
    ? ['Clear the tone picked by hand: left on, it stands in place of every channel’s own.']
    : []),
];
export const TWO_TICKS =
  'A place is free with two ticks, this list’s and the set’s own: look at each. One that shows something is not free; leave it and ask.';

/** Places that can send and must not, those with the same reason together. */
export function ableToSendLines(places: readonly AbleToSend[]): { labels: string; what: string }[] {
  const why = new Map<string, AbleToSend[]>();
  for (const place of places) {
    const { what } = findingText(place.why);
    why.set(what, [...(why.get(what) ?? []), place]);
  }
  return [...why].map(([what, those]) => ({ labels: listOf(those.map(({ label }) => label)), what }));
}
/** The same for the head of every page. */
export const mustNotSend = (places: readonly AbleToSend[]): string =>
  `Can send, and must not: ${listOf(places.map(({ label }) => label))}. Do not press talk there.`;

/** Channels that a set only listens to, whose places send all the same when somebody talks. */
export function sendsInsteadLines(
  channels: readonly SendsInstead[],
  names: ReadonlyMap<string, string>,
): string[] {
  const placed = ({ cell }: SendsInstead) => `${names.get(cell.channelId)} (${cell.slot?.label})`;
  const never = channels.filter(({ talksAs }) => talksAs === null);
  // There the talk key is right, but covers who listens to the other one.
  const shared = channels.flatMap((one) =>
    one.talksAs ? [`${placed(one)}, which is ${names.get(one.talksAs.channelId) ?? ''} when you talk`] : [],
  );
  return [
    ...(never.length > 0
      ? [
          `On these channels the set only listens, but its talk key would send on the frequency it hears, and cover what others listen to: ${never.map(placed).join(', ')}.`,
        ]
      : []),
    ...(shared.length > 0 ? [`Listen first where one place is two channels: ${shared.join('; ')}.`] : []),
  ];
}

/** What goes when a sheet is done: so many places hold something, or nobody has looked at so many of them. */
export function overwrittenText(holds: Unit['holds'], going: number, unseen: number): string {
  if (unseen === 0) {
    const since = holds.on === 'unknown' ? '' : ` on ${dayText(holds.on)}`;
    const places = going === 1 ? 'One place that holds' : `${going} places that hold`;
    return `${places} something now, as it was ${holds.what === 'read' ? 'read' : 'left'}${since}.`;
  }
  const which = unseen < going ? `${unseen} of them` : going === 1 ? 'it' : 'them';
  return `${counted(going, 'place')}. Nobody has looked at ${which}: whatever stands there goes. If something must stay, look first and write it down here.`;
}

export const LOST = 'Lost? Do this, whatever the set shows';
/** What is true once the way back was gone. */
export const wayBackText = (way: WayBack): string =>
  `What you stored stays; what was half entered is gone. You are back where every sheet begins, ${way.standsOn === null ? 'on whichever place it then stands' : `on number ${way.standsOn}`}. Tried on the virtual set from each of its ${way.screens} screens.`;

/** What a block of steps is for. */
export const blockTitle = (
  { line, part, slotNumber }: Pick<SheetBlock, 'line' | 'part' | 'slotNumber'>,
  names: ReadonlyMap<string, string>,
): string =>
  line
    ? `${part === 'names' ? 'Name of ' : ''}${placeTitle(line, names)}: number ${line.number}, label ${line.label}`
    : slotNumber !== null
      ? `Number ${slotNumber} leaves the plan`
      : PART_TEXT[part];
/** What a display shows, its lines side by side. */
export const screenText = (lines: readonly string[]): string =>
  lines.filter((text) => text.trim()).join(' | ');
export const onceBegun = (seconds: number): string =>
  `Once begun, no more than ${seconds} seconds between keys.`;
export const talkGoesOutText = (hz: number): string =>
  `Talk goes out on ${mhzText(hz)} MHz here: only listen.`;
/** What has to be at hand for a block that is to be done in one go. */
export const readyText = (line: SlotLine): string => contentBrief(line.content);

/** What the signs in the table of a routine mean, those that stand in it. */
export function signLines(
  routine: Routine,
  cells: readonly (readonly (DrawnCell | undefined)[])[],
): string[] {
  const has = (is: (cell: DrawnCell) => boolean) =>
    cells.some((row) => row.some((cell) => cell !== undefined && is(cell)));
  return [
    has((cell) => cell.kind === 'left-out' && cell.what === 'section') &&
      '–: leave that part out, all its steps.',
    has((cell) => cell.kind === 'left-out' && cell.what === 'step') && '0×: that one step is not needed.',
    has((cell) => cell.kind === 'done') && '✓: do it.',
    has((cell) => cell.kind === 'until' && cell.shows.some((texts) => texts.length > 1)) &&
      'a … b, hold: let go as soon as it shows one from a to b, then tap on until b.',
    routine.windowMs !== undefined && onceBegun(routine.windowMs / 1000),
  ].filter((line) => line !== false);
}

/** A key in a line of text: its legend, how long it is held, how often. */
export function keyText(key: DrawnKeys): string {
  if (key.kind === 'pause') return `wait ${secondsText(key.ms)}`;
  if (key.kind === 'power') return 'off and on';
  const held = key.heldMs === undefined ? '' : ` hold ${secondsText(key.heldMs)}`;
  if (key.kind === 'until')
    return `${key.legend}${held} until ${key.shows.map((text) => text.trim()).join(' … ')}`;
  const others = key.with ? `${key.with.join('+')} held, ` : '';
  const only = key.when === undefined ? '' : ` only if ${key.when}`;
  // One key stays together on its line.
  return `${others}${key.legend}${only}${held}${key.times > 1 ? `\u00a0×${key.times}` : ''}`;
}
export const keysText = (keys: readonly DrawnKeys[]): string => keys.map(keyText).join(', ');

/** A piece of what stands in a cell of a short form: what it comes to is strong, how it is done is small. */
export interface CellPiece {
  readonly text: string;
  readonly is?: 'strong' | 'small';
  /** Said to those who do not see the sign. */
  readonly said?: string;
}
/** What stands in one column of one line of a short form. */
export function cellPieces(cell: DrawnCell): CellPiece[] {
  const value = (text: string | undefined): CellPiece[] => (text ? [{ text, is: 'strong' }] : []);
  switch (cell.kind) {
    case 'left-out':
      return cell.what === 'section'
        ? [{ text: '–', said: 'leave that part out' }]
        : [{ text: '0×', said: 'not needed' }];
    case 'done':
      return [{ text: '✓', said: 'do it' }];
    case 'times':
      return [...value(cell.value), { text: `×${cell.times}` }];
    case 'typed':
      return [...value(cell.value), { text: cell.text }];
    case 'spelt':
      return [{ text: cell.letters.map((letter) => (letter === 'blank' ? '␣' : letter)).join(' ') }];
    case 'until':
      // What is turned to at last is not said a second time after what is turned to first.
      return cell.shows
        .filter((one, i) => i === 0 || one.at(-1) !== cell.shows[i - 1]?.at(-1))
        .flatMap((texts): CellPiece[] => [
          ...(texts.length > 1 ? [{ text: `${texts[0]} …` }] : []),
          { text: texts.at(-1) ?? '', is: 'strong' },
        ]);
    case 'keys':
      return [...value(cell.value), { text: keysText(cell.keys), is: 'small' }];
    case 'letters':
      return [
        {
          text: cell.letters.map(({ letter, keys }) => `${letter} ${keysText(keys) || '0×'}`).join(' · '),
          is: 'small',
        },
      ];
    default:
      return cell satisfies never;
  }
}

/** What to do on a set once its steps are done: off and on, a look at each place, a call direct and one through a repeater. */
export function checkLines(
  checks: readonly RadioCheck[],
  labels: ReadonlyMap<string, string>,
  names: ReadonlyMap<string, string>,
): string[] {
  const withWhom = ({ partners }: RadioCheck) =>
    partners.length === 0
      ? 'No other set of this list talks there: ask somebody who does'
      : `With ${partners.map(({ nickname, holder }) => (holder ? `${nickname} (${holder})` : nickname)).join(' or ')}`;
  return [
    'Switch the set off and on, so that only what it kept is left.',
    'Look at each place, and tick it where it shows what stands here.',
    ...checks.map((check) => {
      const name = names.get(check.channelId);
      const place = `${name}, place ${labels.get(check.channelId) ?? '?'}`;
      // A channel is often called as its repeater is.
      const through = check.through === name ? place : `${check.through ?? 'the repeater'} on ${place}`;
      const leave = check.needsLeave ? ' Only with its owner’s permission.' : '';
      return check.kind === 'direct'
        ? `Call direct on ${place}. ${withWhom(check)}, within sight or a street away.${leave}`
        : `Call through ${through}. ${withWhom(check)}, from where the repeater is heard; its answer alone shows only that it opens.${leave}`;
    }),
    ...(checks.length > 0
      ? [
          'For each call: listen first, say who you are, keep it short. Never on distress or calling channels.',
        ]
      : []),
  ];
}

/** How a setting of the whole set stood before. */
export const settingBefore = ({ before, shall }: SettingLine): string =>
  before === shall ? 'as it is' : before === 'unknown' ? '(not looked how it stands)' : `(was ${before})`;

/** A column of what is read back: its text for a place, and how it is set. */
export interface ReadBackColumn {
  readonly title: string;
  readonly look: 'figure' | 'mono' | 'tone' | 'plain';
  readonly of: (line: SlotLine) => string;
}
/** The columns of what is read back from a set; what no place of it has is left away. */
export function readBackColumns(
  lines: readonly SlotLine[],
  names: ReadonlyMap<string, string>,
): ReadBackColumn[] {
  /** What it means, after what the set shows, where that is not the same. */
  const tone = (text: string | undefined, shown: string | undefined) => {
    const words = text === undefined ? '' : toneWords(text);
    if (shown === undefined || words === '') return words;
    return text === 'off' || words.includes(shown) || shown.includes(text ?? '')
      ? shown
      : `${shown} (${words})`;
  };
  const heard = (content: SlotLine['content']) =>
    isOnAir(content) ? mhzText(content.receiveHz) : content.kind === 'area' ? content.areaCode : '';
  const sent = (content: SlotLine['content']) => {
    if (content.kind === 'network') return 'never';
    if (content.kind !== 'channel') return '';
    return content.transmitHz === null ? 'never' : mhzText(content.transmitHz);
  };
  /** What only channels have, where a place holds one. */
  const onChannel = ({ content }: SlotLine) => (content.kind === 'channel' ? content : undefined);
  const columns: ReadBackColumn[] = [
    { title: 'No', look: 'figure', of: ({ number }) => String(number) },
    { title: 'Label', look: 'mono', of: ({ label }) => label },
    {
      title: 'Channel',
      look: 'plain',
      of: ({ channelIds }) => channelIds.map((id) => names.get(id)).join(', '),
    },
    { title: 'Shows', look: 'mono', of: ({ content }) => ('name' in content ? (content.name ?? '') : '') },
    { title: 'Hears', look: 'figure', of: ({ content }) => heard(content) },
    {
      title: 'ID',
      look: 'mono',
      of: ({ content }) => (content.kind === 'id' ? (content.fleetId ?? '') : ''),
    },
    { title: 'Sends', look: 'figure', of: ({ content }) => sent(content) },
    {
      title: 'Transmit tone',
      look: 'tone',
      of: (line) => tone(onChannel(line)?.transmitTone, line.shown.transmitTone),
    },
    {
      title: 'Receive tone',
      look: 'tone',
      of: (line) => tone(onChannel(line)?.receiveTone, line.shown.receiveTone),
    },
    {
      title: 'Power',
      look: 'tone',
      of: (line) => {
        const powerW = onChannel(line)?.powerW;
        return powerW === undefined ? '' : [line.shown.powerW, `${powerW} W`].filter(Boolean).join(', ');
      },
    },
    {
      title: 'Width',
      look: 'plain',
      of: ({ content, shown }) => shown.bandwidth ?? (isOnAir(content) ? content.bandwidth : undefined) ?? '',
    },
    { title: 'Scan', look: 'plain', of: ({ content }) => scanBrief(content) },
  ];
  return columns.filter(({ of }) => lines.some((line) => of(line) !== ''));
}

/** Why or from where a set may be copied. */
export function copyText({ why, ready, later, copying }: CopyOffer, nickname: string): string {
  if (why === 'alone') return 'No other set of this kind is known to hold the very same.';
  if (why !== null)
    return `Not here: ${nickname} holds or keeps something of its own, and a copy takes the place of everything.`;
  const from = [
    ...(ready.length > 0
      ? [`From ${ready.join(', ')}, which ${ready.length === 1 ? 'holds' : 'hold'} the plan already.`]
      : []),
    ...(later.length > 0
      ? [
          `${ready.length > 0 ? 'Or, once' : 'Once'} its own sheet is done and read back, from ${later.join(', ')}.`,
        ]
      : []),
  ];
  return `${[...from, `${counted(copying.steps.length, 'step')}, ${counted(copying.presses, 'press', 'presses')} for both sets together. Everything that ${nickname} holds is replaced.`].join(' ')}`;
}

/** Places that keep what an earlier state of the plan put there. */
export function staysText(numbers: readonly number[]): string {
  const [number, keeps, it] = numbers.length === 1 ? ['Number', 'keeps', 'it'] : ['Numbers', 'keep', 'them'];
  return `${number} ${numbers.join(', ')} ${keeps} what an earlier state of the plan put there: no step is known that empties ${it}. Do not use ${it}.`;
}
/** What stands at the end of every sheet. */
export const lawText = ({ canTalk }: Pick<Readiness, 'canTalk'>): string =>
  canTalk
    ? 'Transmit only where you are licensed, on a set certified for the service; identify when you test, keep tests short, and never test on distress or calling channels. Check your local rules. A tone is not privacy.'
    : 'It only listens. Check your local rules on listening, and on speaking of what you heard.';
