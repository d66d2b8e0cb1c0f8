import type { SettingChange } from '../memory/index';
import type { Description, ListItem, Native, RecipeMark, RecipeStep, Recipes, Slot } from '../model/index';
import { lettersTapped } from './letters';
import { recipePaths } from './recipePaths';
import type { Run } from './runs';
import type { SheetStep, StepPart } from './step';
import { turnWheel } from './turns';
import { typedText } from './typed';
import { letterUntil, turnUntil } from './until';
import { type Position, type Wheel, type WheelStand, wheelStand } from './wheels';
import { type About, Wording } from './wording';

const DIGITS = '0123456789';
const AREA_DIGITS = 6;

/** The recipes cannot say how: a value of unknown standing that can only be turned from where it stands, or a letter without a key. */
export interface Stuck {
  readonly why: 'start-unknown' | 'no-recipe';
  readonly field: string;
}

/** Writes steps down one after another and remembers where the set stands: its slot and its place in the list of items. */
export class Writer {
  readonly steps: SheetStep[] = [];
  readonly stuck: Stuck[] = [];
  part: StepPart = 'work';
  private place = 0;
  /** The list has just been opened: it stands at the item that it opens at. */
  private isOpened = false;
  /** What was typed last. */
  private typedLast = '';
  /** The title of the item that was set last. */
  private titleLast: string | undefined;
  private at: Position;
  private readonly counts = new Map<string, number>();
  private readonly wording: Wording;
  private readonly paths: ReadonlyMap<RecipeStep, string>;

  /** @param start where the set stands; nothing where nobody knows */
  constructor(
    private readonly description: Description,
    private readonly recipes: Recipes,
    private readonly slots: readonly Slot[],
    private readonly lists: Readonly<Record<string, readonly ListItem[]>>,
    start: Slot | undefined,
  ) {
    this.at = start ? { slot: start, bank: start.bank } : {};
    this.wording = new Wording(description, recipes, slots, lists);
    this.paths = recipePaths(recipes);
  }

  /** What is done once, before all slots or after them. */
  once(steps: readonly RecipeStep[]): void {
    for (const step of steps) this.write(step, this.whole());
  }

  /** From here on nobody knows where it stands, or it stands on a place. */
  standsOn(slot: Slot | undefined): void {
    this.at = slot ? { slot, bank: slot.bank } : {};
  }

  /** Where it stands; `undefined` where nobody knows. */
  standsAt(): Slot | undefined {
    return this.at.slot;
  }

  /** One setting of the whole set, from one place of its list to another. */
  setting(setting: Description['settings'][number], { from, to }: SettingChange): void {
    const list = this.lists[setting.list] ?? [];
    const about = { ...this.whole(), field: setting.id, setting: { id: setting.id, list, from, to } };
    for (const step of this.recipes.settings[setting.id] ?? []) this.write(step, about);
  }

  /** The tone that the operator picked by hand is cleared. @param from its place in their list */
  clearPicked(from: number): void {
    const { operatorTone } = this.description;
    const list = typeof operatorTone === 'object' ? (this.lists[operatorTone.list] ?? []) : [];
    const about = { ...this.whole(), setting: { id: '', list, from, to: 0 } };
    for (const step of this.recipes.clearPicked ?? []) this.write(step, about);
  }

  /** Comes to a place and empties it. */
  erase(slot: Slot): void {
    const about = this.aboutPlace({ slot, before: {} }, {}, '');
    this.goTo(about);
    for (const step of this.recipes.erase?.steps ?? []) this.write(step, about);
  }

  /** Everything for one slot: come to it, empty it where that is wanted, open the items, set each field in turn, leave. */
  change(
    change: Pick<About, 'slot' | 'before' | 'isEmpty'>,
    to: About['to'],
    fields: readonly string[],
    empties: boolean,
  ): void {
    const { recipes } = this;
    const about = this.aboutPlace(change, to, '');
    this.goTo(about);
    if (empties) for (const step of recipes.erase?.steps ?? []) this.write(step, about);
    if (fields.length === 0) return;
    this.place = 0;
    for (const step of recipes.open) this.write(step, about);
    this.isOpened = true;
    for (const of of this.inTurn(about, fields)) {
      for (const step of recipes.item) this.write(step, of);
      this.isOpened = false;
      this.place = recipes.items[of.field]?.place ?? 0;
      this.titleLast = recipes.items[of.field]?.title;
      for (const step of recipes.set[of.field] ?? []) this.write(step, of);
      if (recipes.setMovesOn) this.place = (this.place + 1) % recipes.itemCount;
    }
    for (const step of recipes.close) this.write(step, about);
  }

  private whole(): About {
    const slot = this.at.slot ?? (this.slots[0] as Slot);
    return { slot, isAnywhere: this.at.slot === undefined, to: {}, before: {}, field: '', belongsTo: null };
  }

