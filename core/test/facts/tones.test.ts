import {
  CONSUMER_CODE_TONES,
  CTCSS_CONSUMER_TENTHS_HZ,
  CTCSS_TENTHS_HZ,
  canonicalRotation,
  DCS_CODES,
  DCS_CONSUMER,
  dcsWord,
  partnersOf,
} from '@umbrex/core/facts';
import { opens } from '@umbrex/core/tones';
import { describe, expect, it } from 'vitest';

describe('CTCSS (TIA-603; the numbering 1-38 is common practice)', () => {
  it('has 50 tones, ascending, 38 of them numbered by consumer devices', () => {
    expect(CTCSS_TENTHS_HZ).toHaveLength(50);
    expect([...CTCSS_TENTHS_HZ].sort((a, b) => a - b)).toEqual(CTCSS_TENTHS_HZ);
    expect(CTCSS_CONSUMER_TENTHS_HZ).toHaveLength(38);
  });
  it('number 1 is 67.0, 12 is 100.0, 38 is 250.3', () => {
    expect([1, 12, 38].map((n) => CONSUMER_CODE_TONES[n])).toEqual(['67.0', '100.0', '250.3']);
  });
});

describe('DCS words (TIA-603, Golay (23,12), generator x^11+x^10+x^6+x^5+x^4+x^2+1)', () => {
  it('has 104 codes, 83 of them numbered by consumer devices', () => {
    expect(new Set(DCS_CODES).size).toBe(104);
    expect(DCS_CONSUMER).toHaveLength(83);
  });
  it('023, 025 and 026 give the words of the published table (from memory): 763813, 6B7815, 65D816', () => {
    expect(['023', '025', '026'].map((code) => dcsWord(code).toString(16))).toEqual([
      '763813',
      '6b7815',
      '65d816',
    ]);
  });
  it('two words of the Golay code differ in at least seven bits', () => {
    const words = DCS_CODES.map(dcsWord);
    for (const a of words)
      for (const b of words)
        if (a !== b) expect((a ^ b).toString(2).replace(/0/g, '').length).toBeGreaterThanOrEqual(7);
  });
  it('no two codes are rotations of each other', () => {
    expect(new Set(DCS_CODES.map((code) => canonicalRotation(dcsWord(code)))).size).toBe(104);
  });
  describe('every code has exactly one inverse partner, and is its partner’s', () => {
    for (const code of DCS_CODES)
      it(code, () => {
        const partners = partnersOf({ code, polarity: 'I' });
        expect(partners).toHaveLength(1);
        expect(partners[0]?.polarity).toBe('N');
        expect(partnersOf({ code: partners[0]?.code ?? '', polarity: 'N' })).toEqual([
          { code, polarity: 'I' },
        ]);
      });
  });
  it('D023I sounds as D047N; among the 83, only 172 has no partner', () => {
    expect(partnersOf({ code: '023', polarity: 'I' })).toEqual([{ code: '047', polarity: 'N' }]);
    const alone = DCS_CONSUMER.filter(
      (code) => !DCS_CONSUMER.includes(partnersOf({ code, polarity: 'I' })[0]?.code ?? ''),
    );
    expect(alone).toEqual(['172']);
  });
  it('340, which is not in use, sounds as 023', () => {
    expect(partnersOf({ code: '340', polarity: 'N' })).toContainEqual({ code: '023', polarity: 'N' });
  });
});

describe('when a receiver opens (TIA-603 decoders)', () => {
  const cases: readonly (readonly [string, string, boolean])[] = [
    ['off', '82.5', true],
    ['off', 'off', true],
    ['82.5', '82.5', true],
    ['82.5', 'off', false],
    ['82.5', '85.4', false],
    ['D023I', 'D047N', true],
    ['D047N', 'D023I', true],
    ['D023N', 'D023I', false],
    ['D023N', '82.5', false],
  ];
  for (const [needed, sent, expected] of cases)
    it(`${needed} ${expected ? 'opens' : 'stays shut'} for ${sent}`, () =>
      expect(opens(needed, sent)).toBe(expected));
});
