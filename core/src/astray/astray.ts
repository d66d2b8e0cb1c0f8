import { isSameMemory } from '../memory/index';
import type { Description, Memory, SlotValues } from '../model/index';
import { beginnings, CALM, doRuns, type Run, VirtualDevice, wayBack } from '../procedure/index';
import { actsOf, type Slip, slipsOf, withSlip } from './slips';

/** The steps of a sheet, and what is known of the set before the first of them. */
export interface Work {
  readonly description: Description;
  readonly now: Memory;
  /** The tone picked by hand that the first steps clear, as a place in the operator's list; 0 where there is none. */
  readonly picked?: number;
  readonly steps: readonly {
    readonly runs: readonly Run[] /** Which of them belong together. */;
    readonly block: number;
  }[];
}

/** Something else that a set may show after a step, and the slip that shows it so. */
export interface ElseShown {
  readonly slip: Slip;
  readonly shows: readonly string[];
}

/** What came of a slip, and the shortest way on from there. */
export interface Led {
  /** Places that hold something now that no step put there, by memory number; in `back` they are put right again. */
  readonly harmed: readonly number[];
  /** Settings of the whole set that changed so. */
  readonly settings: readonly string[];
  /** It sent on the air. */
  readonly sent: boolean;
  /** What to do, and at which step to go on, from 1; `null` where no way was found that ends right. */
  readonly back: { readonly runs: readonly (readonly Run[])[]; readonly goOn: number } | null;
}

/** From so many memories and places everything is tried. */
export const ASTRAY_TRIES = 3;
type State = ReturnType<VirtualDevice['snapshot']>;

/** One virtual set that works through the steps: its state before each step that is asked for, and what it holds in the end. */
interface Run1 {
  readonly device: VirtualDevice;
  readonly before: (n: number) => State;
  readonly shall: Memory;
}

const known = new WeakMap<Work, readonly Run1[]>();

/** The work done on virtual sets, once, with the states between its steps. */
function done(work: Work): readonly Run1[] {
  const there = known.get(work);
  if (there) return there;
  const { description, now, steps, picked = 0 } = work;
  const all = beginnings(description, now, ASTRAY_TRIES).map(({ memory, from }): Run1 => {
    const device = new VirtualDevice(description, memory, picked, from);
    const states: State[] = [device.snapshot()];
    for (const { runs } of steps) {
      step(device, runs);
      states.push(device.snapshot());
    }
    const shall = device.memory();
    return { device, shall, before: (n) => states[n - 1] ?? (states.at(-1) as State) };
  });
  known.set(work, all);
  return all;
}

/** Does a step as a calm hand does, with the pause that comes after it. */
function step(device: VirtualDevice, runs: readonly Run[]): boolean {
  const never = doRuns(
    runs,
    (event) => device.take(event),
    () => device.screen(),
    CALM.betweenKeysMs,
  );
  device.take({ kind: 'wait', ms: CALM.betweenStepsMs });
  return never === null;
}

const shown = (device: VirtualDevice) => device.screen().filter((line) => line.trim() !== '');
const text = (lines: readonly string[]) => lines.join('\n');

/** Does a step with a slip in it, from the state before it; answers what the set shows before anything else happens. */
function slipped({ device, before }: Run1, work: Work, n: number, slip: Slip): readonly string[] {
  device.restore(before(n));
  const window = device.windowMs();
  const acts = actsOf(work.steps[n - 1]?.runs ?? []);
  doRuns(
    withSlip(acts, slip, window),
    (event) => device.take(event),
    () => device.screen(),
    CALM.betweenKeysMs,
  );
  return shown(device);
}

/**
 * What a set could show after a step when the hand slipped in it: each display once, with the likeliest slip that shows it. Only displays that are the
 * same on every virtual set that agrees with what is known; what depends on what nobody knows is left out.
 * @param n the step, from 1
 */
export function elseShown(work: Work, n: number): ElseShown[] {
  const runs = done(work);
  const [first] = runs;
  const steps = work.steps[n - 1];
  if (!first || !steps) return [];
  const right = runs.map(({ device, before }) => {
    device.restore(before(n + 1));
    return text(shown(device));
  });
  first.device.restore(first.before(n));
  const acts = actsOf(steps.runs);
  const slips = slipsOf(acts, first.device.windowMs());
  const found = new Map<string, ElseShown>();
  for (const slip of slips.sort((a, b) => LIKELY.indexOf(a.kind) - LIKELY.indexOf(b.kind))) {
    const screens = runs.map((run) => slipped(run, work, n, slip));
    const [screen] = screens;
    if (!screen || screens.some((other) => text(other) !== text(screen))) continue;
    if (text(screen) === right[0] || found.has(text(screen))) continue;
    found.set(text(screen), { slip, shows: screen });
  }
  return [...found.values()];
}
/** The likeliest first, as remembered from hands at work; no source. */
const LIKELY: readonly Slip['kind'][] = ['missed', 'twice', 'late', 'short', 'held'];

