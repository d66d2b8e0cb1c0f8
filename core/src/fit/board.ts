import type { Finding } from '../findings/index';
import type { Description, Unit } from '../model/index';
import { fitDevice } from './device';
import { type Cell, fitPlan } from './fit';

/** One kind of device on the board: its units and what each channel comes to on it, in the plan's order. */
export interface BoardKind {
  readonly descriptionId: string;
  readonly title: string;
  readonly unitIds: readonly string[];
  readonly cells: readonly Cell[];
}

/** What a whole fleet can do with a plan. Plain data: the server and the worker give the very same. */
export interface Board {
  readonly kinds: readonly BoardKind[];
  /** About single units, such as a firmware the description was not written for; only units with findings are here. */
  readonly unitFindings: Readonly<Record<string, readonly Finding[]>>;
}

/** Fits a plan to a fleet, once for each kind of device. @throws RangeError for a unit without its description */
export function fitBoard(
  plan: Parameters<typeof fitPlan>[0],
  units: readonly Unit[],
  descriptions: readonly Description[],
): Board {
  const byId = new Map(descriptions.map((description) => [description.id, description]));
  const groups = new Map<string, string[]>();
  const unitFindings: Record<string, readonly Finding[]> = {};
  for (const unit of units) {
    const description = byId.get(unit.descriptionId);
    if (!description) throw new RangeError(`unit ${unit.id}: no description ${unit.descriptionId}`);
    const group = groups.get(description.id);
    if (group) group.push(unit.id);
    else groups.set(description.id, [unit.id]);
    const findings = firmwareFindings(unit, description);
    if (findings.length > 0) unitFindings[unit.id] = findings;
  }
  const kinds = [...groups].flatMap(([id, unitIds]): BoardKind[] => {
    const description = byId.get(id);
    if (!description) return [];
    const { cells } = fitPlan(plan, fitDevice(description));
    return [{ descriptionId: id, title: description.title, unitIds, cells }];
  });
  return { kinds, unitFindings };
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
