import type { Result } from '../findings/index';
import { shapeFindings } from '../formats/index';
import {
  type Action,
  type Behaviour,
  type Description,
  DescriptionSchema,
  type RecipeStep,
  type Recipes,
  type Recording,
  slotsOf,
} from '../model/index';
import { mhzText } from '../units/index';
import { type Goal, goalsOf, goalText, type MadeOut, makeOut, type Piece } from './pieces';
import { recipeStep, typedWith } from './recipeStep';
import { replays } from './replays';
import { textMarks } from './textMarks';

type Mode = Behaviour['modes'][string];
type Row = Mode['on'][number];

/**
 * Makes a key grammar of steps that were recorded once: the recipes for sheets, and the behaviour on which they are replayed. What
 * spells the goal stands for every goal of its kind; every other key is pressed as it was. The grammar must give back the recording
 * itself, key by key, screen by screen, and value by value; where it does not, the finding says at which line.
 * How long a set waits for the next key is known only where somebody counted it.
 */
export function withRecordedSteps(description: Description, recording: Recording): Result<Description> {
  const { place, fields, settings, findings } = goalsOf(description, recording);
  const placed = place && makeOut(recording.place, place, '/place');
  if (placed) findings.push(...placed.findings);
  const taskOf = (steps: Recording['place'], goal: Goal | null | undefined, path: string) => {
    if (!goal) return [];
    const { lines, findings: own } = makeOut(steps, goal, path);
    findings.push(...own);
    return [{ goal, lines }];
  };
  const ofFields = recording.fields.flatMap(({ field, steps }, i) =>
    taskOf(steps, fields[i], `/fields/${i}/steps`).map((task) => ({ field, ...task })),
  );
  const ofSet = recording.settings.flatMap(({ setting, steps }, i) =>
    taskOf(steps, settings[i], `/settings/${i}/steps`).map((task) => ({ setting, ...task })),
  );
  if (!placed || findings.length > 0) return { ok: false, findings };
  const builder = new GrammarBuilder(description, recording);
  builder.place(placed.lines);
  for (const { field, goal, lines } of ofFields) builder.field(field, goal, lines);
  for (const { setting, goal, lines } of ofSet) builder.setting(setting, goal, lines);
  const whole = DescriptionSchema.safeParse(builder.description());
  if (!whole.success) return { ok: false, findings: shapeFindings(whole.error) };
  const differs = replays(whole.data, recording, { fields, settings });
  return differs.length > 0
    ? { ok: false, findings: differs }
    : { ok: true, value: whole.data, findings: [] };
}

/** A description without what was learnt from a recording: as it was before anybody recorded its steps. */
export function withoutSteps(description: Description): Description {
  const { behaviour: _b, recipes: _r, recording: _s, ...rest } = description;
  return { ...rest, keys: {} };
}

/** Puts recipes and behaviour together, task by task; every task begins and ends at rest. */
class GrammarBuilder {
  private readonly modes: Record<string, Mode> = { rest: { screen: ['{label}'], on: [] } };
  private readonly items: Behaviour['items'] = [];
  private readonly keyIds = new Map<string, string>();
  private readonly chars = new Set<string>();
  private readonly set: Record<string, RecipeStep[]> = {};
  private readonly settings: Record<string, RecipeStep[]> = {};
  private slotStep: RecipeStep[] = [];
  private frequencyEntry: Behaviour['frequencyEntry'];

  constructor(
    private readonly described: Description,
    private readonly recording: Recording,
  ) {
    for (const { key } of recording.letters) this.key(key);
  }

  place(lines: readonly MadeOut[]): void {
    this.slotStep = this.task(lines, null, '');
    const shown = lines.at(-1)?.shows;
    if (shown) this.modes.rest = { ...this.mode('rest'), screen: [this.marks(null).onScreen(shown)] };
  }

  field(field: string, goal: Goal, lines: readonly MadeOut[]): void {
    const title = this.described.fields.find(({ id }) => id === field)?.title ?? field;
    this.set[field] = this.task(lines, goal, this.item(title, goal, { reach: 'channel', field }));
  }

