import { withEvidence } from '@umbrex/core/evidence';
import { compose, heldAfter, isLoaded } from '@umbrex/core/flow';
import { type Evidence, EvidenceSchema, type Plan, type Unit, type UnitInput } from '@umbrex/core/model';
import { type Asked, isKnown, standingOf } from '@umbrex/core/standing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from './support/devices';
import { anyPlan, channel, plan, unit, uuid } from './support/plans';
import { runs } from './support/runs';

const TODAY = '2026-11-29';
const PLAN_ID = uuid(2);
const OLD = 'a'.repeat(64);
const NOW = 'b'.repeat(64);
const loaded = (more: object = {}): Evidence =>
  EvidenceSchema.parse({
    what: 'loaded',
    id: uuid(7),
    day: '2026-11-20',
    planId: PLAN_ID,
    revision: 3,
    described: NOW,
    ...more,
  });
const pass: Evidence = EvidenceSchema.parse({
  what: 'checked',
  id: uuid(8),
  day: '2026-11-21',
  check: 'read-back',
  result: 'pass',
});
const CONTENTS = { what: 'plan', on: '2026-11-20', rest: 'factory' } as const;
const set = (more: Partial<UnitInput> = {}) => unit(1, 'page-handheld', more);
const loadedSet = (...evidence: Evidence[]) =>
  evidence.reduce<Unit>((one, next) => withEvidence(one, next, { ...set().holds, ...CONTENTS }), set());
const asked = (more: Partial<Asked> = {}): Asked => ({
  unit: loadedSet(loaded()),
  planId: PLAN_ID,
  described: NOW,
  stops: [],
  wantsAnything: true,
  holds: () => false,
  heldThen: () => false,
  toTry: () => [{ check: 'read-back', number: null }],
  ...more,
});
const stand = (more: Partial<Asked>, wanted = 5, others = [6, 4, 3, 2]) =>
  standingOf(asked(more), wanted, others, TODAY);
const only =
  (...numbers: number[]) =>
  (number: number) =>
    numbers.includes(number);

