import type { Description, ListItem, Native, Recipes, Slot } from '../model/index';
import { mhzText } from '../units/index';
import { marks } from './marks';

/** What a step is about: a place and one of its fields, or a setting of the whole set; nothing for what is done once. */
export interface About {
  readonly slot: Slot;
  /** What the place shall hold in the end. */
  readonly to: Readonly<Record<string, Native>>;
  /** What is known of what it holds now. */
  readonly before: Readonly<Record<string, Native>>;
  readonly field: string;
  readonly setting?: {
    readonly id: string;
    readonly list: readonly ListItem[];
    readonly from: number | undefined;
    readonly to: number;
  };
  /** The place the step belongs to on the sheet; `null` for the whole set. */
  readonly belongsTo: number | null;
}

/** Fills the texts of recipes: what they say of a place, of a field's value, of a setting. */
export class Wording {
  constructor(
    private readonly description: Description,
    private readonly recipes: Recipes,
    private readonly slots: readonly Slot[],
    private readonly lists: Readonly<Record<string, readonly ListItem[]>>,
  ) {}

  fill(text: string, about: About, more: Readonly<Record<string, string>> = {}): string {
    return marks(text, (mark) => more[mark] ?? this.mark(mark, about));
  }

  /** The frequency on which a slot shall send, where its offset is set by typing that frequency. */
  sideHz({ to, field }: About): number {
    const frequency = this.description.fields.find(({ holds }) => holds === 'receiveHz');
    const receiveHz = Number(to[frequency?.id ?? ''] ?? 0);
    return receiveHz + Number(this.listFor(field)[Number(to[field])]?.means ?? 0);
  }

  listFor(field: string): readonly ListItem[] {
    return this.lists[this.description.fields.find((f) => f.id === field)?.list ?? ''] ?? [];
  }

  private mark(mark: string, about: About): string | undefined {
    const { slot, field, to, setting } = about;
    const value = to[field];
    const place = slotMarks(slot)[mark];
    if (place !== undefined) return place;
    switch (mark) {
      case 'firstLabel':
        return this.slots.find((other) => other.bank === slot.bank)?.label;
      case 'item':
        return this.recipes.items[setting?.id ?? field]?.number ?? '';
      case 'title':
        return this.recipes.items[setting?.id ?? field]?.title ?? field;
      case 'mhz':
        return mhzText(Number(value));
      case 'sendMhz':
        return mhzText(this.sideHz(about));
      case 'value':
        if (setting) return setting.list[setting.to]?.shown ?? '';
        return this.listFor(field)[Number(value)]?.shown ?? String(value);
      default:
        return undefined;
    }
  }
}

/** What a text of a recipe says of a place. */
export function slotMarks(slot: Slot): Record<string, string> {
  return {
    number: String(slot.number),
    number3: String(slot.number).padStart(3, '0'),
    label: slot.label,
    bank: slot.bankName,
    position: String(slot.position),
    position2: String(slot.position).padStart(2, '0'),
  };
}
