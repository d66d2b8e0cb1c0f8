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
  title: 'Amateur, 2 metres',
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
  title: 'Amateur, 70 centimetres',
  usualShiftHz: 5_000_000,
  channels: [calling('446', 446_000_000, '70 cm calling')],
  bands: [
    { fromHz: 420_000_000, toHz: 441_999_999, usualOffsetHz: 0 },
    { fromHz: 442_000_000, toHz: 444_999_999, usualOffsetHz: 5_000_000 },
    { fromHz: 445_000_000, toHz: 446_999_999, usualOffsetHz: 0 },
    { fromHz: 447_000_000, toHz: 450_000_000, usualOffsetHz: -5_000_000 },
  ],
};
