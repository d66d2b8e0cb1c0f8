import { nameOn, shortenName, uniqueName } from '@umbrex/core/fit';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';

const UPPER = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789- ';
const MIXED = `${UPPER}abcdefghijklmnopqrstuvwxyz`;

describe('the rule for shorter names (documented in names.ts; common practice)', () => {
  const cases: readonly (readonly [string, number, string, string])[] = [
    ['Watch', 8, MIXED, 'Watch'],
    ['Watch', 8, UPPER, 'WATCH'],
    ['Ridge repeater', 10, MIXED, 'Ridge Rpt'],
    ['North shore', 8, MIXED, 'N shore'],
    ['Gannet Top', 9, MIXED, 'GannetTop'],
    ['Gannet Top', 6, UPPER, 'GNNTTP'],
    ['Ålborg høy', 10, UPPER, 'ALBORG HY'],
    ['!!!', 6, UPPER, 'CH'],
  ];
  for (const [name, length, characters, short] of cases)
    it(`${name} in ${length} → ${short}`, () => expect(shortenName(name, length, characters)).toBe(short));
  it('stays within length and characters, whatever is written', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 40 }),
        fc.integer({ min: 3, max: 12 }),
        (name, length) => {
          const short = shortenName(name, length, UPPER);
          expect(short.length).toBeGreaterThan(0);
          expect(short.length).toBeLessThanOrEqual(length);
          for (const char of short) expect(UPPER).toContain(char);
        },
      ),
      { numRuns: runs(500), seed: 3 },
    );
  });
  it('forty names alike all come out different in seven letters', () => {
    const taken = new Set<string>();
    for (let i = 0; i < 40; i++)
      taken.add(uniqueName(shortenName('Repeater on the long ridge', 7, UPPER), 7, taken, UPPER));
    expect(taken.size).toBe(40);
  });
});

describe('a name on a display', () => {
  const kelp = { name: 'Kelp Stairs repeater', shortNames: ['Kelp', 'KelpSt', 'Kelp Stairs'] };
  it('is the whole one where it fits, else the longest by hand that fits as it is, else made shorter', () => {
    expect([20, 12, 10, 6, 5, 3].map((length) => nameOn(kelp, length, MIXED))).toEqual([
      'Kelp Stairs repeater',
      'Kelp Stairs',
      'KelpSt',
      'KelpSt',
      'Kelp',
      shortenName(kelp.name, 3, MIXED),
    ]);
    expect(nameOn({ ...kelp, shortNames: [] }, 6, MIXED)).toBe(shortenName(kelp.name, 6, MIXED));
    expect(nameOn(kelp, 6, UPPER)).toBe('KELPST');
  });
});
