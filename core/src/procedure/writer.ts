import type { WantedSlot } from '../fit/index';
import type { Description, ListItem, Native, RecipeStep, Recipes, Slot } from '../model/index';
import { mhzText } from '../units/index';
import { type KeyEvent, TAP_MS } from './events';
import type { DrawnKeys, SheetStep } from './sheet';
import { turnWheel } from './turns';

/** Writes steps down one after another and remembers where the set stands: its slot and its place in the list of items. */
export class Writer {
  readonly steps: SheetStep[] = [];
  presses = 0;
  private place = 0;

  constructor(
    private readonly description: Description,
    private readonly recipes: Recipes,
    private readonly slots: readonly Slot[],
    private readonly lists: Readonly<Record<string, readonly ListItem[]>>,
    private at: Slot,
  ) {}

  /** Everything for one slot: come to it, open the items, set each field in turn, leave. */
  slot(slot: Slot, wanted: WantedSlot, fields: readonly string[]): void {
    const { recipes } = this;
    const about = { slot, wanted, field: '' };
    if (recipes.bankStep.length > 0 && slot.bank !== this.at.bank) {
      for (const step of recipes.bankStep) this.write(step, about);
      this.at = this.slots.find((other) => other.bank === slot.bank) ?? slot;
    }
    for (const step of recipes.slotStep) this.write(step, about);
    this.at = slot;
    this.place = 0;
    for (const step of recipes.open) this.write(step, about);
    for (const field of fields) {
      const of = { slot, wanted, field };
      for (const step of recipes.item) this.write(step, of);
      this.place = recipes.items[field]?.place ?? 0;
      for (const step of recipes.set[field] ?? []) this.write(step, of);
    }
    for (const step of recipes.close) this.write(step, about);
  }

  private write(step: RecipeStep, about: About): void {
    switch (step.do) {
      case 'press':
        this.add(step, about, [
          { key: step.key, times: 1, ...(step.heldMs !== undefined && { heldMs: step.heldMs }) },
        ]);
        break;
      case 'type':
        this.add(step, about, this.typed(this.textFor(step.what, step.width ?? 0, about)));
        break;
      case 'turn': {
        const { from, to, count } = this.wheel(step.what, about);
        const runs = turnWheel(from, to, count, step);
        if (runs.length > 0) this.add(step, about, runs);
        break;
      }
      case 'tapName':
        this.add(step, about, this.taps(String(about.wanted.values[about.field] ?? ''), step.pauseMs));
        break;
      case 'wheelName':
        this.wheelName(step, about);
        break;
      default:
        step satisfies never;
    }
  }

  private typed(text: string): Run[] {
    return [...text].map((char) => {
      const key = this.recipes.charKeys?.[char];
      if (!key) throw new RangeError(`no key types "${char}" in ${this.description.id}`);
      return { key, times: 1 };
    });
  }

  private textFor(
    what: 'slotNumber' | 'itemNumber' | 'frequency' | 'listCode',
    width: number,
    about: About,
  ): string {
    const value = about.wanted.values[about.field];
    switch (what) {
      case 'slotNumber':
        return String(about.slot.number).padStart(width, '0');
      case 'itemNumber':
        return this.recipes.items[about.field]?.number ?? '';
      case 'frequency': {
        const rule = this.recipes.frequencyEntry;
        if (!rule) throw new RangeError(`no frequencyEntry in ${this.description.id}`);
        return String(Math.round(Number(value) / rule.unitHz)).padStart(rule.digits, '0');
      }
      case 'listCode':
        return this.listFor(about.field)[Number(value)]?.typed ?? '';
      default:
        return what satisfies never;
    }
  }

  private wheel(
    what: 'value' | 'item' | 'slot' | 'position' | 'bank',
    about: About,
  ): { from: number; to: number; count: number } {
    const { slot, wanted, field } = about;
    switch (what) {
      case 'value':
        return {
          from: Number(this.before(about)),
          to: Number(wanted.values[field]),
          count: this.listFor(field).length,
        };
      case 'item':
        return { from: this.place, to: this.recipes.items[field]?.place ?? 0, count: this.recipes.itemCount };
      case 'slot':
        return { from: this.slots.indexOf(this.at), to: this.slots.indexOf(slot), count: this.slots.length };
      case 'position': {
        const inBank = this.slots.filter((other) => other.bank === slot.bank);
        return { from: inBank.indexOf(this.at), to: inBank.indexOf(slot), count: inBank.length };
      }
      case 'bank':
        return { from: this.at.bank, to: slot.bank, count: (this.slots.at(-1)?.bank ?? 0) + 1 };
      default:
        return what satisfies never;
    }
  }

