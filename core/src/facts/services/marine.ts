import type { ServiceTable } from './service';

/*
 * Marine VHF in US waters. Source: 47 CFR 80.373 and the US channel list; frequencies follow ITU Radio Regulations Appendix 18.
 * From memory; the tests derive each ship frequency from the Appendix 18 raster. Power 25 W, 1 W on the bridge channels
 * (47 CFR 80.215).
 * Columns: US number, the four-digit number of newer lists, ship frequency, coast frequency for duplex, use, watts (none where ships only
 * listen).
 */
type Row = readonly [string, string | null, number, number | null, string, number | null];

// biome-ignore format: in the order of the list
const ROWS: readonly Row[] = [
  ['01A', '1001', 156_050_000, null, 'port operations, commercial', 25],
  ['03A', '1003', 156_150_000, null, 'government', 25],
  ['05A', '1005', 156_250_000, null, 'port operations', 25],
  ['06', null, 156_300_000, null, 'intership safety', 25],
  ['07A', '1007', 156_350_000, null, 'commercial', 25],
  ['08', null, 156_400_000, null, 'commercial, intership', 25],
  ['09', null, 156_450_000, null, 'boater calling', 25],
  ['10', null, 156_500_000, null, 'commercial', 25],
  ['11', null, 156_550_000, null, 'commercial', 25],
  ['12', null, 156_600_000, null, 'port operations', 25],
  ['13', null, 156_650_000, null, 'bridge to bridge', 1],
  ['14', null, 156_700_000, null, 'port operations', 25],
  ['15', null, 156_750_000, null, 'environmental, receive only', null],
  ['16', null, 156_800_000, null, 'distress, safety and calling', 25],
  ['17', null, 156_850_000, null, 'state control', 1],
  ['18A', '1018', 156_900_000, null, 'commercial', 25],
  ['19A', '1019', 156_950_000, null, 'commercial', 25],
  ['20', null, 157_000_000, 161_600_000, 'port operations', 25],
  ['20A', '1020', 157_000_000, null, 'port operations', 25],
  ['21A', '1021', 157_050_000, null, 'coast guard', 25],
  ['22A', '1022', 157_100_000, null, 'coast guard liaison', 25],
  ['23A', '1023', 157_150_000, null, 'coast guard', 25],
  ['24', null, 157_200_000, 161_800_000, 'public correspondence', 25],
  ['25', null, 157_250_000, 161_850_000, 'public correspondence', 25],
  ['26', null, 157_300_000, 161_900_000, 'public correspondence', 25],
  ['27', null, 157_350_000, 161_950_000, 'public correspondence', 25],
  ['28', null, 157_400_000, 162_000_000, 'public correspondence', 25],
  ['61A', '1061', 156_075_000, null, 'government', 25],
  ['63A', '1063', 156_175_000, null, 'port operations', 25],
  ['64A', '1064', 156_225_000, null, 'government', 25],
  ['65A', '1065', 156_275_000, null, 'port operations', 25],
  ['66A', '1066', 156_325_000, null, 'port operations', 25],
  ['67', null, 156_375_000, null, 'commercial, bridge to bridge', 1],
  ['68', null, 156_425_000, null, 'non-commercial', 25],
  ['69', null, 156_475_000, null, 'non-commercial', 25],
  ['70', null, 156_525_000, null, 'digital selective calling', 25],
  ['71', null, 156_575_000, null, 'non-commercial', 25],
  ['72', null, 156_625_000, null, 'non-commercial, intership', 25],
  ['73', null, 156_675_000, null, 'port operations', 25],
  ['74', null, 156_725_000, null, 'port operations', 25],
  ['75', null, 156_775_000, null, 'port operations', 1],
  ['76', null, 156_825_000, null, 'port operations', 1],
  ['77', null, 156_875_000, null, 'port operations', 1],
  ['78A', '1078', 156_925_000, null, 'non-commercial', 25],
  ['79A', '1079', 156_975_000, null, 'commercial', 25],
  ['80A', '1080', 157_025_000, null, 'commercial', 25],
  ['81A', '1081', 157_075_000, null, 'government', 25],
  ['82A', '1082', 157_125_000, null, 'government', 25],
  ['83A', '1083', 157_175_000, null, 'coast guard', 25],
  ['84', null, 157_225_000, 161_825_000, 'public correspondence', 25],
  ['85', null, 157_275_000, 161_875_000, 'public correspondence', 25],
  ['86', null, 157_325_000, 161_925_000, 'public correspondence', 25],
  ['87A', '1087', 157_375_000, null, 'public correspondence, ship side', 25],
  ['87B', '2087', 161_975_000, null, 'ship position reports', 12.5],
  ['88A', '1088', 157_425_000, null, 'commercial, intership', 25],
  ['88B', '2088', 162_025_000, null, 'ship position reports', 12.5],
];
/** Distress and calling: 16, its digital twin 70, and 9 where boaters call. */
const NEVER_TEST: readonly string[] = ['16', '09', '70'];
/** No voice there: digital calls and position reports. Source: 47 CFR 80.371, 80.373, 80.393. */
const NO_VOICE: Readonly<Record<string, string>> = {
  '70': 'digital selective calling',
  '87B': 'ship position reports',
  '88B': 'ship position reports',
};
/** Set aside for those who keep watch and order there; 22A is where the coast guard talks with everybody. Source: 47 CFR 80.373(f), 80.375. */
const OFFICIAL: Readonly<Record<string, string>> = {
  government: 'government stations',
  'coast guard': 'the coast guard',
  'state control': 'state control',
};

/** The table of marine VHF. */
export const MARINE: ServiceTable = {
  id: 'marine',
  country: 'US',
  citation: '47 CFR 80.373',
  powerCitation: '47 CFR 80.215',
  // Vessels that need not carry a radio and go on domestic voyages are licensed by rule
  licence: 'none',
  licenceCitation: '47 CFR 80.13(c)',
  aboard: true,
  modesCitation: '47 CFR 80.207',
  certification: true,
  certificationCitation: '47 CFR 80.203',
  repeaters: false,
  identifyEveryMinutes: 15,
  identifyCitation: '47 CFR 80.102',
  words: ['marine', 'vhf'],
  channels: ROWS.map(([number, newer, ship, coast, use, watts]) => ({
    number,
    pair: coast !== null,
    name: `Marine ${number} ${use}`.slice(0, 40),
    receiveHz: coast ?? ship,
    transmitHz: watts === null ? null : ship,
    maxPowerW: watts,
    powerBasis: watts === null ? null : 'transmitter',
    bandwidthHz: 25_000,
    noTones: true,
    neverTest: NEVER_TEST.includes(number),
    ...((NO_VOICE[number] ?? OFFICIAL[use]) && { reservedFor: NO_VOICE[number] ?? OFFICIAL[use] }),
    aliases: [...(newer ? [newer] : []), ...(number.startsWith('0') ? [number.slice(1)] : [])],
  })),
};
