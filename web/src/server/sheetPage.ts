import { hasIdentity, memoryAfter } from '@umbrex/core/fit';
import { type Confidence, confidenceOf, type Prepared, prepare } from '@umbrex/core/flow';
import type { Description, Unit } from '@umbrex/core/model';
import {
  type CardSlot,
  type CopyOffer,
  copySteps,
  offerCopy,
  readBackLines,
  type SettingLine,
  type SlotLine,
  settingLines,
  valuesCard,
} from '@umbrex/core/procedure';
import type { Desk } from './desk';
import { Kept } from './kept';

/** A set that waits no longer than this for the next key wants its values at hand before one begins. */
const SHORT_S = 8;

/** Sheets with their proofs, the last ones that were asked for. */
const sheets = new Kept<Prepared>(80);

/** Prepares a unit's part of the plan, once for all units that are alike until the plan, their kind or what they hold changes. */
export function preparedFor(desk: Desk): (kind: Desk['descriptions'][number], unit: Unit) => Prepared {
  const { plan } = desk.state;
  const planText = JSON.stringify(plan);
  const signalling = new Set(
    desk.descriptions.flatMap(({ description }) => (hasIdentity(description) ? [description.id] : [])),
  );
  const called = desk.units.flatMap(({ unit }) => (signalling.has(unit.descriptionId) ? [unit] : []));
  return ({ description, version }, unit) => {
    const { keeps, holds, accepts, carries, roleId, pickedTone } = unit;
    const others = signalling.has(description.id) ? called.filter(({ id }) => id !== unit.id) : [];
    const names = signalling.has(description.id)
      ? [unit, ...others].map(({ nickname, fleetId }) => [nickname, fleetId])
      : [];
    const key = [
      desk.workspace.id,
      description.id,
      version,
      JSON.stringify([keeps, holds, accepts, carries, roleId, pickedTone, names]),
      planText,
    ];
    return sheets.of(key.join(' '), () => prepare(plan, description, unit, others));
  };
}

/** Everything that a device's sheet prints. */
export interface SheetData extends Prepared {
  readonly unit: Unit;
  readonly description: Description;
  readonly descriptionVersion: number;
  readonly confidence: Confidence;
  /** Where it is not set by keys, or nobody described them: what each place shall hold. */
  readonly card: readonly CardSlot[] | null;
  readonly lines: readonly SlotLine[];
  readonly settings: readonly SettingLine[];
  /** The steps by slot, with their numbers and what the set shows after each. */
  readonly blocks: readonly {
    readonly line: SlotLine | undefined;
    /** The least time the set waits for a key in it, in seconds, where that is short; then its values must be at hand before it is begun. */
    readonly windowS: number | undefined;
    readonly steps: readonly {
      n: number;
      step: Prepared['sheet']['steps'][number];
      screen: readonly string[];
    }[];
  }[];
}

/** What copying would do for a unit; `undefined` where its kind does not copy. */
export function copyOfferFor(desk: Desk, { unit, description, fit }: SheetData): CopyOffer | undefined {
  const kind = desk.descriptions.find((candidate) => candidate.description.id === description.id);
  if (!kind || !copySteps(description)) return undefined;
  const prepareOne = preparedFor(desk);
  const others = desk.units.flatMap(({ unit: other }) =>
    other.id === unit.id || other.descriptionId !== unit.descriptionId
      ? []
      : [{ unit: other, shall: memoryAfter(prepareOne(kind, other).fit.image) }],
  );
  return offerCopy(description, { unit, shall: memoryAfter(fit.image), before: fit.image.before }, others);
}

/** Prepares the sheet of one unit; `undefined` when there is no such unit. */
export function sheetOf(desk: Desk, unitId: string): SheetData | undefined {
  const unit = desk.units.find((candidate) => candidate.unit.id === unitId)?.unit;
  const found = desk.descriptions.find(({ description }) => description.id === unit?.descriptionId);
  if (!unit || !found) return undefined;
  const { description } = found;
  const prepared = preparedFor(desk)(found, unit);
  const lines = readBackLines(description, prepared.fit.image, prepared.sheet);
  return {
    ...prepared,
    unit,
    description,
    descriptionVersion: found.version,
    confidence: confidenceOf(prepared.proof, description, unit.firmware),
    card: description.recipes ? null : valuesCard(description, prepared.fit.image),
    lines,
    settings: settingLines(description, prepared.fit.image),
    blocks: blocksOf(prepared, lines),
  };
}

function blocksOf({ sheet, proof }: Prepared, lines: readonly SlotLine[]): SheetData['blocks'] {
  const blocks: {
    line: SlotLine | undefined;
    windowS: number | undefined;
    steps: { n: number; step: Prepared['sheet']['steps'][number]; screen: readonly string[] }[];
  }[] = [];
  let last: number | null | undefined;
  sheet.steps.forEach((step, i) => {
    if (step.slotNumber !== last)
      blocks.push({
        line: lines.find((line) => line.number === step.slotNumber),
        windowS: undefined,
        steps: [],
      });
    last = step.slotNumber;
    const block = blocks.at(-1);
    const waitsS = (proof.windowsMs[i] ?? Number.POSITIVE_INFINITY) / 1000;
    if (!block) return;
    if (waitsS <= SHORT_S && waitsS < (block.windowS ?? Number.POSITIVE_INFINITY)) block.windowS = waitsS;
    block.steps.push({ n: i + 1, step, screen: proof.screens[i] ?? [] });
  });
  return blocks;
}

/** The effort and the stamp of every unit, each kind prepared once. */
export function sheetList(desk: Desk) {
  const prepareOne = preparedFor(desk);
  return desk.units.flatMap(({ unit }) => {
    const found = desk.descriptions.find((candidate) => candidate.description.id === unit.descriptionId);
    if (!found) return [];
    const { description } = found;
    const prepared = prepareOne(found, unit);
    return [
      {
        unit,
        title: description.title,
        toAccept: prepared.toAccept.length,
        way: prepared.sheet.way,
        places: prepared.fit.image.slots.size,
        confidence: confidenceOf(prepared.proof, description, unit.firmware),
        steps: prepared.sheet.steps.length,
        presses: prepared.sheet.presses,
        minutes: Math.ceil(prepared.proof.minutes),
        findings: desk.board.unitFindings[unit.id] ?? [],
      },
    ];
  });
}
