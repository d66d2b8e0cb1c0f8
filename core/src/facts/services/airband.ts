import type { ServiceTable } from './service';

/*
 * Air band distress and common frequencies, AM. Source: 47 CFR 87.173; 243.000 is the military distress frequency. From memory.
 * Nobody here transmits: an aircraft station licence and certified equipment are another world.
 */
const ROWS: readonly (readonly [string, number, string, boolean])[] = [
  ['121.5', 121_500_000, 'Air distress', true],
  ['122.7', 122_700_000, 'Air unicom 122.7', false],
  ['122.725', 122_725_000, 'Air unicom 122.725', false],
  ['122.75', 122_750_000, 'Air to air', false],
  ['122.8', 122_800_000, 'Air unicom 122.8', false],
  ['122.85', 122_850_000, 'Air multicom 122.85', false],
  ['122.9', 122_900_000, 'Air multicom', false],
  ['122.925', 122_925_000, 'Air multicom, forestry', false],
  ['122.95', 122_950_000, 'Air unicom, towers', false],
  ['122.975', 122_975_000, 'Air unicom 122.975', false],
  ['123', 123_000_000, 'Air unicom 123.0', false],
  ['123.025', 123_025_000, 'Air to air, helicopters', false],
  ['123.05', 123_050_000, 'Air unicom, heliports 123.05', false],
  ['123.075', 123_075_000, 'Air unicom, heliports 123.075', false],
  ['123.1', 123_100_000, 'Air search and rescue', true],
  ['123.3', 123_300_000, 'Air, flight schools 123.3', false],
  ['123.45', 123_450_000, 'Air to air, remote areas', false],
  ['123.5', 123_500_000, 'Air, flight schools 123.5', false],
  ['243', 243_000_000, 'Air distress, military', true],
  ['282.8', 282_800_000, 'Air search and rescue, military', true],
];

/** The table of the air band: listened to only. */
export const AIRBAND: ServiceTable = {
  id: 'airband',
  country: 'US',
  citation: '47 CFR 87.173',
  powerCitation: '47 CFR 87.131',
  modes: ['AM'],
  licence: 'closed',
  licenceCitation: '47 CFR 87.18',
  certification: true,
  certificationCitation: '47 CFR 87.145',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '',
  words: ['air', 'airband'],
  channels: ROWS.map(([number, hz, name, distress]) => ({
    number,
    name,
    receiveHz: hz,
    transmitHz: null,
    maxPowerW: null,
    powerBasis: null,
    bandwidthHz: 25_000,
    mode: 'AM',
    noTones: true,
    neverTest: distress,
  })),
};

/** Whether a frequency (hertz) is in the band of navigation and voices from the air, which is modulated in AM alone. Source: ITU Radio Regulations, article 5, 108 to 137 MHz; from memory. */
export function isInAirBand(hz: number): boolean {
  return hz >= 108_000_000 && hz < 137_000_000;
}
