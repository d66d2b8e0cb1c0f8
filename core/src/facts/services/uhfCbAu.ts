import type { ServiceTable } from './service';

/*
 * Australian UHF citizen band. Source: Radiocommunications (Citizen Band Radio Stations) Class Licence 2015. From memory.
 * Channels 1-40 at 476.4250 MHz + 25 kHz x (n - 1); 41-80 interleaved 12.5 kHz above. Repeater outputs on 1-8 and 41-48, their
 * inputs 750 kHz up on 31-38 and 71-78. 5 and 35 are for emergencies, 22 and 23 for telemetry, 61-63 reserved.
 */
const hzOf = (n: number) => (n <= 40 ? 476_425_000 + 25_000 * (n - 1) : 476_437_500 + 25_000 * (n - 41));
const EMERGENCY: readonly number[] = [5, 35];
const TELEMETRY: readonly number[] = [22, 23];
const RESERVED: readonly number[] = [61, 62, 63];
const numbers = Array.from({ length: 80 }, (_, k) => k + 1);

const rest = (n: number) => ({
  maxPowerW: 5,
  powerBasis: 'transmitter' as const,
  bandwidthHz: 12_500,
  neverTest: EMERGENCY.includes(n),
  noTones: EMERGENCY.includes(n) || TELEMETRY.includes(n),
  ...(TELEMETRY.includes(n) && { reservedFor: 'telemetry' }),
  ...(RESERVED.includes(n) && { reservedFor: 'later use' }),
});

/** The table of the Australian UHF citizen band. */
export const UHF_CB_AU: ServiceTable = {
  id: 'uhf-cb-au',
  country: 'AU',
  citation: 'Radiocommunications (Citizen Band Radio Stations) Class Licence 2015',
  powerCitation: 'Radiocommunications (Citizen Band Radio Stations) Class Licence 2015',
  licence: 'none',
  licenceCitation: 'Radiocommunications (Citizen Band Radio Stations) Class Licence 2015',
  modesCitation: 'Radiocommunications (Citizen Band Radio Stations) Class Licence 2015',
  certification: true,
  certificationCitation: 'Radiocommunications (Citizen Band Radio Stations) Class Licence 2015',
  repeaters: true,
  identifyEveryMinutes: null,
  identifyCitation: '',
  words: ['cb', 'uhf', 'uhfcb'],
  channels: [
    ...numbers.map((n) => ({
      number: String(n),
      name: `UHF CB ${n}`,
      receiveHz: hzOf(n),
      transmitHz: TELEMETRY.includes(n) || RESERVED.includes(n) ? null : hzOf(n),
      ...rest(n),
    })),
    ...numbers
      .filter((n) => n <= 8 || (n >= 41 && n <= 48))
      .map((n) => ({
        number: String(n),
        pair: true,
        name: `UHF CB ${n} repeater`,
        receiveHz: hzOf(n),
        transmitHz: hzOf(n + 30),
        ...rest(n),
      })),
  ],
};
