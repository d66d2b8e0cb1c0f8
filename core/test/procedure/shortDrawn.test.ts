import { columnKeys, columnOfMark, drawnCell, type Run, type ShortColumn } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';

const LEGENDS = { d1: '1', d2: '2', d5: '5', hash: '#', up: 'UP', menu: 'MENU' };
const press = (key: string, times = 1): Run => ({ do: 'press', key, times });
const until = (key: string, ...shows: string[]): Run =>
  ({ do: 'until', key, shows, as: 'words', mean: 3, most: 9 }) as Run;
const cell = (runs: Run[][], value?: string, letters: string[] = []) =>
  ({ does: 'this', runs, value, letters }) as never;
const column = (kind: ShortColumn['kind'], more: object = {}) =>
  ({ kind, field: 'tone', ...more }) as ShortColumn;

describe('what stands in a cell, typed by hand for each kind of column', () => {
  const rows: [string, ShortColumn, never, unknown][] = [
    ['a step left out', column('keys'), { does: 'no-step' } as never, { kind: 'left-out', what: 'step' }],
    [
      'a section left out',
      column('keys'),
      { does: 'no-section' } as never,
      { kind: 'left-out', what: 'section' },
    ],
    ['a tick', column('whether'), cell([[press('menu')]]), { kind: 'done' }],
    [
      'so many presses',
      column('times', { key: 'up' }),
      cell([[press('up', 4)]], '131.8'),
      { kind: 'times', times: 4, value: '131.8' },
    ],
    [
      'no press',
      column('times', { key: 'up' }),
      cell([], '67.0'),
      { kind: 'times', times: 0, value: '67.0' },
    ],
    [
      'figures that are the value',
      column('typed'),
      cell([[press('d1'), press('d2'), press('d5')]], '125'),
      { kind: 'typed', text: '125', value: undefined },
    ],
    [
      'a point that no key types',
      column('typed'),
      cell([[press('d1'), press('d2'), press('d5')]], '12.5'),
      { kind: 'typed', text: '12.5', value: undefined },
    ],
    [
      'figures that read otherwise',
      column('typed'),
      cell([[press('hash'), press('d2')]], 'D002N'),
      { kind: 'typed', text: '#2', value: 'D002N' },
    ],
    [
      'a key without a legend',
      column('typed'),
      cell([[press('side')]]),
      { kind: 'typed', text: 'side', value: undefined },
    ],
    [
      'letters to turn to',
      column('spelt', { key: 'up' }),
      cell([], 'AB', ['A', 'B']),
      { kind: 'spelt', letters: ['A', 'B'] },
    ],
    [
      'what shall be shown',
      column('until', { keys: [{ key: 'up' }] }),
      cell([[until('up', ' 131.8 ')]]),
      { kind: 'until', shows: [['131.8']] },
    ],
    [
      'the first and the last of many',
      column('until', { keys: [{ key: 'up' }] }),
      cell([[until('up', 'ON', 'x', 'DONE'), press('menu')]]),
      { kind: 'until', shows: [['ON', 'DONE'], []] },
    ],
  ];
  it.each(rows)('%s', (_, of, what, drawn) => expect(drawnCell(of, what, LEGENDS)).toEqual(drawn));
  it('where a key types a point, a value with another point is said beside what is typed', () =>
    expect(
      drawnCell(column('typed'), cell([[press('d1'), press('d2')]], '1.2'), { ...LEGENDS, dot: '.' }),
    ).toEqual({
      kind: 'typed',
      text: '12',
      value: '1.2',
    }));
  it('a value that the last keys show already is not said twice', () => {
    const said = (shown: string) =>
      drawnCell(column('keys'), cell([[press('menu'), until('up', shown)]], '131.8'), LEGENDS);
    expect(said('131.8 ')).toMatchObject({ kind: 'keys', value: undefined });
    expect(said('T 131.8')).toMatchObject({ kind: 'keys', value: '131.8' });
    expect(drawnCell(column('keys'), cell([[press('menu')]], '131.8'), LEGENDS)).toMatchObject({
      kind: 'keys',
      value: '131.8',
    });
  });
  it('letters stand each with their own keys', () =>
    expect(
      drawnCell(column('letters'), cell([[press('d2', 3)], [press('d5')]], 'CJ', ['C', 'J']), LEGENDS),
    ).toMatchObject({ kind: 'letters', letters: [{ letter: 'C' }, { letter: 'J' }] }));
});

describe('the keys that a column is about', () => {
  it('are its one key, or its keys one after another with how long each is held', () => {
    expect(columnKeys(column('times', { key: 'up' }))).toEqual([[press('up')]]);
    expect(columnKeys(column('spelt', { key: 'menu' }))).toEqual([[press('menu')]]);
    expect(columnKeys(column('until', { keys: [{ key: 'up', heldMs: 900 }, { key: 'menu' }] }))).toEqual([
      [{ do: 'press', key: 'up', times: 1, heldMs: 900 }],
      [{ do: 'press', key: 'menu', times: 1 }],
    ]);
  });
  it('are none where what is pressed differs, and where there is no column', () => {
    for (const kind of ['typed', 'keys', 'letters', 'whether'] as const)
      expect(columnKeys(column(kind))).toEqual([]);
    expect(columnKeys(undefined)).toEqual([]);
  });
});

describe('which column tells what stands for a mark', () => {
  const step = (section: number, at?: number) =>
    ({ field: 'tone', section, says: [], runs: undefined, column: at }) as never;
  const columns = [column('whether'), column('typed'), column('keys'), column('typed')];
  const steps = [step(1), step(1, 1), step(1), step(1, 2), step(2), step(2, 3), step(3), step(3, 0)];
  const told = (i: number, mark: 'value' | 'typed' | 'mhz' | 'sendMhz' | 'label' = 'value') =>
    columnOfMark({ steps, columns }, steps[i] as never, mark as never);
  it('the step’s own; else the last before it in its section; else the next there; never one of another section', () => {
    expect([0, 1, 2, 3, 4, 5].map((i) => told(i))).toEqual([1, 1, 1, 2, 3, 3]);
  });
  it('a tick tells no value', () => expect([told(6), told(7)]).toEqual([undefined, undefined]));
  it('marks of the value alone: what is about the place stands in the line’s head', () => {
    expect(['value', 'typed', 'mhz', 'sendMhz'].map((mark) => told(0, mark as never))).toEqual([1, 1, 1, 1]);
    expect(told(0, 'label')).toBeUndefined();
  });
});