describe('how a set stands', () => {
  const held = { state: 'held', loadedAs: null, checked: 'unchecked', kindChanged: false };
  it.each(['lost', 'broken'] as const)('%s: nothing is asked of it, whatever it holds', (is) => {
    const gone = EvidenceSchema.parse({ what: 'condition', id: uuid(9), day: '2026-11-22', is });
    const back = EvidenceSchema.parse({ what: 'condition', id: uuid(10), day: '2026-11-23', is: 'well' });
    for (const more of [{}, { holds: only(5) }, { wantsAnything: false }, { stops: ['not-proven'] as const }])
      expect(stand({ ...more, unit: loadedSet(loaded(), gone) })).toEqual({ state: 'away', is });
    expect(stand({ unit: loadedSet(loaded(), gone, back), holds: only(3) }, 3).state).toBe('held');
  });
  it.each([
    ['as loaded and wanted', { holds: only(3) }, 3, { ...held, number: 3 }],
    ['at 5, loaded as 3', { holds: only(3, 5) }, 5, { ...held, number: 5, loadedAs: 3 }],
    [
      'loaded early with what comes next',
      { unit: loadedSet(loaded({ revision: 6 })), holds: only(6) },
      5,
      { ...held, number: 6 },
    ],
    [
      'loaded as one of another plan',
      { unit: loadedSet(loaded({ planId: uuid(99) })), holds: only(5) },
      5,
      { ...held, number: 5 },
    ],
    [
      'loaded with a draft',
      { unit: loadedSet(loaded({ revision: null })), holds: only(5) },
      5,
      { ...held, number: 5 },
    ],
    [
      'read, and as wanted',
      { unit: set({ holds: { ...CONTENTS, what: 'read' } }), holds: only(5) },
      5,
      { ...held, number: 5 },
    ],
    [
      'checked since',
      { unit: loadedSet(loaded(), pass), holds: only(3) },
      3,
      { ...held, number: 3, checked: 'checked' },
    ],
    [
      'checked in part',
      {
        unit: loadedSet(loaded(), pass),
        holds: only(3),
        toTry: () => [
          { check: 'read-back', number: null },
          { check: 'heard', number: 4 },
        ],
      },
      3,
      { ...held, number: 3, checked: 'partly' },
    ],
    [
      'of what comes next nobody can say here that all of it was tried',
      { unit: loadedSet(loaded({ revision: 6 }), pass), holds: only(6) },
      5,
      { ...held, number: 6, checked: 'partly' },
    ],
    [
      'by a description that was corrected',
      { unit: loadedSet(loaded({ described: OLD })), holds: only(3) },
      3,
      { ...held, number: 3, kindChanged: true },
    ],
    [
      'by one that nobody knows',
      { unit: loadedSet(loaded({ described: '' })), holds: only(3) },
      3,
      { ...held, number: 3 },
    ],
    [
      'as wanted, whatever stops its sheet',
      { holds: only(5), stops: ['own-places'] },
      5,
      { ...held, number: 5, loadedAs: 3 },
    ],
    ['late, at an older one', { holds: only(3, 2) }, 5, { state: 'late', at: 3, rightEnded: false }],
    ['late, at none', {}, 5, { state: 'late', at: null, rightEnded: false }],
    [
      'late by a right that ended since it was loaded',
      { heldThen: () => true },
      5,
      { state: 'late', at: null, rightEnded: true },
    ],
    [
      'late as it was read: no loading stands by whose day rights could be asked',
      { unit: set({ holds: { ...CONTENTS, what: 'read' } }), heldThen: () => true },
      5,
      { state: 'late', at: null, rightEnded: false },
    ],
    ['stopped', { stops: ['not-proven'] }, 5, { state: 'blocked', stops: ['not-proven'] }],
    ['not looked at', { unit: set(), holds: () => true }, 5, { state: 'unknown' }],
    [
      'said to be loaded, and nothing known of it',
      { unit: set({ holds: { what: 'plan', on: 'unknown', rest: 'unknown' } }), holds: () => true },
      5,
      { state: 'unknown' },
    ],
    [
      'not looked at, and stopped',
      { unit: set(), stops: ['no-areas'] },
      5,
      { state: 'blocked', stops: ['no-areas'] },
    ],
    [
      'with nothing for it',
      { wantsAnything: false, stops: ['no-areas'], holds: () => true },
      5,
      { state: 'nothing' },
    ],
  ] as [string, Partial<Asked>, number, object][])('%s', (_, more, wanted, expected) => {
    expect(
      stand(
        more,
        wanted,
        [6, 5, 4, 3, 2].filter((n) => n !== wanted),
      ),
    ).toEqual(expected);
  });
  it.each([
    [{ what: 'factory', rest: 'factory' }, true],
    [{ what: 'read', rest: 'unknown', places: [{ number: 1, values: null }] }, true],
    [{ what: 'read', rest: 'unknown' }, false],
    [{ what: 'other' }, false],
    [{ what: 'unknown' }, false],
  ] as [Partial<NonNullable<UnitInput['holds']>>, boolean][])('%j is known: %s', (holds, known) => {
    expect(isKnown(set({ holds: { on: 'unknown', what: 'unknown', ...holds } }).holds)).toBe(known);
  });
});

describe('with plans of which nobody thought', () => {
  const load = (of: Plan, id: string) => {
    const description = shipped(id);
    const one = unit(1, id, { holds: { what: 'factory', on: 'unknown', rest: 'factory' } });
    const contents = heldAfter(description, compose(of, description, one), one.holds, 3, '2026-11-20');
    return { description, one: withEvidence(one, loaded(), contents) };
  };
  it('a set is at what its memory equals: loaded with one, it holds another exactly when that would change nothing', () =>
    fc.assert(
      fc.property(
        anyPlan,
        anyPlan,
        fc.constantFrom('page-handheld', 'bank-handheld', 'pocket-radio', 'zoned-mobile', 'bank-scanner'),
        (first, second, id) => {
          const { description, one } = load(first, id);
          const plans = new Map([
            [3, first],
            [5, second],
          ]);
          const holds = (number: number) => isLoaded(plans.get(number) ?? first, description, one);
          expect(holds(3)).toBe(true);
          const standing = standingOf(asked({ unit: one, holds }), 5, [3], TODAY);
          const changes = compose(second, description, one).changes;
          const same = changes.places.length === 0 && changes.settings.length === 0;
          expect(standing).toMatchObject(
            same ? { state: 'held', number: 5, loadedAs: 3 } : { state: 'late', at: 3, rightEnded: false },
          );
        },
      ),
      { numRuns: runs(60) },
    ));
  it('one whose kind does not take what changed stays up to date', () => {
    const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8' });
    const air = channel('Harbour', 156.8, null, { service: 'marine' });
    const [before, after] = [plan([kelp, air]), plan([kelp, { ...air, receiveHz: 156_600_000 }])];
    const { description, one } = load(before, 'pocket-radio');
    const holds = (number: number) => isLoaded(number === 5 ? after : before, description, one);
    expect(standingOf(asked({ unit: one, holds }), 5, [3], TODAY)).toMatchObject({
      state: 'held',
      number: 5,
      loadedAs: 3,
    });
  });
});