  setting(setting: string, goal: Goal, lines: readonly MadeOut[]): void {
    const title = this.described.settings.find(({ id }) => id === setting)?.title ?? setting;
    this.settings[setting] = this.task(lines, goal, this.item(title, goal, { reach: 'set', setting }));
  }

  /** Adds an item to the set's list, and returns its number. */
  private item(title: string, goal: Goal, target: Behaviour['items'][number]['target']): string {
    const number = String(this.items.length + 1);
    const editor = { place: 'wheel', value: 'wheel', frequency: 'frequency', name: 'letters' } as const;
    this.items.push({ number, title: title.slice(0, 16), editor: editor[goal.kind], target });
    return number;
  }

  description(): Description {
    const { described, recording } = this;
    const letterKeys = Object.fromEntries(
      recording.letters.map(({ key, letters }) => [this.key(key), letters] as const),
    );
    const charKeys = Object.fromEntries([...this.chars].map((char) => [char, this.key(char)] as const));
    const keys = [...this.keyIds].map(([legend, id]) => [id, legend] as const);
    const frequency = described.fields.find(({ holds }) => holds === 'receiveHz')?.id;
    const order = Object.keys(this.set).sort((a, b) => Number(b === frequency) - Number(a === frequency));
    const entry = this.frequencyEntry && { frequencyEntry: this.frequencyEntry };
    const behaviour: Behaviour = {
      keys: Object.fromEntries(
        keys.map(([id, legend]) => [
          id,
          {
            ...(this.chars.has(legend) && { char: legend }),
            ...(letterKeys[id] !== undefined && { letters: letterKeys[id] }),
          },
        ]),
      ),
      ...entry,
      start: 'rest',
      startNumber: recording.startNumber,
      items: this.items,
      modes: this.timed(),
    };
    const recipes: Recipes = {
      before: [
        ...(described.loading?.before ?? []),
        `The set is charged, at rest, and stands on number ${recording.startNumber}.`,
      ],
      hazards: [
        ...(described.loading?.hazards ?? []),
        `These steps were recorded once, by ${recording.by} on ${recording.on}: where the set shows something else, stop and say so.`,
      ],
      items: Object.fromEntries(
        this.items.flatMap(({ number, title, target }, place) =>
          target.reach === 'channel'
            ? [[target.field, { number, title, place }]]
            : target.reach === 'set'
              ? [[target.setting, { number, title, place }]]
              : [],
        ),
      ),
      itemCount: 0,
      startNumber: recording.startNumber,
      begin: [],
      finish: [],
      bankStep: [],
      slotStep: this.slotStep,
      open: [],
      item: [],
      set: this.set,
      settings: this.settings,
      close: [],
      order,
      ...entry,
      letterKeys,
      charKeys,
      readBack: described.loading?.readBack ?? [],
    };
    return {
      ...described,
      firmware: [...new Set([...described.firmware, recording.firmware])],
      keys: Object.fromEntries(keys),
      behaviour,
      recipes,
      recording,
    };
  }

  /** The modes with the time after which the set is at rest again by itself, where somebody counted it. */
  private timed(): Record<string, Mode> {
    const { waitsS } = this.recording;
    if (waitsS === undefined) return this.modes;
    const timeout: Mode['timeout'] = { ms: waitsS * 1000, go: 'rest', do: [{ act: 'clearEntry' }] };
    return Object.fromEntries(
      Object.entries(this.modes).map(([name, mode]) => [name, name === 'rest' ? mode : { ...mode, timeout }]),
    );
  }

  /** The key that turns a wheel the other way, where somebody said so. */
  private otherWay(legend: string): string | undefined {
    const { opposite } = this.recording;
    return (
      opposite.find(({ key }) => key === legend)?.other ?? opposite.find(({ other }) => other === legend)?.key
    );
  }

