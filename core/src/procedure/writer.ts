import type { WantedSlot } from '../fit/index';
import type { Description, ListItem, Native, RecipeStep, Recipes, Slot } from '../model/index';
import { mhzText } from '../units/index';
import { type KeyEvent, TAP_MS } from './events';
import type { DrawnKeys, SheetStep } from './sheet';
import { turnWheel } from './turns';

const DIGITS = '0123456789';
const AREA_DIGITS = 6;
const NOTHING: WantedSlot = {
  channelIds: [],
  values: {},
  content: { receiveHz: 0, transmitHz: null },
  present: null,
};

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

  /** What is done once, before all slots or after them. */
  once(steps: readonly RecipeStep[]): void {
    for (const step of steps) this.write(step, { slot: this.at, wanted: NOTHING, field: '' });
  }

  /** One setting of the whole set, from one place of its list to another. */
  setting(setting: Description['settings'][number], from: number, to: number): void {
    const about = {
      slot: this.at,
      wanted: NOTHING,
      field: '',
      setting: { id: setting.id, list: this.lists[setting.list] ?? [], from, to },
    };
    for (const step of this.recipes.settings[setting.id] ?? []) this.write(step, about);
  }

  /** The tone that the operator picked by hand is cleared. @param from its place in their list */
  clearPicked(from: number): void {
    const { operatorTone } = this.description;
    const list = typeof operatorTone === 'object' ? (this.lists[operatorTone.list] ?? []) : [];
    const about = { slot: this.at, wanted: NOTHING, field: '', setting: { id: '', list, from, to: 0 } };
    for (const step of this.recipes.clearPicked ?? []) this.write(step, about);
  }

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
    for (const of of this.inTurn(slot, wanted, fields)) {
      for (const step of recipes.item) this.write(step, of);
      this.place = recipes.items[of.field]?.place ?? 0;
      for (const step of recipes.set[of.field] ?? []) this.write(step, of);
      if (recipes.setMovesOn) this.place = (this.place + 1) % recipes.itemCount;
    }
    for (const step of recipes.close) this.write(step, about);
  }

  /** The fields to set; where one of them is locked by another field, that one is opened first and set last. */
  private inTurn(slot: Slot, wanted: WantedSlot, fields: readonly string[]): About[] {
    const { unlock } = this.recipes;
    const isLocked =
      unlock !== undefined &&
      wanted.present !== null &&
      wanted.present[unlock.field] !== unlock.value &&
      fields.some((field) => unlock.for.includes(field));
    if (!isLocked) return fields.map((field) => ({ slot, wanted, field }));
    const open: WantedSlot = { ...wanted, values: { ...wanted.values, [unlock.field]: unlock.value } };
    const after: WantedSlot = { ...wanted, present: { ...wanted.present, [unlock.field]: unlock.value } };
    const rest = fields.filter((field) => field !== unlock.field);
    const last = wanted.values[unlock.field] === unlock.value ? [] : [unlock.field];
    return [
      { slot, wanted: open, field: unlock.field },
      ...[...rest, ...last].map((field) => ({ slot, wanted: after, field })),
    ];
  }

  private write(step: RecipeStep, about: About): void {
    switch (step.do) {
      case 'press':
        this.add(step, about, [
          { key: step.key, times: 1, ...(step.heldMs !== undefined && { heldMs: step.heldMs }) },
        ]);
        break;
      case 'type':
        this.add(step, about, this.typed(step.text ?? this.textFor(step.what, step.width ?? 0, about)));
        break;
      case 'turn': {
        const { from, to, count } = this.wheel(step.what, about);
        const runs = turnWheel(from, to, count, step);
        if (runs.length > 0) this.add(step, about, runs);
        break;
      }
      case 'tapName':
        this.tapName(step, about);
        break;
      case 'wheelName': {
        const rule = this.description.names;
        const length = typeof rule === 'object' ? rule.length : 0;
        const name = (value: Native | undefined) => String(value ?? '').padEnd(length, ' ');
        const wheel = this.recipes.letterWheel ?? '';
        this.wheelEach(step, about, wheel, name(this.before(about)), name(about.wanted.values[about.field]));
        break;
      }
      case 'wheelDigits': {
        const list = this.listFor(about.field);
        // An area code has no list: its digits are set from 000000 or from what stands there.
        const shown = (value: Native | undefined) =>
          list.length > 0
            ? (list[Number(value)]?.shown ?? '')
            : String(value ?? '').padStart(AREA_DIGITS, '0');
        this.wheelEach(
          step,
          about,
          DIGITS,
          shown(this.before(about)),
          shown(about.wanted.values[about.field]),
        );
        break;
      }
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

  private textFor(what: Extract<RecipeStep, { do: 'type' }>['what'], width: number, about: About): string {
    const value = about.wanted.values[about.field];
    switch (what) {
      case 'slotNumber':
        return String(about.slot.number).padStart(width, '0');
      case 'position':
        return String(about.slot.position).padStart(width, '0');
      case 'itemNumber':
        return this.recipes.items[about.field]?.number ?? '';
      case 'frequency':
        return this.frequencyDigits(Number(value));
      case 'areaCode':
        return String(value);
      case 'transmitFrequency':
        return this.frequencyDigits(this.sideHz(about));
      case 'text':
        throw new RangeError(`no text to type in ${this.description.id}`);
      case 'listCode':
        if (about.setting) return about.setting.list[about.setting.to]?.typed ?? '';
        return this.listFor(about.field)[Number(value)]?.typed ?? '';
      default:
        return what satisfies never;
    }
  }

  private frequencyDigits(hz: number): string {
    const rule = this.recipes.frequencyEntry;
    if (!rule) throw new RangeError(`no frequencyEntry in ${this.description.id}`);
    return String(Math.round(hz / rule.unitHz)).padStart(rule.digits, '0');
  }

  /** The frequency on which a slot shall send, where its offset is set by typing that frequency. */
  private sideHz({ wanted, field }: About): number {
    const frequency = this.description.fields.find(({ holds }) => holds === 'receiveHz');
    const receiveHz = Number(wanted.values[frequency?.id ?? ''] ?? 0);
    return receiveHz + Number(this.listFor(field)[Number(wanted.values[field])]?.means ?? 0);
  }

  private wheel(
    what: 'value' | 'item' | 'slot' | 'position' | 'bank',
    about: About,
  ): { from: number; to: number; count: number } {
    const { slot, wanted, field } = about;
    switch (what) {
      case 'value':
        if (about.setting)
          return { from: about.setting.from, to: about.setting.to, count: about.setting.list.length };
        return {
          from: Number(this.before(about)),
          to: Number(wanted.values[field]),
          count: this.listFor(field).length,
        };
      case 'item':
        // A setting of the whole set is come to from outside the list of items.
        return {
          from: about.setting ? 0 : this.place,
          to: this.recipes.items[about.setting?.id ?? field]?.place ?? 0,
          count: this.recipes.itemCount,
        };
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

  private tapName(step: Extract<RecipeStep, { do: 'tapName' }>, about: About): void {
    const runs = this.taps(String(about.wanted.values[about.field] ?? ''), step.pauseMs);
    if (runs.length > 0) this.add(step, about, runs);
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

  /** Sets characters one after another, each from what stands there to what shall. */
  private wheelEach(
    step: Extract<RecipeStep, { do: 'wheelName' | 'wheelDigits' }>,
    about: About,
    wheel: string,
    before: string,
    after: string,
  ): void {
    [...after].forEach((char, i) => {
      const runs = turnWheel(wheel.indexOf(before[i] ?? ' '), wheel.indexOf(char), wheel.length, step);
      const shown = char === ' ' ? 'blank' : char;
      this.add(step, about, [...runs, { key: step.next, times: 1 }], { letter: String(i + 1), value: shown });
    });
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
      slotNumber: about.wanted === NOTHING ? null : about.slot.number,
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
        return this.recipes.items[about.setting?.id ?? field]?.number ?? '';
      case 'title':
        return this.recipes.items[about.setting?.id ?? field]?.title ?? field;
      case 'mhz':
        return mhzText(Number(value));
      case 'sendMhz':
        return mhzText(this.sideHz(about));
      case 'value':
        if (about.setting) return about.setting.list[about.setting.to]?.shown ?? '';
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
  /** A setting of the whole set in place of a field. */
  readonly setting?: {
    readonly id: string;
    readonly list: readonly ListItem[];
    readonly from: number;
    readonly to: number;
  };
}
