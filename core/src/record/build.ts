import type { Result } from '../findings/index';
import { shapeFindings } from '../formats/index';
import {
  type Behaviour,
  type Description,
  DescriptionSchema,
  digitsOf,
  type RecipeStep,
  type Recipes,
  type Recording,
  slotsOf,
} from '../model/index';
import { mhzText } from '../units/index';
import { Modes } from './modes';
import { type Goal, goalsOf, goalText, type MadeOut, makeOut, type Piece } from './pieces';
import { recipeStep, typedWith } from './recipeStep';
import { replays, triedAgain } from './replays';
import { textMarks } from './textMarks';

/**
 * Makes a key grammar of steps that were recorded once: the recipes for sheets, and the behaviour on which they are replayed. What
 * spells the goal stands for every goal of its kind; every other key is pressed as it was. The grammar must give back the recording
 * itself, key by key, screen by screen, and value by value; where it does not, the finding says at which line. Nothing is learnt from what
 * was done again: it must come out of what was learnt.
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
  // One frequency may be whole in figures of which another is only the beginning.
  const completes = [...ofFields, ...ofSet].some(({ lines }) => lines.some(isBegun));
  const asAll = (lines: readonly MadeOut[]) => (completes ? lines.map(begun) : lines);
  const builder = new GrammarBuilder(description, recording);
  builder.place(placed.lines);
  for (const { field, goal, lines } of ofFields) builder.field(field, goal, asAll(lines));
  for (const { setting, goal, lines } of ofSet) builder.setting(setting, goal, lines);
  const whole = DescriptionSchema.safeParse(builder.description());
  if (!whole.success) return { ok: false, findings: shapeFindings(whole.error) };
  const first = replays(whole.data, recording, { fields, settings });
  const differs = first.length > 0 ? first : triedAgain(whole.data, recording);
  return differs.length > 0
    ? { ok: false, findings: differs }
    : { ok: true, value: whole.data, findings: [] };
}

const isBegun = ({ pieces }: MadeOut) =>
  pieces.some((piece) => piece.kind === 'frequency' && piece.completes === true);
const begun = ({ pieces, shows }: MadeOut): MadeOut => ({
  pieces: pieces.map((piece) => (piece.kind === 'frequency' ? { ...piece, completes: true } : piece)),
  shows,
});

/** A description without what was learnt from a recording: as it was before anybody recorded its steps. */
export function withoutSteps(description: Description): Description {
  const { behaviour: _b, recipes: _r, recording: _s, ...rest } = description;
  return { ...rest, keys: {} };
}

/** Puts recipes and behaviour together, task by task; every task begins and ends at rest. */
class GrammarBuilder {
  private readonly modes = new Modes(
    (legend) => this.key(legend),
    (legend) => this.otherWay(legend),
  );
  private readonly items: Behaviour['items'] = [];
  private readonly keyIds = new Map<string, string>();
  private readonly chars = new Set<string>();
  private readonly set: Record<string, RecipeStep[]> = {};
  private readonly settings: Record<string, RecipeStep[]> = {};
  private slotStep: RecipeStep[] = [];

  constructor(
    private readonly described: Description,
    private readonly recording: Recording,
  ) {
    for (const { key } of recording.letters) this.key(key);
  }

  place(lines: readonly MadeOut[]): void {
    this.slotStep = this.task(lines, null, '');
    const shown = lines.at(-1)?.shows;
    if (shown) this.modes.atRest(this.marks(null).onScreen(shown));
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
    const { frequencyEntry } = this.modes;
    const entry = {
      ...(frequencyEntry && { frequencyEntry }),
      ...(recording.letterWheel !== undefined && { letterWheel: recording.letterWheel }),
    };
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
      wakesAt: 'last',
      items: this.items,
      modes: this.modes.all(recording.waitsS),
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
        piece.kind === 'wheel' || piece.kind === 'slotWheel' || piece.kind === 'nameWheel'
          ? this.otherWay(piece.legend)
          : undefined;
      steps.push(recipeStep(piece, marks.inRecipe(shows), (legend) => this.key(legend), other));
      this.typable(typedWith(piece, goal));
      const onto = (screen: string) =>
        isLast ? 'rest' : this.modes.fresh(screen === '' ? [''] : [marks.onScreen(screen)]);
      if (piece.kind === 'press') {
        at = this.modes.press(at, piece, { before, after, item }, () => onto(shows));
        return;
      }
      // A wheel is turned where it stands; what is typed is seen while it is typed.
      if (shows !== '') this.modes.tell(at, marks.onScreen(shows));
      at = this.modes.value(at, piece, item, isLast || after?.kind !== 'press', () => onto(shows));
    });
    return steps;
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
          ? (digitsOf(typed, this.described.receive, hz) ?? '')
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
}
