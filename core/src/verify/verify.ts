import type { Cell } from '../fit/index';
import {
  type Channel,
  type ChannelContent,
  type CheckKind,
  type Description,
  listItems,
  type Plan,
  type Slot,
  slotsOf,
  type ToneText,
} from '../model/index';
import type { SlotLine } from '../procedure/index';
import { neverTested } from '../rules/index';
import { leastCover } from './cover';

/** One thing that is tried on a set once it is loaded, and what is shown when it goes as it should. */
export interface Trial {
  readonly check: CheckKind;
  /** The place it is tried at; `null` for the whole set. */
  readonly slotNumber: number | null;
  readonly channelId: string | null;
  /** What it covers: banks, kinds of tone, directions, power, width, blocked talk. */
  readonly covers: readonly string[];
  /** Where it radiates, in hertz; `null` where it does not. */
  readonly radiatesHz: number | null;
  /** Talk is pressed, and the set must not send: into a dummy load, after the place was read back. */
  readonly onDummyLoad: boolean;
  /** Its owner is asked before anybody calls there. */
  readonly needsLeave: boolean;
  /** How a block is undone: the set's own setting, and what it then shows; `null` where none of its settings blocks, or nothing is. */
  readonly undo: Undo | null;
}

/** A setting of a place, and what it shows where it lets talk through. */
export interface Undo {
  readonly title: string;
  readonly shown: string;
}

/** What is to be tried on a set, and what is not. */
export interface Verification {
  readonly trials: readonly Trial[];
  /** Places at which nothing is tried: others stand for them. */
  readonly leavesOut: readonly number[];
  /** Its places cannot be read back: it shows nothing. Heard and sent stand for that. */
  readonly isBlind: boolean;
  /** Places that must not send and where talk is never pressed, since they are for distress or calling: reading back stands for that. */
  readonly neverPressed: readonly number[];
}

/** What is to be tried, as results are written down by. */
export function toTryOf({ trials }: Verification): { check: CheckKind; number: number | null }[] {
  return trials.map(({ check, slotNumber }) => ({ check, number: slotNumber }));
}

/** One place as it is judged. */
interface Place {
  readonly slot: Slot;
  readonly line: SlotLine;
  readonly content: ChannelContent;
  readonly channel: Channel | undefined;
  readonly mayTalk: boolean;
  readonly isNeverTested: boolean;
}

/** Which kind of tone stands in a place. */
export function toneKind(tone: ToneText | undefined): 'CTCSS' | 'DCS' | 'no tone' {
  if (tone === undefined || tone === 'off') return 'no tone';
  return /^D/.test(tone) ? 'DCS' : 'CTCSS';
}

/**
 * The least that is tried on a set once it is loaded, so that each thing that could be wrong is seen once: each bank, kind of tone, power,
 * width and direction at some place, each place that must not send, the scan, the way back from a repeater. The rest is taken by sample, and
 * what is left out is said. Nothing radiates on distress and calling channels.
 * @param lines the places as they shall be; @param cells what becomes of each channel
 * @param onAir channels on which the sheet has a call tried anyway, which count first; and those whose repeater is off the air, where nobody
 * is called or heard
 */
export function verification(
  description: Description,
  lines: readonly SlotLine[],
  cells: readonly Cell[],
  plan: Pick<Plan, 'channels' | 'country'>,
  {
    calls = [],
    offAir = [],
  }: { readonly calls?: readonly string[]; readonly offAir?: readonly string[] } = {},
): Verification {
  const places = placesOf(description, lines, cells, plan);
  const isBlind = description.display === 'none';
  const trials: Trial[] = [];
  const add = (check: CheckKind, place: Place | null, covers: readonly string[], more: Partial<Trial> = {}) =>
    trials.push({
      check,
      slotNumber: place?.slot.number ?? null,
      channelId: place?.channel?.id ?? null,
      covers,
      radiatesHz: null,
      onDummyLoad: false,
      needsLeave: false,
      undo: null,
      ...more,
    });

  if (lines.length > 0) add('power-cycle', null, []);
  const muted = canSend(description) ? places.filter(isMuted) : [];
  const neverPressed = muted.filter(({ isNeverTested }) => isNeverTested);
  if (!isBlind) {
    const covered = places.map((of) => ({ of, covers: shownThings(of, muted.includes(of)) }));
    for (const place of leastCover(covered))
      add('read-back', place, shownThings(place, muted.includes(place)));
  }

  const onAir = places.filter(({ channel }) => !channel || !offAir.includes(channel.id));
  const callable = onAir.filter(({ mayTalk, isNeverTested }) => mayTalk && !isNeverTested);
  const first = callable.filter(({ channel }) => channel && calls.includes(channel.id));
  const called = [...first];
  // Where permission is needed, or nobody knows, only for what nothing else shows.
  for (const needs of [0, 1]) {
    const done = new Set(called.flatMap(calledThings));
    const others = callable.filter((place) => leave(place) === needs && !first.includes(place));
    called.push(
      ...leastCover(
        others.map((of) => ({ of, covers: calledThings(of).filter((thing) => !done.has(thing)) })),
      ),
    );
  }
  for (const place of called) {
    const more = { radiatesHz: place.content.transmitHz, needsLeave: leave(place) > 0 };
    if (isSplit(place.content)) add('returned', place, ['return from the repeater'], more);
    add('two-way', place, calledThings(place), more);
  }
  const heardAlready = new Set(called.map(({ content }) => `waits for ${toneKind(content.receiveTone)}`));
  const silent = onAir.filter(
    ({ content }) => !heardAlready.has(`waits for ${toneKind(content.receiveTone)}`),
  );
  for (const place of leastCover(
    silent.map((of) => ({ of, covers: [`waits for ${toneKind(of.content.receiveTone)}`] })),
  ))
    add('heard', place, [`waits for ${toneKind(place.content.receiveTone)}`]);

  // A set that talks nowhere is signed off band by band; of one that talks each place that must not is tried.
  const pressed = muted.filter(({ isNeverTested }) => !isNeverTested);
  const isReceiver = places.every(({ content }) => content.transmitHz === null);
  const tried = isReceiver
    ? leastCover(pressed.map((of) => ({ of, covers: [bandOf(description, of)] })))
    : pressed;
  for (const place of tried)
    add('blocked', place, [isReceiver ? bandOf(description, place) : 'talk is blocked'], {
      onDummyLoad: true,
      undo: undoOf(description, place),
    });

  if (places.some(({ content }) => content.inScan !== undefined && content.inScan !== false))
    add('scan', null, ['the scan stops']);
  for (const { number, content, channelIds } of lines)
    if (content.kind === 'network')
      trials.push({
        check: 'signal',
        slotNumber: number,
        channelId: channelIds[0] ?? null,
        covers: ['control channel'],
        radiatesHz: null,
        onDummyLoad: false,
        needsLeave: false,
        undo: null,
      });
  if (description.kind === 'alert') {
    add('audio-proven', null, ['the voice of the transmitter']);
    add('area-filter-proven', null, ['the weekly test sounds here']);
  }
  const seen = new Set(trials.flatMap(({ slotNumber }) => slotNumber ?? []));
  return {
    trials,
    leavesOut: lines.flatMap(({ number }) => (seen.has(number) ? [] : [number])),
    isBlind,
    neverPressed: neverPressed.map(({ slot }) => slot.number),
  };
}

