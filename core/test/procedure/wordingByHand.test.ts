import { type Recipes, slotsOf, writtenLists } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { recipePaths } from '../../src/procedure/recipePaths';
import { type About, Wording } from '../../src/procedure/wording';
import { mobile } from '../support/mobile';

// What the marks of a recipe's texts are filled with, by hand, on the mobile.

const set = mobile((raw) => {
  // What is looked for by what it holds need not stand first.
  raw.fields.reverse();
});
const slots = slotsOf(set);
const recipes = { items: { enc: { number: '2', title: 'T-TONE', place: 1 } } } as unknown as Recipes;
const wording = new Wording(set, recipes, slots, writtenLists(set));
const about = (field: string, more: Partial<About> = {}): About => ({
  slot: slots.find(({ number }) => number === 12) as About['slot'],
  to: { rx: 462_700_000, off: 1, enc: 3, name: 'ABE' },
  before: { enc: 1 },
  field,
  belongsTo: 12,
  ...more,
});

describe('words', () => {
  it.each<[string, About, string, string]>([
    ['a place', about('enc'), '{number} {number3} {label} {position2}', '12 012 12 02'],
    ['an item', about('enc'), '{item} {title}', '2 T-TONE'],
    ['a field without an item by its own name', about('pow'), '{item}|{title}', '|pow'],
    ['a value of a list, and what is there', about('enc'), '{now} > {value}', '67.0 > 77.0'],
    ['a value of no list', about('name'), '{value}', 'ABE'],
    ['a frequency', about('rx'), '{mhz}', '462.7000'],
    ['the one it sends on', about('off'), '{sendMhz}', '467.7000'],
    ['none at all', about('rx', { to: { rx: 0 } }), '{mhz}', '0.0000'],
    ['the first place of its bank', about('enc'), '{firstLabel}', '11'],
  ])('%s', (_, of, text, words) => expect(wording.fill(text, of)).toBe(words));
  it('letters that somebody gives, also where nobody knows the place', () =>
    expect(wording.fill('{letters}', about('name', { isAnywhere: true }), { letters: 'AB' })).toBe('AB'));
});

describe('promises', () => {
  it('are kept to what is known and can be seen, without what stands around it', () => {
    expect(wording.promise('>{value} ', about('enc'))).toBe('>77.0');
    expect(wording.promise(undefined, about('enc'))).toBeUndefined();
  });
  it.each<[string, About, string, Record<string, string>?]>([
    ['nothing', about('enc'), ''],
    ['what is there, where nobody knows it', about('enc', { before: {} }), '{now}'],
    ['a place, where nobody knows on which one it stands', about('enc', { isAnywhere: true }), '{label}'],
    ['the first of its bank neither', about('enc', { isAnywhere: true }), '{firstLabel}'],
    ['a blank', about('name'), '>{draft}<', { draft: '  ' }],
    ['nothing in its place', about('name'), '>{draft}<', { draft: '' }],
  ])('not %s', (_, of, text, more) => expect(wording.promise(text, of, more)).toBeUndefined());
});

it('a step is found also where a setting is called like its action', () => {
  const step = { do: 'press', key: 'ok', says: 'Press OK' };
  const called = { settings: { do: [step] }, open: [{ ...step }] } as unknown as Recipes;
  expect([...recipePaths(called).values()]).toEqual(['/recipes/settings/do/0', '/recipes/open/0']);
});
