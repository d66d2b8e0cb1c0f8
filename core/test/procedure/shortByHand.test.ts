import type { Recipes } from '@umbrex/core/model';
import { type Routine, type Run, type SheetStep, type ShortForm, shortForm } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';

// Small sheets made by hand, and the short form that a person would write of each.

const press = (key: string, times = 1): Run => ({ do: 'press', key, times });
const until = (key: string, ...shows: string[]): Run => ({
  do: 'until',
  key,
  shows,
  as: 'words',
  mean: 3,
  most: 6,
});
const letter = (key: string, shows: string): Run => ({ ...until(key, shows), as: 'beginning' }) as Run;

/** Steps of places one after another; `field/recipe` and what is done. */
type Row = readonly [at: string, runs: readonly Run[], more?: Partial<SheetStep>];
const place = (slotNumber: number | null, rows: readonly Row[], part: SheetStep['part'] = 'work') =>
  rows.map(
    ([at, runs, more], i): SheetStep => ({
      id: `${slotNumber}:${at}:${i}`,
      part,
      slotNumber,
      field: at.split('/')[0] ?? '',
      recipe: at.slice(at.indexOf('/') + 1),
      says: `Do ${at}.`,
      of: {},
      runs,
      promises: undefined,
      hides: undefined,
      ...more,
    }),
  );

const LEGENDS = { d1: '1', d2: '2', d3: '3', up: '▲', set: 'SET', menu: 'MENU' };
const short = (
  steps: readonly SheetStep[],
  windowsMs: (number | undefined)[] = [],
  recipes = {} as Partial<Recipes>,
): ShortForm =>
  shortForm(
    { steps },
    { screens: steps.map((_, i) => [`screen ${i + 1}`]), windowsMs },
    { ...(shipped('page-handheld').recipes as Recipes), ...recipes },
    LEGENDS,
  );
const routineOf = (form: ShortForm): Routine => {
  const [only, ...more] = form.parts;
  expect(more).toEqual([]);
  if (only?.kind !== 'routine') throw new Error(`no routine: ${only?.kind}`);
  return only;
};

describe('parts', () => {
  const open: Row = ['tone/open', [press('menu')]];
  const go = (): Row[] => [['tone/go', [press('set')]], open];
  it('a place alone is written as it is; what is about the whole set stands between; another purpose begins anew', () => {
    const steps = [
      ...place(null, [['/start', [press('menu')]]], 'start'),
      ...place(1, [open]),
      ...place(2, [open]),
      ...place(2, [['name/n', [press('set')]]], 'names'),
      ...place(1, [['name/n', [press('set')]]], 'names'),
      ...place(null, [['beep/set', [press('set')]]], 'settings'),
      ...place(null, [['/end', [press('menu')]]], 'end'),
      ...place(3, [open]),
    ];
    const { parts } = short(steps);
    expect(
      parts.map((one) =>
        one.kind === 'steps'
          ? [one.part, one.slotNumber, one.steps.length]
          : [one.part, one.lines.map(({ slotNumber }) => slotNumber)],
      ),
    ).toEqual([
      ['start', null, 1],
      ['work', [1, 2]],
      ['names', [2, 1]],
      ['settings', null, 1],
      ['end', null, 1],
      ['work', 3, 1],
    ]);
  });
  it('the lines say from which step to which, counted from 1, and what is shown at their end', () => {
    const { lines } = routineOf(short([...place(7, go()), ...place(9, go()), ...place(8, [open])]));
    expect(lines.map(({ slotNumber, from, to, shows }) => [slotNumber, from, to, shows])).toEqual([
      [7, 1, 2, ['screen 2']],
      [9, 3, 4, ['screen 4']],
      [8, 5, 5, ['screen 5']],
    ]);
  });
  it('the time between keys is the least of its own steps, none where nothing waits', () => {
    const steps = [...place(null, [open], 'start'), ...place(1, go()), ...place(2, go())];
    const windowOf = (windows: (number | undefined)[]) => {
      const [, routine] = short(steps, windows).parts;
      return routine?.kind === 'routine' ? routine.windowMs : 'no routine';
    };
    expect(windowOf([100, undefined, 900, 700, undefined])).toBe(700);
    expect(windowOf([100, 300, undefined, undefined, 800])).toBe(300);
    expect(windowOf([100, undefined, undefined, undefined, undefined])).toBeUndefined();
  });
  it('where two places have the same in another order, the second is no line of the first', () => {
    const turned = [...place(1, go()), ...place(2, [...go()].reverse())];
    expect(short(turned).parts.map(({ kind }) => kind)).toEqual(['steps', 'steps']);
  });
});

