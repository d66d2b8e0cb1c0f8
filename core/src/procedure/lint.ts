import type { Finding } from '../findings/index';
import { chanceOf, completed, diff, unknownMemory, type Wanted } from '../memory/index';
import {
  type Description,
  factoryMemory,
  type Memory,
  type RecipeStep,
  type Recipes,
  slotsOf,
  writtenLists,
} from '../model/index';
import type { Whereabouts } from './device/device';
import { recipePaths } from './recipePaths';
import { CALM, replay } from './replay';
import { showsWords } from './runs';
import { type Sheet, writeSheet } from './sheet';
import type { SheetStep } from './step';

/** What is not right with a step of the recipes, though the sheets that have it may prove. */
export interface StepSlip {
  /** Where in the description. */
  readonly path: string;
  readonly slip: Extract<Finding, { code: 'step-slip' }>['slip'];
  readonly says: string;
  /** What the display showed after it, or what of the words is wrong. */
  readonly seen: string;
}

/** The same as findings, for whoever brings a description in: none of them keeps a sheet from being proven, each makes one hard to follow. */
export function stepFindings(description: Description): Finding[] {
  return stepSlips(description).map(({ path, slip, says, seen }) => ({
    code: 'step-slip',
    severity: 'warning',
    path,
    slip,
    says,
    seen,
  }));
}

const SEEDS = [11, 12];
const PLACES_EACH = 3;
/** A press of a second or more is one to be told of. */
const HELD_MS = 1000;

/**
 * Holds the words of a description's steps against their keys, and their promises against what changes on the display: every step after
 * which the display shows something else shall promise something that was not there before; a key that the words name is pressed, figures
 * that are typed stand in the words, a hold is said with its time. Tried on made-up contents, known and unknown, so that each step that
 * can come to a sheet does.
 */
export function stepSlips(description: Description): StepSlip[] {
  if (!description.recipes || !description.behaviour) return [];
  const slips = new Map<string, StepSlip>();
  const news = new Map<string, { told: number; slip: StepSlip }>();
  const legends = legendsOf(description);
  for (const { sheet, memory, from } of samples(description)) {
    const done = replay(description, sheet.steps, CALM, { memory, picked: sheet.clears, from });
    sheet.steps.forEach((step, i) => {
      const before = i === 0 ? done.begins : (done.screens[i - 1] ?? []);
      const after = done.screens[i] ?? [];
      for (const slip of wordSlips(description, legends, step)) slips.set(`${slip.path} ${slip.slip}`, slip);
      if (before.join('\n') === after.join('\n')) return;
      const at = { path: step.recipe, says: step.says, seen: after.join(' / ') };
      if (step.promises === undefined && step.hides === undefined) {
        // A promise of a value that nobody knows cannot be made.
        if (!promises(recipeStep(description.recipes, step.recipe)))
          slips.set(`${step.recipe} nothing`, { ...at, slip: 'promises-nothing' });
        return;
      }
      const count = news.get(step.recipe) ?? { told: 0, slip: { ...at, slip: 'promises-what-was-there' } };
      // Before the first step it may show anything.
      const isNew =
        i === 0 ||
        (step.promises !== undefined && !showsWords(before, step.promises)) ||
        (step.hides !== undefined && showsWords(before, step.hides));
      news.set(step.recipe, { ...count, told: count.told + (isNew ? 1 : 0) });
    });
  }
  for (const { told, slip } of news.values()) if (told === 0) slips.set(`${slip.path} there`, slip);
  const { start, startNumber, before } = description.recipes;
  const first =
    slotsOf(description).find(({ number }) => number === startNumber)?.label ?? String(startNumber);
  // What ends a sentence is no part of a label.
  if (!start && !before.some((text) => showsWords([text.replace(/[.,;:!?)]+(?=\s|$)/g, '')], first)))
    slips.set('start', {
      path: '/recipes/before',
      slip: 'start-not-said',
      says: before.join(' '),
      seen: first,
    });
  return [...slips.values()];
}

interface Sample {
  readonly sheet: Sheet;
  readonly memory: Memory;
  readonly from: Whereabouts | undefined;
}

/** Sheets that between them have every step of the recipes that can come to one, and what each begins from. */
function samples(description: Description): Sample[] {
  const { recipes, behaviour } = description;
  const numbers = slotsOf(description).map(({ number }) => number);
  return SEEDS.flatMap((seed) => {
    const chance = chanceOf(seed);
    const unknown = unknownMemory(description);
    const fresh = factoryMemory(description);
    const [memory, to] = [completed(description, unknown, chance), completed(description, unknown, chance)];
    const wanted: Wanted = { slots: placesOf(description, to), settings: to.settings };
    const onlySettings: Wanted = { slots: new Map(), settings: to.settings };
    const begin = (now: Memory, then: Wanted, begunWith: Memory, resets = false): Sample => {
      const number = numbers[Math.floor(chance() * numbers.length)] ?? 0;
      return {
        sheet: writeSheet(description, diff(description, now, then), { resets }),
        memory: begunWith,
        // Where the steps ask nothing of the start, it stands anywhere.
        from: recipes?.start && behaviour ? { mode: behaviour.start, number } : undefined,
      };
    };
    return [
      begin(memory, wanted, memory),
      begin(fresh, wanted, fresh),
      begin(unknown, wanted, memory),
      begin(memory, onlySettings, memory),
      ...(recipes?.reset ? [begin(fresh, wanted, memory, true)] : []),
    ];
  });
}

