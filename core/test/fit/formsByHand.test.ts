import { inCharacters, namesTogether, shortForms, spellable } from '@umbrex/core/fit';
import { describe, expect, it } from 'vitest';
import { nameForms } from '../../src/fit/nameForms';
import { channel } from '../support/plans';

// Short forms with what each costs, reckoned on paper from the table of costs in `shortForms.ts`, in tenths of a point; the rounding is
// that of the tenths.

const UPPER = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const DIGITS = '0123456789';
const BOTH = `${UPPER}${UPPER.toLowerCase()}`;

/** The ways to write a name, as text and tenths. */
const ways = (name: string, length: number, characters: string) =>
  shortForms(name, length, characters).map(({ text, cost }) => [text, cost]);

describe('a text in the characters of a set', () => {
  it('without accents, in the case there is, with one space for several and none at its ends', () => {
    expect(inCharacters('  HÉL  LO ☃', 'helo ')).toBe('hel lo');
    expect(inCharacters('hél\tlo', 'HELO ')).toBe('HELLO');
  });
});

describe('every way to write a name, with its cost', () => {
  it.each<[string, number, string, string, [string, number][]]>([
    ['a name that fits is all there is', 3, UPPER, 'ABC', [['ABC', 0]]],
    ['nothing that the set can show: its first letter, where it has no CH', 5, 'XYZ', '☃', [['X', 0]]],
    // (12 + 36·3/7)·1.3; three letters or fewer of what is cut by more than 40 are bare.
    [
      'beginnings',
      4,
      UPPER,
      'ABCDEFG',
      [
        ['ABCD', 357],
        ['ABC', 673],
        ['AB', 870],
        ['A', 1132],
      ],
    ],
    [
      'a word without its vowels, from the end: 14 and 9 for each, at the first word a third more',
      4,
      UPPER,
      'BACAD',
      [
        ['BACA', 289],
        ['BACD', 299],
        ['BAC', 343],
        ['BCD', 666],
        ['BA', 856],
        ['B', 1066],
      ],
    ],
    ['figures are whole or cut anywhere', 4, DIGITS, '4627250', [['4627', 4000]]],
    [
      'without its point, or what is behind it',
      6,
      `${DIGITS}.`,
      '462.725',
      [
        ['462725', 60],
        ['725', 220],
        ['462.72', 4000],
      ],
    ],
    [
      'what is behind a point, of numbers alone',
      4,
      `X${DIGITS}.`,
      'X1.25',
      [
        ['X125', 60],
        ['X1.2', 4000],
      ],
    ],
    [
      'and nothing behind that',
      4,
      `X${DIGITS}.`,
      '1.25X',
      [
        ['125X', 60],
        ['1.25', 4000],
      ],
    ],
    ['one number of two, and no space at its end', 3, `${DIGITS} `, '12 4627250', [['12', 3250]]],
    [
      'as hard: by their letters',
      2,
      DIGITS,
      '12 34',
      [
        ['12', 3250],
        ['34', 3250],
      ],
    ],
    [
      'as hard: whichever comes first',
      2,
      DIGITS,
      '34 12',
      [
        ['12', 3250],
        ['34', 3250],
      ],
    ],
    [
      'as hard: the longer one first',
      3,
      DIGITS,
      '12 345',
      [
        ['345', 3250],
        ['12', 3250],
        ['123', 4000],
      ],
    ],
    [
      'a number in words is a figure, and is not left out',
      3,
      `${BOTH}${DIGITS} `,
      'Q Two',
      [
        ['Q 2', 20],
        ['Q2', 30],
        ['Two', 1000],
        ['2', 1020],
        ['Q', 3250],
        ['Q T', 4000],
      ],
    ],
  ])('%s', (_, length, characters, name, wanted) => expect(ways(name, length, characters)).toEqual(wanted));

  it.each<[string, number, string, string, [string, number]]>([
    ['two words together, told apart by a capital', 7, `${BOTH} `, 'old mill', ['oldMill', 10]],
    ['by nothing where there is no case', 7, `${UPPER} `, 'OLD MILL', ['OLDMILL', 30]],
    ['by a figure behind', 6, `${UPPER}${DIGITS} `, 'MILL 22', ['MILL22', 10]],
    ['by a figure before', 7, `${UPPER}${DIGITS} `, 'AA2 MILL', ['AA2MILL', 10]],
    ['no word that nobody wrote', 18, `${UPPER} `, 'ABCDEFGHIJKLMNOPQRS', ['ABCDEFGHIJKLMNOPQR', 181]],
    // (12 + 36·6/10)·1.3 and 8 for four letters.
    ['four letters of ten are nearly bare', 4, UPPER, 'ABCDEFGHIJ', ['ABCD', 517]],
  ])('the best one: %s', (_, length, characters, name, best) =>
    expect(ways(name, length, characters)[0]).toEqual(best),
  );

  // 12 + 36/4, and 12 since it is a short word.
  it('behind a space a word stays as it is', () =>
    expect(ways('big milk', 7, `${BOTH} `)).toContainEqual(['big mil', 330]));
  it('a word that the set cannot show counts for nothing, also as the first one', () =>
    expect(ways('☃☃ Harbor', 4, `${BOTH} `)).toEqual(ways('Harbor', 4, `${BOTH} `)));
  it('eight ways at most', () => expect(ways('Cedar Bottom Farm Annex', 7, `${BOTH} `)).toHaveLength(8));
});

