import type { SlotContent } from './content';
import { type Description, isForChannels } from './description';
import { canSend, mostPowerW } from './held';
import { writtenLists } from './lists';
import type { SlotValues } from './memory';
import type { Slot } from './slots';

/** Reads memory back into plan terms: what a slot with these values does on the air, or `null` for an empty one. */
export function slotReader(description: Description): (slot: Slot, values: SlotValues) => SlotContent | null {
  const lists = writtenLists(description);
  return (slot, values) => {
    if (values === null) return null;
    let receiveHz = slot.fixed?.receiveHz ?? 0;
    let offsetHz = 0;
    let enteredHz: number | undefined;
    let forbidden = false;
    const { region } = slot;
    const has = (id: string) => region.keypad.includes(id) || region.cable.includes(id);
    const fields = isForChannels(region)
      ? description.fields
      : description.fields.filter(({ id }) => has(id));
    const content: { -readonly [K in keyof SlotContent]?: SlotContent[K] } = {};
    for (const field of fields) {
      const value = values[field.id];
      if (value === undefined) continue;
      const meaning = field.list === undefined ? value : lists[field.list]?.[Number(value)]?.means;
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
        case 'areaCode':
          content.areaCode = String(meaning);
          break;
        case 'fleetId':
          content.fleetId = String(meaning);
          break;
        default:
          field.holds satisfies never;
      }
    }
    const isDeaf = slot.region.content.kind === 'free' && slot.region.content.receiveOnly;
    if (!isForChannels(region)) return { receiveHz: 0, transmitHz: null, ...content };
    const sendHz = enteredHz ?? receiveHz + offsetHz;
    const sends = isDeaf || !canSend(description, sendHz) ? null : sendHz;
    const transmitHz = slot.fixed ? slot.fixed.transmitHz : sends;
    if (content.powerW !== undefined)
      content.powerW = Math.min(content.powerW, mostPowerW(description, slot, transmitHz));
    return { receiveHz, transmitHz: forbidden ? null : transmitHz, ...content };
  };
}
