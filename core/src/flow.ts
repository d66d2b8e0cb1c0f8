import type { Finding } from './findings/index';
import {
  type AbleToSend,
  ableToSend,
  type Called,
  type Carries,
  type Fit,
  type FitDevice,
  fitDevice,
  fitIdentity,
  fitPlan,
  hasIdentity,
  type Image,
  wantedBy,
  withoutNames,
  writesNames,
} from './fit/index';
import {
  apply,
  type Changes,
  canErase,
  changedSinceFactory,
  changesNothing,
  diff,
  heldMemory,
  heldOf,
  isUnseen,
  isWhollyKnown,
  unknownPlaces,
  type Wanted,
} from './memory/index';
import {
  type Description,
  factoryMemory,
  factoryValues,
  holdsOnePair,
  isLoadedByProgram,
  kindOf,
  type Memory,
  numbersWith,
  type Plan,
  type SlotValues,
  slotsOf,
  type Unit,
} from './model/index';
import { type Proof, prove, type Sheet, writeSheet } from './procedure/index';
import type { Sender } from './rules/index';

/**
 * What a sheet begins from: a memory that is known; an unknown one, of which each value is set anew; one that is reset first; a file that
 * writes each value whatever was there; or, of an unknown one, nothing that could be proven.
 */
export type Way = 'known' | 'absolute' | 'reset' | 'file' | 'none';

/** A device's part of the plan, ready for its holder: where everything goes, the steps, and whether they are proven. */
export interface Prepared {
  readonly fit: Fit;
  /** What is known of what it holds now. */
  readonly now: Memory;
  readonly wanted: Wanted;
  readonly changes: Changes;
  readonly way: Way;
  readonly sheet: Sheet;
  readonly proof: Proof;
  /** Places of the holder's own that would be overwritten and that nobody has let go of: until then the sheet is not ready. */
  readonly toAccept: readonly number[];
  /** Places of which nobody knows all that they hold, and which the sheet writes. */
  readonly unseen: readonly number[];
  /** Places that the plan wrote and that it wants no more, where no step is known that empties them. */
  readonly stays: readonly number[];
  /** Places that can send once the sheet is done, although whoever holds the set has no right to it there. */
  readonly ableToSend: readonly AbleToSend[];
}

/** What of a unit its fit depends on: the numbers its holder keeps, what is known of it, which of that may go, who sends with it, its role, which groups it carries. */
export type UnitState = Pick<Unit, 'keeps' | 'holds' | 'accepts'> & {
  readonly sender?: Sender;
  readonly carriesGroups?: Carries | null;
} & Partial<
    Pick<Unit, 'carries' | 'roleId' | 'pickedTone' | 'nickname' | 'fleetId' | 'start' | 'names' | 'alerts'>
  >;

const NEW: Unit['holds'] = {
  what: 'factory',
  on: 'unknown',
  rest: 'factory',
  places: [],
  settings: {},
  wrote: {},
};
const UNSEEN: Unit['holds'] = { ...NEW, what: 'unknown', rest: 'unknown' };

/** Everything but the proof. */
export type Composed = Omit<Prepared, 'proof' | 'way'>;

/** A fit beside what a set holds, and what turns the one into the other. */
function changesFor(
  plan: Plan,
  description: Description,
  unit: UnitState | undefined,
  others: readonly Called[],
) {
  const holds = unit?.holds ?? NEW;
  const { memory: known, notUnderstood } = heldMemory(description, holds);
  const { now, resets } = startOf(description, known, unit);
  const device = fitDevice(description, now, unit);
  const whole = withIdentity(fitPlan(plan, device, numbersWith(plan)), plan, device, unit, others);
  const fit = writesNames(plan, description, unit?.names) ? whole : withoutNames(whole, description, now);
  const keeps = unit?.keeps ?? [];
  const { wanted, stays } = wantedOf(description, fit.image, resets ? {} : holds.wrote, keeps);
  const changes = diff(description, now, wanted);
  return { holds, known, notUnderstood, resets, device, fit, keeps, wanted, stays, changes };
}

/**
 * Whether what is known of a set is all that the plan wants in it: its sheet would change nothing. A loaded one wants a change where the plan is
 * another one, or whoever holds it may send where they could not, or no more where they could.
 */
export function isLoaded(
  plan: Plan,
  description: Description,
  unit: UnitState,
  others: readonly Called[] = [],
): boolean {
  return changesNothing(changesFor(plan, description, unit, others).changes);
}

/** Whether a sheet has neither a step nor a value that must change: then nothing of it was tried. */
export function hasNothingToDo({ sheet, changes }: Pick<Prepared, 'sheet' | 'changes'>): boolean {
  return sheet.steps.length === 0 && changesNothing(changes);
}