  /** One task's steps as recipes, while the modes that bear them are laid; `item` is the number of the item it sets. */
  private task(lines: readonly MadeOut[], goal: Goal | null, item: string): RecipeStep[] {
    const flat = lines.flatMap(({ pieces, shows }) =>
      pieces.map((piece, i) => ({ piece, shows: i === pieces.length - 1 ? shows : '' })),
    );
    const typed = flat.find(({ piece }) => piece.kind === 'frequency')?.piece;
    const marks = this.marks(goal, typed);
    const steps: RecipeStep[] = [];
    let at = 'rest';
    flat.forEach(({ piece, shows }, i) => {
      const isLast = i === flat.length - 1;
      const [before, after] = [flat[i - 1]?.piece, flat[i + 1]?.piece];
      const other =
        piece.kind === 'wheel' || piece.kind === 'slotWheel' ? this.otherWay(piece.legend) : undefined;
      steps.push(recipeStep(piece, marks.inRecipe(shows), (legend) => this.key(legend), other));
      this.typable(typedWith(piece, goal));
      const onto = (screen: string) =>
        isLast ? 'rest' : this.fresh(screen === '' ? [''] : [marks.onScreen(screen)]);
      if (piece.kind === 'press') {
        const opens = after && after.kind !== 'press' ? this.opening(after, item) : [];
        const [when, stores] = before && before.kind !== 'press' ? this.keeping(before) : [undefined, []];
        const actions = [...stores, ...opens];
        const row: Row = {
          keys: [this.key(piece.legend)],
          ...(piece.heldMs !== undefined && { heldMs: piece.heldMs }),
          ...(when && { when }),
          ...(actions.length > 0 && { do: actions }),
        };
        at = this.follow(at, row, () => onto(shows));
        return;
      }
      // A wheel is turned where it stands; what is typed is seen while it is typed.
      const told = marks.onScreen(shows);
      const { screen } = this.mode(at);
      if (shows !== '' && at !== 'rest' && !screen.includes(told))
        this.modes[at] = { ...this.mode(at), screen: [...screen.filter(Boolean), told].slice(0, 4) };
      at = this.value(at, piece, item, isLast || after?.kind !== 'press', () => onto(shows));
    });
    return steps;
  }

  /** Goes on with a key where it was pressed there before in the same way, else lays a new row. */
  private follow(at: string, row: Row, onto: () => string): string {
    const same = ({ go: _, ...there }: Row) => JSON.stringify(there) === JSON.stringify(row);
    const found = this.mode(at).on.find(same)?.go;
    if (found) return found;
    const go = onto();
    const { on, ...rest } = this.mode(at);
    const whole = { ...row, go };
    // Longer presses stand above shorter ones.
    this.modes[at] = { ...rest, on: row.heldMs === undefined ? [...on, whole] : [whole, ...on] };
    return go;
  }

  /** Lays what takes a value: digits, a wheel or letters; `atOnce` where no key follows that takes it. */
  private value(at: string, piece: Piece, item: string, atOnce: boolean, onto: () => string): string {
    const add = (mode: string, rows: Row[]) => {
      const { on, ...rest } = this.mode(mode);
      this.modes[mode] = { ...rest, on: [...on, ...rows] };
    };
    switch (piece.kind) {
      case 'press':
        return at;
      case 'wheel': {
        const opens: Action[] = at === 'rest' ? this.opening(piece, item) : [];
        const stores: Action[] = atOnce ? [{ act: 'storeDraft' }] : [];
        const row = (legend: string, by: number): Row => ({
          keys: [this.key(legend)],
          do: [...opens, { act: 'stepDraft', by }, ...stores],
        });
        const other = this.otherWay(piece.legend);
        add(at, [row(piece.legend, 1), ...(other === undefined ? [] : [row(other, -1)])]);
        return at;
      }
      case 'slotWheel': {
        const row = (legend: string, to: 'next' | 'previous'): Row => ({
          keys: [this.key(legend)],
          do: [{ act: 'pickSlot', to }],
        });
        const other = this.otherWay(piece.legend);
        add(at, [row(piece.legend, 'next'), ...(other === undefined ? [] : [row(other, 'previous')])]);
        return at;
      }
      case 'name':
        add(at, [{ keys: 'letters', do: [{ act: 'tapLetter', withinMs: 1200 }] }]);
        return at;
      case 'number':
      case 'frequency':
      case 'code': {
        const width = piece.kind === 'frequency' ? piece.digits : piece.width;
        if (piece.kind === 'frequency') this.frequencyEntry = { digits: width, unitHz: piece.unitHz };
        const typing: Row = { keys: 'chars', do: [{ act: 'typeChar', most: width }] };
        // A code is taken as a value once its last figure stands there; a key that follows keeps it.
        const [when, stores] =
          piece.kind === 'code' && !atOnce
            ? [
                [{ is: 'entryIsValue' as const }],
                [{ act: 'draftFromEntry' as const }, { act: 'clearEntry' as const }],
              ]
            : this.storing(piece);
        const whole: Row = {
          keys: 'chars',
          when: [{ is: 'entryLength', of: width }, ...when],
          do: [{ act: 'typeChar', most: width }, ...stores],
        };
        let mode = at;
        if (at === 'rest') {
          // The first digit leaves rest.
          mode = this.fresh(['{entry}']);
          add('rest', [
            { keys: 'chars', do: [{ act: 'clearEntry' }, { act: 'typeChar', most: width }], go: mode },
          ]);
        }
        const refused: Row = {
          keys: 'chars',
          when: [{ is: 'entryLength', of: width }],
          do: [{ act: 'beep', tone: 'refused' }, { act: 'clearEntry' }],
        };
        if (!atOnce) {
          add(mode, piece.kind === 'code' ? [whole, refused, typing] : [typing]);
          return mode;
        }
        const go = onto();
        add(mode, [{ ...whole, go }, refused, typing]);
        return go;
      }
      default:
        return piece satisfies never;
    }
  }

