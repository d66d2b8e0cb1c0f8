import { type RadioCheck, radioChecks } from '@umbrex/core/check';
import { type Confidence, confidenceOf } from '@umbrex/core/confidence';
import type { LoadedAlike } from '@umbrex/core/effort';
import { lastLoaded } from '@umbrex/core/evidence';
import { sheetPart } from '@umbrex/core/fields';
import { alertsOf, type Carries, carriedBy, hasIdentity } from '@umbrex/core/fit';
import {
  afterSheet,
  compose,
  isLoaded,
  type OtherStart,
  otherStart,
  ownPlaces,
  type Prepared,
  proofOf,
  type UnitState,
  withProof,
} from '@umbrex/core/flow';
import { type Description, headOf, type Person, type Plan, type Unit, UnitSchema } from '@umbrex/core/model';
import {
  type CardSlot,
  type CopyOffer,
  copySteps,
  type FileOffer,
  offerCopy,
  offerFile,
  pressesOf,
  type SettingLine,
  settingLines,
  valuesCard,
} from '@umbrex/core/procedure';
import { type Readiness, type SheetStop, sheetReadiness, sheetStops } from '@umbrex/core/readiness';
import { type Sender, senderOf } from '@umbrex/core/rules';
import { talksOn } from '@umbrex/core/toTry';
import { contentMark } from './contentMark';
import type { Desk } from './desk';
import { Kept } from './kept';
import { log } from './log';
import { proofs } from './proofs';

/** Sheets with their proofs, the last ones that were asked for. */
const sheets = new Kept<Prepared>(200);

/** Prepares a unit's part of the plan, once for all units that are alike until the plan, their kind or what they hold changes. */
export function preparedFor(desk: Desk): (kind: Desk['descriptions'][number], unit: Unit) => Prepared {
  const { plan } = desk.state;
  const planMark = contentMark(sheetPartOf(plan));
  const kindMarks = new Map<string, string>();
  return ({ description }, unit) => {
    const others = calledBy(desk, description, unit);
    const names = hasIdentity(description)
      ? [unit, ...others].map(({ nickname, fleetId }) => [nickname, fleetId])
      : [];
    const part = partOf(desk, unit);
    // By content, not by version: a corrected description is another one, whatever its number.
    const kindMark = kindMarks.get(description.id) ?? contentMark(description);
    kindMarks.set(description.id, kindMark);
    const own = JSON.stringify([stateOf(unit), names, part]);
    return sheets.of([planMark, kindMark, own].join(' '), () => {
      const composed = compose(plan, description, { ...unit, ...part }, others);
      const { now, wanted, sheet } = composed;
      const tried = contentMark([[...now.slots], now.settings, [...wanted.slots], wanted.settings, sheet]);
      const proof = proofs.of(`${kindMark} ${tried}`, () => proofOf(description, composed));
      return withProof(description, composed, proof);
    });
  };
}

/** What others say of a set that its sheet depends on: who sends with it, and which groups it carries, in one state of the plan. */
export function partOf(
  { state, grounds }: Pick<Desk, 'state' | 'grounds'>,
  unit: Unit,
  plan: Plan = state.plan,
): { sender: Sender; carriesGroups: Carries | null } {
  return { sender: senderOf(grounds, unit), carriesGroups: carriedBy(plan, unit) };
}

/** What of a unit its sheet depends on. How it is called is asked only where a set holds that: sets that are alike share a sheet. */
function stateOf(unit: Unit): UnitState {
  const { nickname: _n, fleetId: _f, descriptionId: _d, ...state } = sheetPart('unit', unit);
  return state as unknown as UnitState;
}

/** What the fit of a set depends on in one state of the plan, but for what it holds. */
export function loadedStateOf(desk: Desk, description: Description, unit: Unit, plan: Plan): UnitState {
  const { nickname, fleetId } = unit;
  const { holds: _, accepts: _a, ...state } = stateOf(unit);
  const called = hasIdentity(description) ? { nickname, fleetId } : {};
  return { ...state, ...called, accepts: [], holds: NOTHING, ...partOf(desk, unit, plan) };
}
const NOTHING = UnitSchema.shape.holds.parse(undefined);

/** What of a plan sheets depend on. */
function sheetPartOf(plan: Plan) {
  const channels = plan.channels.map((channel) => [channel.id, sheetPart('channel', channel)]);
  return [sheetPart('plan', headOf(plan)), channels];
}

/** What was found of sets, by all that it depends on. */
const loaded = new Kept<{ is: boolean | undefined }>(6000);

/**
 * Tells of any set whether what it holds is all that a state of the plan wants in it; `undefined` where that cannot be told.
 * @param plan another state than the one that is shown
 */