/** The same as `prepare`, but without trying the sheet. */
export function compose(
  plan: Plan,
  description: Description,
  unit?: UnitState,
  others: readonly Called[] = [],
): Composed {
  const { holds, known, notUnderstood, resets, device, fit, keeps, wanted, stays, changes } = changesFor(
    plan,
    description,
    unit,
    others,
  );
  const written = writeSheet(description, changes, { pickedTone: unit?.pickedTone ?? 'unknown', resets });
  const findings = [
    ...notUnderstood.map((what): Finding => ({ code: 'held-not-understood', severity: 'error', ...what })),
    ...(resets ? lostByReset(description, known, holds, keeps) : []),
    ...written.findings,
  ];
  const accepted = new Set(unit?.accepts ?? []);
  const unknown = new Set(unknownPlaces(description, known));
  const own = new Set(ownPlaces(description, known, holds.wrote));
  return {
    fit,
    now: known,
    wanted,
    changes,
    sheet: { ...written, findings },
    toAccept: written.overwrites.filter((number) => own.has(number) && !accepted.has(number)),
    unseen: written.overwrites.filter((number) => unknown.has(number)),
    stays,
    ableToSend: ableToSend(
      device,
      afterSheet(description, { now: known, changes, sheet: written }),
      new Set(fit.image.slots.keys()),
      fit.cells,
      plan,
    ),
  };
}

/** What a sheet works on: what is known of the set, or, where everything is reset first, the factory's memory. */
export function startOf(
  description: Description,
  known: Memory,
  unit: Pick<UnitState, 'start'> | undefined,
): { now: Memory; resets: boolean } {
  const resets =
    unit?.start === 'reset' && description.recipes?.reset !== undefined && !isWhollyKnown(description, known);
  return { now: resets ? factoryMemory(description) : known, resets };
}

/**
 * The whole way: plan and description → fit → what must change → sheet → proof, from what is known of the unit; a kind alone is taken as
 * it leaves the factory.
 * @param others the other sets of the fleet, whom this one may call
 */
export function prepare(
  plan: Plan,
  description: Description,
  unit?: UnitState,
  others: readonly Called[] = [],
): Prepared {
  const composed = compose(plan, description, unit, others);
  return withProof(description, composed, proofOf(description, composed));
}

/** Tries a sheet; what comes of it depends on nothing but the description and what is composed. */
export function proofOf(description: Description, { now, wanted, sheet }: Composed): Proof {
  return prove(description, now, wanted, sheet);
}

/** A composed sheet with its proof. */
export function withProof(description: Description, composed: Composed, proof: Proof): Prepared {
  return { ...composed, proof, way: wayOf(description, composed, proof) };
}

/** The other way to begin with a set of which something is not known, and what it would take; not proven until it is chosen. */
export interface OtherStart {
  readonly start: Unit['start'];
  readonly steps: number;
  readonly presses: number;
  readonly mostPresses: number;
  /** The holder keeps numbers, or has something of their own in it: a reset would take that. */
  readonly takesOwn: boolean;
}

/** What beginning the other way would take; `null` where the set is known, or has no reset. */
export function otherStart(
  plan: Plan,
  description: Description,
  unit: UnitState,
  others: readonly Called[] = [],
): OtherStart | null {
  const bare = compose(plan, description, { ...unit, start: 'absolute' }, others);
  if (!description.recipes?.reset || (unit.start !== 'reset' && !fromUnseen(bare.changes))) return null;
  const start = unit.start === 'reset' ? 'absolute' : 'reset';
  const { sheet } = start === 'absolute' ? bare : compose(plan, description, { ...unit, start }, others);
  return {
    start,
    steps: sheet.steps.length,
    presses: sheet.presses,
    mostPresses: sheet.mostPresses,
    takesOwn: sheet.findings.some(({ code }) => code === 'reset-loses-kept'),
  };
}

/** What is known of a unit's memory once its sheet is done. */
export function afterSheet(
  description: Description,
  { now, changes, sheet }: Pick<Composed, 'now' | 'changes' | 'sheet'>,
): Memory {
  return apply(sheet.resets ? factoryMemory(description) : now, changes);
}

/** What a unit holds once its sheet is done, to be kept with it. @param version the plan's, as the one that wrote these places */
export function heldAfter(
  description: Description,
  prepared: Composed,
  holds: Unit['holds'],
  version: number,
  today: string,
): Unit['holds'] {
  const { wanted, sheet, fit } = prepared;
  const rest = sheet.resets ? 'factory' : holds.rest;
  const { places, settings } = heldOf(description, afterSheet(description, prepared), rest);
  const gone = new Set(
    [...wanted.slots].flatMap(([number]) => (fit.image.slots.has(number) ? [] : [String(number)])),
  );
  const before = sheet.resets ? [] : Object.entries(holds.wrote).filter(([number]) => !gone.has(number));
  const wrote = {
    ...Object.fromEntries(before),
    ...Object.fromEntries([...fit.image.slots.keys()].map((n) => [String(n), version])),
  };
  return { what: 'plan', on: today, rest, places: [...places], settings: { ...settings }, wrote };
}

/** The used places whose contents are known, not the factory's, and not the plan's: what the holder put there. */
export function ownPlaces(
  description: Description,
  memory: Memory,
  wrote: Readonly<Record<string, number>>,
): number[] {
  return changedSinceFactory(description, memory).filter((number) => wrote[number] === undefined);
}

