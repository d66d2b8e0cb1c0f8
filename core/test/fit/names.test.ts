import { shortenName, uniqueName } from '@umbrex/core/fit';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

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
      { numRuns: 500, seed: 3 },
    );
  });
  it('forty names alike all come out different in seven letters', () => {
    const taken = new Set<string>();
    for (let i = 0; i < 40; i++)
      taken.add(uniqueName(shortenName('Repeater on the long ridge', 7, UPPER), 7, taken));
    expect(taken.size).toBe(40);
  });
});
