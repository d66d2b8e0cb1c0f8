import {
  type Description,
  listItems,
  sameOnAir,
  TONE_HOLDS,
  type ToneText,
  toneModeOf,
} from '../model/index';

/** The tones a kind of device can send or wait for, each with what the device calls it. */
export type DeviceTones =
  | { readonly known: true; readonly shown: ReadonlyMap<ToneText, string>; readonly split: boolean }
  | { readonly known: false };

/**
 * What a device calls its tones: canonical text → what it shows. Only tones it has both for sending and for waiting, as far as
 * it has both; `split` says whether the two directions can differ.
 */
export function tonesOn(description: Pick<Description, 'fields' | 'lists'>): DeviceTones {
  const modal = description.fields.find(({ holds }) => holds === 'toneMode');
  if (modal) return tonesByMode(description, modal);
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
  return { known: true, shown: inAll(ways), split: has.transmit && has.receive };
}

function inAll([first, ...others]: readonly ReadonlyMap<ToneText, string>[]): Map<ToneText, string> {
  return new Map([...(first ?? [])].filter(([tone]) => others.every((way) => way.has(tone))));
}

/** The same where one field decides which of the others is sent and which is awaited. */
function tonesByMode(
  { fields, lists }: Pick<Description, 'fields' | 'lists'>,
  modal: Description['fields'][number],
): DeviceTones {
  const known = (list: string | undefined) =>
    list === undefined || list === 'unknown' ? undefined : lists[list];
  const segments = known(modal.list);
  if (!segments) return { known: false };
  const modes = listItems(segments).flatMap(({ shown, means }) => {
    const mode = toneModeOf(means);
    return mode ? [{ shown, ...mode }] : [];
  });
  const ways: Map<ToneText, string>[] = [];
  for (const way of ['sent', 'awaited'] as const) {
    const shown = new Map<ToneText, string>();
    for (const mode of modes) {
      const from = mode[way];
      const list = known(fields.find(({ holds }) => holds === from)?.list);
      if (from === 'off') shown.set('off', mode.shown);
      else if (!list) return { known: false };
      else for (const item of listItems(list)) shown.set(String(item.means), item.shown);
    }
    ways.push(shown);
  }
  return { known: true, shown: inAll(ways), split: modes.some(({ sent, awaited }) => sent !== awaited) };
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
