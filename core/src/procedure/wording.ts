import type { Description, ListItem, Native, RecipeMark, Recipes, Slot } from '../model/index';
import { mhzText } from '../units/index';
import { marks } from './marks';

/** What a step is about: a place and one of its fields, or a setting of the whole set; nothing for what is done once. */
export interface About {
  readonly slot: Slot;
  /** Nobody knows on which place the set stands: nothing can be said of it. */
  readonly isAnywhere?: boolean;
  /** What the place shall hold in the end. */
  readonly to: Readonly<Record<string, Native>>;
  /** What is known of what it holds now. */
  readonly before: Readonly<Record<string, Native>>;
  /** It is empty: what is not in `before` is nothing, and not unknown. */
  readonly isEmpty?: boolean;
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

/** Words that a step has besides those of its place and field. */
type More = Readonly<Partial<Record<RecipeMark, string>>>;

/** Fills the texts of recipes: what they say of a place, of a field's value, of a setting. */
export class Wording {
  constructor(
    private readonly description: Description,
    private readonly recipes: Recipes,
    private readonly slots: readonly Slot[],
    private readonly lists: Readonly<Record<string, readonly ListItem[]>>,
  ) {}

  fill(text: string, about: About, more: More = {}): string {
    return marks(text, (mark) => this.mark(mark as RecipeMark, about, more));
  }

  /** What the marks of a text are filled with, each that is known. */
  filled(text: string, about: About, more: More = {}): Readonly<Partial<Record<RecipeMark, string>>> {
    const of: Partial<Record<RecipeMark, string>> = {};
    marks(text, (mark) => {
      const word = this.mark(mark as RecipeMark, about, more);
      if (word !== undefined) of[mark as RecipeMark] = word;
      return word;
    });
    return of;
  }

  /** What a text promises; nothing where something of it is not known, or it would be blank. */
  promise(text: string | undefined, about: About, more: More = {}): string | undefined {
    if (text === undefined) return undefined;
    let isKnown = true;
    const filled = marks(text, (mark) => {
      const word = this.mark(mark as RecipeMark, about, more);
      if (word === undefined || word.trim() === '') isKnown = false;
      return word;
    }).trim();
    return isKnown && filled !== '' ? filled : undefined;
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

  private mark(mark: RecipeMark, about: About, more: More): string | undefined {
    const { slot, field, to, setting } = about;
    const value = to[field];
    switch (mark) {
      case 'typed':
      case 'letter':
      case 'nextLetter':
      case 'draft':
      case 'letters':
        return more[mark];
      case 'firstLabel':
        if (about.isAnywhere) return undefined;
        return more[mark] ?? this.slots.find((other) => other.bank === slot.bank)?.label;
      case 'item':
        return this.recipes.items[setting?.id ?? field]?.number ?? '';
      case 'title':
        return more[mark] ?? this.recipes.items[setting?.id ?? field]?.title ?? field;
      case 'mhz':
        return hzText(Number(value));
      case 'sendMhz':
        return hzText(this.sideHz(about));
      case 'now':
        return this.shown(about, setting ? setting.from : about.before[field]);
      case 'value':
        return more[mark] ?? this.shown(about, setting ? setting.to : value);
      default:
        return more[mark] ?? (about.isAnywhere ? undefined : slotMarks(slot)[mark]);
    }
  }

  /** A value as the set shows it; `undefined` where it is not known. */
  private shown({ field, setting }: About, value: Native | undefined): string | undefined {
    if (value === undefined) return undefined;
    const list = setting?.list ?? this.listFor(field);
    return list[Number(value)]?.shown ?? (setting ? '' : String(value));
  }
}

const hzText = (hz: number) => (Number.isSafeInteger(hz) && hz >= 0 ? mhzText(hz) : undefined);

/** What a text of a recipe says of a place. */
export function slotMarks(
  slot: Slot,
): Record<'number' | 'number3' | 'label' | 'bank' | 'position' | 'position2', string> {
  return {
    number: String(slot.number),
    number3: String(slot.number).padStart(3, '0'),
    label: slot.label,
    bank: slot.bankName,
    position: String(slot.position),
    position2: String(slot.position).padStart(2, '0'),
  };
}
