import { type BandRow, bandsOf, REGION_1 } from './iaruR1';
import type { ServiceTable } from './service';

/*
 * IARU Region 1 two-metre FM channels. Source: IARU Region 1 VHF Managers Handbook, numbering Vn = 145.000 MHz + 12.5 kHz x n;
 * RVn is a repeater with its input 600 kHz below the output. Simplex V16-V47, repeaters RV48-RV63. From memory.
 */
const hzOf = (n: number) => 145_000_000 + 12_500 * n;
const rest = { maxPowerW: null, powerBasis: null, bandwidthHz: 12_500 };
/** V40 is the FM calling channel (145.500 MHz). */
const CALLING = 40;

/** From, to, usual offset in hertz, voices; below 144.150 MHz telegraphy and machines. */
const BANDS: readonly BandRow[] = [
  [144_000_000, 144_149_999, 0, false],
  [144_150_000, 145_574_999, 0, true],
  [145_575_000, 145_793_749, -600_000, true],
  [145_793_750, 146_000_000, 0, true],
];

/** The table of FM channels at 2 metres, IARU Region 1. */
export const IARU_R1_2M: ServiceTable = {
  id: 'iaru-r1-2m',
  ...REGION_1,
  usualShiftHz: 600_000,
  bands: bandsOf(BANDS),
  channels: [
    ...Array.from({ length: 32 }, (_, k) => 16 + k).map((n) => ({
      number: `V${n}`,
      name: n === CALLING ? 'V40 calling' : `V${n}`,
      receiveHz: hzOf(n),
      transmitHz: hzOf(n),
      neverTest: n === CALLING,
      ...rest,
    })),
    ...Array.from({ length: 16 }, (_, k) => 48 + k).map((n) => ({
      number: `RV${n}`,
      pair: true,
      name: `RV${n}`,
      receiveHz: hzOf(n),
      transmitHz: hzOf(n) - 600_000,
      ...rest,
    })),
  ],
};