/** What a slip did to a set, and the shortest way on: found by trying keys on a virtual set, and worked through to the end on each before it is said. */
export function leadBack(work: Work, n: number, slip: Slip): Led {
  const runs = done(work);
  const [first] = runs;
  if (!first) return { harmed: [], settings: [], sent: false, back: null };
  const { device, before } = first;
  device.restore(before(n));
  const sentBefore = device.emissions().length;
  const was = device.memory();
  device.restore(before(n + 1));
  const shall = device.memory();
  slipped(first, work, n, slip);
  const is = device.memory();
  const harmed = [...is.slots].flatMap(([number, values]) =>
    sameSlot(values, was.slots.get(number)) || sameSlot(values, shall.slots.get(number)) ? [] : [number],
  );
  const settings = Object.keys(is.settings).filter(
    (id) => is.settings[id] !== was.settings[id] && is.settings[id] !== shall.settings[id],
  );
  const sent = device.emissions().length > sentBefore;
  return { harmed, settings, sent, back: findBack(work, runs, n, slip) };
}

const sameSlot = (a: SlotValues | undefined, b: SlotValues | undefined) =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/** So many states are looked at, and so many keys are tried one after another. */
const MOST_STATES = 900;
const MOST_KEYS = 3;
const HELD_MS = 2600;

function findBack(work: Work, runs: readonly Run1[], n: number, slip: Slip): Led['back'] {
  const [first] = runs;
  if (!first) return null;
  const { device, before } = first;
  const begin = firstOfBlock(work, n);
  const goesOn = [n + 1, n, ...(begin < n ? [begin] : [])];
  const exact = new Map(goesOn.map((g) => [stateKey(before(g)), g]).reverse() as [string, number][]);
  const endsRight = (keys: readonly (readonly Run[])[], goOn: number) =>
    runs.every((run) => isRight(run, work, n, slip, keys, goOn));
  slipped(first, work, n, slip);
  const start = device.snapshot();
  let level: { state: State; keys: readonly Run[] }[] = [{ state: start, keys: [] }];
  const seen = new Set<string>();
  const loose: { keys: readonly Run[]; goOn: number }[] = [];
  for (let depth = 0; depth <= MOST_KEYS && level.length > 0; depth++) {
    const next: typeof level = [];
    for (const { state, keys } of level) {
      const goOn = exact.get(stateKey(state));
      if (goOn !== undefined && endsRight(asSteps(keys), goOn)) return { runs: asSteps(keys), goOn };
      // Where the steps of a place begin the set may stand anywhere: whether that goes well is tried.
      if (state.mode === before(begin).mode && state.entry === '' && loose.length < 3)
        loose.push({ keys, goOn: begin });
      if (depth === MOST_KEYS || seen.size > MOST_STATES) continue;
      for (const run of movesOf(work.description)) {
        device.restore(state);
        const sent = device.emissions().length;
        doRuns(
          [run],
          (event) => device.take(event),
          () => device.screen(),
          CALM.betweenKeysMs,
        );
        device.take({ kind: 'wait', ms: CALM.betweenKeysMs });
        // No way leads over the air.
        if (device.emissions().length > sent) continue;
        const after = device.snapshot();
        const key = `${stateKey(after)} ${JSON.stringify([after.values.get(after.at), after.settings])}`;
        if (seen.has(key)) continue;
        seen.add(key);
        next.push({ state: after, keys: [...keys, run] });
      }
    }
    for (const { keys, goOn } of loose)
      if (endsRight(asSteps(keys), goOn)) return { runs: asSteps(keys), goOn };
    loose.length = 0;
    level = next;
  }
  const way = wayBack(work.description)?.steps.map((one) => one.runs) ?? null;
  for (const goOn of way ? [begin, 1] : []) if (way && endsRight(way, goOn)) return { runs: way, goOn };
  return null;
}

const asSteps = (keys: readonly Run[]) => keys.map((run) => [run]);

/** Where a set stands, but for its clock and what it holds. */
function stateKey({ mode, at, item, entry, draft, cursor, picked }: State): string {
  return JSON.stringify([mode, at, item, entry, draft, cursor, picked]);
}

function firstOfBlock({ steps }: Work, n: number): number {
  let at = n;
  while (at > 1 && steps[at - 2]?.block === steps[n - 1]?.block) at--;
  return at;
}

/** What a hand may try: each key short, then off and on, then each key held. What sends is given up when it does. */
function movesOf({ keys, behaviour }: Description): Run[] {
  const ids = Object.keys(keys).filter((id) => behaviour?.keys[id]);
  return [
    ...ids.map((key): Run => ({ do: 'press', key, times: 1 })),
    { do: 'power' },
    ...ids.map((key): Run => ({ do: 'press', key, times: 1, heldMs: HELD_MS })),
  ];
}

/** Whether a virtual set, after the slip and the way back, ends with all that it shall hold when the steps are gone on with. */
function isRight(
  run: Run1,
  work: Work,
  n: number,
  slip: Slip,
  keys: readonly (readonly Run[])[],
  goOn: number,
): boolean {
  const { device, shall } = run;
  slipped(run, work, n, slip);
  const sent = device.emissions().length;
  for (const each of keys) step(device, each);
  for (const { runs } of work.steps.slice(goOn - 1)) if (!step(device, runs)) return false;
  return device.emissions().length === sent && isSameMemory(work.description, shall, device.memory());
}
