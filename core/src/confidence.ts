import type { Description } from './model/index';
import type { Proof } from './procedure/index';

/**
 * How sure a sheet is. A replay alone is never more than `rehearsed`, and no more than `learnt` where keys and steps both come out of one
 * recording; the rest is people's word, kept with the description.
 */
export type Confidence = 'unproven' | 'learnt' | 'rehearsed' | 'confirmed' | 'contradicted';

/**
 * The confidence of a sheet for a firmware: one contradiction flags every sheet of the description; a confirmation counts for
 * the firmware it was given for.
 */
export function confidenceOf(proof: Proof, description: Description, firmware: string): Confidence {
  if (!proof.proven) return 'unproven';
  if (description.marks.some((mark) => mark.kind === 'contradicted')) return 'contradicted';
  if (description.marks.some((mark) => mark.kind === 'confirmed' && mark.firmware === firmware))
    return 'confirmed';
  return description.recording ? 'learnt' : 'rehearsed';
}
