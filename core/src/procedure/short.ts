import type { RecipeMark, Recipes } from '../model/index';
import type { Proof } from './proof';
import { recipeSteps } from './recipePaths';
import type { Run } from './runs';
import type { Sheet } from './sheet';
import type { SheetStep, StepPart } from './step';

/** A sheet said in short: what is done alike at many places is written once, and a line for each place has only what differs there. */
export interface ShortForm {
  readonly parts: readonly (ShortSteps | Routine)[];
}

/** Steps that are done once, as they stand on the long sheet. */
export interface ShortSteps {
  readonly kind: 'steps';
  readonly part: StepPart;
  readonly slotNumber: number | null;
  readonly steps: readonly SheetStep[];
}

/** What is done at each of several places, and the places in the order in which they are done. */
export interface Routine {
  readonly kind: 'routine';
  readonly part: StepPart;
  readonly steps: readonly RoutineStep[];
  readonly columns: readonly ShortColumn[];
  readonly lines: readonly ShortLine[];
  /** The least time the set waits for a key in it, in milliseconds; `undefined` where it waits. */
  readonly windowMs: number | undefined;
}

/** A piece of the words of a step: a text, or a mark for what each line says itself. */
export type SaidPiece = string | { readonly mark: RecipeMark };

/** One step of a routine. */
export interface RoutineStep {
  /** The field or setting it is about; empty where it is about none. */
  readonly field: string;
  /** Steps of one section are all done at a place, or all left out. */
  readonly section: number;
  readonly says: readonly SaidPiece[];
  /** What is pressed, where it is the same at every place. */
  readonly runs: readonly Run[] | undefined;
  /** Its column, where lines differ. */
  readonly column: number | undefined;
  /** What is pressed after each thing that the column gives. */
  readonly tail: readonly Run[];
  /** What the set then shows, where that is the same at every place. */
  readonly promises: string | undefined;
}

/**
 * How a column is to be read: so many presses of one key; characters that are typed; the text that is to be shown when its keys are
 * let go; letters, each with its keys or turned until it shows; any keys; or only whether the step is done at all.
 */
export type ShortColumn =
  | { readonly kind: 'times'; readonly field: string; readonly key: string }
  /** Letters, each turned by one key until it shows. */
  | { readonly kind: 'spelt'; readonly field: string; readonly key: string }
  | { readonly kind: 'typed' | 'keys' | 'letters' | 'whether'; readonly field: string }
  | {
      readonly kind: 'until';
      readonly field: string;
      /** The keys one after another, each until what the line names is shown. */
      readonly keys: readonly { readonly key: string; readonly heldMs?: number | undefined }[];
    };

/** What a line has in a column: what is done there, or that the step, or all of its section, is left out. */
export type ShortCell =
  | {
      readonly does: 'this';
      /** The value that the step sets, in the set's own words, where lines differ in it. */
      readonly value: string | undefined;
      /** What is done, once for each step of the long sheet; the tail of the routine comes after each. */
      readonly runs: readonly (readonly Run[])[];
      /** For letters, the letter that each brings. */
      readonly letters: readonly string[];
    }
  | { readonly does: 'no-step' }
  | { readonly does: 'no-section' };

/** One place: its number, what it has in each column, and what the set shows at its end. */
export interface ShortLine {
  readonly slotNumber: number;
  readonly cells: readonly ShortCell[];
  readonly shows: readonly string[];
  /** The numbers of its first and last step on the long sheet, from 1. */
  readonly from: number;
  readonly to: number;
}

/** Steps of one place that come from the same step of the recipes, one after another: letters of a name are several. */
interface Task {
  readonly key: string;
  readonly field: string;
  readonly recipe: string;
  readonly steps: readonly SheetStep[];
}

interface Block {
  readonly part: StepPart;
  readonly slotNumber: number | null;
  readonly from: number;
  readonly steps: readonly SheetStep[];
  readonly tasks: readonly Task[];
}

