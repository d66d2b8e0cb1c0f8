import type { Image } from '../fit/index';
import { type Description, listItems, type SlotContent, slotReader, slotsOf } from '../model/index';
import type { Sheet } from './sheet';

/** One place of a set: what it shall hold, what it held before, and whether a sheet changes it. */
export interface SlotLine {
  readonly number: number;
  readonly label: string;
  readonly channelIds: readonly string[];
  readonly content: SlotContent;
  readonly before: SlotContent | null;
  readonly changes: boolean;
}

/** A setting of the whole set: as it is, and as it shall be. */
export interface SettingLine {
  readonly title: string;
  readonly before: string;
  readonly shall: string;
}

/** The settings of the whole set that an image decides, in the set's words and order. */
export function settingLines(description: Description, image: Image): SettingLine[] {
  return description.settings.flatMap(({ id, title, list }): SettingLine[] => {
    const [before, shall] = [image.before.settings[id], image.settings[id]];
    if (shall === undefined) return [];
    const items = listItems(description.lists[list] ?? []);
    return [{ title, before: items[before ?? 0]?.shown ?? '', shall: items[shall]?.shown ?? '' }];
  });
}

/** The places of an image in the set's order, to be read back after the steps, and to see what goes. */
export function readBackLines(description: Description, image: Image, sheet: Sheet): SlotLine[] {
  const read = slotReader(description);
  const changed = new Set(sheet.steps.map(({ slotNumber }) => slotNumber));
  return slotsOf(description).flatMap((slot): SlotLine[] => {
    const wanted = image.slots.get(slot.number);
    if (!wanted) return [];
    return [
      {
        number: slot.number,
        label: slot.label,
        channelIds: wanted.channelIds,
        content: wanted.content,
        before: read(slot, wanted.present),
        changes: changed.has(slot.number),
      },
    ];
  });
}
