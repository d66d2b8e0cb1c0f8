import {
  CHECKS,
  type CheckKind,
  type Evidence,
  type EvidenceOf,
  type SetCondition,
  type Unit,
} from '../model/index';
import { evidenceFrom, isAboutMemory, type MemoryEvidence } from './record';

type Timed = Pick<Unit, 'timeline' | 'holds'>;

/** A piece of evidence that nobody wrote down as one: it follows from what is said to be held. */
const IMPLIED_ID = '00000000-0000-4000-8000-000000000000';

/**
 * What was seen and done with a set, oldest first. What is known of its memory without an entry of its own, as before there were any,
 * stands first, without a name.
 */
export function timelineOf({ timeline, holds }: Timed): readonly Evidence[] {
  if (holds.what === 'unknown' || timeline.some(isAboutMemory)) return timeline;
  return [evidenceFrom(holds, IMPLIED_ID, ''), ...timeline];
}

/** On whose word and since when a set holds what it holds; `undefined` where nobody knows what that is. */
export function memoryWord(unit: Timed): MemoryEvidence | undefined {
  return timelineOf(unit).findLast(isAboutMemory);
}

/** The loading that stands: nobody reset it, read it or found it otherwise since. */
export function lastLoaded(unit: Timed): EvidenceOf<'loaded'> | undefined {
  const word = memoryWord(unit);
  return word?.what === 'loaded' ? word : undefined;
}

/** What came after the last word on the memory: a check before that was of another content. */
function since(unit: Timed): readonly Evidence[] {
  const all = timelineOf(unit);
  return all.slice(all.findLastIndex(isAboutMemory) + 1);
}

/**
 * After how many days a check says that it is old. Common practice as remembered, not a rule: what hears and sends goes out of order
 * by itself and is tried every half year, a conversation every quarter; what was read stays until somebody writes.
 */
export const OLD_AFTER_DAYS: Readonly<Record<CheckKind, number>> = {
  'read-back': 365,
  'power-cycle': 365,
  heard: 182,
  sent: 182,
  blocked: 365,
  returned: 91,
  'two-way': 91,
  scan: 365,
  signal: 91,
  'audio-proven': 35,
  'area-filter-proven': 35,
};

/** The last result of one check at one place since the memory was last spoken of, and whether it is old by now. */
export interface Checked {
  readonly check: CheckKind;
  /** The memory number it was tried at; `null` for the whole set. */
  readonly number: number | null;
  readonly evidence: EvidenceOf<'checked'>;
  readonly isOld: boolean;
}

/** What was tried on a set since its memory was last spoken of, the last result of each check at each place. @param today as YYYY-MM-DD */
export function checksOf(unit: Timed, today: string): Checked[] {
  const done = since(unit).filter((one) => one.what === 'checked');
  return CHECKS.flatMap((check) => {
    const of = done.filter((one) => one.check === check);
    const numbers = [...new Set(of.map(({ number }) => number))].sort((a, b) => (a ?? -1) - (b ?? -1));
    return numbers.flatMap((number) => {
      const evidence = of.findLast((one) => one.number === number);
      const isOld = evidence !== undefined && isOlder(evidence.day, OLD_AFTER_DAYS[check], today);
      return evidence ? [{ check, number, evidence, isOld }] : [];
    });
  });
}

/** One thing that is to be tried on a set, at a memory number or on all of it. */
export interface ToTry {
  readonly check: CheckKind;
  readonly number: number | null;
}

/** How far a set was tried since it was loaded: one thing went wrong, all that is to be tried went right, some of it, or nothing. */
export type Tried = 'failed' | 'checked' | 'partly' | 'unchecked';

/**
 * How far what a set holds was tried. Silence is no result, what is old by now counts no more, and what was tried at one place shows nothing
 * of another; a set that was read back as a whole was read back at each place.
 * @param toTry what is to be tried on it; `undefined` where nobody can tell: then it is never all. Asked only where something passed
 */
export function triedSoFar(unit: Timed, today: string, toTry: () => readonly ToTry[] | undefined): Tried {
  const checks = checksOf(unit, today);
  if (checks.some(({ evidence }) => evidence.result === 'fail')) return 'failed';
  const passed = checks.filter(({ evidence, isOld }) => evidence.result === 'pass' && !isOld);
  if (passed.length === 0) return 'unchecked';
  const isAll = toTry()?.every((one) =>
    passed.some(
      ({ check, number }) =>
        check === one.check && (number === one.number || (number === null && check === 'read-back')),
    ),
  );
  return isAll ? 'checked' : 'partly';
}

/** Who has a set on loan; `undefined` where it is where it belongs. */
export function onLoan({ timeline }: Pick<Unit, 'timeline'>): EvidenceOf<'lent'> | undefined {
  const last = timeline.findLast(({ what }) => what === 'lent' || what === 'returned');
  return last?.what === 'lent' ? last : undefined;
}

/** Whether a set is there and works, by the last word on that; `well` where nobody said anything. */
export function conditionOf({ timeline }: Pick<Unit, 'timeline'>): {
  readonly is: SetCondition;
  readonly said: EvidenceOf<'condition'> | undefined;
} {
  const said = timeline.findLast((one) => one.what === 'condition');
  return { is: said?.is ?? 'well', said };
}

/** Whether a set is there and works: of one that is lost or broken nothing is asked until it is found or mended. */
export const isThere = (unit: Pick<Unit, 'timeline'>): boolean => conditionOf(unit).is === 'well';

/** The sets of a fleet that are lost or broken, by id. */
export function awayOf(units: readonly Pick<Unit, 'id' | 'timeline'>[]): ReadonlySet<string> {
  return new Set(units.flatMap((unit) => (isThere(unit) ? [] : [unit.id])));
}

/** How many of some sets are there, and how many are lost or broken. @param gone those of the fleet that are */
export function countThere(
  unitIds: readonly string[],
  gone: ReadonlySet<string>,
): { readonly there: number; readonly away: number } {
  const away = unitIds.filter((id) => gone.has(id)).length;
  return { there: unitIds.length - away, away };
}

/** What was made ready for the next work on a set, since it was last worked on. */
export function preparations(unit: Timed): ReadonlySet<EvidenceOf<'prepared'>['done']> {
  return new Set(since(unit).flatMap((one) => (one.what === 'prepared' ? [one.done] : [])));
}

/** The last backup since the memory was last spoken of. */
export function backupOf(unit: Timed): EvidenceOf<'backup'> | undefined {
  return since(unit).findLast((one) => one.what === 'backup');
}

/** Whether more than so many days lie between two days; one that nobody knows is old. */
function isOlder(day: string, days: number, today: string): boolean {
  return day === 'unknown' || (Date.parse(today) - Date.parse(day)) / 86_400_000 > days;
}