describe('columns', () => {
  const two = (a: readonly Run[], b: readonly Run[]) =>
    routineOf(short([...place(1, [['tone/t', a]]), ...place(2, [['tone/t', b]])]));
  it.each([
    ['nothing where all are alike', [press('set', 2)], [press('set', 2)], undefined],
    ['so often one key', [press('up', 2)], [press('up', 5)], { kind: 'times', field: 'tone', key: 'up' }],
    ['what is typed', [press('d1'), press('d2')], [press('d3')], { kind: 'typed', field: 'tone' }],
    [
      'a key with a word on it is not typed',
      [press('d1'), press('set')],
      [press('d3')],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'a figure twice is not typed in one',
      [press('d1', 2)],
      [press('d3'), press('d1')],
      { kind: 'keys', field: 'tone' },
    ],
    ['two keys, each so often', [press('up', 2)], [press('set', 5)], { kind: 'keys', field: 'tone' }],
    [
      'keys and more keys',
      [press('up', 2), press('set')],
      [press('up', 3), press('set')],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'held keys are not counted',
      [{ ...press('up'), heldMs: 900 }],
      [{ ...press('up'), heldMs: 2000 }],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'keys with another held down are not counted',
      [{ ...press('up', 2), with: ['set'] }],
      [{ ...press('up', 3), with: ['set'] }],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'keys that are pressed only where it shows something are not counted',
      [{ ...press('up', 2), when: 'ON' }],
      [{ ...press('up', 3), when: 'ON' }],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'turned until',
      [until('up', '45')],
      [until('up', '46')],
      { kind: 'until', field: 'tone', keys: [{ key: 'up', heldMs: undefined }] },
    ],
    [
      'held until',
      [{ ...until('up', '45'), heldMs: 800 }],
      [{ ...until('up', '46'), heldMs: 800 }],
      { kind: 'until', field: 'tone', keys: [{ key: 'up', heldMs: 800 }] },
    ],
    [
      'two turns',
      [until('up', '4'), until('set', '5')],
      [until('up', '1'), until('set', '2')],
      {
        kind: 'until',
        field: 'tone',
        keys: [
          { key: 'up', heldMs: undefined },
          { key: 'set', heldMs: undefined },
        ],
      },
    ],
    [
      'one turn and two',
      [until('up', '4')],
      [until('up', '1'), until('up', '2')],
      { kind: 'keys', field: 'tone' },
    ],
    ['turned by another key', [until('up', '45')], [until('set', '46')], { kind: 'keys', field: 'tone' }],
    [
      'turned until it is read elsewhere',
      [until('up', '45')],
      [{ ...until('up', '46'), as: 'top' } as Run],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'turned, and held',
      [until('up', '45')],
      [{ ...until('up', '46'), heldMs: 800 }],
      { kind: 'keys', field: 'tone' },
    ],
    [
      'a turn and a press',
      [until('up', '45'), press('set')],
      [until('up', '46'), press('set')],
      { kind: 'keys', field: 'tone' },
    ],
    ['waits', [{ do: 'wait', ms: 300 }], [{ do: 'wait', ms: 400 }], { kind: 'keys', field: 'tone' }],
    ['nothing at all and a key', [], [press('up')], { kind: 'typed', field: 'tone' }],
  ] as [string, Run[], Run[], Routine['columns'][number] | undefined][])('%s', (_, a, b, column) => {
    const { columns, steps, lines } = two(a, b);
    expect(columns).toEqual(column ? [column] : []);
    expect(steps).toMatchObject([{ field: 'tone', section: 0, column: column ? 0 : undefined, tail: [] }]);
    expect(steps[0]?.runs).toEqual(column ? undefined : a);
    expect(lines.map(({ cells }) => cells)).toEqual(
      column
        ? [a, b].map((runs) => [{ does: 'this', value: undefined, runs: [runs], letters: [] }])
        : [[], []],
    );
  });

  const name = (key: string, ...letters: string[]) =>
    letters.map((one): Row => ['name/n', [letter(key, one), press('set')], { of: { value: one } }]);
  it('letters: each turned by one key until it shows, and what comes after each is said once', () => {
    const routine = routineOf(short([...place(1, name('up', 'A', 'B')), ...place(2, name('up', 'C'))]));
    expect(routine.columns).toEqual([{ kind: 'spelt', field: 'name', key: 'up' }]);
    expect(routine.steps).toMatchObject([{ tail: [press('set')], runs: undefined, column: 0 }]);
    expect(routine.lines.map(({ cells }) => cells)).toEqual([
      [
        {
          does: 'this',
          value: undefined,
          runs: [[letter('up', 'A')], [letter('up', 'B')]],
          letters: ['A', 'B'],
        },
      ],
      [{ does: 'this', value: undefined, runs: [[letter('up', 'C')]], letters: ['C'] }],
    ]);
  });
  it.each([
    ['two keys turn', [...name('up', 'A'), ...name('menu', 'B')], 'letters'],
    [
      'more than one text ends a turn',
      [['name/n', [{ ...letter('up', 'A'), shows: ['A', 'a'] } as Run]], ...name('up', 'B')],
      'letters',
    ],
    [
      'it is held',
      [
        ['name/n', [{ ...letter('up', 'A'), heldMs: 900 } as Run]],
        ['name/n', [letter('up', 'B')]],
      ],
      'letters',
    ],
    [
      'it is read anywhere',
      [
        ['name/n', [until('up', 'A')]],
        ['name/n', [letter('up', 'B')]],
      ],
      'letters',
    ],
    [
      'a letter has a key more',
      [
        ['name/n', [letter('up', 'A'), press('d1')]],
        ['name/n', [letter('up', 'B')]],
      ],
      'letters',
    ],
    [
      'one key turns all',
      [
        ['name/n', [letter('up', 'A')]],
        ['name/n', [letter('up', 'B')]],
      ],
      'spelt',
    ],
  ] as [string, Row[], string][])('letters, where %s', (_, rows, kind) => {
    const { columns, steps } = routineOf(short([...place(1, rows), ...place(2, rows)]));
    expect(columns).toMatchObject([{ kind }]);
    const lasts = rows.map(([, runs]) => JSON.stringify(runs.at(-1)));
    const tail = rows[0]?.[1].slice(-1);
    expect(steps[0]?.tail).toEqual(new Set(lasts).size === 1 ? tail : []);
  });
  it('the value stands with it where lines differ in it, by the most telling of what is said', () => {
    const at = (slot: number, times: number, of: SheetStep['of']) =>
      place(slot, [['tone/t', [press('up', times)], { of }]]);
    const values = (a: SheetStep['of'], b: SheetStep['of']) =>
      routineOf(short([...at(1, 2, a), ...at(2, 3, b)])).lines.map(({ cells: [cell] }) =>
        cell?.does === 'this' ? cell.value : cell?.does,
      );
    expect(values({ value: '82.5', title: 'Tone' }, { value: '88.5', title: 'Tone' })).toEqual([
      '82.5',
      '88.5',
    ]);
    expect(values({ value: '82.5', title: 'Tone' }, { value: '82.5', title: 'Code' })).toEqual([
      'Tone',
      'Code',
    ]);
    expect(values({ mhz: '462.55', typed: '46255' }, { mhz: '462.6', typed: '46260' })).toEqual([
      '462.55',
      '462.6',
    ]);
    expect(values({ value: 'on' }, { value: 'on' })).toEqual([undefined, undefined]);
    expect(values({ value: 'on' }, {})).toEqual(['on', undefined]);
  });
});

