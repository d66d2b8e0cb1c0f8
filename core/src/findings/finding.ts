import type { AirFinding } from './air';
import type { DocumentFinding } from './documents';
import type { FitFinding } from './fit';
import type { PlanFinding } from './plan';
import type { SheetFinding } from './sheet';

/** How much a finding weighs: `error` stops, `warning` wants a look, `note` is for information. */
export type Severity = 'error' | 'warning' | 'note';

interface Common {
  readonly severity: Severity;
  /** Where in the document or input it stands, as a JSON pointer; absent when it is about the whole. */
  readonly path?: string;
  /** The published source that decided it; absent for common practice. */
  readonly source?: string;
}

/** What the core has to say, by code and numbers only; the words live with the interface. */
export type Finding = Common & (AirFinding | DocumentFinding | FitFinding | PlanFinding | SheetFinding);

/** By what a finding is known. */
export type FindingCode = Finding['code'];
