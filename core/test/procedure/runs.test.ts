import { drawn, pressesOf, type Run, showsWords, turnUntil } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { doRuns, handMs } from '../../src/procedure/runs';

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

describe('how long a hand needs', () => {
  const press = (times: number, heldMs?: number): Run => ({
    do: 'press',
    key: 'u',
    times,
    ...(heldMs !== undefined && { heldMs }),
  });
  const until = (mean: number, heldMs?: number): Run => ({
    do: 'until',
    key: 'u',
    shows: ['5'],
    as: 'words',
    mean,
    most: 9,
    ...(heldMs !== undefined && { heldMs }),
  });
  // A press is 120 ms, switching off and on 3 s (`events.ts`); 100 ms between two keys.
  it.each([
    ['nothing', [], 0],
    ['one press', [press(1)], 120],
    ['three', [press(3)], 3 * 120 + 2 * 100],
    ['a key that is held', [press(2, 1000)], 2 * 1000 + 100],
    ['a pause and a press', [{ do: 'wait', ms: 500 }, press(1)], 500 + 120 + 100],
    ['turned four times on average', [until(4)], 4 * 120 + 3 * 100],
    ['held and turned', [until(2, 800), press(1)], 2 * 800 + 120 + 2 * 100],
    ['switched off and on, then a press', [{ do: 'power' }, press(1)], 3000 + 120],
  ] as [string, Run[], number][])('for %s', (_, runs, ms) => expect(handMs(runs, 100)).toBe(ms));
});

describe('a hand that reads the display', () => {
  /** Does runs at a wheel of ten that each press turns on, or back with the other key down, and writes down what happens. */
  const done = (runs: readonly Run[], from = 0) => {
    let at = from;
    const log: string[] = [];
    const stuck = doRuns(
      runs,
      (event) => {
        log.push(
          event.kind === 'wait' ? `${event.ms}` : 'key' in event ? `${event.kind} ${event.key}` : event.kind,
        );
        if (event.kind === 'key') at = (at + 1) % 10;
      },
      () => [`AT ${at}`],
      70,
    );
    return { at, stuck, log: log.join(', ') };
  };
  it('waits between two keys, and before none', () => {
    expect(done([{ do: 'press', key: 'u', times: 2 }]).log).toBe('key u, 70, key u');
    expect(done([{ do: 'press', key: 'u', times: 1, with: ['f'] }]).log).toBe('down f, key u, up f');
    expect(
      done([
        { do: 'wait', ms: 500 },
        { do: 'press', key: 'u', times: 1 },
      ]).log,
    ).toBe('500, 70, key u');
    expect(
      done([
        { do: 'press', key: 'u', times: 1 },
        { do: 'wait', ms: 500 },
      ]).log,
    ).toBe('key u, 70, 500');
    expect(done([{ do: 'power' }, { do: 'press', key: 'u', times: 1 }]).log).toBe('power, 3000, key u');
  });
  it('presses only where it shows what it is to show', () => {
    expect(done([{ do: 'press', key: 'u', times: 2, when: 'AT 0' }]).at).toBe(2);
    expect(done([{ do: 'press', key: 'u', times: 2, when: 'AT 5' }])).toMatchObject({ at: 0, log: '' });
  });
  it('turns until it is there, not once where it is, and says what never came', () => {
    const to = (shows: string[], most: number): Run => ({
      do: 'until',
      key: 'u',
      shows,
      as: 'words',
      mean: 1,
      most,
    });
    expect(done([to(['AT 3'], 3)])).toEqual({ at: 3, stuck: null, log: 'key u, 70, key u, 70, key u' });
    expect(done([to(['AT 3'], 2)])).toMatchObject({ at: 2, stuck: 'AT 3' });
    expect(done([to(['AT 0'], 9)])).toMatchObject({ at: 0, stuck: null, log: '' });
    expect(done([to(['ON', 'OFF'], 2), { do: 'press', key: 'u', times: 1 }])).toMatchObject({
      at: 2,
      stuck: 'OFF',
    });
  });
});

it('is drawn by the legends of the keys: a turn by its first and its last text, what is not there by no word', () => {
  const legends = { u: '▲', f: 'F' };
  expect(
    drawn(
      [
        { do: 'press', key: 'u', times: 2, heldMs: 900, with: ['f', 'x'], when: 'ON' },
        { do: 'press', key: 'x', times: 1 },
        { do: 'until', key: 'u', shows: ['1', '2', '3'], as: 'words', mean: 2, most: 4 },
        { do: 'until', key: 'u', heldMs: 900, shows: ['1'], as: 'words', mean: 2, most: 4 },
        { do: 'wait', ms: 5 },
        { do: 'power' },
      ],
      legends,
    ),
  ).toStrictEqual([
    { kind: 'key', legend: '▲', with: ['F', 'x'], times: 2, heldMs: 900, when: 'ON' },
    { kind: 'key', legend: 'x', times: 1 },
    { kind: 'until', legend: '▲', shows: ['1', '3'], mean: 2, most: 4 },
    { kind: 'until', legend: '▲', heldMs: 900, shows: ['1'], mean: 2, most: 4 },
    { kind: 'pause', ms: 5 },
    { kind: 'power' },
  ]);
});
