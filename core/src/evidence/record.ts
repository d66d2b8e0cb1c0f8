import { type Evidence, type EvidenceOf, MOST_EVIDENCE, type Unit } from '../model/index';

type Holds = Unit['holds'];

/** What says what a memory holds from then on. */
export const ABOUT_MEMORY = ['factory', 'read', 'loaded', 'other', 'contradicted'] as const;
export type MemoryEvidence = EvidenceOf<(typeof ABOUT_MEMORY)[number]>;

/** Whether a piece of evidence says what a memory holds from then on. */
export function isAboutMemory(evidence: Evidence): evidence is MemoryEvidence {
  return (ABOUT_MEMORY as readonly string[]).includes(evidence.what);
}

/** What a set holds by one piece of evidence alone: that of a set that was read or loaded is given with it. */
function holdsBy(evidence: MemoryEvidence, contents: Holds | undefined): Holds {
  const bare = { on: evidence.day, places: [], settings: {}, wrote: {} };
  switch (evidence.what) {
    case 'factory':
      return { what: 'factory', rest: 'factory', ...bare };
    case 'other':
      return { what: 'other', rest: 'unknown', ...bare };
    case 'contradicted':
      return { what: 'unknown', rest: 'unknown', ...bare };
    default:
      return contents === undefined
        ? { what: evidence.what === 'read' ? 'read' : 'plan', rest: 'unknown', ...bare }
        : { ...contents, what: evidence.what === 'read' ? 'read' : 'plan', on: evidence.day };
  }
}

/**
 * A set with one more thing known of it. What says what its memory holds says it in `holds` at once, so that the two never differ; and what was
 * agreed to for one loading (what may go, a reset) was for that one.
 * @param contents what it holds, where it was read or loaded
 */
export function withEvidence(unit: Unit, evidence: Evidence, contents?: Holds): Unit {
  const noted = withEntry(unit, evidence);
  if (!isAboutMemory(evidence)) return noted;
  return { ...noted, holds: holdsBy(evidence, contents), accepts: [], start: 'absolute' };
}

/** A set with one more entry in its timeline; what it is said to hold is as it was given. */
export function withEntry(unit: Unit, evidence: Evidence): Unit {
  return { ...unit, timeline: keptOf([...unit.timeline, evidence]) };
}

/** The evidence that somebody gave by saying what a set holds, in a form or a table. */
export function evidenceFrom(
  { what, on }: Pick<Holds, 'what' | 'on'>,
  id: string,
  by: string,
): MemoryEvidence {
  const common = { id, day: on, by };
  if (what === 'unknown') return { what: 'contradicted', note: '', ...common };
  if (what === 'plan')
    return { what: 'loaded', planId: null, revision: null, way: 'unknown', described: '', ...common };
  return { what, ...common };
}

/** As much as is kept: of more the oldest goes that says nothing of the memory, else the oldest. */
function keptOf(timeline: readonly Evidence[]): Evidence[] {
  if (timeline.length <= MOST_EVIDENCE) return [...timeline];
  const at = timeline.findIndex((one) => !isAboutMemory(one));
  return keptOf(timeline.filter((_, i) => i !== Math.max(0, at)));
}