/** How a sheet goes from a set that nobody looked at, and what it takes. */
export interface FromUnknown {
  readonly way: Exclude<Way, 'known'>;
  readonly proven: boolean;
  readonly steps: number;
  readonly presses: { readonly mean: number; readonly most: number };
  /** On how many memories, places and modes it was tried. */
  readonly tried: number;
  readonly firstDifference: Finding | null;
}

/** The cheapest way that is proven for a kind of set of which nobody knows what it holds. */
export function fromUnknown(plan: Plan, description: Description): FromUnknown {
  const as = { keeps: [], accepts: [], ...triedAs(description, plan), holds: UNSEEN };
  const starts = description.recipes?.reset ? (['absolute', 'reset'] as const) : (['absolute'] as const);
  const tried = starts.map((start) => {
    const { way, sheet, proof } = prepare(plan, description, { ...as, start });
    return {
      way: way === 'known' ? ('absolute' as const) : way,
      proven: proof.proven,
      steps: sheet.steps.length,
      presses: { mean: sheet.presses, most: sheet.mostPresses },
      tried: proof.tried,
      firstDifference: proof.firstDifference,
    };
  });
  const [first, ...others] = tried as [FromUnknown, ...FromUnknown[]];
  return others.reduce(
    (best, one) => (one.proven && (!best.proven || one.presses.mean < best.presses.mean) ? one : best),
    first,
  );
}

function wayOf(description: Description, { sheet, changes }: Composed, proof: Proof): Way {
  if (isLoadedByProgram(description) && sheet.way === 'file') return proof.proven ? 'file' : 'none';
  if (sheet.resets) return proof.proven ? 'reset' : 'none';
  if (!fromUnseen(changes)) return 'known';
  return proof.proven ? 'absolute' : 'none';
}

/** Whether something must change of which nobody knows how it stands; what a sheet leaves alone may be unknown. */
function fromUnseen({ places, settings }: Changes): boolean {
  return (
    settings.some(({ from }) => from === undefined) ||
    places.some((change) => change.to !== null && isUnseen(change))
  );
}

/** A reset takes everything: what a holder keeps, or has of their own, stands in its way. */
function lostByReset(
  description: Description,
  known: Memory,
  { what, wrote }: Unit['holds'],
  keeps: readonly number[],
): Finding[] {
  const numbers = [...new Set([...keeps, ...ownPlaces(description, known, wrote)])].sort((a, b) => a - b);
  // Of something of their own that nobody wrote down no number is known; it would go all the same.
  return numbers.length > 0 || what === 'other'
    ? [{ code: 'reset-loses-kept', severity: 'error', numbers }]
    : [];
}

/**
 * What a set shall hold: what the plan wants there, and of what an earlier state of the plan wrote and this one does not want, empty places
 * and, where the factory set them, its values. What cannot be emptied stays, and is named.
 */
function wantedOf(
  description: Description,
  image: Image,
  wrote: Readonly<Record<string, number>>,
  keeps: readonly number[],
): { wanted: Wanted; stays: number[] } {
  const slots = new Map<number, SlotValues>(wantedBy(image).slots);
  const stays: number[] = [];
  for (const slot of slotsOf(description)) {
    const { number, fixed } = slot;
    if (wrote[number] === undefined || slots.has(number) || keeps.includes(number)) continue;
    if (fixed) slots.set(number, factoryValues(description));
    else if (canErase(description, slot) || isLoadedByProgram(description)) slots.set(number, null);
    else stays.push(number);
  }
  return { wanted: { slots, settings: image.settings }, stays };
}

/** A fit with who the set is, whom it can call and what it can say by a key; of a kind alone nobody knows who it is. */
function withIdentity(
  fit: Fit,
  plan: Plan,
  device: FitDevice,
  { nickname, fleetId }: Partial<Called> = {},
  others: readonly Called[],
): Fit {
  if (nickname === undefined || fleetId === undefined || !hasIdentity(device.description)) return fit;
  const { places, findings } = fitIdentity(plan.fleet, device, { nickname, fleetId }, others);
  return {
    ...fit,
    image: { ...fit.image, slots: new Map([...fit.image.slots, ...places]) },
    findings: [...fit.findings, ...findings],
  };
}

/**
 * What a kind of device needs to be known of it to be tried on a plan: a repeater carries the plan's first pair, a set of a fleet has an
 * ID of its own. None for the others.
 */
export function triedAs(description: Description, plan: Plan): UnitState | undefined {
  const repeats = holdsOnePair(description);
  if (!repeats && !hasIdentity(description)) return undefined;
  const pair = plan.channels.find((channel) => kindOf(channel) === 'repeater');
  const { identity } = description;
  const digits = typeof identity === 'object' ? identity.digits : 1;
  return {
    keeps: [],
    accepts: [],
    holds: NEW,
    carries: repeats ? (pair?.id ?? null) : null,
    nickname: description.title,
    fleetId: '1'.padStart(digits, '0'),
  };
}