  private aboutPlace(
    { slot, before, isEmpty }: Pick<About, 'slot' | 'before' | 'isEmpty'>,
    to: About['to'],
    field: string,
  ): About {
    return { slot, to, before, isEmpty: isEmpty === true, field, belongsTo: slot.number };
  }

  private goTo(about: About): void {
    const { recipes } = this;
    const { slot } = about;
    if (recipes.bankStep.length > 0 && slot.bank !== this.at.bank) {
      for (const step of recipes.bankStep) this.write(step, about);
      this.standsOn(this.slots.find((other) => other.bank === slot.bank) ?? slot);
    }
    // Steps that go round inside a block never come to another one.
    const staysInside = recipes.slotStep.some(
      ({ do: does, ...step }) => does === 'turn' && 'what' in step && step.what === 'position',
    );
    if (staysInside && this.at.bank !== undefined && this.at.bank !== slot.bank)
      this.isStuck('no-recipe', { ...about, field: 'Going to another bank' });
    for (const step of recipes.slotStep) this.write(step, about);
    this.standsOn(slot);
  }

  /** The fields to set; where one of them is locked by another field, that one is opened first and set last. */
  private inTurn(about: About, fields: readonly string[]): About[] {
    const { unlock } = this.recipes;
    const { to, before } = about;
    const isLocked =
      unlock !== undefined &&
      before[unlock.field] !== undefined &&
      before[unlock.field] !== unlock.value &&
      fields.some((field) => unlock.for.includes(field));
    if (!isLocked) return fields.map((field) => ({ ...about, field }));
    const open = { ...about, to: { ...to, [unlock.field]: unlock.value }, field: unlock.field };
    const after = { ...about, before: { ...before, [unlock.field]: unlock.value } };
    const rest = fields.filter((field) => field !== unlock.field);
    const last = to[unlock.field] === unlock.value ? [] : [unlock.field];
    return [open, ...[...rest, ...last].map((field) => ({ ...after, field }))];
  }

  private write(step: RecipeStep, about: About): void {
    if (this.isNeedless(step, about)) return;
    switch (step.do) {
      case 'press':
        this.add(step, about, [
          {
            do: 'press',
            key: step.key,
            times: 1,
            ...(step.heldMs !== undefined && { heldMs: step.heldMs }),
            ...(step.with && { with: step.with }),
            ...(step.when !== undefined && { when: step.when }),
          },
        ]);
        break;
      case 'power':
        this.add(step, about, [{ do: 'power' }]);
        break;
      case 'type':
        this.typedLast = step.text ?? this.textFor(step.what, step.width ?? 0, about);
        this.add(step, about, this.typed(this.typedLast, about));
        break;
      case 'turn': {
        const runs = this.turned(step, about);
        if (runs.length > 0) this.add(step, about, runs);
        break;
      }
      case 'tapName': {
        const runs = lettersTapped(
          String(about.to[about.field] ?? ''),
          this.recipes.letterKeys ?? {},
          step.pauseMs,
        );
        if (!runs) this.isStuck('no-recipe', about);
        else if (runs.length > 0) this.add(step, about, runs);
        break;
      }
      case 'wheelName': {
        const rule = this.description.names;
        const length = typeof rule === 'object' ? rule.length : 0;
        const name = (value: Native | undefined) =>
          value === undefined ? undefined : String(value).padEnd(length, ' ');
        this.wheelEach(
          step,
          about,
          this.recipes.letterWheel ?? '',
          name(about.before[about.field]),
          name(about.to[about.field]) ?? '',
        );
        break;
      }
      case 'wheelDigits': {
        const list = this.wording.listFor(about.field);
        // An area code has no list: its digits are set from 000000 or from what stands there.
        const shown = (value: Native | undefined) =>
          list.length > 0
            ? (list[Number(value)]?.shown ?? '')
            : String(value ?? '').padStart(AREA_DIGITS, '0');
        const before = about.before[about.field];
        const digits = shown(about.to[about.field]);
        if (digits === '') this.isStuck('no-recipe', about);
        else this.wheelEach(step, about, DIGITS, before === undefined ? undefined : shown(before), digits);
        break;
      }
      default:
        step satisfies never;
    }
  }

  /** A step that would choose what is chosen, or wipe what is blank. */
  private isNeedless({ unless }: RecipeStep, { field, before, isEmpty }: About): boolean {
    if (unless === 'chosen') return this.isOpened && field !== '' && field === this.recipes.opensAt;
    const value = before[field];
    // A frequency of 0 is none.
    const isBlank = value === undefined ? isEmpty === true : value === 0 || String(value).trim() === '';
    return unless === 'blank' && this.wording.listFor(field).length === 0 && isBlank;
  }

  private typed(text: string, about: About): Run[] {
    return [...text].flatMap((char): Run[] => {
      const key = this.recipes.charKeys?.[char];
      if (key) return [{ do: 'press', key, times: 1 }];
      this.isStuck('no-recipe', about);
      return [];
    });
  }

