import {
  type Between,
  deafWhile,
  duringChange,
  hearMatrix,
  hearsOn,
  islandsOf,
  reachesOf,
  type SetOnAir,
} from '@umbrex/core/air';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';

const [OUT, IN] = [462_650_000, 467_650_000];
const TONES = ['off', '100.0', '131.8'];
const anySet: fc.Arbitrary<SetOnAir> = fc.record({
  isOn: fc.constantFrom<SetOnAir['isOn']>(true, true, true, false),
  place: fc.option(
    fc.record({
      kind: fc.constant('channel' as const),
      receiveHz: fc.constantFrom(OUT, OUT, IN),
      transmitHz: fc.constantFrom(IN, IN, OUT, null),
      transmitTone: fc.constantFrom(...TONES),
      receiveTone: fc.constantFrom(...TONES),
    }),
    { freq: 8 },
  ),
  maySend: fc.constantFrom<SetOnAir['maySend']>(true, true, true, false, 'unknown'),
  picked: fc.constant('off' as const),
  mode: fc.constant('FM'),
});
const anyRepeater: fc.Arbitrary<Between> = fc.record({
  inputHz: fc.constant(IN),
  outputHz: fc.constant(OUT),
  inputTone: fc.constantFrom(...TONES),
  outputTone: fc.constantFrom(...TONES),
  answer: fc.constant('unknown'),
  talkLimitS: fc.constant('unknown' as const),
  status: fc.constantFrom('on-air', 'on-air', 'unknown', 'gone'),
});
const anyRepeaters = fc.array(anyRepeater, { maxLength: 2 });
const loaded = (transmitTone: string, receiveTone = 'off'): SetOnAir => ({
  isOn: true,
  place: { kind: 'channel', receiveHz: OUT, transmitHz: OUT, transmitTone, receiveTone },
  maySend: true,
  picked: 'off',
  mode: 'FM',
});

describe('a matrix of who hears whom', () => {
  it('is the one function over all pairs', () => {
    fc.assert(
      fc.property(fc.array(anySet, { maxLength: 7 }), anyRepeaters, (sets, repeaters) => {
        const { at } = hearMatrix(sets, repeaters);
        for (const [i, a] of sets.entries())
          for (const [j, b] of sets.entries()) expect(at(i, j)).toEqual(hearsOn(a, b, repeaters));
      }),
      { numRuns: runs(300) },
    );
  });
  it('counts what is in it: who hears one, whom it hears, and whom only a repeater brings', () => {
    fc.assert(
      fc.property(fc.array(anySet, { minLength: 1, maxLength: 7 }), anyRepeaters, (sets, repeaters) => {
        const matrix = hearMatrix(sets, repeaters);
        for (const of of sets.keys()) {
          const others = [...sets.keys()].filter((i) => i !== of);
          const row = others.map((i) => matrix.at(of, i));
          const { heardBy, hears, unknown, onlyThrough } = reachesOf(of, sets.length, matrix);
          expect(heardBy).toBe(row.filter((pair) => pair.hears === true).length);
          expect(unknown).toBe(row.filter((pair) => pair.hears === 'unknown').length);
          expect(hears).toBe(others.filter((i) => matrix.at(i, of).hears === true).length);
          const through = [...onlyThrough.values()].reduce((sum, one) => sum + one, 0);
          expect(through).toBe(row.filter((pair) => pair.hears === true && pair.way === 'repeater').length);
        }
      }),
      { numRuns: runs(200) },
    );
  });
  it('falls into islands: within one a path of calls leads from each to each, between two none', () => {
    fc.assert(
      fc.property(fc.array(anySet, { maxLength: 8 }), anyRepeaters, (sets, repeaters) => {
        const matrix = hearMatrix(sets, repeaters);
        const islands = islandsOf(sets.length, matrix);
        expect(islands.flatMap(({ members }) => members).toSorted((a, b) => a - b)).toEqual([...sets.keys()]);
        const meets = (i: number, j: number) =>
          matrix.at(i, j).hears === true || matrix.at(j, i).hears === true;
        for (const { members } of islands) {
          const seen = new Set(members.slice(0, 1));
          for (const one of seen) for (const j of sets.keys()) if (j !== one && meets(one, j)) seen.add(j);
          expect([...seen].toSorted((a, b) => a - b)).toEqual(members);
        }
      }),
      { numRuns: runs(200) },
    );
  });
  it('says of two repeaters on one pair which one lets a call through, and of none how far it came', () => {
    const between = (inputTone: string): Between => ({
      inputHz: IN,
      outputHz: OUT,
      inputTone,
      outputTone: 'off',
      answer: 'unknown',
      talkLimitS: 'unknown',
      status: 'on-air',
    });
    const a: SetOnAir = {
      ...loaded('131.8'),
      place: { ...(loaded('131.8').place as object), transmitHz: IN } as never,
    };
    expect(hearsOn(a, a, [between('100.0'), between('131.8')])).toMatchObject({ hears: true, through: 1 });
    expect(hearsOn(a, a, [{ ...between('131.8'), status: 'gone' }, between('100.0')])).toMatchObject({
      hears: false,
      gate: 'input-tone',
      through: 1,
    });
  });
});