describe('what a channel may be called', () => {
  const rule = { length: 6, characters: `${UPPER}${DIGITS} ` };
  const forms = (name: string, shortNames: string[]) => nameForms({ id: '1', name, shortNames }, rule);
  it('what somebody wrote goes first, the longest before the others, as far as it fits', () => {
    const texts = forms('HOLLOW RIDGE', ['HR', 'HOLRDG', 'TOO LONG FOR IT', '☃']).map(({ text }) => text);
    expect(texts.slice(0, 2)).toEqual(['HOLRDG', 'HR']);
    expect(texts.filter((text) => text === '' || text.length > 6 || text.startsWith('TOO'))).toEqual([]);
  });
  it('each of its letters left open, but for figures and letters that stand alone', () =>
    expect(forms('A 2BC', [])).toEqual([
      { text: 'A 2BC', cost: -3000, open: ['A\u00002BC', 'A 2\u0000C', 'A 2B\u0000'] },
    ]));
});

describe('the names of a plan together', () => {
  it('what gets no name of its own takes the first that is free, and is told where there is none', () => {
    const wanted = channel('BA', 462, 462, { id: 'ba', shortNames: ['AA'] });
    const alike = [1, 2, 3, 4].map((n) => channel('AB', 462, 462, { id: `${n}` }));
    const names = [...namesTogether([wanted, ...alike], { length: 2, characters: 'AB' }).values()];
    expect(names.map(({ text, isTwice }) => `${text}${isTwice ? ' twice' : ''}`).toSorted()).toEqual([
      'AA',
      'AB',
      'AB twice',
      'BA',
      'BB',
    ]);
  });
});

describe('the letters that a set’s keys can spell', () => {
  const NAMES = { length: 4, characters: 'ABC' };
  const FIELDS = [{ id: 'name', title: 'Name', holds: 'name', factory: '' }];
  // biome-ignore lint/suspicious/noExplicitAny: no more of a description than is asked for
  const of = (set: Record<string, object[]>, letterWheel: string, fields: any = FIELDS) =>
    // biome-ignore lint/suspicious/noExplicitAny: the same
    spellable({ names: NAMES, fields, recipes: { set, letterWheel } as any });
  it('are those of its wheel, where one of its steps turns that', () => {
    expect(of({ name: [{ do: 'press' }, { do: 'wheelName' }] }, 'CBX')).toEqual({
      length: 4,
      characters: 'BC',
    });
    expect(of({ name: [{ do: 'wheelName' }] }, 'X')).toBe('none');
  });
  it('are all of its letters where they are entered in another way, or by nothing that somebody described', () => {
    expect(of({ name: [{ do: 'type' }] }, '')).toEqual(NAMES);
    expect(of({}, '')).toEqual(NAMES);
    expect(of({}, '', [])).toEqual(NAMES);
  });
});
