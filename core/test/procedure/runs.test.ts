import { drawn, pressesOf, type Run, showsWords, turnUntil } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';

describe('what a display shows, as whole words', () => {
  it.each([
    ['67.0', ['167.0'], false],
    ['67.0', ['> 67.0'], true],
    ['5', ['15'], false],
    ['5', ['CODE 5'], true],
    ['CODE >6<', ['CODE >6<'], true],
    ['CODE >6<', ['CODE >16<'], false],
    ['CH >', ['CH >12<'], true],
    ['OFF', ['OFFSET', 'OFF'], true],
    ['ON', ['NONE'], false],
    ['462.5', ['462.5625'], false],
  ])('“%s” on %j: %s', (text, screen, is) => expect(showsWords(screen, text)).toBe(is));
});

describe('turning until something shows', () => {
  /** Turns a wheel from a place as the runs say, and answers where it ends and how often a key was pressed. */
  const turned = (runs: readonly Run[], from: number, count: number, shown: (place: number) => string) => {
    let [at, presses] = [from, 0];
    for (const run of runs) {
      if (run.do !== 'until') throw new Error('not an until');
      while (!run.shows.includes(shown(at))) {
        at = (at + (run.heldMs ? 10 : 1)) % count;
        presses++;
      }
    }
    return { at, presses };
  };
  it.each([2, 7, 23, 51, 122])(
    'comes to every place of %i from every place, in as many presses as it says',
    (count) => {
      const shown = (place: number) => `P${place}`;
      for (const big of [undefined, { by: 10, heldMs: 900 }])
        for (let to = 0; to < count; to++) {
          const runs = turnUntil({ count, up: 'u', big }, to, shown);
          const all = Array.from({ length: count }, (_, from) => turned(runs, from, count, shown));
          expect(all.every(({ at }) => at === to)).toBe(true);
          const { mean, most } = pressesOf(runs);
          expect(mean).toBeCloseTo(all.reduce((sum, { presses }) => sum + presses, 0) / count, 6);
          expect(Math.max(...all.map(({ presses }) => presses))).toBeLessThanOrEqual(most);
        }
    },
  );
  it('holds first where that is shorter on average: 13 presses of 122 places instead of 60.5', () => {
    const wheel = { count: 122, up: 'u', big: { by: 10, heldMs: 900 } };
    expect(turnUntil(wheel, 0, String).map((run) => run.do === 'until' && run.heldMs)).toEqual([
      900,
      undefined,
    ]);
    expect(pressesOf(turnUntil(wheel, 0, String)).mean).toBeLessThan(13);
    expect(pressesOf(turnUntil({ count: 122, up: 'u' }, 0, String)).mean).toBe(60.5);
  });
});

it('drawing, counting and doing come from the same runs', () => {
  const runs: Run[] = [
    { do: 'power' },
    { do: 'press', key: 'k', times: 3 },
    { do: 'press', key: 'k', times: 1, heldMs: 2000, when: 'LOCK' },
    { do: 'wait', ms: 500 },
    { do: 'until', key: 'k', shows: ['1', '2', '3'], as: 'words', mean: 1, most: 2 },
  ];
  expect(drawn(runs, { k: 'KEY' })).toEqual([
    { kind: 'power' },
    { kind: 'key', legend: 'KEY', times: 3 },
    { kind: 'key', legend: 'KEY', times: 1, heldMs: 2000, when: 'LOCK' },
    { kind: 'pause', ms: 500 },
    { kind: 'until', legend: 'KEY', shows: ['1', '3'], mean: 1, most: 2 },
  ]);
  expect(pressesOf(runs)).toEqual({ mean: 5, most: 6 });
});