it('steps of two fields are two, also where they come from one step of the recipes', () => {
  const rows: Row[] = [
    ['tone/keep', [press('set')]],
    ['name/keep', [press('up')]],
  ];
  const { steps } = routineOf(short([...place(1, rows), ...place(2, rows)]));
  expect(steps.map(({ field, section }) => [field, section])).toEqual([
    ['tone', 0],
    ['name', 1],
  ]);
});

describe('what some places leave out', () => {
  const head: Row = ['place/go', [press('menu')]];
  it('a whole section: its first step says whether, and a step of it that is missing alone is no step', () => {
    const tone: Row[] = [
      ['tone/open', [press('set')]],
      ['tone/keep', [press('menu', 2)]],
    ];
    const routine = routineOf(
      short([...place(1, [head, ...tone]), ...place(2, [head]), ...place(3, [head, ...tone])]),
    );
    expect(routine.steps.map(({ section, column, runs }) => [section, column, runs])).toEqual([
      [0, undefined, [press('menu')]],
      [1, 0, [press('set')]],
      [1, undefined, [press('menu', 2)]],
    ]);
    expect(routine.columns).toEqual([{ kind: 'whether', field: 'tone' }]);
    expect(routine.lines.map(({ cells }) => cells.map(({ does }) => does))).toEqual([
      ['this'],
      ['no-section'],
      ['this'],
    ]);
  });
  it('a step alone: it gets a column, and the section needs no other', () => {
    const routine = routineOf(
      short([
        ...place(1, [head, ['tone/open', [press('set')]], ['tone/more', [press('up')]]]),
        ...place(2, [head, ['tone/open', [press('set')]]]),
        ...place(3, [head]),
      ]),
    );
    expect(routine.steps.map(({ column }) => column)).toEqual([undefined, undefined, 0]);
    expect(routine.lines.map(({ cells }) => cells.map(({ does }) => does))).toEqual([
      ['this'],
      ['no-step'],
      ['no-section'],
    ]);
  });
  it('the first section too, and one that comes twice is two', () => {
    const more: Row = ['place/back', [press('menu')]];
    const tone: Row = ['tone/open', [press('set')]];
    const routine = routineOf(short([...place(1, [head, tone, more]), ...place(2, [tone, more])]));
    expect(routine.steps.map(({ field, section }) => [field, section])).toEqual([
      ['place', 0],
      ['tone', 1],
      ['place', 2],
    ]);
    expect(routine.lines.map(({ cells }) => cells.map(({ does }) => does))).toEqual([
      ['this'],
      ['no-section'],
    ]);
  });
  it('a step that comes twice is two steps; of two orders that both will do the one that goes on is taken', () => {
    const a: Row = ['tone/a', [press('set')]];
    const b: Row = ['name/b', [press('up')]];
    const c: Row = ['name/c', [press('menu')]];
    const twice = routineOf(short([...place(1, [a, b, a]), ...place(2, [a, b, a])]));
    expect(twice.steps.map(({ field }) => field)).toEqual(['tone', 'name', 'tone']);
    const two = routineOf(short([...place(1, [a, c]), ...place(2, [b, c]), ...place(3, [a, c])]));
    expect(two.steps.map(({ runs, column }) => [runs, column])).toEqual([
      [[press('set')], 0],
      [[press('up')], 1],
      [[press('menu')], undefined],
    ]);
  });
});

