import type { ServiceTable } from './service';

/*
 * Marine VHF by the international table. Source: ITU Radio Regulations, Appendix 18; national administrations differ in harbours and on
 * inland waters. From memory. A ship sends on 156.050 + 0.050 n - 0.050 (channels 1 to 28) or 156.025 + 0.050 (n - 60) MHz; where the coast
 * answers, it does so 4.6 MHz up. A 10 before a number is the ship's half of its pair alone, a 20 the coast's (Recommendation ITU-R M.1084).
 * Columns: numbers, whether the coast answers 4.6 MHz up, use.
 */
const PAIRS = [1, 2, 3, 4, 5, 7, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27, 28].concat([
  60, 61, 62, 63, 64, 65, 66, 78, 79, 80, 81, 82, 83, 84, 85, 86,
]);
const DIRECT = [6, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17].concat([
  67, 68, 69, 70, 71, 72, 73, 74, 75, 76, 77, 87, 88,
]);
/** What is known of the use of some, which is the same everywhere. */
const USE: Readonly<Record<number, string>> = {
  6: 'ship to ship, rescue',
  8: 'ship to ship',
  13: 'bridge to bridge',
  15: 'on board',
  16: 'distress, safety and calling',
  17: 'on board',
  70: 'digital selective calling',
  72: 'ship to ship',
  77: 'ship to ship',
};
/** One watt: beside the distress channel, and on board (Appendix 18, notes). */
const ONE_WATT: ReadonlySet<number> = new Set([15, 17, 75, 76]);

const shipHz = (n: number) => (n < 60 ? 156_000_000 + 50_000 * n : 156_025_000 + 50_000 * (n - 60));

/** Pairs whose halves are used by themselves for voice; on the halves of 27, 28, 87 and 88 at 162 MHz only data are sent. */
const HALVED = [19, 20, 78, 79];
const DATA: Readonly<Record<number, string>> = {
  2027: 'messages of ships as data',
  2028: 'messages of ships as data',
  2087: 'ship position reports',
  2088: 'ship position reports',
};
/** The halves of pairs by their numbers, in hertz. */
const HALVES: readonly (readonly [number: number, hz: number])[] = [
  ...HALVED.map((n) => [1000 + n, shipHz(n)] as const),
  ...HALVED.map((n) => [2000 + n, shipHz(n) + 4_600_000] as const),
  ...Object.keys(DATA).map((n) => [Number(n), shipHz(Number(n) - 2000) + 4_600_000] as const),
];

const row = (n: number, receiveHz: number, transmitHz: number) => {
  const number = String(n).padStart(2, '0');
  const use = USE[n] ?? DATA[n];
  const reservedFor = n === 70 ? USE[n] : DATA[n];
  return {
    number,
    pair: receiveHz !== transmitHz,
    name: `Marine ${number}${use ? ` ${use}` : ''}`.slice(0, 40),
    receiveHz,
    transmitHz,
    maxPowerW: ONE_WATT.has(n) ? 1 : 25,
    powerBasis: 'transmitter' as const,
    bandwidthHz: 25_000,
    noTones: true,
    neverTest: n === 16 || n === 70,
    ...(reservedFor !== undefined && { reservedFor }),
    aliases: n < 10 ? [String(n)] : [],
  };
};

/** What Appendix 18 says alike for all countries that follow it. */
const APPENDIX_18 = {
  citation: 'ITU Radio Regulations, Appendix 18',
  powerCitation: 'ITU Radio Regulations, Appendix 18',
  licence: 'authorised' as const,
  licensedAs: 'marine',
  aboard: true,
  modesCitation: 'ITU Radio Regulations, Appendix 18',
  certification: true,
  certifiedAlso: ['marine'],
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: 'ITU Radio Regulations, article 19',
  words: ['marine', 'vhf', 'ukw'],
  channels: [
    ...[...PAIRS, ...DIRECT]
      .sort((a, b) => a - b)
      .map((n) => row(n, shipHz(n) + (PAIRS.includes(n) ? 4_600_000 : 0), shipHz(n))),
    ...HALVES.map(([n, hz]) => row(n, hz, hz)),
  ],
} satisfies Partial<ServiceTable>;

/** The table of marine VHF in Europe. */
export const MARINE_EU: ServiceTable = {
  ...APPENDIX_18,
  id: 'marine-eu',
  country: 'EU',
  licenceCitation: 'ITU Radio Regulations, article 18, and the national ship licence',
  certificationCitation: 'Directive 2014/53/EU',
};

/** The same in Australia, where the ship is licensed by class and whoever talks has a certificate of their own. From memory. */
export const MARINE_AU: ServiceTable = {
  ...APPENDIX_18,
  id: 'marine-au',
  country: 'AU',
  licenceCitation: 'Radiocommunications (Maritime Ship Station - 27 MHz and VHF) Class Licence 2015',
  certificationCitation: 'Radiocommunications (Maritime Ship Station - 27 MHz and VHF) Class Licence 2015',
};
