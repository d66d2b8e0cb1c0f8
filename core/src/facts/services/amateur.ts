import type { ServiceTable } from './service';

/*
 * Amateur service in the US. Source: 47 CFR 97.301 (bands), 97.305 (c) (emissions inside of them: no voices from 144.0 to 144.1 MHz),
 * 97.313 (power), 97.119 (identification every 10 minutes). The
 * simplex calling frequencies and the usual offsets are the voluntary band plan (common practice). From memory.
 */
const COMMON = {
  country: 'US' as const,
  citation: '47 CFR 97.301',
  powerCitation: '47 CFR 97.313',
  licence: 'personal' as const,
  licenceCitation: '47 CFR 97.5',
  modes: ['FM' as const, 'AM' as const, 'digital' as const],
  modesCitation: '47 CFR 97.305',
  certification: false,
  certificationCitation: '47 CFR 97.315',
  repeaters: true,
  identifyEveryMinutes: 10,
  identifyCitation: '47 CFR 97.119',
  words: ['ham', 'amateur'],
};
const calling = (number: string, hz: number, name: string) => ({
  number,
  name,
  receiveHz: hz,
  transmitHz: hz,
  maxPowerW: 1500,
  powerBasis: 'transmitter' as const,
  bandwidthHz: 20_000,
  neverTest: true,
});

/** The table of the amateur band at 2 metres. */
export const AMATEUR_2M: ServiceTable = {
  ...COMMON,
  id: 'amateur-2m',
  usualShiftHz: 600_000,
  channels: [calling('146.52', 146_520_000, '2 m calling')],
  // Repeater outputs and the way to their inputs, by sub-band
  bands: [
    { fromHz: 144_000_000, toHz: 144_099_999, usualOffsetHz: 0, voice: false },
    { fromHz: 144_100_000, toHz: 145_099_999, usualOffsetHz: 0 },
    { fromHz: 145_100_000, toHz: 145_499_999, usualOffsetHz: -600_000 },
    { fromHz: 145_500_000, toHz: 146_609_999, usualOffsetHz: 0 },
    { fromHz: 146_610_000, toHz: 146_999_999, usualOffsetHz: -600_000 },
    { fromHz: 147_000_000, toHz: 147_399_999, usualOffsetHz: 600_000 },
    { fromHz: 147_400_000, toHz: 148_000_000, usualOffsetHz: 0 },
  ],
};

/** The table of the amateur band at 70 centimetres. */
export const AMATEUR_70CM: ServiceTable = {
  ...COMMON,
  id: 'amateur-70cm',
  usualShiftHz: 5_000_000,
  channels: [calling('446', 446_000_000, '70 cm calling')],
  bands: [
    { fromHz: 420_000_000, toHz: 441_999_999, usualOffsetHz: 0 },
    { fromHz: 442_000_000, toHz: 444_999_999, usualOffsetHz: 5_000_000 },
    { fromHz: 445_000_000, toHz: 446_999_999, usualOffsetHz: 0 },
    { fromHz: 447_000_000, toHz: 450_000_000, usualOffsetHz: -5_000_000 },
  ],
};

/** The table of the amateur band at 10 metres; voices from 28.3 MHz (47 CFR 97.305), FM repeaters at its top. */
export const AMATEUR_10M: ServiceTable = {
  ...COMMON,
  id: 'amateur-10m',
  usualShiftHz: 100_000,
  channels: [calling('29.6', 29_600_000, '10 m FM calling')],
  bands: [
    { fromHz: 28_000_000, toHz: 28_299_999, usualOffsetHz: 0, voice: false },
    { fromHz: 28_300_000, toHz: 29_609_999, usualOffsetHz: 0 },
    { fromHz: 29_610_000, toHz: 29_700_000, usualOffsetHz: -100_000 },
  ],
};

/** The table of the amateur band at 6 metres; no voices below 50.1 MHz (47 CFR 97.305). */
export const AMATEUR_6M: ServiceTable = {
  ...COMMON,
  id: 'amateur-6m',
  usualShiftHz: 500_000,
  channels: [calling('52.525', 52_525_000, '6 m FM calling')],
  bands: [
    { fromHz: 50_000_000, toHz: 50_099_999, usualOffsetHz: 0, voice: false },
    { fromHz: 50_100_000, toHz: 51_619_999, usualOffsetHz: 0 },
    { fromHz: 51_620_000, toHz: 51_980_000, usualOffsetHz: -500_000 },
    { fromHz: 51_980_001, toHz: 52_499_999, usualOffsetHz: 0 },
    { fromHz: 52_500_000, toHz: 52_980_000, usualOffsetHz: -500_000 },
    { fromHz: 52_980_001, toHz: 53_499_999, usualOffsetHz: 0 },
    { fromHz: 53_500_000, toHz: 53_980_000, usualOffsetHz: -500_000 },
    { fromHz: 53_980_001, toHz: 54_000_000, usualOffsetHz: 0 },
  ],
};

/** The table of the amateur band at 1.25 metres. */
export const AMATEUR_125CM: ServiceTable = {
  ...COMMON,
  id: 'amateur-125cm',
  usualShiftHz: 1_600_000,
  channels: [calling('223.5', 223_500_000, '1.25 m calling')],
  bands: [
    { fromHz: 222_000_000, toHz: 223_849_999, usualOffsetHz: 0 },
    { fromHz: 223_850_000, toHz: 224_980_000, usualOffsetHz: -1_600_000 },
    { fromHz: 224_980_001, toHz: 225_000_000, usualOffsetHz: 0 },
  ],
};

/** The table of the amateur band at 33 centimetres. */
export const AMATEUR_33CM: ServiceTable = {
  ...COMMON,
  id: 'amateur-33cm',
  usualShiftHz: 25_000_000,
  channels: [calling('927.5', 927_500_000, '33 cm calling')],
  bands: [
    { fromHz: 902_000_000, toHz: 926_999_999, usualOffsetHz: 0 },
    { fromHz: 927_000_000, toHz: 928_000_000, usualOffsetHz: -25_000_000 },
  ],
};

/** The table of the amateur band at 23 centimetres. */
export const AMATEUR_23CM: ServiceTable = {
  ...COMMON,
  id: 'amateur-23cm',
  usualShiftHz: 12_000_000,
  channels: [calling('1294.5', 1_294_500_000, '23 cm calling')],
  bands: [
    { fromHz: 1_240_000_000, toHz: 1_281_999_999, usualOffsetHz: 0 },
    { fromHz: 1_282_000_000, toHz: 1_288_000_000, usualOffsetHz: -12_000_000 },
    { fromHz: 1_288_000_001, toHz: 1_300_000_000, usualOffsetHz: 0 },
  ],
};