/** Marks that say what is set, the most telling first; which place it is says the line itself. */
const OF_VALUE = ['value', 'mhz', 'sendMhz', 'typed', 'title', 'item'] as const satisfies RecipeMark[];

/**
 * The short form of a sheet. Nothing is added and nothing left out: `expanded` gives the runs of the long one again.
 * @param legends what is printed on the keys
 */
export function shortForm(
  sheet: Pick<Sheet, 'steps'>,
  proof: Pick<Proof, 'screens' | 'windowsMs'>,
  recipes: Recipes,
  legends: Readonly<Record<string, string>>,
): ShortForm {
  const parts: (ShortSteps | Routine)[] = [];
  let open: { blocks: Block[]; order: readonly string[] } | undefined;
  const close = () => {
    if (!open) return;
    const [first] = open.blocks;
    if (first && open.blocks.length === 1)
      parts.push({ kind: 'steps', part: first.part, slotNumber: first.slotNumber, steps: first.steps });
    else if (first) parts.push(routine(open.blocks, open.order, proof, recipes, legends));
    open = undefined;
  };
  for (const block of blocksOf(sheet.steps)) {
    if (block.slotNumber === null) {
      close();
      parts.push({ kind: 'steps', part: block.part, slotNumber: null, steps: block.steps });
      continue;
    }
    // A place whose steps come in another order begins a routine of its own.
    const joined = open && open.blocks[0]?.part === block.part ? [...open.blocks, block] : undefined;
    const order = joined && commonOrder(joined);
    if (open && joined && order) open = { blocks: joined, order };
    else {
      close();
      open = { blocks: [block], order: block.tasks.map(({ key }) => key) };
    }
  }
  close();
  return { parts };
}

function blocksOf(steps: readonly SheetStep[]): Block[] {
  const blocks: { part: StepPart; slotNumber: number | null; from: number; steps: SheetStep[] }[] = [];
  steps.forEach((step, i) => {
    const last = blocks.at(-1);
    if (last && last.part === step.part && last.slotNumber === step.slotNumber) last.steps.push(step);
    else blocks.push({ part: step.part, slotNumber: step.slotNumber, from: i, steps: [step] });
  });
  return blocks.map((block) => ({ ...block, tasks: tasksOf(block.steps) }));
}

function tasksOf(steps: readonly SheetStep[]): Task[] {
  const tasks: (Task & { steps: SheetStep[] })[] = [];
  const seen = new Map<string, number>();
  for (const step of steps) {
    const last = tasks.at(-1);
    if (last && last.recipe === step.recipe && last.field === step.field) {
      last.steps.push(step);
      continue;
    }
    const stem = `${step.field} ${step.recipe}`;
    const time = (seen.get(stem) ?? 0) + 1;
    seen.set(stem, time);
    tasks.push({ key: `${stem} ${time}`, field: step.field, recipe: step.recipe, steps: [step] });
  }
  return tasks;
}

/** One order in which the tasks of all blocks come as each of them has them; `undefined` where two of them disagree. */
function commonOrder(blocks: readonly Block[]): string[] | undefined {
  const after = new Map<string, Set<string>>();
  const waits = new Map<string, number>();
  for (const { tasks } of blocks)
    tasks.forEach(({ key }, i) => {
      if (!waits.has(key)) waits.set(key, 0);
      const before = tasks[i - 1]?.key;
      if (before === undefined) return;
      const next = after.get(before) ?? new Set<string>();
      after.set(before, next);
      if (next.has(key)) return;
      next.add(key);
      waits.set(key, (waits.get(key) ?? 0) + 1);
    });
  const order: string[] = [];
  const left = new Set(waits.keys());
  while (left.size > 0) {
    // Of those that may come now, one that goes on where the last one left off.
    const ready = [...left].filter((key) => waits.get(key) === 0);
    const last = after.get(order.at(-1) ?? '');
    const next = ready.find((key) => last?.has(key)) ?? ready[0];
    if (next === undefined) return undefined;
    order.push(next);
    left.delete(next);
    for (const key of after.get(next) ?? []) waits.set(key, (waits.get(key) ?? 0) - 1);
  }
  return order;
}