describe('while a fleet changes', () => {
  it('one that is to wait for a tone is loaded after all that are to send it', () => {
    const before = [loaded('off'), loaded('off'), loaded('off')];
    const after = [loaded('100.0', '100.0'), loaded('100.0', '100.0'), loaded('100.0', '100.0')];
    // Each waits for what none of the others sends yet: there is no order, they go at once.
    expect(duringChange(before, after, []).order).toEqual([[0, 1, 2]]);
    // Tones that are sent first and waited for in a second change: any order, nobody is deaf.
    const between = before.map(() => loaded('100.0'));
    expect(duringChange(before, between, [])).toEqual({ deaf: [], order: [[0], [1], [2]] });
    expect(duringChange(between, after, [])).toEqual({ deaf: [], order: [[0], [1], [2]] });
    // Only the first is to wait: it comes last.
    expect(duringChange(before, [after[0] as SetOnAir, loaded('100.0'), loaded('100.0')], []).order).toEqual([
      [1],
      [2],
      [0],
    ]);
  });
  it('the order keeps everybody hearing who hears before and after, wherever it stops; and no finer one does', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anySet, anySet), { minLength: 1, maxLength: 5 }),
        anyRepeaters,
        (pairs, repeaters) => {
          const [before, after] = [pairs.map(([one]) => one), pairs.map(([, two]) => two)];
          const change = duringChange(before, after, repeaters);
          const deafWith = (isLoaded: (i: number) => boolean) => {
            const now = pairs.map(([old, young], i) => (isLoaded(i) ? young : old));
            const count = pairs.length;
            let deaf = 0;
            for (let i = 0; i < count; i++)
              for (let j = 0; j < count; j++) {
                const hears = (sets: readonly SetOnAir[]) =>
                  hearsOn(sets[i] as SetOnAir, sets[j] as SetOnAir, repeaters).hears === true;
                if (i !== j && hears(before) && hears(after) && !hears(now)) deaf++;
              }
            return deaf;
          };
          const done = new Set<number>();
          for (const group of change.order) {
            for (const one of group) done.add(one);
            expect(deafWith((i) => done.has(i))).toBe(0);
          }
          const changing = change.order.flat();
          expect(new Set(changing).size).toBe(changing.length);
          // Of every set of loaded ones the same is said by looking.
          for (let mask = 0; mask < 1 << pairs.length; mask++) {
            const isLoaded = (i: number) => (mask & (1 << i)) !== 0;
            expect(deafWhile(change, isLoaded).length).toBe(deafWith(isLoaded));
          }
          // A group of several has no order of its own: in each some of it would be deaf at one moment.
          for (const group of change.order.filter(({ length }) => length > 1)) {
            const earlier = change.order.slice(0, change.order.indexOf(group)).flat();
            for (const order of permutations(group)) {
              const moments = order
                .slice(0, -1)
                .map((_, k) => new Set([...earlier, ...order.slice(0, k + 1)]));
              expect(moments.some((those) => deafWith((i) => those.has(i)) > 0)).toBe(true);
            }
          }
        },
      ),
      { numRuns: runs(150) },
    );
  });
});

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length <= 1) return [[...items]];
  return items.flatMap((item, i) => permutations(items.toSpliced(i, 1)).map((rest) => [item, ...rest]));
}