describe('words', () => {
  const recipes = shipped('page-handheld').recipes as Recipes;
  const [at, step] = Object.entries(recipes.set).flatMap(([field, steps]) =>
    steps.flatMap((one, i) =>
      /^[^{]+\{value\}[^{]*$/.test(one.says ?? '') ? [[`/recipes/set/${field}/${i}`, one] as const] : [],
    ),
  )[0] ?? ['', undefined];
  it('are said once where they are alike, promises too', () => {
    const rows = (promises: string): Row[] => [
      ['tone/none', [press('set')], { says: 'Press SET.', promises }],
    ];
    const [same] = routineOf(short([...place(1, rows('ON')), ...place(2, rows('ON'))])).steps;
    expect(same).toMatchObject({ says: ['Press SET.'], promises: 'ON' });
    const [other] = routineOf(short([...place(1, rows('ON')), ...place(2, rows('OFF'))])).steps;
    expect(other?.promises).toBeUndefined();
  });
  it('that differ are those of the recipe, with a mark for what differs', () => {
    if (!step) throw new Error('a step with one value in its words');
    const rows = (value: string): Row[] => [
      [`tone/${at}`, [press('set')], { says: step.says?.replace('{value}', value) ?? '', of: { value } }],
    ];
    const [before = '', after = ''] = step.says?.split('{value}') ?? [];
    const [said] = routineOf(short([...place(1, rows('7')), ...place(2, rows('8'))])).steps;
    expect(said?.says).toEqual([before, { mark: 'value' }, ...(after === '' ? [] : [after])]);
    // A mark at the beginning and one at the end; what is the same at every place is said, also by a mark.
    const own = {
      set: { own: [{ do: 'press', key: 'set', says: '{value} of {title} in {item}' }] },
    } as never;
    const both = (value: string, item: string): Row[] => [
      [
        'tone//recipes/set/own/0',
        [press('set')],
        { says: `${value} of Tone in ${item}`, of: { value, title: 'Tone', item } },
      ],
    ];
    const [words] = routineOf(
      short([...place(1, both('7', 'A')), ...place(2, both('8', 'B'))], [], own),
    ).steps;
    expect(words?.says).toEqual([{ mark: 'value' }, ' of Tone in ', { mark: 'item' }]);
    // Of a recipe that nobody knows the words of the first place stand.
    const unknown = (says: string): Row[] => [['tone/no-such', [press('set')], { says }]];
    const [first] = routineOf(
      short([...place(1, unknown('Press 1.')), ...place(2, unknown('Press 2.'))]),
    ).steps;
    expect(first?.says).toEqual(['Press 1.']);
  });
});
