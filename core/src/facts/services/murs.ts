import type { ServiceTable } from './service';

/*
 * Multi-Use Radio Service. Source: 47 CFR 95.2763 (channels), 95.2767 (power 2 W), 95.2773 (bandwidth). From memory.
 * Columns: number, frequency, authorised bandwidth in hertz, the name two of them carry in older listings.
 */
const ROWS: readonly (readonly [number, number, number, string[]])[] = [
  [1, 151_820_000, 11_250, []],
  [2, 151_880_000, 11_250, []],
  [3, 151_940_000, 11_250, []],
  [4, 154_570_000, 20_000, ['Blue Dot']],
  [5, 154_600_000, 20_000, ['Green Dot']],
];

/** The table of the Multi-Use Radio Service. */
export const MURS: ServiceTable = {
  id: 'murs',
  country: 'US',
  citation: '47 CFR 95.2763',
  powerCitation: '47 CFR 95.2767',
  licence: 'none',
  licenceCitation: '47 CFR 95.2705',
  modes: ['FM', 'AM', 'digital'],
  modesCitation: '47 CFR 95.2771',
  certification: true,
  certificationCitation: '47 CFR 95.2761',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '',
  words: ['murs'],
  channels: ROWS.map(([n, hz, bandwidthHz, aliases]) => ({
    number: String(n),
    name: `MURS ${n}`,
    receiveHz: hz,
    transmitHz: hz,
    maxPowerW: 2,
    powerBasis: 'transmitter',
    bandwidthHz,
    aliases,
  })),
};
