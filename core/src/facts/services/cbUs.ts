import type { ServiceTable } from './service';

/*
 * Citizens Band Radio Service at 27 MHz in the US. Source: 47 CFR 95.963 (channels), 95.967 (power: 4 W carrier in AM and FM), 95.971
 * (emissions), 95.973 (bandwidth: 8 kHz in AM and FM), 95.905 (no licence). From memory; the tests hold the channels against their raster with its five gaps. The order of 23 to 25 is the rule's.
 * Columns: channel, frequency in kilohertz.
 */
// biome-ignore format: in the order of the rule
const ROWS: readonly (readonly [number, number])[] = [
  [1, 26_965], [2, 26_975], [3, 26_985], [4, 27_005], [5, 27_015], [6, 27_025], [7, 27_035], [8, 27_055], [9, 27_065], [10, 27_075],
  [11, 27_085], [12, 27_105], [13, 27_115], [14, 27_125], [15, 27_135], [16, 27_155], [17, 27_165], [18, 27_175], [19, 27_185], [20, 27_205],
  [21, 27_215], [22, 27_225], [23, 27_255], [24, 27_235], [25, 27_245], [26, 27_265], [27, 27_275], [28, 27_285], [29, 27_295], [30, 27_305],
  [31, 27_315], [32, 27_325], [33, 27_335], [34, 27_345], [35, 27_355], [36, 27_365], [37, 27_375], [38, 27_385], [39, 27_395], [40, 27_405],
];
/** For emergencies and help on the road (47 CFR 95.931). */
const EMERGENCY = 9;

/** The table of the citizens band at 27 MHz. */
export const CB_US: ServiceTable = {
  id: 'cb-us',
  country: 'US',
  citation: '47 CFR 95.963',
  powerCitation: '47 CFR 95.967',
  licence: 'none',
  licenceCitation: '47 CFR 95.905',
  modes: ['AM', 'FM'],
  modesCitation: '47 CFR 95.971',
  certification: true,
  certificationCitation: '47 CFR 95.961',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '47 CFR 95.957',
  words: ['cb'],
  channels: ROWS.map(([n, kilohertz]) => ({
    number: String(n),
    name: n === EMERGENCY ? 'CB 9 emergencies' : `CB ${n}`,
    receiveHz: kilohertz * 1000,
    transmitHz: kilohertz * 1000,
    maxPowerW: 4,
    powerBasis: 'transmitter',
    bandwidthHz: 8_000,
    mode: 'AM',
    noTones: true,
    neverTest: n === EMERGENCY,
  })),
};
