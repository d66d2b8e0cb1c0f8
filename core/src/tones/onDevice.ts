import { type Description, listItems, sameOnAir, type ToneText } from '../model/index';

/** The tones a kind of device can send or wait for, each with what the device calls it. */
export type DeviceTones =
  | { readonly known: true; readonly shown: ReadonlyMap<ToneText, string>; readonly split: boolean }
  | { readonly known: false };

/**
 * What a device calls its tones: canonical text → what it shows. Only tones it has both for sending and for waiting, as far as
 * it has both; `split` says whether the two directions can differ.
 */
export function tonesOn(description: Pick<Description, 'fields' | 'lists'>): DeviceTones {
  const fields = description.fields.filter(({ holds }) =>
    ['transmitTone', 'receiveTone', 'bothTones'].includes(holds),
  );
  const tables: Map<ToneText, string>[] = [];
  for (const { list } of fields) {
    const segments = list === undefined || list === 'unknown' ? undefined : description.lists[list];
    if (!segments) return { known: false };
    tables.push(new Map(listItems(segments).map((item) => [String(item.means), item.shown])));
  }
  const [first, ...others] = tables;
  const shown = new Map(
    [...(first ?? new Map<ToneText, string>())].filter(([tone]) => others.every((table) => table.has(tone))),
  );
  return {
    known: true,
    shown,
    split:
      fields.some(({ holds }) => holds === 'transmitTone') &&
      fields.some(({ holds }) => holds === 'receiveTone'),
  };
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