export function loadedBy(desk: Desk, plan: Plan = desk.state.plan): (unit: Unit) => boolean | undefined {
  const planMark = contentMark(sheetPartOf(plan));
  const kinds = new Map(desk.descriptions.map(({ description }) => [description.id, description]));
  const kindMarks = new Map([...kinds].map(([id, description]) => [id, contentMark(description)]));
  return (unit) => {
    const description = kinds.get(unit.descriptionId);
    if (!description) return undefined;
    const others = calledBy(desk, description, unit);
    const part = partOf(desk, unit, plan);
    const names = hasIdentity(description)
      ? [unit, ...others].map(({ nickname, fleetId }) => [nickname, fleetId])
      : [];
    const key = [planMark, kindMarks.get(description.id), contentMark([stateOf(unit), names, part])].join(
      ' ',
    );
    const compute = () => attempt(() => isLoaded(plan, description, { ...unit, ...part }, others), unit.id);
    return loaded.of(key, () => ({ is: compute() })).is;
  };
}

/** The sets that were loaded and would be loaded otherwise now, with a state of the plan, by id. One of which that cannot be told is on the Sheets page. */
export function setsToChange(desk: Desk, plan: Plan): string[] {
  const isLoadedNow = loadedBy(desk, plan);
  return desk.units.flatMap(({ unit }) =>
    unit.holds.what === 'plan' && isLoadedNow(unit) === false ? [unit.id] : [],
  );
}

/**
 * Tells of any set that was loaded whether it held all that a state of the plan wants in it by the rights of that day. Where it does not any
 * more, a right has ended since.
 */
export function heldThenBy(desk: Desk, plan: Plan = desk.state.plan): (unit: Unit) => boolean {
  return (unit) => {
    const day = lastLoaded(unit)?.day ?? 'unknown';
    if (day === 'unknown') return false;
    return loadedBy({ ...desk, grounds: desk.groundsOn(day) }, plan)(unit) === true;
  };
}

/** The fleet as it is loaded: sets of a kind of which the same is known, and how many there are. */
export function loadedAlike(desk: Desk): LoadedAlike[] {
  const { units, descriptions } = desk;
  const alike = new Map<string, LoadedAlike>();
  for (const { unit } of units) {
    const found = descriptions.find(({ description }) => description.id === unit.descriptionId);
    if (!found) continue;
    const state = { ...stateOf(unit), ...partOf(desk, unit) };
    const mark = JSON.stringify([unit.descriptionId, state]);
    const count = (alike.get(mark)?.count ?? 0) + 1;
    alike.set(mark, { description: found.description, unit: state, count });
  }
  return [...alike.values()];
}

/** The other sets that one can call by its signalling. */
export function calledBy({ descriptions, fleet }: Desk, description: Description, unit: Unit): Unit[] {
  if (!hasIdentity(description)) return [];
  const signalling = new Set(
    descriptions.flatMap((one) => (hasIdentity(one.description) ? [one.description.id] : [])),
  );
  return fleet.flatMap((other) =>
    signalling.has(other.descriptionId) && other.id !== unit.id ? [other] : [],
  );
}

/** Everything that a device's sheet prints. */
export interface SheetData extends Prepared {
  /** Who sends with it, on which day. */
  readonly sender: Sender;
  readonly carriesGroups: Carries | null;
  readonly unit: Unit;
  readonly description: Description;
  readonly descriptionVersion: number;
  readonly confidence: Confidence;
  /** Where it is not set by keys, or nobody described them: what each place shall hold. */
  readonly card: readonly CardSlot[] | null;
  /** Whether it is ready, why not, and what must be said on it. */
  readonly readiness: Readiness;
  readonly settings: readonly SettingLine[];
  /** The same change as a file, for a kind that has keys as well. */
  readonly byFile: FileOffer | undefined;
  /** The other way to begin, where nobody knows all that the set holds and it has a reset. */
  readonly other: OtherStart | null;
  /** The sets of this kind of which not all is known, for a choice for all of them. */
  readonly alike: readonly { readonly unit: Unit; readonly version: number }[];
  readonly version: number;
  /** Presses that its names take, of all. */
  readonly namePresses: number;
}

/** What copying would do for a unit; `undefined` where its kind does not copy. */
export function copyOfferFor(desk: Desk, data: SheetData): CopyOffer | undefined {
  const { unit, description, now } = data;
  const kind = desk.descriptions.find((candidate) => candidate.description.id === description.id);
  if (!kind || !copySteps(description)) return undefined;
  const prepareOne = preparedFor(desk);
  const others = desk.fleet.flatMap((other) =>
    other.id === unit.id || other.descriptionId !== unit.descriptionId
      ? []
      : [{ unit: other, shall: afterSheet(description, prepareOne(kind, other)) }],
  );
  const own = ownPlaces(description, now, unit.holds.wrote);
  return offerCopy(description, { unit, shall: afterSheet(description, data), before: now, own }, others);
}