  private isStuck(why: Stuck['why'], { field, setting, belongsTo }: About): void {
    // What is of no field has no title of its own.
    const task = setting
      ? 'Tone picked by hand'
      : belongsTo === null
        ? 'What is done once'
        : 'Going to a place';
    this.stuck.push({ why, field: field || task });
  }

  private textFor(what: Extract<RecipeStep, { do: 'type' }>['what'], width: number, about: About): string {
    const text = typedText(what, width, about, {
      recipes: this.recipes,
      receive: this.description.receive,
      wording: this.wording,
    });
    if (text === undefined) this.isStuck('no-recipe', about);
    return text ?? '';
  }

  /** Turns a wheel: from where it stands, or, where nobody knows, until the display shows where it shall stand. */
  private turned(step: Extract<RecipeStep, { do: 'turn' }>, about: About): Run[] {
    const { from, to, count, shownAt } = this.wheel(step.what, about);
    const isOn = (place: number | undefined) => place === undefined || (place >= 0 && place < count);
    if (!isOn(from) || !isOn(to)) {
      this.isStuck('no-recipe', about);
      return [];
    }
    if (from !== undefined)
      return turnWheel(from, to, count, step).map((turn): Run => ({ do: 'press', ...turn }));
    const { shows } = step;
    if (shows === undefined) {
      this.isStuck('start-unknown', about);
      return [];
    }
    // A key that changes a value at once, with nothing opened before, may have to bring it round to where it was.
    const opensNothing = about.setting !== undefined && this.recipes.settings[about.setting.id]?.[0] === step;
    const mayGoRound = step.what === 'bank' || opensNothing;
    const isTop = step.what !== 'value' && step.what !== 'item';
    return turnUntil({ count, up: step.up, big: step.big, mayGoRound, isTop }, to, (place) =>
      this.wording.fill(shows, about, shownAt(place)),
    );
  }

  private wheel(what: Wheel, about: About): WheelStand {
    const { slots, at, place, recipes, wording } = this;
    return wheelStand(what, about, { slots, at, place, recipes, wording });
  }

  /** Sets characters one after another, each from what stands there to what shall, or until it is shown. */
  private wheelEach(
    step: Extract<RecipeStep, { do: 'wheelName' | 'wheelDigits' }>,
    about: About,
    wheel: string,
    before: string | undefined,
    after: string,
  ): void {
    if (before === undefined && step.until === undefined) {
      this.isStuck('start-unknown', about);
      return;
    }
    [...after].forEach((char, i) => {
      const [from, to] = [wheel.indexOf(before?.[i] ?? ' '), wheel.indexOf(char)];
      if (to < 0 || (before !== undefined && from < 0)) {
        this.isStuck('no-recipe', about);
        return;
      }
      const runs: Run[] =
        before === undefined
          ? [
              letterUntil(
                step.up,
                wheel.length,
                this.wording.fill(step.until ?? '', about, { draft: after.slice(0, i + 1) }),
              ),
            ]
          : turnWheel(from, to, wheel.length, step).map((turn): Run => ({ do: 'press', ...turn }));
      const draft = after.slice(0, i + 1);
      const isLast = i === after.length - 1;
      this.add(
        { ...step, ...(isLast && step.last && { shows: undefined, hides: undefined, ...step.last }) },
        about,
        [...runs, { do: 'press', key: step.next, times: 1 }],
        {
          letter: String(i + 1),
          nextLetter: String(i + 2),
          value: char === ' ' ? 'blank' : char,
          draft,
          ...(before !== undefined && { letters: draft + before.slice(i + 1) }),
        },
        step,
      );
    });
  }

  /** @param more words of this step alone; @param from the step of the recipes that it is, where its promise is another one */
  private add(
    step: RecipeStep,
    about: About,
    runs: readonly Run[],
    of: Partial<Record<RecipeMark, string>> = {},
    from: RecipeStep = step,
  ): void {
    // Once a place is left, the item that was set last is the one that is gone from the display.
    const title = about.field === '' ? this.titleLast : undefined;
    const more = { typed: this.typedLast, ...(title !== undefined && { title }), ...of };
    const stem = `${about.belongsTo ?? 'set'}:${about.field || this.part}`;
    const n = (this.counts.get(stem) ?? 0) + 1;
    this.counts.set(stem, n);
    this.steps.push({
      id: `${stem}:${n}`,
      part: this.part,
      slotNumber: about.belongsTo,
      field: about.field,
      recipe: this.paths.get(from) ?? '',
      says: this.wording.fill(step.says, about, more),
      of: this.wording.filled(step.says, about, more),
      runs,
      promises: this.wording.promise(step.shows, about, more),
      hides: this.wording.promise(step.hides, about, more),
    });
  }
}