function placesOf(
  description: Description,
  lines: readonly SlotLine[],
  cells: readonly Cell[],
  plan: Pick<Plan, 'channels' | 'country'>,
): Place[] {
  const slots = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
  const talks = new Set(
    cells.flatMap(({ channelId, verdict }) =>
      verdict === 'full' || verdict === 'adapted' ? [channelId] : [],
    ),
  );
  return lines.flatMap((line): Place[] => {
    const slot = slots.get(line.number);
    if (!slot || line.content.kind !== 'channel') return [];
    const held = plan.channels.filter(({ id }) => line.channelIds.includes(id));
    const { content } = line;
    return [
      {
        slot,
        line,
        content,
        // Of several channels in one place the one it talks on.
        channel: held.find(({ id }) => talks.has(id)) ?? held[0],
        mayTalk: content.transmitHz !== null && held.some(({ id }) => talks.has(id)),
        isNeverTested: [content.receiveHz, content.transmitHz].some(
          (hz) => hz !== null && neverTested({ receiveHz: hz }, plan),
        ),
      },
    ];
  });
}

const canSend = ({ transmit }: Description) => transmit === 'unknown' || transmit.bands.length > 0;

/** Talk sends nothing there because the plan, the holder or a setting wants it so, not because the place never could. */
function isMuted({ slot, content }: Place): boolean {
  if (content.transmitHz !== null) return false;
  const { content: region } = slot.region;
  if (slot.fixed) return slot.fixed.transmitHz !== null;
  return !(region.kind === 'free' && region.receiveOnly);
}

/** How a place that must not send was told so, the other way round. */
function undoOf(description: Description, { slot }: Place): Undo | null {
  const field = description.fields.find(
    ({ id, holds }) => holds === 'transmitForbidden' && slot.settable.includes(id),
  );
  const allows =
    field && listItems(description.lists[field.list ?? ''] ?? []).find(({ means }) => means === false);
  return allows ? { title: field.title, shown: allows.shown } : null;
}

const isSplit = ({ receiveHz, transmitHz }: ChannelContent) =>
  transmitHz !== null && transmitHz !== receiveHz;
const leave = ({ channel }: Place) => (channel?.access === 'open' ? 0 : 1);

/** What a set shows of a place that could be wrong. */
function shownThings({ slot, line, content }: Place, isBlocked: boolean): string[] {
  const { powerW, bandwidth } = line.shown;
  return [
    ...(slot.bankName ? [`bank ${slot.bankName}`] : []),
    ...(content.transmitHz === null ? [] : [`sends ${toneKind(content.transmitTone)}`]),
    `waits for ${toneKind(content.receiveTone)}`,
    ...(isSplit(content) ? ['a repeater pair'] : []),
    ...(powerW === undefined ? [] : [`power ${powerW}`]),
    ...(bandwidth === undefined ? [] : [`width ${bandwidth}`]),
    // Each place that must not send is looked at before talk is pressed there, if ever.
    ...(isBlocked ? [`blocked at ${slot.number}`] : []),
  ];
}

/** What a conversation shows. */
const calledThings = ({ content }: Place) => [
  `sends ${toneKind(content.transmitTone)}`,
  `waits for ${toneKind(content.receiveTone)}`,
  isSplit(content) ? 'through a repeater' : 'direct',
];

/** The band of a set that a place lies in, by its number. */
function bandOf({ receive }: Description, { content }: Place): string {
  const bands = receive === 'unknown' ? [] : receive.bands;
  const at = bands.findIndex(({ fromHz, toHz }) => content.receiveHz >= fromHz && content.receiveHz <= toHz);
  return `band ${at + 1}`;
}
