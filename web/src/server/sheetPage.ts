import { type Confidence, confidenceOf, type Prepared, prepare } from '@umbrex/core/flow';
import { type Description, type SlotContent, slotsOf, type Unit } from '@umbrex/core/model';
import { slotReader } from '@umbrex/core/procedure';
import type { Desk } from './desk';

/** A line of the read-back table, and of the list of what goes. */
export interface SlotLine {
  readonly number: number;
  readonly label: string;
  readonly channels: string;
  readonly content: SlotContent;
  readonly before: SlotContent | null;
  readonly changes: boolean;
}

/** Everything that a device's sheet prints. */
export interface SheetData extends Prepared {
  readonly unit: Unit;
  readonly description: Description;
  readonly descriptionVersion: number;
  readonly confidence: Confidence;
  readonly lines: readonly SlotLine[];
  /** The steps by slot, with their numbers and what the set shows after each. */
  readonly blocks: readonly {
    readonly line: SlotLine | undefined;
    readonly steps: readonly {
      n: number;
      step: Prepared['sheet']['steps'][number];
      screen: readonly string[];
    }[];
  }[];
}

/** Prepares the sheet of one unit; `undefined` when there is no such unit. */
export function sheetOf(desk: Desk, unitId: string): SheetData | undefined {
  const unit = desk.units.find((candidate) => candidate.unit.id === unitId)?.unit;
  const found = desk.descriptions.find(({ description }) => description.id === unit?.descriptionId);
  if (!unit || !found) return undefined;
  const { description } = found;
  const prepared = prepare(desk.state.plan, description);
  const names = new Map(desk.state.plan.channels.map((channel) => [channel.id, channel.name]));
  const read = slotReader(description);
  const lines = slotsOf(description).flatMap((slot): SlotLine[] => {
    const wanted = prepared.fit.image.slots.get(slot.number);
    if (!wanted) return [];
    return [
      {
        number: slot.number,
        label: slot.label,
        channels: wanted.channelIds.map((id) => names.get(id)).join(', '),
        content: wanted.content,
        before: read(slot, wanted.present),
        changes: prepared.sheet.steps.some((step) => step.slotNumber === slot.number),
      },
    ];
  });
  return {
    ...prepared,
    unit,
    description,
    descriptionVersion: found.version,
    confidence: confidenceOf(prepared.proof, description, unit.firmware),
    lines,
    blocks: blocksOf(prepared, lines),
  };
}

function blocksOf({ sheet, proof }: Prepared, lines: readonly SlotLine[]): SheetData['blocks'] {
  const blocks: {
    line: SlotLine | undefined;
    steps: { n: number; step: Prepared['sheet']['steps'][number]; screen: readonly string[] }[];
  }[] = [];
  let last = Number.NaN;
  sheet.steps.forEach((step, i) => {
    if (step.slotNumber !== last)
      blocks.push({ line: lines.find((line) => line.number === step.slotNumber), steps: [] });
    last = step.slotNumber;
    blocks.at(-1)?.steps.push({ n: i + 1, step, screen: proof.screens[i] ?? [] });
  });
  return blocks;
}

/** The effort and the stamp of every unit, each kind prepared once. */
export function sheetList(desk: Desk) {
  const byKind = new Map<string, Prepared>();
  return desk.units.flatMap(({ unit }) => {
    const description = desk.descriptions.find(
      (candidate) => candidate.description.id === unit.descriptionId,
    )?.description;
    if (!description) return [];
    const prepared = byKind.get(description.id) ?? prepare(desk.state.plan, description);
    byKind.set(description.id, prepared);
    return [
      {
        unit,
        title: description.title,
        confidence: confidenceOf(prepared.proof, description, unit.firmware),
        steps: prepared.sheet.steps.length,
        presses: prepared.sheet.presses,
        minutes: Math.ceil(prepared.proof.minutes),
        findings: desk.board.unitFindings[unit.id] ?? [],
      },
    ];
  });
}
