import type { ServiceTable } from './service';

/** What holds in every amateur band of IARU Region 1; power, licence and identification are each country's own. */
export const REGION_1 = {
  country: 'EU',
  citation: 'IARU Region 1 VHF Managers Handbook',
  powerCitation: 'national licence',
  licence: 'personal',
  licenceCitation: 'national licence',
  modes: ['FM', 'digital'],
  modesCitation: 'IARU Region 1 VHF Managers Handbook',
  certification: false,
  certificationCitation: '',
  repeaters: true,
  identifyEveryMinutes: null,
  identifyCitation: 'national licence',
  words: [],
} as const satisfies Partial<ServiceTable>;

/** Stretches of a band as a table has them: from, to, usual offset in hertz, voices. */
export type BandRow = readonly [number, number, number, boolean];

/** The bands of a table. */
export const bandsOf = (rows: readonly BandRow[]) =>
  rows.map(([fromHz, toHz, usualOffsetHz, voice]) => ({ fromHz, toHz, usualOffsetHz, voice }));
