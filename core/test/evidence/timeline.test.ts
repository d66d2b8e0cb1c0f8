import {
  backupOf,
  checksOf,
  evidenceFrom,
  isAboutMemory,
  lastLoaded,
  memoryWord,
  onLoan,
  preparations,
  type ToTry,
  timelineOf,
  triedSoFar,
  withEvidence,
} from '@umbrex/core/evidence';
import {
  type Evidence,
  EvidenceSchema,
  MOST_EVIDENCE,
  type Unit,
  type UnitInput,
  UnitSchema,
} from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unit as aUnit, uuid } from '../support/plans';
import { ANY } from '../support/things';

const TODAY = '2026-11-29';
const unit = (more: Partial<UnitInput> = {}) => aUnit(1, 'page-handheld', more);
let ids = 0;
const seen = (what: object): Evidence => {
  ids += 1;
  return EvidenceSchema.parse({ id: uuid(ids), day: '2026-11-20', by: 'Ada', ...what });
};
const loaded = (revision: number | null = 3) =>
  seen({ what: 'loaded', planId: uuid(2), revision, way: 'keys' });
const tried = (check: string, result: string, day = '2026-11-20') =>
  seen({ what: 'checked', check, result, day });
const READ_BACK: ToTry = { check: 'read-back', number: null };
const triedBy = (set: Unit, toTry: readonly ToTry[] | undefined = [READ_BACK]) =>
  triedSoFar(set, TODAY, () => toTry);
const NEW = unit({});
const after = (...all: Evidence[]): Unit => all.reduce((one, evidence) => withEvidence(one, evidence), NEW);
const CONTENTS: Unit['holds'] = {
  ...NEW.holds,
  what: 'plan',
  rest: 'factory',
  places: [{ number: 5, values: { rx: 462_650_000 } }],
  wrote: { 5: 3 },
};

describe('what a set holds follows from its timeline', () => {
  it('is known from a reset, a reading and a loading, and from nothing else', () => {
    expect(memoryWord(NEW)).toBeUndefined();
    expect(after(seen({ what: 'factory' })).holds).toMatchObject({
      what: 'factory',
      rest: 'factory',
      on: '2026-11-20',
    });
    const full = withEvidence(NEW, loaded(), CONTENTS);
    expect(full.holds).toMatchObject({
      what: 'plan',
      on: '2026-11-20',
      places: CONTENTS.places,
      wrote: { 5: 3 },
    });
    expect(lastLoaded(full)?.revision).toBe(3);
    // Lending, checking and charging leave it alone.
    const later = [
      seen({ what: 'lent', to: 'School' }),
      tried('heard', 'pass'),
      seen({ what: 'prepared', done: 'charged' }),
    ];
    expect(later.reduce((one, evidence) => withEvidence(one, evidence), full).holds).toEqual(full.holds);
    // What somebody found otherwise is not known any more, and no loading stands.
    const found = withEvidence(full, seen({ what: 'contradicted', note: 'another tone' }));
    expect([found.holds.what, found.holds.places, found.holds.wrote]).toEqual(['unknown', [], {}]);
    expect(lastLoaded(found)).toBeUndefined();
    expect(withEvidence(full, seen({ what: 'other' })).holds).toMatchObject({
      what: 'other',
      rest: 'unknown',
      places: [],
    });
  });
  it('takes what its holder agreed to for one loading only', () => {
    const agreed = { ...NEW, accepts: [4, 5], start: 'reset' as const };
    expect(withEvidence(agreed, loaded(), CONTENTS)).toMatchObject({ accepts: [], start: 'absolute' });
    expect(withEvidence(agreed, tried('heard', 'pass'))).toMatchObject({ accepts: [4, 5], start: 'reset' });
  });
  it('is of one mind with what is held, whatever comes in whatever order', () =>
    fc.assert(
      fc.property(fc.array(ANY.unit.timeline, { maxLength: 6 }), (parts) => {
        const set = after(...parts.flat());
        const word = memoryWord(set);
        const said = {
          factory: 'factory',
          read: 'read',
          loaded: 'plan',
          other: 'other',
          contradicted: 'unknown',
        } as const;
        expect(set.holds.what).toBe(word ? said[word.what] : 'unknown');
        expect(UnitSchema.parse(set)).toEqual(set);
      }),
    ));
  it('says what was held before there was a timeline, without a name', () => {
    const old = unit({ holds: { what: 'factory', on: '2026-03-01', rest: 'factory' } });
    expect(timelineOf(old)).toEqual([
      expect.objectContaining({ what: 'factory', day: '2026-03-01', by: '' }),
    ]);
    expect(timelineOf(withEvidence(old, loaded(), CONTENTS)).map(({ what }) => what)).toEqual(['loaded']);
    expect(timelineOf(unit({ holds: { what: 'unknown', on: 'unknown' } }))).toEqual([]);
  });
  it.each(['unknown', 'factory', 'plan', 'other', 'read'] as const)(
    'of a set of which somebody says that it holds “%s” it makes the entry that says so',
    (what) => {
      const evidence = evidenceFrom({ what, on: '2026-05-01' }, uuid(9), 'Bo');
      expect(EvidenceSchema.parse(evidence)).toEqual(evidence);
      expect(after(evidence).holds.what).toBe(what);
    },
  );
});

