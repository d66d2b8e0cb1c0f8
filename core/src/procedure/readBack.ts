import type { Image } from '../fit/index';
import { knownOf } from '../memory/index';
import {
  type Description,
  type Holds,
  hasField,
  listItems,
  type Memory,
  type Native,
  type Slot,
  type SlotContent,
  slotReader,
  slotsOf,
  TONE_HOLDS,
  type ToneMode,
  toneModeOf,
  writtenLists,
} from '../model/index';
import type { Sheet } from './sheet';

/** One place of a set: what it shall hold, what it held before, and whether a sheet changes it. */
export interface SlotLine {
  readonly number: number;
  readonly label: string;
  readonly channelIds: readonly string[];
  readonly content: SlotContent;
  /** `null` when it is empty, `unknown` when nobody knows all of it. */
  readonly before: SlotContent | null | 'unknown';
  readonly changes: boolean;
  /** Tones, power and width as the set itself shows them: what is read back is compared with these. */
  readonly shown: ShownValues;
}

/** Values in a set's own words; one is missing where the set has nothing that shows it. */
export interface ShownValues {
  readonly transmitTone?: string;
  readonly receiveTone?: string;
  readonly powerW?: string;
  readonly bandwidth?: string;
}

/** A setting of the whole set: as it is, and as it shall be. */
export interface SettingLine {
  readonly title: string;
  /** `unknown` when nobody knows it. */
  readonly before: string;
  readonly shall: string;
}

/** The settings of the whole set that an image decides, in the set's words and order. */
export function settingLines(description: Description, image: Image, now: Memory): SettingLine[] {
  return description.settings.flatMap(({ id, title, list }): SettingLine[] => {
    const [before, shall] = [now.settings[id], image.settings[id]];
    if (shall === undefined) return [];
    const items = listItems(description.lists[list] ?? []);
    const was = before === undefined ? 'unknown' : (items[before]?.shown ?? '');
    return [{ title, before: was, shall: items[shall]?.shown ?? '' }];
  });
}

/** What a set shows of a place. Where a kind of tone has an item of its own, the one that is in force is shown. */
function shownValues(
  description: Description,
  slot: Slot,
  values: Readonly<Record<string, Native>>,
): ShownValues {
  const lists = writtenLists(description);
  const itemsOf = (holds: readonly Holds[]) =>
    description.fields.flatMap((field) => {
      const item = lists[field.list ?? '']?.[Number(values[field.id])];
      return item && holds.includes(field.holds) && hasField(slot.region, field.id) ? [item] : [];
    });
  const one = (holds: readonly Holds[]) => {
    const items = itemsOf(holds);
    return (items.find(({ means }) => means !== 'off') ?? items[0])?.shown;
  };
  const { transmit, receive, both } = TONE_HOLDS;
  const [modal] = itemsOf(TONE_HOLDS.mode);
  const mode = modal && toneModeOf(modal.means);
  /** Where a field decides which tone is in force: what that shows, and the tone that it takes. */
  const byMode = (from: ToneMode['sent']) =>
    from === 'off' ? modal?.shown : [modal?.shown, one([from])].filter(Boolean).join(' ');
  const all = {
    transmitTone: mode ? byMode(mode.sent) : one([...transmit, ...both]),
    receiveTone: mode ? byMode(mode.awaited) : one([...receive, ...both]),
    powerW: one(['powerW']),
    bandwidth: one(['bandwidth']),
  };
  return Object.fromEntries(Object.entries(all).filter(([, text]) => text !== undefined));
}

/** The places of an image in the set's order, to be read back after the steps, and to see what goes. */
export function readBackLines(description: Description, image: Image, sheet: Sheet, now: Memory): SlotLine[] {
  const read = slotReader(description);
  const changed = new Set(sheet.steps.map(({ slotNumber }) => slotNumber));
  return slotsOf(description).flatMap((slot): SlotLine[] => {
    const wanted = image.slots.get(slot.number);
    if (!wanted) return [];
    const { state, unknown } = knownOf(description, slot, now);
    const isKnown = state !== 'unknown' && unknown.length === 0;
    return [
      {
        number: slot.number,
        label: slot.label,
        channelIds: wanted.channelIds,
        content: wanted.content,
        before: isKnown ? read(slot, now.slots.get(slot.number) ?? null) : 'unknown',
        changes: changed.has(slot.number),
        shown: shownValues(description, slot, wanted.values),
      },
    ];
  });
}
