import type { ServiceTable } from './service';

/*
 * General Mobile Radio Service. Source: 47 CFR 95.1763 (channels), 95.1767 (power), 95.1773 (bandwidth), 95.1705 (who is
 * covered), 95.1751 (identification), 95.1761 (certification). Entered from memory of the rules; the tests hold the channels
 * against the rule's raster as a formula and an independent list.
 * Columns: number, output or simplex frequency, input frequency of the pair.
 */
const MAIN: readonly (readonly [number, number, number])[] = [
  [15, 462_550_000, 467_550_000],
  [16, 462_575_000, 467_575_000],
  [17, 462_600_000, 467_600_000],
  [18, 462_625_000, 467_625_000],
  [19, 462_650_000, 467_650_000],
  [20, 462_675_000, 467_675_000],
  [21, 462_700_000, 467_700_000],
  [22, 462_725_000, 467_725_000],
];
const INTERSTITIAL_462: readonly (readonly [number, number])[] = [
  [1, 462_562_500],
  [2, 462_587_500],
  [3, 462_612_500],
  [4, 462_637_500],
  [5, 462_662_500],
  [6, 462_687_500],
  [7, 462_712_500],
];
const INTERSTITIAL_467: readonly (readonly [number, number])[] = [
  [8, 467_562_500],
  [9, 467_587_500],
  [10, 467_612_500],
  [11, 467_637_500],
  [12, 467_662_500],
  [13, 467_687_500],
  [14, 467_712_500],
];

const direct = (n: number, hz: number) => ({
  number: String(n),
  name: `GMRS ${n}`,
  receiveHz: hz,
  transmitHz: hz,
});

/** The table of the General Mobile Radio Service. */
export const GMRS: ServiceTable = {
  id: 'gmrs',
  country: 'US',
  citation: '47 CFR 95.1763',
  powerCitation: '47 CFR 95.1767',
  licence: 'family',
  licenceCitation: '47 CFR 95.1705',
  modesCitation: '47 CFR 95.1771',
  certification: true,
  certificationCitation: '47 CFR 95.1761',
  repeaters: true,
  identifyEveryMinutes: 15,
  identifyCitation: '47 CFR 95.1751',
  words: ['gmrs'],
  channels: [
    // 47 CFR 95.1767: 5 W ERP on the 462 MHz interstitial channels
    ...INTERSTITIAL_462.map(([n, hz]) => ({
      ...direct(n, hz),
      maxPowerW: 5,
      fixedMaxW: null,
      powerBasis: 'erp' as const,
      bandwidthHz: 20_000,
    })),
    // 47 CFR 95.1767: 0.5 W ERP, hand-held units only; 95.1773: 12.5 kHz
    ...INTERSTITIAL_467.map(([n, hz]) => ({
      ...direct(n, hz),
      maxPowerW: 0.5,
      fixedMaxW: null,
      powerBasis: 'erp' as const,
      bandwidthHz: 12_500,
      handHeldOnly: true,
    })),
    // 47 CFR 95.1767: 50 W transmitter output on the main channels, 15 W for fixed stations; 95.1763: those nowhere else
    ...MAIN.map(([n, hz]) => ({
      ...direct(n, hz),
      maxPowerW: 50,
      fixedMaxW: 15,
      powerBasis: 'transmitter' as const,
      bandwidthHz: 20_000,
    })),
    ...MAIN.map(([n, receiveHz, transmitHz]) => ({
      number: String(n),
      pair: true,
      name: `GMRS ${n} repeater`,
      receiveHz,
      transmitHz,
      maxPowerW: 50,
      fixedMaxW: 15,
      powerBasis: 'transmitter' as const,
      bandwidthHz: 20_000,
    })),
  ],
};
