import { type Asking, asksFor, type BenchSet, benchWays } from '@umbrex/core/benchWays';
import { prepare } from '@umbrex/core/flow';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from './support/devices';
import { OSTREL, unit } from './support/plans';
import { runs } from './support/runs';

const CHANGES = { places: [], settings: [1] };
type Ways = Asking['ways'];
const asks = (id: string, ways: Ways, why: Asking['why'] = null): Asking =>
  ({
    set: {
      unit: { id, personId: null, timeline: [] },
      prepared: { changes: why === 'held' ? { places: [], settings: [] } : CHANGES },
    },
    why,
    ways,
  }) as unknown as Asking;
const keys: Ways = [{ way: 'keys', minutes: 5, masterIds: [] }];
const copy = (...masterIds: string[]): Ways => [{ way: 'copy', minutes: 1, masterIds }];
const dealt = (asking: readonly Asking[]) => {
  const { sets, left } = benchWays(
    asking,
    asking.map(({ set }) => set),
  );
  return [
    sets.map(({ id, ways }) => [
      id,
      ways.map(({ way, masterIds }) => [way, ...masterIds].join(' ')).join(', '),
    ]),
    left.map(({ id, why }) => `${id} ${why}`),
  ];
};

describe('the ways of a bench day', () => {
  it('copy from what is loaded that day or holds it already, however long the chain', () => {
    expect(dealt([asks('a', keys), asks('b', copy('a')), asks('c', copy('b'))])).toEqual([
      [
        ['a', 'keys'],
        ['b', 'copy a'],
        ['c', 'copy b'],
      ],
      [],
    ]);
    expect(dealt([asks('a', [], 'held'), asks('b', copy('a'))])).toEqual([[['b', 'copy a']], ['a held']]);
  });
  it('never from one that waits, from one that falls out with it, or in a circle', () => {
    expect(dealt([asks('a', [], 'waits'), asks('b', copy('a')), asks('c', copy('b'))])).toEqual([
      [],
      ['a waits', 'b no-way', 'c no-way'],
    ]);
    expect(dealt([asks('a', copy('b')), asks('b', copy('a'))])).toEqual([[], ['a no-way', 'b no-way']]);
    expect(dealt([asks('a', copy('gone', 'b')), asks('b', keys)])).toEqual([
      [
        ['a', 'copy b'],
        ['b', 'keys'],
      ],
      [],
    ]);
  });
  it('give every set one end: a place with ways, or a reason; and every copy comes down to one that copies nothing', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.boolean(),
            fc.array(fc.nat(7), { maxLength: 3 }),
            fc.constantFrom(null, null, null, 'held', 'waits'),
          ),
          {
            minLength: 1,
            maxLength: 8,
          },
        ),
        (drawn) => {
          const asking = drawn.map(([byKeys, from, why], i) =>
            asks(
              `s${i}`,
              why
                ? []
                : [...(byKeys ? keys : []), ...(from.length > 0 ? copy(...from.map((n) => `s${n}`)) : [])],
              why as Asking['why'],
            ),
          );
          const { sets, left } = benchWays(
            asking,
            asking.map(({ set }) => set),
          );
          expect([...sets.map(({ id }) => id), ...left.map(({ id }) => id)].sort()).toEqual(
            asking.map(({ set }) => set.unit.id).sort(),
          );
          // Followed from copy to master, at most as often as there are sets.
          const rooted = new Set([...left.filter(({ why }) => why === 'held').map(({ id }) => id)]);
          for (let n = 0; n < sets.length + 1; n++)
            for (const { id, ways } of sets)
              if (
                ways.some(
                  ({ way, masterIds }) => way !== 'copy' || masterIds.some((master) => rooted.has(master)),
                )
              )
                rooted.add(id);
          for (const { id, ways } of sets) {
            expect(rooted.has(id)).toBe(true);
            for (const { masterIds } of ways)
              for (const master of masterIds) expect(rooted.has(master)).toBe(true);
          }
        },
      ),
      { numRuns: runs(300) },
    ));
  it('of real sets: a copy where the kind copies and both shall hold the same, a file where all goes by it', () => {
    const set = (n: number, descriptionId: string, waits = false): BenchSet => {
      const description = shipped(descriptionId);
      const one = unit(n, descriptionId, { holds: { what: 'factory', on: 'unknown', rest: 'factory' } });
      return { unit: one, description, prepared: prepare(OSTREL, description, one), waits };
    };
    const [a, b, other] = [
      set(1, 'counting-handheld'),
      set(2, 'counting-handheld'),
      set(3, 'cable-handheld'),
    ];
    const kinds = (one: BenchSet) =>
      asksFor(one, [a, b, other], 7).ways.map(({ way, minutes, masterIds }) => [
        way,
        minutes,
        masterIds.length,
      ]);
    expect(kinds(a).map(([way]) => way)).toEqual(['keys', 'file', 'copy']);
    expect(kinds(other)).toEqual([['file', 7, 0]]);
    expect(asksFor(set(4, 'counting-handheld', true), [a], 7)).toMatchObject({ why: 'waits', ways: [] });
    // One that is lost is neither loaded nor copied from.
    const lost = { what: 'condition', is: 'lost', day: '2026-11-24', note: '', by: '', at: '' } as const;
    const away = { ...a, unit: { ...a.unit, timeline: [lost] } } as unknown as BenchSet;
    expect(asksFor(away, [b], 7)).toMatchObject({ why: 'away', ways: [] });
    expect(asksFor(b, [away], 7).ways.map(({ way }) => way)).toEqual(['keys', 'file']);
    expect(benchWays([asksFor(b, [], 7)], [away]).sets.map(({ id }) => id)).toEqual([b.unit.id]);
  });
});
