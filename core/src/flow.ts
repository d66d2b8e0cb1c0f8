import type { Finding } from './findings/index';
import { type Cell, type Fit, fitDevice, fitPlan } from './fit/index';
import type { Channel, Description, Plan } from './model/index';
import { type Proof, prove, type Sheet, writeSheet } from './procedure/index';

/** A device's part of the plan, ready for its holder: where everything goes, the steps, and whether they are proven. */
export interface Prepared {
  readonly fit: Fit;
  readonly sheet: Sheet;
  readonly proof: Proof;
}

/**
 * The whole way: plan and description → fit → sheet → proof. From the factory state.
 * @param keeps memory numbers that the holder keeps for themselves
 */
export function prepare(plan: Plan, description: Description, keeps: readonly number[] = []): Prepared {
  const fit = fitPlan(plan, fitDevice(description, undefined, keeps));
  const sheet = writeSheet(description, fit.image);
  const proof = prove(description, fit.image, sheet);
  return { fit, sheet, proof };
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
    const [cell] = fitPlan({ ...plan, channels: [bare], numbering: null }, fitDevice(description)).cells;
    return cell?.verdict === 'full' || cell?.verdict === 'adapted' || cell?.verdict === 'unknown';
  });
}
