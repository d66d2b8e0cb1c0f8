import type { ChannelContent, SlotContent } from './content';
import { type Description, type Field, isForChannels } from './description';
import { canSend, mostPowerW } from './held';
import { type ListItem, writtenLists } from './lists';
import type { SlotValues } from './memory';
import type { Slot } from './slots';

/** What is gathered from the fields of a place. */
type Gathered = { -readonly [K in Exclude<keyof ChannelContent, 'kind'>]?: ChannelContent[K] };

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

const isOf = (region: Slot['region'], { id }: Field) =>
  region.keypad.includes(id) || region.cable.includes(id);

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
  const content: Gathered = {};
  for (const field of description.fields) {
    const value = values[field.id];
    if (value === undefined) {
      if (!slot.fixed && DECIDE.has(field.holds) && isOf(slot.region, field)) return { kind: 'unseen' };
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
        content.transmitTone = String(meaning);
        break;
      case 'receiveTone':
        content.receiveTone = String(meaning);
        break;
      case 'transmitCtcss':
      case 'transmitDcs':
        // One of the two is off; the other says which tone it is.
        if (meaning !== 'off' || content.transmitTone === undefined) content.transmitTone = String(meaning);
        break;
      case 'receiveCtcss':
      case 'receiveDcs':
        if (meaning !== 'off' || content.receiveTone === undefined) content.receiveTone = String(meaning);
        break;
      case 'bothTones':
        content.transmitTone = String(meaning);
        content.receiveTone = String(meaning);
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
  const { transmitTone, receiveTone, powerW, ...heard } = content;
  if (slot.region.towers) return { ...heard, kind: 'network', receiveHz };
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
