import type { Behaviour, Condition, Description, ListItem, Slot, SlotValues } from '../model/index';
import { offsetIndex, typedHz } from './entry';
import { isItemAllowed, itemValues } from './items';

/** Where a virtual device stands when a key is pressed: what the conditions of its rows look at. */
export interface Standing {
  readonly description: Description;
  readonly behaviour: Behaviour;
  readonly lists: Readonly<Record<string, readonly ListItem[]>>;
  readonly slots: readonly Slot[];
  readonly slot: Slot;
  readonly values: SlotValues;
  /** The entry with the character of the pressed key added, where it types one. */
  readonly entry: string;
  readonly itemIndex: number;
  readonly isLastLetter: boolean;
  readonly settings: Readonly<Record<string, number>>;
  /** A search found something. */
  readonly hasFound: boolean;
}

/** Whether a condition of a row holds. */
export function holds(condition: Condition, standing: Standing): boolean {
  const { description, behaviour, lists, slots, slot, values, entry, itemIndex } = standing;
  const item = behaviour.items[itemIndex];
  const valuesOf = (one: typeof item) => itemValues(description, lists, slots, one);
  switch (condition.is) {
    case 'entryLength':
      return entry.length === condition.of;
    case 'entryIsSlot':
      return slots.some(({ number }) => number === Number(entry));
    case 'entryIsItem':
      return behaviour.items.some((candidate) => candidate.number === entry);
    case 'entryIsFrequency':
      return typedHz(behaviour, description, entry) !== undefined;
    case 'entryIs':
      return entry === condition.of;
    case 'entryIsOffset': {
      const other = behaviour.items.find(({ number }) => number === condition.item);
      const hz = typedHz(behaviour, description, entry);
      return offsetIndex(description, valuesOf(other), values, hz) !== undefined;
    }
    case 'slotUsed':
      return values !== null;
    case 'entryIsValue':
      return valuesOf(item).some((value) => value.typed === entry);
    case 'itemEditor':
      return item?.editor === condition.of;
    case 'itemAllowed':
      return isItemAllowed(description, item, slot, values);
    case 'lastItem':
      return itemIndex === behaviour.items.length - 1;
    case 'hasFound':
      return standing.hasFound;
    case 'settingMeans': {
      const setting = description.settings.find(({ id }) => id === condition.setting);
      const index = standing.settings[condition.setting] ?? setting?.factory ?? 0;
      return lists[setting?.list ?? '']?.[index]?.means === condition.of;
    }
    case 'lastLetter':
      return standing.isLastLetter;
    default:
      return condition satisfies never;
  }
}