  private before({ wanted, field }: About): Native {
    return wanted.present?.[field] ?? this.description.fields.find((f) => f.id === field)?.factory ?? 0;
  }

  private listFor(field: string): readonly ListItem[] {
    return this.lists[this.description.fields.find((f) => f.id === field)?.list ?? ''] ?? [];
  }

  private taps(name: string, pauseMs: number): Run[] {
    const runs: Run[] = [];
    for (const char of name) {
      const found = Object.entries(this.recipes.letterKeys ?? {}).find(([, letters]) =>
        letters.includes(char),
      );
      if (!found) throw new RangeError(`no key gives "${char}" in ${this.description.id}`);
      const [key, letters] = found;
      const last = runs.at(-1);
      if (last && last.key === key) runs.push({ key: '', times: 0, pauseMs });
      runs.push({ key, times: letters.indexOf(char) + 1 });
    }
    return runs;
  }

  private wheelName(step: Extract<RecipeStep, { do: 'wheelName' }>, about: About): void {
    const wheel = this.recipes.letterWheel ?? '';
    const rule = this.description.names;
    const length = typeof rule === 'object' ? rule.length : 0;
    const before = String(this.before(about)).padEnd(length, ' ');
    const after = String(about.wanted.values[about.field] ?? '').padEnd(length, ' ');
    for (let i = 0; i < length; i++) {
      const char = after[i] ?? ' ';
      const runs = turnWheel(wheel.indexOf(before[i] ?? ' '), wheel.indexOf(char), wheel.length, step);
      const shown = char === ' ' ? 'blank' : char;
      this.add(step, about, [...runs, { key: step.next, times: 1 }], { letter: String(i + 1), value: shown });
    }
  }

  private add(step: RecipeStep, about: About, runs: readonly Run[], more: Record<string, string> = {}): void {
    const fill = (text: string) =>
      text.replace(/\{(\w+)\}/g, (_, mark: string) => more[mark] ?? this.mark(mark, about));
    const events: KeyEvent[] = [];
    const keys: DrawnKeys[] = [];
    for (const run of runs) {
      if (run.pauseMs !== undefined) {
        events.push({ kind: 'wait', ms: run.pauseMs });
        keys.push({ kind: 'pause', ms: run.pauseMs });
        continue;
      }
      for (let n = 0; n < run.times; n++)
        events.push({ kind: 'key', key: run.key, heldMs: run.heldMs ?? TAP_MS });
      const legend = this.description.keys[run.key] ?? run.key;
      const held = run.heldMs !== undefined && { heldMs: run.heldMs };
      keys.push({ kind: 'key', legend, times: run.times, ...held });
      this.presses += run.times;
    }
    this.steps.push({
      slotNumber: about.slot.number,
      says: fill(step.says),
      keys,
      events,
      promises: step.shows === undefined ? undefined : fill(step.shows),
    });
  }

  private mark(mark: string, about: About): string {
    const { slot, field, wanted } = about;
    const value = wanted.values[field];
    switch (mark) {
      case 'number':
        return String(slot.number);
      case 'number3':
        return String(slot.number).padStart(3, '0');
      case 'label':
        return slot.label;
      case 'bank':
        return slot.bankName;
      case 'position':
        return String(slot.position);
      case 'position2':
        return String(slot.position).padStart(2, '0');
      case 'item':
        return this.recipes.items[field]?.number ?? '';
      case 'title':
        return this.recipes.items[field]?.title ?? field;
      case 'mhz':
        return mhzText(Number(value));
      case 'value':
        return this.listFor(field)[Number(value)]?.shown ?? String(value);
      default:
        throw new RangeError(`mark {${mark}} in the recipes of ${this.description.id}`);
    }
  }
}

interface Run {
  readonly key: string;
  readonly times: number;
  readonly heldMs?: number;
  readonly pauseMs?: number;
}

interface About {
  readonly slot: Slot;
  readonly wanted: WantedSlot;
  readonly field: string;
}
