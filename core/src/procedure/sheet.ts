import type { Finding } from '../findings/index';
import type { Changes, PlaceChange } from '../memory/index';
import { canErase, changesNothing, isUnseen, valuesOnceUsed } from '../memory/index';
import {
  type Description,
  hasField,
  isLoadedByProgram,
  type Native,
  type Recipes,
  slotsOf,
  type Unit,
  writtenLists,
} from '../model/index';
import { pressesOf } from './runs';
import type { SheetStep } from './step';
import { slotsInTurn } from './visits';
import { type Stuck, Writer } from './writer';

/** The steps that turn a device's present memory into the wanted one. */
export interface Sheet {
  /** By keys, by a file that a program sends, or by nobody knows which keys. */
  readonly way: 'keys' | 'file' | 'unknown';
  readonly steps: readonly SheetStep[];
  /** Key presses, on average where some of them depend on what the set holds. */
  readonly presses: number;
  /** Key presses at most. */
  readonly mostPresses: number;
  /** It returns everything to the factory state before all else. */
  readonly resets: boolean;
  /** Slots whose contents go, or may go since nobody knows what they hold; empty slots are not among them. */
  readonly overwrites: readonly number[];
  /** The tone picked by hand that its first steps clear, as a place in the operator's list; 0 where there is none to clear. */
  readonly clears: number;
  readonly findings: readonly Finding[];
}

/** How a sheet is to be written. */
export interface SheetOptions {
  /** What is known of a tone picked by hand on this set. */
  readonly pickedTone?: Unit['pickedTone'];
  /** Return everything to the factory state first; `changes` then start from there. */
  readonly resets?: boolean;
}

/**
 * Composes the recipes of a description into the steps for what must change. A place of which something is unknown is emptied first where
 * the set can do that; else each of its values is turned until it shows. Names come last, in a pass of their own: by then all places work.
 * Reads the recipes alone, never the behaviour, so that replaying the sheet is a test of both.
 */
export function writeSheet(description: Description, changes: Changes, options: SheetOptions = {}): Sheet {
  const { recipes } = description;
  const overwrites = changes.places.flatMap(({ slot, was, to }) =>
    to !== null && was !== 'empty' ? [slot.number] : [],
  );
  if (!recipes) {
    const isByFile = isLoadedByProgram(description);
    return {
      way: isByFile ? 'file' : 'unknown',
      steps: [],
      presses: 0,
      mostPresses: 0,
      resets: false,
      clears: 0,
      overwrites,
      findings: isByFile ? [] : [{ code: 'steps-not-known', severity: 'error' }],
    };
  }
  const inOrder = write(description, recipes, changes, options, true);
  const shortest = write(description, recipes, changes, options, false);
  // As a person reads, place by place, unless another order saves at least a tenth.
  const best = shortest.presses.mean <= inOrder.presses.mean * 0.9 ? shortest : inOrder;
  return {
    way: 'keys',
    steps: best.steps,
    presses: Math.round(best.presses.mean),
    mostPresses: best.presses.most,
    resets: options.resets === true,
    clears: best.clears,
    overwrites,
    findings: best.findings,
  };
}

