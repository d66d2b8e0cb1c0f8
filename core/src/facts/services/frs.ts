import type { ServiceTable } from './service';

/*
 * Family Radio Service. Source: 47 CFR 95.563 (channels), 95.567 (power), 95.573 (bandwidth).
 * Entered from memory of the rule. Columns: number, frequency, effective radiated power in watts.
 */
const ROWS: readonly (readonly [number, number, number])[] = [
  [1, 462_562_500, 2],
  [2, 462_587_500, 2],
  [3, 462_612_500, 2],
  [4, 462_637_500, 2],
  [5, 462_662_500, 2],
  [6, 462_687_500, 2],
  [7, 462_712_500, 2],
  [8, 467_562_500, 0.5],
  [9, 467_587_500, 0.5],
  [10, 467_612_500, 0.5],
  [11, 467_637_500, 0.5],
  [12, 467_662_500, 0.5],
  [13, 467_687_500, 0.5],
  [14, 467_712_500, 0.5],
  [15, 462_550_000, 2],
  [16, 462_575_000, 2],
  [17, 462_600_000, 2],
  [18, 462_625_000, 2],
  [19, 462_650_000, 2],
  [20, 462_675_000, 2],
  [21, 462_700_000, 2],
  [22, 462_725_000, 2],
];

/** The table of the Family Radio Service. */
export const FRS: ServiceTable = {
  id: 'frs',
  country: 'US',
  citation: '47 CFR 95.563',
  powerCitation: '47 CFR 95.567',
  licence: 'none',
  licenceCitation: '47 CFR 95.305',
  modesCitation: '47 CFR 95.571',
  fixedAntenna: true,
  certification: true,
  certificationCitation: '47 CFR 95.561',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '47 CFR 95.571',
  words: ['frs'],
  channels: ROWS.map(([number, hz, watts]) => ({
    number: String(number),
    name: `FRS ${number}`,
    receiveHz: hz,
    transmitHz: hz,
    maxPowerW: watts,
    powerBasis: 'erp',
    bandwidthHz: 12_500,
    handHeldOnly: true,
  })),
};
