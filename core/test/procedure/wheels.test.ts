import type { Recipes, Slot } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { type Position, type Wheel, wheelStand } from '../../src/procedure/wheels';
import type { About, Wording } from '../../src/procedure/wording';

// Where a wheel stands, where it shall, and what it shows there: two banks of three and of two places, by hand.

const place = (number: number, bank: number, position: number) =>
  ({
    number,
    bank,
    position,
    bankName: 'AB'[bank],
    label: `${'AB'[bank]}${position}`,
  }) as unknown as Slot;
const slots = [place(0, 0, 1), place(1, 0, 2), place(2, 0, 3), place(3, 1, 1), place(4, 1, 2)];
const slot = (n: number) => slots[n] as Slot;
const list = [{ shown: 'LOW' }, { shown: 'MID' }, { shown: 'HIGH' }];
const recipes = { itemCount: 9, items: { power: { place: 4 }, beep: { place: 7 } } } as unknown as Recipes;
const wording = { listFor: (field: string) => (field === 'power' ? list : []) } as unknown as Wording;

const stand = (what: Wheel, about: Partial<About> = {}, at: Position = {}) => {
  const whole = { slot: slot(2), to: { power: 2 }, before: {}, field: 'power', belongsTo: null, ...about };
  const { from, to, count, shownAt } = wheelStand(what, whole, { slots, at, place: 5, recipes, wording });
  return { stands: [from, to, count], shownAt };
};

describe('a wheel of values', () => {
  it('begins where the place stands, or nobody knows where', () => {
    expect(stand('value', { before: { power: 1 } }).stands).toEqual([1, 2, 3]);
    expect(stand('value').stands).toEqual([undefined, 2, 3]);
    expect([0, 1, 2, 3].map((at) => stand('value').shownAt(at).value)).toEqual(['LOW', 'MID', 'HIGH', '']);
  });
  it('of a setting is that setting’s own', () => {
    const setting = {
      id: 'beep',
      list: list.slice(1),
      from: undefined,
      to: 1,
    } as unknown as About['setting'];
    const beep = stand('value', { ...(setting && { setting }), before: { power: 1 } });
    expect(beep.stands).toEqual([undefined, 1, 2]);
    expect(beep.shownAt(0)).toEqual({ value: 'MID' });
  });
});

it('a wheel of items begins where the menu stands, and for a setting of the whole set outside of it', () => {
  expect(stand('item').stands).toEqual([5, 4, 9]);
  const setting = { id: 'beep', list: [], from: 0, to: 1 } as unknown as About['setting'];
  expect(stand('item', setting ? { setting } : {}).stands).toEqual([0, 7, 9]);
  expect(stand('item', { field: 'none' }).stands).toEqual([5, 0, 9]);
  expect(stand('item').shownAt(3)).toEqual({});
});

describe('a wheel of places', () => {
  it('goes through all of them, or through those of one bank', () => {
    expect(stand('slot', {}, { slot: slot(4) }).stands).toEqual([4, 2, 5]);
    expect(stand('position', {}, { slot: slot(0) }).stands).toEqual([0, 2, 3]);
    expect(stand('position', { slot: slot(4) }, { slot: slot(3) }).stands).toEqual([0, 1, 2]);
  });
  it('is nowhere where nobody knows, or while it stands in another bank', () => {
    expect(stand('slot').stands).toEqual([undefined, 2, 5]);
    expect(stand('position', { slot: slot(4) }, { slot: slot(0) }).stands).toEqual([undefined, 1, 2]);
  });
  it('shows the place that stands there', () => {
    expect(stand('slot').shownAt(4)).toMatchObject({ label: 'B2', number3: '004', bank: 'B' });
    expect(stand('position', { slot: slot(4) }).shownAt(0)).toMatchObject({ label: 'B1', position2: '01' });
    // Past its end, what is wanted.
    expect(stand('slot').shownAt(9)).toMatchObject({ label: 'A3' });
  });
});

it('a wheel of banks shows the first place of each', () => {
  expect(stand('bank', { slot: slot(4) }, { bank: 0 }).stands).toEqual([0, 1, 2]);
  expect(stand('bank', { slot: slot(4) }).stands).toEqual([undefined, 1, 2]);
  expect([0, 1, 2].map((at) => stand('bank', { slot: slot(4) }).shownAt(at).label)).toEqual([
    'A1',
    'B1',
    'B2',
  ]);
  expect(stand('bank').shownAt(1)).toMatchObject({ bank: 'B', firstLabel: 'B1' });
});
