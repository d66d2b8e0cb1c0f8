import type { Finding } from '../findings/index';
import type { Description, Plan, Unit } from '../model/index';
import { fitDevice } from './device';
import { type Fit, fitPlan } from './fit';

/** The fit of one unit; units of one kind with the same contents share the same `fit` object. */
export interface UnitFit {
  readonly unitId: string;
  readonly fit: Fit;
  /** About the unit itself, such as a firmware the description was not written for. */
  readonly findings: readonly Finding[];
}

/** Fits a plan to every unit of a fleet, once for each kind of device. @throws RangeError for a unit without its description. */
export function fitFleet(
  plan: Plan,
  units: readonly Unit[],
  descriptions: readonly Description[],
): UnitFit[] {
  const byId = new Map(descriptions.map((description) => [description.id, description]));
  const fits = new Map<string, Fit>();
  return units.map((unit) => {
    const description = byId.get(unit.descriptionId);
    if (!description) throw new RangeError(`unit ${unit.id}: no description ${unit.descriptionId}`);
    let fit = fits.get(description.id);
    if (!fit) {
      fit = fitPlan(plan, fitDevice(description));
      fits.set(description.id, fit);
    }
    return { unitId: unit.id, fit, findings: firmwareFindings(unit, description) };
  });
}

/** Whether the description speaks for the firmware a unit has. */
export function firmwareFindings(
  unit: Pick<Unit, 'firmware'>,
  description: Pick<Description, 'firmware'>,
): Finding[] {
  if (unit.firmware === 'unknown') return [{ code: 'firmware-unknown', severity: 'note' }];
  if (!description.firmware.includes(unit.firmware))
    return [{ code: 'firmware-unverified', severity: 'warning', firmware: unit.firmware }];
  return [];
}
