import type { Behaviour, Description, ListItem } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hzDigits, nameLength, offsetIndex, tapped, turnedLetter, typedHz } from '../../src/procedure/entry';
import { shipped } from '../support/devices';

// What a set takes for a frequency, an offset or a letter: each by hand, from the words of its description.

const radio = shipped('amateur-handheld');
const behaviour = radio.behaviour as Behaviour;

describe('typed digits', () => {
  it('are a frequency where the set takes so many and hears or sends there', () => {
    const [band] = radio.receive === 'unknown' ? [] : radio.receive.bands;
    if (!band) throw new Error('this set says where it hears');
    const digits = hzDigits(behaviour, radio, band.fromHz);
    expect(digits).not.toBe('');
    expect(typedHz(behaviour, radio, digits)).toBe(band.fromHz);
    expect(typedHz(behaviour, radio, hzDigits(behaviour, radio, band.toHz))).toBe(band.toHz);
    expect(typedHz(behaviour, radio, digits.slice(0, 2))).toBeUndefined();
    expect(typedHz({ ...behaviour, frequencyEntry: undefined }, radio, digits)).toBeUndefined();
    // One side alone is enough, up to the ends of its bands; a side without any, or that nobody knows, takes nothing.
    const none = { bands: [] } as unknown as Description['transmit'];
    const one = { bands: [{ fromHz: band.fromHz, toHz: band.fromHz }] } as unknown as Description['transmit'];
    const taken = (receive: unknown, transmit: unknown) =>
      typedHz(behaviour, { ...radio, receive, transmit } as Description, digits);
    const sides = [none, one, 'unknown'].flatMap((hears) =>
      [none, one, 'unknown'].map((sends) => [hears, sends, taken(hears, sends)] as const),
    );
    for (const [hears, sends, hz] of sides)
      expect(hz).toBe(hears === one || sends === one ? band.fromHz : undefined);
  });
  it('are none below the band and above it', () => {
    const sides = (fromHz: number, toHz: number) =>
      ({
        ...radio,
        receive: { bands: [{ fromHz, toHz }] },
        transmit: { bands: [] },
      }) as unknown as Description;
    const digits = hzDigits(behaviour, radio, 146_520_000);
    const taken = (fromHz: number, toHz: number) => typedHz(behaviour, sides(fromHz, toHz), digits);
    expect([taken(144e6, 148e6), taken(146_520_001, 148e6), taken(144e6, 146_519_999)]).toEqual([
      146_520_000,
      undefined,
      undefined,
    ]);
  });
  it('are none for no frequency, and on a set without a way to type one', () => {
    expect(hzDigits(behaviour, radio, 0)).toBe('');
    expect(hzDigits({ ...behaviour, frequencyEntry: undefined }, radio, 146_520_000)).toBe('');
  });
});

describe('an offset in a list', () => {
  const list = [
    { shown: 'none', means: 0 },
    { shown: '+0.6', means: 600_000 },
    { shown: '-0.6', means: -600_000 },
  ] as unknown as ListItem[];
  const field = radio.fields.find(({ holds }) => holds === 'receiveHz')?.id as string;
  const values = { [field]: 146_940_000 };
  it.each([
    [146_940_000, 0],
    [147_540_000, 1],
    [146_340_000, 2],
    [146_440_000, undefined],
    [undefined, undefined],
  ])('%s is number %s', (hz, index) => expect(offsetIndex(radio, list, values, hz)).toBe(index));
  it('from nothing where the place holds no frequency', () => {
    expect(offsetIndex(radio, list, undefined as never, 600_000)).toBe(1);
    expect(offsetIndex({ ...radio, fields: [] }, list, values, -600_000)).toBe(2);
  });
});

describe('letters', () => {
  it('of a key come one after another while it is tapped, and a new one after a while', () => {
    const said = [true, true, true, false, true, false, false].reduce(
      (text, again) => tapped(text, 'ABC', again, 4) ?? `${text}!`,
      '',
    );
    // A, then B and C of the same key, a new A, then B; two more, of which the fifth has no room.
    expect(said).toBe('CBAA');
    expect(tapped('CBAA', 'ABC', false, 4)).toBeUndefined();
    expect(tapped('CBAA', 'ABC', true, 4)).toBe('CBAB');
    expect(tapped('C', 'ABC', true, 1)).toBe('A');
  });
  it('go round their wheel both ways, and what is on no wheel stands before its first', () => {
    expect(turnedLetter('ABC', 1, 'ABCD', 1)).toBe('ACC');
    expect(turnedLetter('ABC', 0, 'ABCD', -1)).toBe('DBC');
    expect(turnedLetter('ABC', 2, 'ABCD', 5)).toBe('ABD');
    expect(turnedLetter('A?C', 1, 'ABCD', 1)).toBe('AAC');
    fc.assert(
      fc.property(fc.integer({ min: -99, max: 99 }), fc.integer({ min: 0, max: 3 }), (by, at) => {
        const turned = turnedLetter('ABCD', at, 'ABCD', by);
        expect(turnedLetter(turned, at, 'ABCD', -by)).toBe('ABCD');
      }),
    );
  });
  it('are as many as the set says, and none where nobody knows', () => {
    expect(nameLength({ names: { length: 7, characters: 'A' } as Description['names'] })).toBe(7);
    expect(nameLength({ names: 'unknown' as Description['names'] })).toBe(0);
  });
});