describe('checks', () => {
  it('count for what was loaded before them, the last result of each', () => {
    const set = after(tried('read-back', 'pass'), loaded());
    expect([checksOf(set, TODAY), triedBy(set)]).toEqual([[], 'unchecked']);
    const again = [tried('read-back', 'fail'), tried('read-back', 'pass'), tried('two-way', 'undecided')];
    const now = again.reduce((one, evidence) => withEvidence(one, evidence), set);
    expect(checksOf(now, TODAY).map(({ check, evidence }) => [check, evidence.result])).toEqual([
      ['read-back', 'pass'],
      ['two-way', 'undecided'],
    ]);
    expect(triedBy(now)).toBe('checked');
    expect(triedBy(withEvidence(now, tried('sent', 'fail')))).toBe('failed');
  });
  it('show nothing of another place, and all of a set only once all of them went right', () => {
    const at = (number: number | null, result = 'pass', check = 'heard') =>
      seen({ what: 'checked', check, number, result });
    const both: ToTry[] = [
      { check: 'heard', number: 4 },
      { check: 'heard', number: 5 },
    ];
    expect(triedBy(after(loaded(), at(4)), both)).toBe('partly');
    // Of the whole set, or where nobody said: that all places were heard is not known; read back is a whole.
    expect(triedBy(after(loaded(), at(4), at(null)), both)).toBe('partly');
    const readBack = both.map((one) => ({ ...one, check: 'read-back' as const }));
    expect(triedBy(after(loaded(), at(null, 'pass', 'read-back')), readBack)).toBe('checked');
    expect(triedBy(after(loaded(), at(4), at(5, 'undecided')), both)).toBe('partly');
    expect(triedBy(after(loaded(), at(5), at(4)), both)).toBe('checked');
    expect(triedBy(after(loaded(), at(5), at(4), at(9, 'fail')), both)).toBe('failed');
    expect(triedBy(after(loaded(), at(5), at(4), loaded()), both)).toBe('unchecked');
    // Nobody can tell what is to be tried.
    expect(triedSoFar(after(loaded(), at(4)), TODAY, () => undefined)).toBe('partly');
  });
  it('that nobody could decide are none', () => {
    expect(triedBy(after(loaded(), tried('heard', 'undecided')))).toBe('unchecked');
  });
  it.each([
    ['two-way', '2026-08-30', false],
    ['two-way', '2026-08-29', true],
    ['area-filter-proven', '2026-10-25', false],
    ['area-filter-proven', '2026-10-24', true],
    ['read-back', '2025-11-29', false],
    ['read-back', '2025-11-28', true],
    ['heard', 'unknown', true],
  ])('%s of %s is old: %s', (check, day, isOld) => {
    const set = after(loaded(), tried(check, 'pass', day));
    expect(checksOf(set, TODAY).map((one) => one.isOld)).toEqual([isOld]);
    expect(triedBy(set, [{ check: check as ToTry['check'], number: null }])).toBe(
      isOld ? 'unchecked' : 'checked',
    );
  });
});

describe('loans, preparations, backups', () => {
  it('stand until the set comes back, is worked on, is worked on', () => {
    const lent = after(
      seen({ what: 'lent', to: 'School' }),
      loaded(),
      seen({ what: 'prepared', done: 'charged' }),
    );
    expect(onLoan(lent)?.to).toBe('School');
    expect(onLoan(withEvidence(lent, seen({ what: 'returned' })))).toBeUndefined();
    const backed = withEvidence(lent, seen({ what: 'backup', how: 'photographed', where: 'album 12' }));
    expect([...preparations(backed)]).toEqual(['charged']);
    expect(backupOf(backed)?.where).toBe('album 12');
    const worked = withEvidence(backed, loaded());
    expect([preparations(worked).size, backupOf(worked)]).toEqual([0, undefined]);
  });
});

describe('a long timeline', () => {
  it('keeps what was said of the memory, and lets the oldest of the rest go', () => {
    const first = loaded(1);
    const many = Array.from({ length: MOST_EVIDENCE + 20 }, () => tried('heard', 'pass'));
    const set = after(first, ...many);
    expect(set.timeline.length).toBe(MOST_EVIDENCE);
    expect(set.timeline[0]).toEqual(first);
    expect(set.timeline.at(-1)).toEqual(many.at(-1));
    const loads = Array.from({ length: MOST_EVIDENCE + 5 }, (_, i) => loaded(i + 1));
    const worn = after(...loads);
    expect(worn.timeline).toEqual(loads.slice(5));
    expect(worn.timeline.every(isAboutMemory)).toBe(true);
  });
});