/** A few places of each region: the first that are used, and one that shall be empty. */
function placesOf(description: Description, to: Memory): Wanted['slots'] {
  const wanted = new Map<number, Memory['slots'] extends ReadonlyMap<number, infer V> ? V : never>();
  for (const { id } of description.regions) {
    const there = slotsOf(description).filter(({ region }) => region.id === id);
    const used = there.filter(({ number }) => to.slots.get(number)).slice(0, PLACES_EACH);
    const empty = there.filter(({ number }) => to.slots.get(number) === null).slice(0, 1);
    for (const { number } of [...used, ...empty]) wanted.set(number, to.slots.get(number) ?? null);
  }
  return wanted;
}

/** Words in capital letters and signs, as keys and displays are written, with those that stand beside each other taken together. */
const CAPITALS =
  /(?<![\p{L}\p{N}])[\p{Lu}\p{N}▲▼◀▶*#/+-]*[\p{Lu}▲▼◀▶*#][\p{Lu}\p{N}▲▼◀▶*#/+-]*(?: [\p{Lu}\p{N}▲▼◀▶*#/+-]+)*(?![\p{L}\p{N}])/gu;

/** What the words of a description's steps are held against: the names on its keys, and what its display shows. */
interface Legends {
  readonly shown: ReadonlySet<string>;
  readonly keys: ReadonlyMap<string, string>;
}

function legendsOf(description: Description): Legends {
  // What stands on the display may read like a key: a title or a value that has the name of one is not taken for it.
  const shown = new Set([
    ...Object.values(description.recipes?.items ?? {}).map(({ title }) => title),
    ...Object.values(writtenLists(description)).flatMap((list) => list.map((item) => item.shown)),
  ]);
  return { shown, keys: new Map(Object.entries(description.keys).map(([key, legend]) => [legend, key])) };
}

/** What of a step's words is not what its keys do. */
function wordSlips(
  description: Description,
  { shown, keys: legends }: Legends,
  { recipe, says, runs }: SheetStep,
): StepSlip[] {
  const { keys, recipes } = description;
  const slip = (kind: StepSlip['slip'], seen: string): StepSlip => ({ path: recipe, slip: kind, says, seen });
  const found: StepSlip[] = [];
  const pressed = new Set(
    runs.flatMap((run) => ('key' in run ? [run.key, ...(('with' in run && run.with) || [])] : [])),
  );
  for (const phrase of says.match(CAPITALS) ?? []) {
    const key = legends.get(phrase);
    const isPressed = [...pressed].some((one) => (keys[one] ?? '').split('+').includes(phrase));
    if (key !== undefined && !shown.has(phrase) && pressed.size > 0 && !isPressed)
      found.push(slip('names-another-key', phrase));
  }
  const figures = typedFigures(description, runs);
  const said = says.replace(/(?<=\d)\.(?=\d)/g, '').match(/\d+/g) ?? [];
  if (figures !== null && said.length > 0 && !said.some((one) => isSameFigures(one, figures)))
    found.push(slip('says-other-figures', figures));
  const [only] = runs;
  // A turn may be held too; that it is stands with its keys.
  if (only?.do !== 'press' || recipeStep(recipes, recipe)?.do !== 'press') return found;
  const isHeld =
    (only.heldMs ?? 0) >= HELD_MS || only.with !== undefined || keys[only.key]?.includes('+') === true;
  const seconds = /(\d+(?:\.\d+)?) s(?:econds?)?\b/.exec(says)?.[1];
  const isSaid = /\b(?:hold|held|holding)\b/i.test(says);
  if (isSaid !== isHeld || (isHeld && seconds !== undefined && Number(seconds) * 1000 !== only.heldMs))
    found.push(slip('says-other-hold', `${(only.heldMs ?? 0) / 1000} s`));
  return found;
}

/** Whether a step of the recipes promises anything at all. */
function promises(step: RecipeStep | undefined): boolean {
  const last = step && 'last' in step ? step.last : undefined;
  return [step?.shows, step?.hides, last?.shows, last?.hides].some((text) => text !== undefined);
}

function recipeStep(recipes: Recipes | undefined, path: string): RecipeStep | undefined {
  return [...(recipes ? recipePaths(recipes) : [])].find(([, at]) => at === path)?.[0];
}

/** What a step types, where it types figures and nothing else. */
function typedFigures({ recipes }: Description, runs: SheetStep['runs']): string | null {
  const charOf = new Map(Object.entries(recipes?.charKeys ?? {}).map(([char, key]) => [key, char]));
  const typed = runs.map((run) =>
    run.do === 'press' && run.heldMs === undefined && run.times === 1 ? charOf.get(run.key) : undefined,
  );
  const text = typed.every((char) => char !== undefined) ? typed.join('') : '';
  return /^\d{2,}$/.test(text) ? text : null;
}

/** Figures as words say them and as keys type them: zeros before and, in a frequency, behind do not matter. */
function isSameFigures(said: string, typed: string): boolean {
  const bare = (text: string) => text.replace(/^0+(?=\d)/, '');
  const [words, keys] = [bare(said), bare(typed)];
  const [short, long] = words.length < keys.length ? [words, keys] : [keys, words];
  return (
    words === keys || (short.length >= 4 && long.startsWith(short) && /^0*$/.test(long.slice(short.length)))
  );
}
