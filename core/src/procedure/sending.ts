import type { Description, ListItem, SlotContent, ToneText } from '../model/index';

/** What a set sent on the air: the frequency in hertz, the tone under the voice, when on its own clock, and for how long. */
export interface Emission {
  readonly hz: number;
  readonly atMs: number;
  readonly lengthMs: number;
  readonly tone: ToneText;
}

/** Where a set sends when its talk key is pressed on a place, in hertz; `null` where it sends nothing. */
export function talkHz(content: SlotContent | null): number | null {
  return content?.kind === 'channel' ? content.transmitHz : null;
}

/**
 * The tone that goes with what is sent on a place: the one that the operator picked by hand, where there is one, else the place's own.
 * @param picked a place in the operator's list; 0 where none is picked
 */
export function talkTone(
  { operatorTone }: Pick<Description, 'operatorTone'>,
  lists: Readonly<Record<string, readonly ListItem[]>>,
  content: SlotContent | null,
  picked: number,
): ToneText {
  const byHand = typeof operatorTone === 'object' ? lists[operatorTone.list]?.[picked]?.means : undefined;
  if (picked > 0 && byHand !== undefined) return String(byHand);
  return (content?.kind === 'channel' ? content.transmitTone : undefined) ?? 'off';
}
