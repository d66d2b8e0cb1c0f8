import {
  type Description,
  type Field,
  isForChannels,
  type ListItem,
  type Slot,
  type SlotValues,
  slotReader,
  type ToneText,
} from '../model/index';

/** What a set sent on the air: the frequency in hertz, the tone under the voice, and when on its own clock. */
export interface Emission {
  readonly hz: number;
  readonly atMs: number;
  readonly tone: ToneText;
}

/** Where a set sends when its talk key is pressed on a place, in hertz; `null` where it sends nothing. */
export function talkHz(
  description: Description,
  lists: Readonly<Record<string, readonly ListItem[]>>,
  slot: Slot,
  values: SlotValues,
): number | null {
  if (values === null) return null;
  const meaning = (holds: Field['holds']) => {
    const field = description.fields.find((candidate) => candidate.holds === holds);
    return field ? lists[field.list ?? '']?.[Number(values[field.id])]?.means : undefined;
  };
  const { content } = slot.region;
  const isDeaf = !isForChannels(slot.region) || (content.kind === 'free' && content.receiveOnly);
  if (isDeaf || meaning('transmitForbidden') === true) return null;
  if (slot.fixed) return slot.fixed.transmitHz;
  const frequency = description.fields.find((field) => field.holds === 'receiveHz');
  // A set that counts its frequencies holds a place in its list, others the frequency itself.
  const receiveHz = frequency?.list ? meaning('receiveHz') : values[frequency?.id ?? ''];
  const entered = description.fields.find((field) => field.holds === 'transmitHz');
  const enteredHz = entered ? Number(values[entered.id]) : 0;
  const hz = enteredHz > 0 ? enteredHz : Number(receiveHz) + Number(meaning('offsetHz') ?? 0);
  // No transmitter goes outside its bands.
  const { transmit } = description;
  const goes =
    transmit === 'unknown' || transmit.bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
  return goes ? hz : null;
}

/**
 * The tone that goes with what is sent on a place: the one that the operator picked by hand, where there is one, else the place's own.
 * @param picked a place in the operator's list; 0 where none is picked
 */
export function talkTone(
  description: Description,
  lists: Readonly<Record<string, readonly ListItem[]>>,
  slot: Slot,
  values: SlotValues,
  picked: number,
): ToneText {
  const { operatorTone } = description;
  const byHand = typeof operatorTone === 'object' ? lists[operatorTone.list]?.[picked]?.means : undefined;
  if (picked > 0 && byHand !== undefined) return String(byHand);
  return slotReader(description)(slot, values)?.transmitTone ?? 'off';
}
