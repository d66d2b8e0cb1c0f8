import {
  type Behaviour,
  type Description,
  type Field,
  fieldsBy,
  type ListItem,
  type Native,
  type Slot,
  type SlotValues,
} from '../model/index';

type Item = Behaviour['items'][number];
type Lists = Readonly<Record<string, readonly ListItem[]>>;

/** The field of a slot that an item sets; `undefined` where it is about the whole set, or picks the slot. */
export function itemField({ fields }: Description, item: Item | undefined): Field | undefined {
  const target = item?.target;
  return target?.reach === 'channel' ? fields.find(({ id }) => id === target.field) : undefined;
}

/** The values an item can take; the slots themselves where it picks one. */
export function itemValues(
  description: Description,
  lists: Lists,
  slots: readonly Slot[],
  item: Item | undefined,
): readonly ListItem[] {
  const target = item?.target;
  if (!target) return [];
  switch (target.reach) {
    case 'channel':
      return lists[itemField(description, item)?.list ?? ''] ?? [];
    case 'set':
      return lists[description.settings.find(({ id }) => id === target.setting)?.list ?? ''] ?? [];
    case 'picked': {
      const { operatorTone } = description;
      return typeof operatorTone === 'object' ? (lists[operatorTone.list] ?? []) : [];
    }
    case 'choice':
      return slots.map((slot) => ({ shown: slot.label, typed: undefined, means: slot.number }));
    default:
      return target satisfies never;
  }
}

/** Whether an item can be opened on a slot as it stands: its field is not locked there, and the slot has what comes before it. */
export function isItemAllowed(
  description: Description,
  item: Item | undefined,
  slot: Slot,
  values: SlotValues,
): boolean {
  const field = itemField(description, item);
  if (!item || !field) return item !== undefined;
  const { lockedWhen } = item;
  if (lockedWhen && values?.[lockedWhen.field] === lockedWhen.value) return false;
  const isReady = values !== null || field.holds === 'receiveHz' || item.first === true;
  return fieldsBy(slot.region, 'keys').includes(field.id) && isReady;
}

/** What was entered as the slot holds it; `undefined` for figures that the list does not have. */
export function enteredValue(
  item: Item | undefined,
  field: Field,
  list: readonly ListItem[],
  draft: Native,
): Native | undefined {
  if (field.holds === 'name') return String(draft).trimEnd();
  if (field.holds === 'areaCode') return String(draft);
  if (item?.editor !== 'digits') return draft;
  const index = list.findIndex(({ shown }) => shown === draft);
  return index < 0 ? undefined : index;
}
