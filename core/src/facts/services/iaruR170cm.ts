import { type BandRow, bandsOf, REGION_1 } from './iaruR1';
import type { ServiceTable } from './service';

/*
 * The 70 cm band in IARU Region 1. Source: IARU Region 1 VHF Managers Handbook; repeaters by the wide shift of central Europe, inputs 7.6 MHz
 * below (others use 1.6 MHz between 430 and 434 MHz: that is asked). U280 is the FM calling channel. From memory.
 * Columns: from, to, usual offset in hertz, voices.
 */
const BANDS: readonly BandRow[] = [
  [430_000_000, 431_999_999, 0, true],
  [432_000_000, 432_149_999, 0, false],
  [432_150_000, 438_649_999, 0, true],
  [438_650_000, 439_425_000, -7_600_000, true],
  [439_425_001, 440_000_000, 0, true],
];

/** The table of the 70 cm band, IARU Region 1. */
export const IARU_R1_70CM: ServiceTable = {
  id: 'iaru-r1-70cm',
  ...REGION_1,
  channels: [
    {
      number: 'U280',
      name: 'U280 calling',
      receiveHz: 433_500_000,
      transmitHz: 433_500_000,
      maxPowerW: null,
      powerBasis: null,
      bandwidthHz: 12_500,
      neverTest: true,
    },
  ],
  bands: bandsOf(BANDS),
};
