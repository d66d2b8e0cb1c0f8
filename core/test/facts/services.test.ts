import { SERVICES, serviceChannel, WEATHER_NUMBERS } from '@umbrex/core/facts';
import { describe, expect, it } from 'vitest';

const direct = (id: 'gmrs' | 'frs') => SERVICES[id].channels.filter((row) => !row.pair);

// Typed from the rules' own lists, in megahertz, independently of the tables in core.
// biome-ignore format: as the rule lists them
const LIST_462_467: readonly (readonly [number, string])[] = [
  [1, '462.5625'], [2, '462.5875'], [3, '462.6125'], [4, '462.6375'], [5, '462.6625'], [6, '462.6875'], [7, '462.7125'],
  [8, '467.5625'], [9, '467.5875'], [10, '467.6125'], [11, '467.6375'], [12, '467.6625'], [13, '467.6875'], [14, '467.7125'],
  [15, '462.5500'], [16, '462.5750'], [17, '462.6000'], [18, '462.6250'], [19, '462.6500'], [20, '462.6750'], [21, '462.7000'], [22, '462.7250'],
];

describe('GMRS channels against 47 CFR 95.1763 as a formula', () => {
  const hz = (number: number) => serviceChannel('gmrs', number)?.receiveHz;
  it('462 MHz main: 462.5500 + 0.0250 k, numbers 15-22', () => {
    for (let k = 0; k < 8; k++) expect(hz(15 + k)).toBe(462_550_000 + 25_000 * k);
  });
  it('462 MHz interstitial: 462.5625 + 0.0250 k, numbers 1-7', () => {
    for (let k = 0; k < 7; k++) expect(hz(1 + k)).toBe(462_562_500 + 25_000 * k);
  });
  it('467 MHz interstitial: 467.5625 + 0.0250 k, numbers 8-14', () => {
    for (let k = 0; k < 7; k++) expect(hz(8 + k)).toBe(467_562_500 + 25_000 * k);
  });
  it('repeater inputs lie exactly 5 MHz above their outputs, on the eight main channels only', () => {
    const pairs = SERVICES.gmrs.channels.filter((row) => row.pair);
    expect(pairs.map((row) => row.number)).toEqual([15, 16, 17, 18, 19, 20, 21, 22]);
    for (const row of pairs) expect((row.transmitHz ?? 0) - row.receiveHz).toBe(5_000_000);
  });
});

describe('GMRS and FRS share 22 channels (47 CFR 95.1763 and 95.563, listed)', () => {
  for (const id of ['gmrs', 'frs'] as const)
    it(id, () => {
      const table = direct(id)
        .map((row) => [row.number, (row.receiveHz / 1e6).toFixed(4)] as const)
        .sort((a, b) => a[0] - b[0]);
      expect(table).toEqual(LIST_462_467);
    });
});

describe('power limits', () => {
  const power = (id: 'gmrs' | 'frs', number: number) => {
    const row = serviceChannel(id, number);
    return [row?.maxPowerW, row?.powerBasis, row?.handHeldOnly];
  };
  it('47 CFR 95.1767: 5 W ERP on 1-7, 0.5 W ERP hand-held only on 8-14, 50 W at the transmitter on 15-22', () => {
    expect(power('gmrs', 4)).toEqual([5, 'erp', false]);
    expect(power('gmrs', 11)).toEqual([0.5, 'erp', true]);
    expect(power('gmrs', 19)).toEqual([50, 'transmitter', false]);
  });
  it('47 CFR 95.567: FRS 2 W ERP, 0.5 W ERP on 8-14', () => {
    for (let n = 1; n <= 22; n++) expect(power('frs', n)[0]).toBe(n >= 8 && n <= 14 ? 0.5 : 2);
  });
});

describe('weather numbering', () => {
  it('both numberings are each other’s permutation, and nobody transmits', () => {
    expect(WEATHER_NUMBERS.map((row) => row.marine).sort()).toEqual([1, 2, 3, 4, 5, 6, 7]);
    expect(SERVICES.weather.channels.every((row) => row.transmitHz === null)).toBe(true);
  });
  it('marine order as charts print it: WX1 162.550, WX2 162.400, WX3 162.475 (from memory)', () => {
    const marine = (n: number) => WEATHER_NUMBERS.find((row) => row.marine === n)?.receiveHz;
    expect([marine(1), marine(2), marine(3)]).toEqual([162_550_000, 162_400_000, 162_475_000]);
  });
});