function write(
  description: Description,
  recipes: Recipes,
  { places, settings }: Changes,
  { pickedTone = 'unknown', resets = false }: SheetOptions,
  inOrder: boolean,
) {
  const slots = slotsOf(description);
  const lists = writtenLists(description);
  const findings: Finding[] = [];
  const first = slots.find((slot) => slot.number === recipes.startNumber);
  if (!first)
    findings.push({
      code: 'document-shape',
      severity: 'error',
      path: '/recipes/startNumber',
      detail: `no place ${recipes.startNumber}`,
    });
  const start = recipes.start && !recipes.start.atStart ? undefined : first;
  const writer = new Writer(description, recipes, slots, lists, start);
  const clears = recipes.clearPicked ? pickedPlace(description, lists, pickedTone) : 0;
  const nothing = changesNothing({ places, settings }) && clears === 0 && !resets;
  const told = new Set<string>();
  /** Each once, by the title that it has in the description. */
  const tell = (code: Stuck['why'], field: string) => {
    const title = [...description.fields, ...description.settings].find(({ id }) => id === field)?.title;
    if (told.has(`${code} ${title ?? field}`)) return;
    told.add(`${code} ${title ?? field}`);
    findings.push({ code, severity: 'error', field: title ?? field });
  };
  const missing = (field: string) => tell('no-recipe', field);
  if (!nothing) {
    writer.part = 'start';
    if (recipes.start) writer.once(recipes.start.steps);
    if (resets) {
      writer.part = 'reset';
      if (recipes.reset) writer.once(recipes.reset.steps);
      else missing('reset');
      writer.standsOn(start);
    }
    if (clears > 0) writer.clearPicked(clears);
    if (places.length > 0 || settings.length > 0) writer.once(recipes.begin);
  }
  const inTurn = (numbers: ReadonlySet<number>) =>
    slotsInTurn(recipes, slots, inOrder ? null : (writer.standsAt() ?? slots[0]), ({ number }) =>
      numbers.has(number),
    );
  const changeAt = new Map(places.map((change) => [change.slot.number, change]));

  writer.part = 'erase';
  const erased = places.filter(({ to, slot }) => to === null && canErase(description, slot));
  for (const slot of inTurn(new Set(erased.map(({ slot }) => slot.number)))) writer.erase(slot);

  writer.part = 'work';
  const filled = places.filter(({ to }) => to !== null);
  const nameField = description.fields.find(({ holds }) => holds === 'name')?.id;
  const tasks = new Map(
    filled.map((change) => [change.slot.number, taskOf(description, recipes, change, nameField, missing)]),
  );
  const named: number[] = [];
  for (const slot of inTurn(new Set(tasks.keys()))) {
    const [change, task] = [changeAt.get(slot.number), tasks.get(slot.number)];
    if (!change?.to || !task) continue;
    const isNamedLater = tasks.size > 1 && task.names.length > 0 && task.fields.length > 0;
    writer.change(
      { slot, before: task.before, isEmpty: task.isEmpty },
      change.to,
      isNamedLater ? task.fields : [...task.fields, ...task.names],
      task.empties,
    );
    if (isNamedLater) named.push(slot.number);
  }

  writer.part = 'settings';
  for (const change of settings) {
    const setting = description.settings.find(({ id }) => id === change.id);
    if (!setting) continue;
    if (!recipes.settings[setting.id]) missing(setting.id);
    writer.setting(setting, change);
  }

  writer.part = 'names';
  for (const slot of inTurn(new Set(named))) {
    const [change, task] = [changeAt.get(slot.number), tasks.get(slot.number)];
    if (!change?.to || !task) continue;
    // The others are done: what the place shall hold is what it holds, but for its name.
    const others = Object.keys(change.to).filter((field) => !task.names.includes(field));
    const before = { ...pick(change.to, others), ...pick(task.before, task.names) };
    writer.change({ slot, before }, change.to, task.names, false);
  }

  writer.part = 'end';
  if (places.length > 0 || settings.length > 0) writer.once(recipes.finish);
  for (const { why, field } of writer.stuck) tell(why, field);
  return {
    steps: writer.steps,
    presses: pressesOf(writer.steps.flatMap(({ runs }) => runs)),
    clears,
    findings,
  };
}

/** What is to be done at a place: whether it is emptied first, what it then holds, which fields are set, and its name apart. */
interface Task {
  readonly empties: boolean;
  readonly isEmpty: boolean;
  readonly before: Readonly<Record<string, Native>>;
  readonly fields: readonly string[];
  readonly names: readonly string[];
}

