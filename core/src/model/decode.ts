import type { ChannelContent, SlotContent } from './content';
import type { Description } from './description';
import { canSend, mostPowerW } from './held';
import { type ListItem, writtenLists } from './lists';
import type { SlotValues } from './memory';
import { type Field, type Holds, isForChannels } from './region';
import type { Slot } from './slots';
import type { ToneText } from './tone';
import { type ToneMode, toneModeOf } from './toneMode';
import { hasField } from './ways';

/** What is gathered from the fields of a place. */
type Gathered = {
  -readonly [K in Exclude<keyof ChannelContent, 'kind' | 'transmitTone' | 'receiveTone'>]?: ChannelContent[K];
};
type Tones = Partial<Record<Holds, ToneText>>;

/** Reads memory back into plan terms: what a slot with these values does, or `null` for an empty one. */
export function slotReader(description: Description): (slot: Slot, values: SlotValues) => SlotContent | null {
  const lists = writtenLists(description);
  return (slot, values) => {
    if (values === null) return null;
    return isForChannels(slot.region)
      ? readChannel(description, lists, slot, values)
      : readOther(description, slot, values);
  };
}

type Lists = Readonly<Record<string, readonly ListItem[]>>;

const meaningOf = (lists: Lists, field: Field, value: string | number) =>
  field.list === undefined ? value : lists[field.list]?.[Number(value)]?.means;

/** A place for an area, an ID or a text, by the fields that its region has. */
function readOther({ fields }: Description, { region }: Slot, values: NonNullable<SlotValues>): SlotContent {
  const text = (holds: Field['holds']) => {
    const field = fields.find((one) => one.holds === holds && isOf(region, one));
    const value = field && values[field.id];
    return value === undefined ? undefined : String(value);
  };
  const [areaCode, fleetId, name] = [text('areaCode'), text('fleetId'), text('name')];
  const { kind } = region.content;
  if (kind === 'areas') return areaCode === undefined ? { kind: 'unseen' } : { kind: 'area', areaCode };
  if (kind === 'own' || kind === 'calls')
    return {
      kind: 'id',
      ...(fleetId !== undefined && { fleetId }),
      ...(name !== undefined && { name }),
    };
  return name === undefined ? { kind: 'unseen' } : { kind: 'text', name };
}

const isOf = (region: Slot['region'], { id }: Field) => hasField(region, id);

function readChannel(
  description: Description,
  lists: Lists,
  slot: Slot,
  values: NonNullable<SlotValues>,
): SlotContent {
  let receiveHz = slot.fixed?.receiveHz;
  let offsetHz = 0;
  let enteredHz: number | undefined;
  let forbidden = false;
  let isUnseen = false;
  const content: Gathered = {};
  const tones: Tones = {};
  let mode: ToneMode | undefined;
  for (const field of description.fields) {
    const value = values[field.id];
    if (value === undefined) {
      isUnseen ||= !slot.fixed && DECIDE.has(field.holds) && isOf(slot.region, field);
      continue;
    }
    const meaning = meaningOf(lists, field, value);
    switch (field.holds) {
      case 'receiveHz':
        receiveHz = Number(meaning);
        break;
      case 'offsetHz':
        offsetHz = Number(meaning);
        break;
      case 'transmitHz':
        // 0 is as it hears.
        enteredHz = Number(meaning) || undefined;
        break;
      case 'modulation':
        content.modulation = String(meaning);
        break;
      case 'transmitTone':
      case 'transmitCtcss':
      case 'transmitDcs':
      case 'receiveTone':
      case 'receiveCtcss':
      case 'receiveDcs':
      case 'bothTones':
        tones[field.holds] = String(meaning);
        break;
      case 'toneMode':
        mode = toneModeOf(meaning);
        break;
      case 'name':
        content.name = String(meaning);
        break;
      case 'powerW':
        content.powerW = Number(meaning);
        break;
      case 'bandwidth':
        content.bandwidth =
          slot.fixed && !slot.settable.includes(field.id) ? slot.fixed.bandwidth : String(meaning);
        break;
      case 'transmitForbidden':
        forbidden = meaning === true;
        break;
      case 'inScan':
        content.inScan = typeof meaning === 'number' ? meaning : meaning === true;
        break;
      case 'hasPriority':
        content.hasPriority = meaning === true;
        break;
      case 'inCalls':
        content.inCalls = meaning === true;
        break;
      case 'resumeDelayS':
        content.resumeDelayS = Number(meaning);
        break;
      // No part of a channel, also where the set keeps such fields elsewhere.
      case 'areaCode':
      case 'fleetId':
        break;
      default:
        field.holds satisfies never;
    }
  }
  if (receiveHz === undefined) return { kind: 'unseen' };
  if (isUnseen) return { kind: 'unseen', receiveHz };
  const { powerW, ...heard } = content;
  if (slot.region.towers) return { ...heard, kind: 'network', receiveHz };
  const isModal = description.fields.some((field) => field.holds === 'toneMode' && isOf(slot.region, field));
  const { transmitTone, receiveTone } = isModal ? byMode(mode, tones) : inForce(tones);
  const isDeaf = slot.region.content.kind === 'free' && slot.region.content.receiveOnly;
  const sendHz = enteredHz ?? receiveHz + offsetHz;
  const sends = isDeaf || !canSend(description, sendHz) ? null : sendHz;
  const transmitHz = slot.fixed ? slot.fixed.transmitHz : sends;
  return {
    ...heard,
    kind: 'channel',
    receiveHz,
    transmitHz: forbidden ? null : transmitHz,
    ...(transmitTone !== undefined && { transmitTone }),
    ...(receiveTone !== undefined && { receiveTone }),
    ...(powerW !== undefined && { powerW: Math.min(powerW, mostPowerW(description, slot, transmitHz)) }),
  };
}

/** Where one of these is not known, nobody knows where a free place listens or sends. */
const DECIDE: ReadonlySet<Field['holds']> = new Set(['receiveHz', 'offsetHz', 'transmitHz']);

/** The tones in force where each kind of tone has a field of its own: one of them is off, and the other says which tone it is. */
function inForce(tones: Tones): { transmitTone: ToneText | undefined; receiveTone: ToneText | undefined } {
  const one = (...texts: (ToneText | undefined)[]) =>
    texts.find((text) => text !== undefined && text !== 'off') ?? texts.find((text) => text !== undefined);
  return {
    transmitTone: one(tones.bothTones, tones.transmitTone, tones.transmitCtcss, tones.transmitDcs),
    receiveTone: one(tones.bothTones, tones.receiveTone, tones.receiveCtcss, tones.receiveDcs),
  };
}

/** The tones in force where a field decides which; where nobody knows what it says, none is known. */
function byMode(mode: ToneMode | undefined, tones: Tones): ReturnType<typeof inForce> {
  const of = (field: ToneMode['sent'] | undefined) =>
    field === undefined || field === 'off' ? field : tones[field];
  return { transmitTone: of(mode?.sent), receiveTone: of(mode?.awaited) };
}
