import type { ServiceTable } from './service';

/*
 * US railroad channels 2 to 97, listened to only. Source: the channel plan of the Association of American Railroads; 47 CFR 90.35(b)(2) for
 * who coordinates them. From memory: 2 to 4 stand apart, from 5 on they follow one another by 15 kHz. Names are the numbers that crews say.
 */
const APART: readonly (readonly [number, number])[] = [
  [2, 159_810_000],
  [3, 159_930_000],
  [4, 160_050_000],
];
const FIRST = 5;
const LAST = 97;
const ROWS = [
  ...APART,
  ...Array.from({ length: LAST - FIRST + 1 }, (_, k) => [FIRST + k, 160_185_000 + 15_000 * k] as const),
];

/** The table of railroad channels: nobody but railroads transmits there. */
export const RAIL_US: ServiceTable = {
  id: 'rail-us',
  country: 'US',
  citation: 'AAR channel plan',
  powerCitation: '47 CFR 90.205',
  licence: 'closed',
  licenceCitation: '47 CFR 90.35(b)(2)',
  certification: true,
  certificationCitation: '47 CFR 90.203',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '',
  words: ['rail', 'railroad', 'aar', 'rr'],
  channels: ROWS.map(([n, receiveHz]) => ({
    number: String(n),
    name: `Rail ${n}`,
    receiveHz,
    transmitHz: null,
    maxPowerW: null,
    powerBasis: null,
    bandwidthHz: 12_500,
  })),
};
