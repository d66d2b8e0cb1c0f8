import type { ServiceTable } from './service';

/*
 * US interoperability calling and tactical channels. Source: National Interoperability Field Operations Guide, VHF and UHF
 * channels; 47 CFR 90.20 for their use. From memory. CTCSS 156.7, 12.5 kHz; the UHF ones are repeater outputs with the input
 * 5 MHz up.
 * Columns: name, receive, transmit.
 */
const ROWS: readonly (readonly [string, number, number])[] = [
  ['VCALL10', 155_752_500, 155_752_500],
  ['VTAC11', 151_137_500, 151_137_500],
  ['VTAC12', 154_452_500, 154_452_500],
  ['VTAC13', 158_737_500, 158_737_500],
  ['VTAC14', 159_472_500, 159_472_500],
  ['UCALL40', 453_212_500, 458_212_500],
  ['UTAC41', 453_462_500, 458_462_500],
  ['UTAC42', 453_712_500, 458_712_500],
  ['UTAC43', 453_862_500, 458_862_500],
  ['UCALL40D', 453_212_500, 453_212_500],
  ['UTAC41D', 453_462_500, 453_462_500],
  ['UTAC42D', 453_712_500, 453_712_500],
  ['UTAC43D', 453_862_500, 453_862_500],
];

/** The table of interoperability channels. */
export const INTEROP: ServiceTable = {
  id: 'interop',
  title: 'US interoperability channels',
  country: 'US',
  citation: 'National Interoperability Field Operations Guide',
  powerCitation: 'National Interoperability Field Operations Guide',
  licence: 'authorised',
  publicSafety: true,
  licenceCitation: '47 CFR 90.20',
  modes: ['FM'],
  modesCitation: 'National Interoperability Field Operations Guide',
  // Part 90 equipment
  certifiedAlso: ['business'],
  certification: true,
  certificationCitation: '47 CFR 90.203',
  repeaters: true,
  identifyEveryMinutes: 15,
  identifyCitation: '47 CFR 90.425',
  words: ['interop'],
  channels: ROWS.map(([number, receiveHz, transmitHz]) => ({
    number,
    pair: receiveHz !== transmitHz,
    name: number,
    receiveHz,
    transmitHz,
    maxPowerW: null,
    powerBasis: null,
    bandwidthHz: 12_500,
    tone: '156.7',
    neverTest: number.includes('CALL'),
  })),
};