/** Who holds a unit, by the roster or by what is written, and the calls that show that it works, with whom. */
export function checksFor(
  { state, fleet, whole, onAir }: Desk,
  { unit, fit }: Pick<SheetData, 'unit' | 'fit'>,
  people: readonly Person[],
): { holder: string; checks: RadioCheck[] } {
  const holderOf = ({ personId, holder }: Unit) => people.find(({ id }) => id === personId)?.name ?? holder;
  const talking = new Map(
    whole.kinds.flatMap(({ unitIds, cells }) => unitIds.map((id) => [id, talksOn(cells)] as const)),
  );
  const partners = fleet.flatMap((other) => {
    const channels = talking.get(other.id);
    if (other.id === unit.id || !channels || channels.size === 0) return [];
    return [{ nickname: other.nickname, holder: holderOf(other), talksOn: channels }];
  });
  const holder = holderOf(unit);
  return { holder, checks: radioChecks(state.plan, talksOn(fit.cells), holder, partners, onAir) };
}

/** Prepares the sheet of one unit; `undefined` when there is no such unit. */
export function sheetOf(desk: Desk, unitId: string): SheetData | undefined {
  const held = desk.units.find((candidate) => candidate.unit.id === unitId);
  const unit = held?.unit;
  const found = desk.descriptions.find(({ description }) => description.id === unit?.descriptionId);
  if (!held || !unit || !found) return undefined;
  const { description } = found;
  const prepared = preparedFor(desk)(found, unit);
  const readiness = sheetReadiness(description, prepared, alertsOf(desk.state.plan.alerts, unit.alerts));
  return {
    ...prepared,
    ...partOf(desk, unit),
    unit,
    description,
    descriptionVersion: found.version,
    confidence: confidenceOf(prepared.proof, description, unit.firmware),
    card: description.recipes ? null : valuesCard(description, prepared.fit.image, prepared.now),
    readiness,
    settings: settingLines(description, prepared.fit.image, prepared.now),
    byFile:
      prepared.sheet.steps.length > 0 ? offerFile(description, prepared.now, prepared.wanted) : undefined,
    other: otherStart(
      desk.state.plan,
      description,
      { ...unit, ...partOf(desk, unit) },
      calledBy(desk, description, unit),
    ),
    alike: desk.units.filter(
      (one) => one.unit.descriptionId === description.id && one.unit.holds.rest === 'unknown',
    ),
    version: held.version,
    namePresses: namePressesOf(prepared),
  };
}

/** The other sets, of those that may be seen, that have the very same sheet: of the same kind, with the same known of them and for the same rights. */
export function setsWithSheetOf(
  desk: Desk,
  { unit, sheet }: Pick<SheetData, 'unit' | 'sheet'>,
): { unit: Unit; version: number }[] {
  const kind = desk.descriptions.find(({ description }) => description.id === unit.descriptionId);
  if (!kind) return [];
  const prepareOne = preparedFor(desk);
  // Sheets that are alike are made once: it is the same one.
  return desk.units.filter(
    ({ unit: other }) =>
      other.id !== unit.id &&
      other.descriptionId === unit.descriptionId &&
      attempt(() => prepareOne(kind, other), other.id)?.sheet === sheet,
  );
}

/** What a computation gives; one that comes to a stop is one broken row, named in the log. */
export function attempt<T>(compute: () => T, what: string): T | undefined {
  try {
    return compute();
  } catch (error) {
    log.error({ what, error: String(error) }, 'a sheet could not be made');
    return undefined;
  }
}

/** One set with its kind and its sheet; without one where it could not be made. */
export interface SetWithSheet {
  readonly unit: Unit;
  readonly version: number;
  readonly kind: Desk['descriptions'][number];
  readonly prepared: Prepared | undefined;
}

/** Every set that may be seen, with its sheet, each kind prepared once; between two of them others get their turn. */
export async function* setsWithSheets(desk: Desk): AsyncGenerator<SetWithSheet> {
  const prepareOne = preparedFor(desk);
  const kinds = new Map(desk.descriptions.map((kind) => [kind.description.id, kind]));
  for (const { unit, version } of desk.units) {
    const kind = kinds.get(unit.descriptionId);
    if (!kind) continue;
    await new Promise((resolve) => setImmediate(resolve));
    yield { unit, version, kind, prepared: attempt(() => prepareOne(kind, unit), unit.id) };
  }
}

/** Why a prepared sheet of a set is not ready. */
export function stopsOf(desk: Desk, unit: Unit, description: Description, prepared: Prepared): SheetStop[] {
  return sheetStops(description, prepared, alertsOf(desk.state.plan.alerts, unit.alerts));
}

/** Presses that the names of a sheet take. */
export function namePressesOf({ sheet }: Pick<Prepared, 'sheet'>): number {
  const names = sheet.steps.filter(({ part }) => part === 'names');
  return Math.round(pressesOf(names.flatMap(({ runs }) => runs)).mean);
}