  /** What happens when a value is about to be given: its item is opened as it stands. */
  private opening(piece: Piece, item: string): Action[] {
    if (piece.kind === 'number' || piece.kind === 'slotWheel') return [{ act: 'clearEntry' }];
    return [
      { act: 'openItem', item },
      { act: 'clearEntry' },
      { act: piece.kind === 'name' ? 'blankDraft' : 'readDraft' },
    ];
  }

  /** The same for a key that follows: a code is a value by then. */
  private keeping(piece: Piece): [NonNullable<Row['when']> | undefined, Action[]] {
    if (piece.kind === 'code') return [undefined, [{ act: 'storeDraft' }]];
    const [when, stores] = this.storing(piece);
    return [when.length > 0 ? when : undefined, stores];
  }

  /** What must be so for a given value to be taken, and how it is. */
  private storing(piece: Piece): [NonNullable<Row['when']>, Action[]] {
    switch (piece.kind) {
      case 'number':
        return [[{ is: 'entryIsSlot' }], [{ act: 'pickSlot', to: 'entry' }, { act: 'clearEntry' }]];
      case 'frequency':
        return [
          [{ is: 'entryIsFrequency' }],
          [{ act: 'draftFromEntry' }, { act: 'storeDraft' }, { act: 'clearEntry' }],
        ];
      case 'code':
        return [
          [{ is: 'entryIsValue' }],
          [{ act: 'draftFromEntry' }, { act: 'storeDraft' }, { act: 'clearEntry' }],
        ];
      case 'wheel':
      case 'name':
        return [[], [{ act: 'storeDraft' }]];
      case 'press':
      case 'slotWheel':
        return [[], []];
      default:
        return piece satisfies never;
    }
  }

  private typable(chars: string): void {
    for (const char of chars) {
      this.key(char);
      this.chars.add(char);
    }
  }

  private marks(goal: Goal | null, typed?: Piece) {
    const { number } = this.recording;
    const label = slotsOf(this.described).find((slot) => slot.number === number)?.label ?? '';
    const hz = goal?.kind === 'frequency' ? goal.hz : undefined;
    return textMarks({
      number,
      label,
      value: goal === null || goal.kind === 'place' ? '' : hz === undefined ? goalText(goal) : mhzText(hz),
      isFrequency: hz !== undefined,
      typed:
        typed?.kind === 'frequency' && hz !== undefined
          ? String(hz / typed.unitHz).padStart(typed.digits, '0')
          : '',
    });
  }

  private key(legend: string): string {
    const there = this.keyIds.get(legend);
    if (there) return there;
    const id = `k${this.keyIds.size + 1}`;
    this.keyIds.set(legend, id);
    return id;
  }

  private mode(name: string): Mode {
    const mode = this.modes[name];
    if (!mode) throw new RangeError(`mode: ${name}`);
    return mode;
  }

  private fresh(screen: string[]): string {
    const name = `m${Object.keys(this.modes).length}`;
    this.modes[name] = { screen, on: [] };
    return name;
  }
}
