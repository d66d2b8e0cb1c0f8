import type { Finding } from './findings/index';
import {
  type Called,
  type Cell,
  type Fit,
  type FitDevice,
  fitDevice,
  fitIdentity,
  fitPlan,
  hasIdentity,
} from './fit/index';
import {
  type Channel,
  type Description,
  heldMemory,
  kindOf,
  ownPlaces,
  type Plan,
  type Unit,
} from './model/index';
import { type Proof, prove, type Sheet, writeSheet } from './procedure/index';

/** A device's part of the plan, ready for its holder: where everything goes, the steps, and whether they are proven. */
export interface Prepared {
  readonly fit: Fit;
  readonly sheet: Sheet;
  readonly proof: Proof;
  /** Places of the holder's own that would be overwritten and that nobody has let go of: until then the sheet is not ready. */
  readonly toAccept: readonly number[];
}

/** What of a unit its fit depends on: the numbers its holder keeps, what was read of it, which of that may go, a repeater's channel, its role. */
export type UnitState = Pick<Unit, 'keeps' | 'holds' | 'accepts'> &
  Partial<Pick<Unit, 'carries' | 'roleId' | 'pickedTone' | 'nickname' | 'fleetId'>>;

/**
 * The whole way: plan and description → fit → sheet → proof, from what the unit holds now, or else from the factory state.
 * @param others the other sets of the fleet, whom this one may call
 */
export function prepare(
  plan: Plan,
  description: Description,
  unit?: UnitState,
  others: readonly Called[] = [],
): Prepared {
  const { memory, notUnderstood } = heldMemory(description, unit?.holds ?? { places: [], settings: {} });
  const device = fitDevice(description, memory, unit);
  const fit = withIdentity(fitPlan(plan, device), plan, device, unit, others);
  const written = writeSheet(description, fit.image, unit?.pickedTone);
  const strange = notUnderstood.map(
    (what): Finding => ({ code: 'held-not-understood', severity: 'error', ...what }),
  );
  const sheet = { ...written, findings: [...strange, ...written.findings] };
  const own = new Set(ownPlaces(description, memory));
  const accepted = new Set(unit?.accepts ?? []);
  return {
    fit,
    sheet,
    proof: prove(description, fit.image, sheet),
    toAccept: sheet.overwrites.filter((number) => own.has(number) && !accepted.has(number)),
  };
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
  const repeats = description.kind === 'repeater';
  if (!repeats && !hasIdentity(description)) return undefined;
  const pair = plan.channels.find((channel) => kindOf(channel) === 'repeater');
  const { identity } = description;
  const digits = typeof identity === 'object' ? identity.digits : 1;
  return {
    keeps: [],
    accepts: [],
    holds: { what: 'factory', on: 'unknown', places: [], settings: {} },
    carries: repeats ? (pair?.id ?? null) : null,
    nickname: description.title,
    fleetId: '1'.padStart(digits, '0'),
  };
}

/** How sure a sheet is. A replay alone is never more than `rehearsed`; the rest is people's word, kept with the description. */
export type Confidence = 'unproven' | 'rehearsed' | 'confirmed' | 'contradicted';

/**
 * The confidence of a sheet for a firmware: one contradiction flags every sheet of the description; a confirmation counts for
 * the firmware it was given for.
 */
export function confidenceOf(proof: Proof, description: Description, firmware: string): Confidence {
  if (!proof.proven) return 'unproven';
  if (description.marks.some((mark) => mark.kind === 'contradicted')) return 'contradicted';
  return description.marks.some((mark) => mark.kind === 'confirmed' && mark.firmware === firmware)
    ? 'confirmed'
    : 'rehearsed';
}

/** The weightiest finding of a cell, which its reasons begin with. */
export function decisive(cell: Cell): Finding | undefined {
  const weight = { error: 0, warning: 1, note: 2 } as const;
  // That a licence is needed is true of the whole service; it decides nothing about one device.
  const own = cell.findings.filter((finding) => finding.code !== 'licence-needed');
  return [...own].sort((a, b) => weight[a.severity] - weight[b.severity])[0] ?? cell.findings[0];
}

/** The kinds of device that can talk on a channel as far as its frequencies go: the ones whose tones count when one is chosen. */
export function talkers(channel: Channel, plan: Plan, descriptions: readonly Description[]): Description[] {
  const bare: Channel = { ...channel, transmitTone: 'off', receiveTone: 'off' };
  return descriptions.filter((description) => {
    if (description.kind === 'repeater') return false;
    const [cell] = fitPlan({ ...plan, channels: [bare], numbering: null }, fitDevice(description)).cells;
    return cell?.verdict === 'full' || cell?.verdict === 'adapted' || cell?.verdict === 'unknown';
  });
}
