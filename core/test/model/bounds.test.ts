import { readDescription } from '@umbrex/core/formats';
import { DescriptionSchema, PlanSchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { OSTREL } from '../support/plans';

// biome-ignore lint/suspicious/noExplicitAny: documents are spoilt on purpose
type Spoilt = any;
const paths = (change: (description: Spoilt) => unknown, id = 'guided-handheld') => {
  const document: Spoilt = shipped(id);
  change(document);
  const read = readDescription(JSON.stringify(document));
  return read.findings.map(({ path }) => path);
};
const region = (i: number) => ({
  id: `r${i}`,
  title: 'R',
  first: i,
  count: 10_000,
  size: 10_000,
  stride: 10_000,
  banks: [],
  label: '{number}',
  content: { kind: 'free' },
  ways: [],
});

describe('a description is bounded in all', () => {
  it('the shipped ones are well within it', () => {
    for (const description of SHIPPED) expect(DescriptionSchema.safeParse(description).success).toBe(true);
  });
  it.each([
    ['places, region by region', (d: Spoilt) => d.regions.push(region(1), region(2)), '/regions'],
    [
      'regions',
      (d: Spoilt) =>
        d.regions.push(...Array.from({ length: 60 }, (_, i) => ({ ...region(i), count: 1, size: 1 }))),
      '/regions',
    ],
    [
      'lists',
      (d: Spoilt) =>
        Object.assign(
          d.lists,
          Object.fromEntries(
            Array.from({ length: 200 }, (_, i) => [
              `l${i}`,
              [{ kind: 'items', items: [{ shown: 'A', means: 1 }] }],
            ]),
          ),
        ),
      '/lists',
    ],
    [
      'keys',
      (d: Spoilt) =>
        Object.assign(d.keys, Object.fromEntries(Array.from({ length: 200 }, (_, i) => [`k${i}`, 'K']))),
      '/keys',
    ],
    [
      'fields',
      (d: Spoilt) =>
        d.fields.push(...Array.from({ length: 60 }, (_, i) => ({ ...d.fields[0], id: `f${i}` }))),
      '/fields',
    ],
    [
      'modes',
      (d: Spoilt) =>
        Object.assign(
          d.behaviour.modes,
          Object.fromEntries(Array.from({ length: 200 }, (_, i) => [`m${i}`, { screen: ['X'], on: [] }])),
        ),
      '/behaviour/modes',
    ],
    [
      'rows of a mode',
      (d: Spoilt) =>
        d.behaviour.modes.standby.on.push(...Array.from({ length: 200 }, () => ({ keys: ['up'] }))),
      '/behaviour/modes/standby/on',
    ],
    [
      'actions of a row',
      (d: Spoilt) =>
        Object.assign(d.behaviour.modes.standby.on[0], {
          do: Array.from({ length: 21 }, () => ({ act: 'clearEntry' })),
        }),
      '/behaviour/modes/standby/on/0/do',
    ],
    [
      'steps of a task',
      (d: Spoilt) => d.recipes.open.push(...Array.from({ length: 40 }, () => d.recipes.open[0])),
      '/recipes/open',
    ],
    [
      'digits of a frequency',
      (d: Spoilt) => Object.assign(d.behaviour, { frequencyEntry: { digits: 1_000_000_000, unitHz: 1 } }),
      '/behaviour/frequencyEntry/digits',
    ],
    [
      'letters of a wheel',
      (d: Spoilt) => Object.assign(d.recipes, { letterWheel: 'A'.repeat(101) }),
      '/recipes/letterWheel',
    ],
  ])('%s', (_, change, path) => expect(paths(change)).toContain(path));
});

/** What every object answers to, whether anybody wrote it or not. */
const COMMON = ['constructor', 'toString', 'valueOf', 'hasOwnProperty', 'isPrototypeOf', 'toLocaleString'];
describe('the name of a property that every object has is the name of nothing in a description', () => {
  it.each(COMMON)('%s', (name) => {
    expect(paths((d) => Object.assign(d.lists, { [name]: d.lists.power }))).not.toEqual([]);
    expect(paths((d) => Object.assign(d.fields[0], { list: name }))).toContain('/fields/0/list');
    expect(paths((d) => Object.assign(d.fields[0], { id: name }))).toContain('/fields/0/id');
    expect(paths((d) => Object.assign(d.keys, { [name]: 'X' }))).not.toEqual([]);
    expect(paths((d) => Object.assign(d.behaviour.modes.standby.on[0], { go: name }))).toContain(
      '/behaviour/modes/standby/on/0/go',
    );
    expect(paths((d) => Object.assign(d.behaviour.modes, { [name]: { screen: ['X'], on: [] } }))).not.toEqual(
      [],
    );
    expect(
      paths((d) => Object.assign(d, { operatorTone: { reach: 'both', sticky: true, list: name } })),
    ).not.toEqual([]);
  });
  it('nor is it the id of a kind', () =>
    expect(paths((d) => Object.assign(d, { id: 'constructor' }))).toContain('/id'));
  it('nor a property that is read from a file as the parent of all', () => {
    const text = JSON.stringify(shipped('guided-handheld')).replace(
      '"lists":{',
      '"lists":{"__proto__":[{"kind":"items","items":[]}],',
    );
    const read = readDescription(text);
    expect(read.ok && Object.keys(read.value.lists)).toEqual(Object.keys(shipped('guided-handheld').lists));
    expect(({} as Record<string, unknown>).kind).toBeUndefined();
  });
});

describe('a weather frequency is no area code', () => {
  const areas = (code: string) =>
    PlanSchema.safeParse({
      ...OSTREL,
      alerts: { areas: [code], reach: 'list', weatherHz: 'unknown', silent: [] },
    }).success;
  it.each(['162400', '162425', '162550'])('%s is refused', (code) => expect(areas(code)).toBe(false));
  // State 62 there is none; 61 and 63 neither, but tables age, and those are no frequencies.
  it.each(['162300', '161475', '163550', '099001', '139035', '000000'])('%s may stand', (code) =>
    expect(areas(code)).toBe(true),
  );
});
