import { describe, expect, it } from 'vitest';
import { firstFree, marked } from '../../src/fit/nameMarks';

// Figures behind names that would be alike: by hand.

const FIGURES = { length: 6, characters: 'ABCDEFGHIJ0123456789' };

describe('the first marked form that nobody has', () => {
  it('counts from 2, and goes on where the figures end', () => {
    const taken = new Set<string>();
    const given = Array.from({ length: 10 }, () => {
      const one = firstFree('HIDE', FIGURES, taken) as string;
      taken.add(one);
      return one;
    });
    expect(given).toEqual([...'23456789'].map((n) => `HIDE${n}`).concat('HIDE10', 'HIDE11'));
  });
  it('takes the place of the last letters where there is no room behind', () =>
    expect(firstFree('ABCDEF', FIGURES, new Set(['ABCDE2', 'ABCDE4']))).toBe('ABCDE3'));
  it('is in letters on a set without figures, and none where two signs are not there', () => {
    expect(firstFree('BA', { length: 3, characters: 'AB ' }, new Set(['BAA']))).toBe('BAB');
    expect(firstFree('A', { length: 3, characters: 'A ' }, new Set())).toBeUndefined();
    // One figure tells nobody apart: letters then.
    expect(firstFree('B', { length: 2, characters: 'AB7' }, new Set())).toBe('BA');
  });
  it('ends after four characters, or as many as a name has', () => {
    const two = { length: 1, characters: 'AB' };
    expect(firstFree('A', two, new Set(['A', 'B']))).toBeUndefined();
    const wide = { length: 6, characters: 'AB' };
    const all = new Set<string>();
    for (let one = firstFree('BB', wide, all); one !== undefined; one = firstFree('BB', wide, all))
      all.add(one);
    // A, B, BA, BB, BAA … BBBB: of one letter two, of more those that begin with B, and BB with BB behind is BBBB.
    expect(all.size).toBe(2 + 2 + 4 + 8);
  });
});

describe('the marked forms that are weighed', () => {
  const own = [
    { text: 'HIDE', cost: 40 },
    { text: 'HID', cost: 90 },
  ];
  const free = () => false;
  it('are three, dearer one after another, cheap only where another has the same name', () => {
    expect(marked(own, 0, FIGURES, undefined, free)).toEqual([
      { text: 'HIDE2', cost: 1540 },
      { text: 'HIDE3', cost: 1550 },
      { text: 'HIDE4', cost: 1560 },
    ]);
    expect(marked(own, 1, FIGURES, undefined, free).map(({ text, cost }) => [text, cost])).toEqual([
      ['HIDE2', 340],
      ['HIDE3', 350],
      ['HIDE4', 360],
    ]);
    // The third of a name begins at 3: the second has 2.
    expect(marked(own, 2, FIGURES, undefined, free).map(({ text }) => text)).toEqual([
      'HIDE3',
      'HIDE4',
      'HIDE5',
    ]);
  });
  it('pass over what could be another’s, and are none without a name', () => {
    expect(marked(own, 0, FIGURES, undefined, (text) => text === 'HIDE3').map(({ text }) => text)).toEqual([
      'HIDE2',
      'HIDE4',
      'HIDE5',
    ]);
    expect(marked([], 0, FIGURES, 'HIDE2', free)).toEqual([]);
    // Where every mark could be another's, they end.
    expect(marked(own, 0, { length: 2, characters: 'AB' }, undefined, () => true)).toEqual([]);
    expect(marked([{ text: 'HIDE', cost: -30 }], 0, FIGURES, undefined, free)[0]?.cost).toBe(1500);
  });
  it('keep the one that the set has, where it is a mark of this name, and never twice', () => {
    const kept = (last: string) => marked(own, 0, FIGURES, last, free).map(({ text }) => text);
    expect(kept('HIDE9')).toEqual(['HIDE2', 'HIDE3', 'HIDE4', 'HIDE9']);
    expect(kept('HIDE12')).toEqual(['HIDE2', 'HIDE3', 'HIDE4', 'HIDE12']);
    expect(kept('HIDE3')).toEqual(['HIDE2', 'HIDE4', 'HIDE3']);
    const full = marked([{ text: 'ABCDEF', cost: 40 }], 0, FIGURES, 'ABCDE9', free);
    expect(full.map(({ text }) => text)).toEqual(['ABCDE2', 'ABCDE3', 'ABCDE4', 'ABCDE9']);
    expect(kept('HIDEA')).toEqual(['HIDE2', 'HIDE3', 'HIDE4']);
    expect(kept('HIGE9')).toEqual(['HIDE2', 'HIDE3', 'HIDE4']);
    // What is a form of its own needs no mark.
    expect(kept('HID')).toEqual(['HIDE2', 'HIDE3', 'HIDE4']);
    const again = marked(own, 0, FIGURES, 'HIDE9', free);
    expect(again.at(-1)?.cost).toBeLessThan(again[0]?.cost ?? 0);
  });
});
