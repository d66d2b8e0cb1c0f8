import type { Prepared } from '@umbrex/core/flow';
import type { Description, Unit } from '@umbrex/core/model';
import { type DrawnRegion, drawPlaces, settingLines } from '@umbrex/core/procedure';
import type { Desk } from '../desk';
import { preparedFor } from '../sheetPage';

/** One set of the fleet: what it holds, what it shall hold, and what would go. */
export interface DeviceView {
  readonly unit: Unit;
  readonly version: number;
  readonly description: Description;
  readonly prepared: Prepared;
  readonly regions: readonly DrawnRegion[];
  readonly settings: ReturnType<typeof settingLines>;
}

/** Prepares the page of one device; `undefined` when there is none such, or it is not this person's to see. */
export function deviceView(desk: Desk, unitId: string): DeviceView | undefined {
  const held = desk.units.find(({ unit }) => unit.id === unitId);
  const found = desk.descriptions.find(({ description }) => description.id === held?.unit.descriptionId);
  if (!held || !found) return undefined;
  const { unit, version } = held;
  const { description } = found;
  const prepared = preparedFor(desk)(found, unit);
  const { fit, now, sheet, changes } = prepared;
  const regions = drawPlaces(description, fit.image, now, {
    keeps: unit.keeps,
    wrote: Object.keys(unit.holds.wrote).map(Number),
    overwrites: sheet.overwrites,
    erases: changes.places.flatMap(({ slot, to }) => (to === null ? [slot.number] : [])),
  });
  return {
    unit,
    version,
    description,
    prepared,
    regions,
    settings: settingLines(description, fit.image, now),
  };
}
