import type { RecipeMark, Recipes, Slot } from '../model/index';
import { type About, slotMarks, type Wording } from './wording';

/** Where the set stands, as far as it is known. */
export interface Position {
  readonly slot?: Slot;
  readonly bank?: number;
}

/** What a wheel turns through. */
export type Wheel = 'value' | 'item' | 'slot' | 'position' | 'bank';

/** Where a wheel stands and shall stand, and what fills the marks of a text at each of its places. */
export interface WheelStand {
  /** `undefined` where nobody knows. */
  readonly from: number | undefined;
  readonly to: number;
  readonly count: number;
  readonly shownAt: (place: number) => Partial<Record<RecipeMark, string>>;
}

/** A wheel as it stands before a step: of a value, of the list of items, of the places of a set. */
export function wheelStand(
  what: Wheel,
  about: About,
  {
    slots,
    at,
    place,
    recipes,
    wording,
  }: {
    slots: readonly Slot[];
    at: Position;
    /** In the list of items. */
    place: number;
    recipes: Recipes;
    wording: Wording;
  },
): WheelStand {
  const { slot, to, field, setting } = about;
  const places = (among: readonly Slot[]) => ({
    from: at.slot && among.includes(at.slot) ? among.indexOf(at.slot) : undefined,
    to: among.indexOf(slot),
    count: among.length,
    shownAt: (place: number) => slotMarks(among[place] ?? slot),
  });
  switch (what) {
    case 'value': {
      const list = setting?.list ?? wording.listFor(field);
      const shownAt = (place: number) => ({ value: list[place]?.shown ?? '' });
      if (setting) return { from: setting.from, to: setting.to, count: list.length, shownAt };
      const before = about.before[about.field];
      return {
        from: before === undefined ? undefined : Number(before),
        to: Number(to[field]),
        count: list.length,
        shownAt,
      };
    }
    case 'item':
      // A setting of the whole set is come to from outside the list of items.
      return {
        from: setting ? 0 : place,
        to: recipes.items[setting?.id ?? field]?.place ?? 0,
        count: recipes.itemCount,
        shownAt: () => ({}),
      };
    case 'slot':
      return places(slots);
    case 'position':
      return places(slots.filter((other) => other.bank === slot.bank));
    case 'bank':
      return {
        from: at.bank,
        to: slot.bank,
        count: (slots.at(-1)?.bank ?? 0) + 1,
        shownAt: (bank) => {
          const first = slots.find((other) => other.bank === bank) ?? slot;
          return { ...slotMarks(first), firstLabel: first.label };
        },
      };
    default:
      return what satisfies never;
  }
}
