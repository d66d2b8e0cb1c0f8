import { type Description, listItems, sameOnAir, TONE_HOLDS, type ToneText } from '../model/index';

/** The tones a kind of device can send or wait for, each with what the device calls it. */
export type DeviceTones =
  | { readonly known: true; readonly shown: ReadonlyMap<ToneText, string>; readonly split: boolean }
  | { readonly known: false };

/**
 * What a device calls its tones: canonical text → what it shows. Only tones it has both for sending and for waiting, as far as
 * it has both; `split` says whether the two directions can differ.
 */
export function tonesOn(description: Pick<Description, 'fields' | 'lists'>): DeviceTones {
  const ways: ReadonlyMap<ToneText, string>[] = [];
  const has = { transmit: false, receive: false, both: false };
  for (const way of ['transmit', 'receive', 'both'] as const) {
    const items = description.fields.filter(({ holds }) => TONE_HOLDS[way].some((own) => own === holds));
    if (items.length === 0) continue;
    has[way] = true;
    const shown = new Map<ToneText, string>();
    // CTCSS and DCS may be two items: what either has can be set.
    for (const { list } of items) {
      const segments = list === undefined || list === 'unknown' ? undefined : description.lists[list];
      if (!segments) return { known: false };
      for (const item of listItems(segments)) shown.set(String(item.means), item.shown);
    }
    ways.push(shown);
  }
  const [first, ...others] = ways;
  const shown = new Map(
    [...(first ?? new Map<ToneText, string>())].filter(([tone]) => others.every((way) => way.has(tone))),
  );
  return { known: true, shown, split: has.transmit && has.receive };
}

/** The tones an operator can pick by hand, in the device's order; `null` where there is no such thing or nobody knows. */
export function pickableTones({
  operatorTone,
  lists,
}: Pick<Description, 'operatorTone' | 'lists'>): ToneText[] | null {
  const list = typeof operatorTone === 'string' ? undefined : lists[operatorTone.list];
  return list
    ? listItems(list)
        .map(({ means }) => String(means))
        .filter((tone) => tone !== 'off')
    : null;
}

/** What a device shows for a tone, itself or the code that sounds the same; `undefined` when it has neither. */
export function shownOn(tones: DeviceTones, tone: ToneText): string | undefined {
  if (!tones.known) return undefined;
  for (const candidate of [tone, ...sameOnAir(tone)]) {
    const shown = tones.shown.get(candidate);
    if (shown !== undefined) return shown;
  }
  return undefined;
}