/**
 * A place of which something is unknown is emptied first; one that is known, too, where that is all its plan's own and takes fewer presses:
 * to turn the letters of one name to those of another may take more than to write it on an empty line.
 */
function taskOf(
  description: Description,
  recipes: Recipes,
  change: PlaceChange,
  nameField: string | undefined,
  missing: (field: string) => void,
): Task {
  const may = change.was !== 'empty' && canErase(description, change.slot);
  const task = (empties: boolean) => taskWith(description, recipes, change, nameField, missing, empties);
  if (!may || isUnseen(change)) return task(may);
  const [turned, anew] = [task(false), task(true)];
  const presses = (of: Task) => pressesAt(description, recipes, change, of);
  return losesNothing(description, change) && presses(anew) < presses(turned) ? anew : turned;
}

/**
 * Whether nothing is lost when a place is emptied before it is filled: all that it shall hold is said, or as it is once it is used. One that is
 * told not to send is never without that, not even between two steps.
 */
function losesNothing(description: Description, { slot, before, to }: PlaceChange): boolean {
  const once = valuesOnceUsed(description, slot.region);
  return description.fields.every(({ id, holds }) => {
    if (!hasField(slot.region, id)) return true;
    if (holds === 'transmitForbidden') return before[id] === once[id];
    return to?.[id] !== undefined || before[id] === once[id];
  });
}

/** Presses at one place alone, by somebody who stands there. */
function pressesAt(
  description: Description,
  recipes: Recipes,
  { slot, to }: PlaceChange,
  task: Task,
): number {
  const writer = new Writer(description, recipes, slotsOf(description), writtenLists(description), slot);
  const at = { slot, before: task.before, isEmpty: task.isEmpty };
  writer.change(at, to ?? {}, [...task.fields, ...task.names], task.empties);
  return pressesOf(writer.steps.flatMap(({ runs }) => runs)).mean;
}

function taskWith(
  description: Description,
  recipes: Recipes,
  change: PlaceChange,
  nameField: string | undefined,
  missing: (field: string) => void,
  empties: boolean,
): Task {
  const { slot, was, before, to, fields } = change;
  const isEmpty = was === 'empty' || empties;
  const once = valuesOnceUsed(description, slot.region);
  const wanted = isEmpty
    ? description.fields.flatMap(({ id }) =>
        hasField(slot.region, id) && to?.[id] !== undefined && once[id] !== to[id] ? [id] : [],
      )
    : fields;
  const settable = wanted.filter((field) => {
    const isKnown = recipes.order.includes(field);
    if (!isKnown) missing(field);
    return isKnown;
  });
  const ordered = recipes.order.filter((field) => settable.includes(field));
  return {
    empties,
    isEmpty,
    before: isEmpty ? { ...emptyFrequency(description), ...once } : before,
    fields: ordered.filter((field) => field !== nameField),
    names: ordered.filter((field) => field === nameField),
  };
}

/** What stands in an empty place of a set that counts its frequencies: it shows the first that it would have. */
function emptyFrequency({ fields }: Description): Record<string, Native> {
  const counted = fields.find(({ holds, list }) => holds === 'receiveHz' && list !== undefined);
  return counted ? { [counted.id]: counted.factory } : {};
}

function pick<V>(values: Readonly<Record<string, V>>, fields: readonly string[]): Record<string, V> {
  return Object.fromEntries(
    fields.flatMap((field) => (field in values ? [[field, values[field] as V]] : [])),
  );
}

/** The place of a tone in the operator's list; 0 where none is picked, nobody knows, or the set has no such list. */
function pickedPlace(
  { operatorTone }: Description,
  lists: ReturnType<typeof writtenLists>,
  tone: Unit['pickedTone'],
): number {
  if (typeof operatorTone !== 'object' || tone === 'off' || tone === 'unknown') return 0;
  return Math.max(
    0,
    (lists[operatorTone.list] ?? []).findIndex(({ means }) => means === tone),
  );
}