function routine(
  blocks: readonly Block[],
  order: readonly string[],
  { screens, windowsMs }: Pick<Proof, 'screens' | 'windowsMs'>,
  recipes: Recipes,
  legends: Readonly<Record<string, string>>,
): Routine {
  const rows = blocks.map(({ tasks }) => new Map(tasks.map((task) => [task.key, task])));
  const samples = order.flatMap((key) => rows.flatMap((row) => row.get(key) ?? []).slice(0, 1));
  let section = -1;
  const sections = samples.map(({ field }, i) =>
    i > 0 && samples[i - 1]?.field === field ? section : ++section,
  );
  const keysOf = (of: number) => order.filter((_, i) => sections[i] === of);
  const has = (row: ReadonlyMap<string, Task>, of: number) => keysOf(of).some((key) => row.has(key));

  const needs = order.map((key, i) => {
    const found = rows.flatMap((row) => row.get(key) ?? []);
    const isPartial = rows.some((row) => !row.has(key) && has(row, sections[i] ?? 0));
    const isSeveral = found.some(({ steps }) => steps.length > 1);
    return isPartial || isSeveral || new Set(found.map(({ steps }) => runsText(steps))).size > 1;
  });
  // A section that some places leave out is told by one of its columns; where it has none, its first step gets one.
  order.forEach((_, i) => {
    const of = sections[i] ?? 0;
    const isFirst = sections[i - 1] !== of;
    const isOptional = rows.some((row) => !has(row, of));
    if (isFirst && isOptional && !needs.some((need, k) => need && sections[k] === of)) needs[i] = true;
  });

  const columns: ShortColumn[] = [];
  const steps = order.map((key, i): RoutineStep => {
    const found = rows.flatMap((row) => row.get(key) ?? []);
    const all = found.flatMap((task) => task.steps);
    const tail = needs[i] && found.some((task) => task.steps.length > 1) ? commonTail(all) : [];
    const column = needs[i] ? columnOf(found, tail, legends) : undefined;
    if (column) columns.push(column);
    const isAlike = !column || column.kind === 'whether';
    return {
      field: samples[i]?.field ?? '',
      section: sections[i] ?? 0,
      says: saidOf(all, recipes),
      runs: isAlike ? all[0]?.runs : undefined,
      column: column ? columns.length - 1 : undefined,
      tail,
      promises: alike(all.map(({ promises }) => promises)),
    };
  });
  const lines = blocks.map(({ slotNumber, from, steps: done }, r): ShortLine => {
    const row = rows[r] ?? new Map<string, Task>();
    const cells = order.flatMap((key, i): ShortCell[] => {
      const step = steps[i];
      const column = step?.column === undefined ? undefined : columns[step.column];
      if (!step || !column) return [];
      const task = row.get(key);
      if (!task) return [{ does: has(row, step.section) ? 'no-step' : 'no-section' }];
      return [cellOf(task, step, column, rows)];
    });
    const to = from + done.length;
    return { slotNumber: slotNumber ?? 0, cells, shows: screens[to - 1] ?? [], from: from + 1, to };
  });
  const [first, last] = [lines[0]?.from ?? 1, lines.at(-1)?.to ?? 0];
  const waits = windowsMs.slice(first - 1, last).filter((ms) => ms !== undefined);
  return {
    kind: 'routine',
    part: blocks[0]?.part ?? 'work',
    steps,
    columns,
    lines,
    windowMs: waits.length > 0 ? Math.min(...waits) : undefined,
  };
}

const runsText = (steps: readonly SheetStep[]) => JSON.stringify(steps.map(({ runs }) => runs));

/** The one that all are; `undefined` where they differ. */
function alike<T>(all: readonly T[]): T | undefined {
  return all.every((one) => one === all[0]) ? all[0] : undefined;
}

/** The last thing that all of them do. */
function commonTail(steps: readonly SheetStep[]): readonly Run[] {
  const lasts = steps.map(({ runs }) => runs.at(-1));
  const [last] = lasts;
  return last && new Set(lasts.map((run) => JSON.stringify(run))).size === 1 ? [last] : [];
}

/** The words of the recipe; what differs between places stays a mark. */
function saidOf(steps: readonly SheetStep[], recipes: Recipes): SaidPiece[] {
  const [first] = steps;
  const template = recipeSteps(recipes).get(first?.recipe ?? '')?.says;
  if (!first || template === undefined || steps.every(({ says }) => says === first.says))
    return first ? [first.says] : [];
  const pieces: SaidPiece[] = [];
  const add = (piece: SaidPiece) => {
    const last = pieces.at(-1);
    if (typeof piece === 'string' && typeof last === 'string') pieces[pieces.length - 1] = last + piece;
    else if (piece !== '') pieces.push(piece);
  };
  for (const [i, text] of template.split(/\{(\w+)\}/).entries()) {
    const mark = text as RecipeMark;
    const same = i % 2 === 0 ? text : alike(steps.map(({ of }) => of[mark]));
    add(same ?? { mark });
  }
  return pieces;
}

const withoutTail = (runs: readonly Run[], tail: readonly Run[]) =>
  tail.length > 0 ? runs.slice(0, -tail.length) : runs;

function columnOf(
  tasks: readonly Task[],
  tail: readonly Run[],
  legends: Readonly<Record<string, string>>,
): ShortColumn {
  const field = tasks[0]?.field ?? '';
  const bodies = tasks.flatMap(({ steps }) => steps.map(({ runs }) => withoutTail(runs, tail)));
  if (tasks.every(({ steps }) => steps.length === 1 && runsText(steps) === runsText(tasks[0]?.steps ?? [])))
    return { kind: 'whether', field };
  if (tasks.some(({ steps }) => steps.length > 1)) {
    const turner = alike(
      bodies.map(([run, ...more]) => (more.length === 0 && isPlainTurn(run) ? run.key : null)),
    );
    return turner ? { kind: 'spelt', field, key: turner } : { kind: 'letters', field };
  }
  const turns = bodies.map((runs) =>
    JSON.stringify(runs.map((run) => run.do === 'until' && [run.key, run.heldMs, run.as])),
  );
  const [body = []] = bodies;
  const keys = body.flatMap((run) => (run.do === 'until' ? [{ key: run.key, heldMs: run.heldMs }] : []));
  if (keys.length === body.length && keys.length > 0 && alike(turns)) return { kind: 'until', field, keys };
  const isTyped = bodies.every((runs) =>
    runs.every((run) => isTap(run) && run.times === 1 && (legends[run.key] ?? run.key).length === 1),
  );
  if (isTyped) return { kind: 'typed', field };
  const key = alike(
    bodies.map(([run, ...more]) => (more.length === 0 && run && isTap(run) ? run.key : null)),
  );
  return key ? { kind: 'times', field, key } : { kind: 'keys', field };
}

const isPlainTurn = (run: Run | undefined): run is Extract<Run, { do: 'until' }> =>
  run?.do === 'until' && run.heldMs === undefined && run.shows.length === 1 && run.as === 'beginning';

const isTap = (run: Run): run is Extract<Run, { do: 'press' }> =>
  run.do === 'press' && run.heldMs === undefined && !run.with && run.when === undefined;

function cellOf(
  { steps, key }: Task,
  { tail }: RoutineStep,
  column: ShortColumn,
  rows: readonly ReadonlyMap<string, Task>[],
): ShortCell {
  const runs = steps.map((step) => withoutTail(step.runs, tail));
  if (column.kind === 'letters' || column.kind === 'spelt') {
    const letters = steps.map(({ of }) => of.value ?? '');
    return { does: 'this', value: undefined, runs, letters };
  }
  const all = rows.flatMap((row) => row.get(key)?.steps ?? []);
  const mark = OF_VALUE.find((one) => new Set(all.map(({ of }) => of[one])).size > 1);
  const value = mark && steps[0]?.of[mark];
  return { does: 'this', value, runs, letters: [] };
}
