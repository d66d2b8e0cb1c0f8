import type { ServiceTable } from './service';

/*
 * US interoperability channels. Source: National Interoperability Field Operations Guide; 47 CFR 90.20 (VHF, UHF), 90.531 (700 MHz), 90.617
 * (800 MHz) for their use. From memory. CTCSS 156.7, on VTAC33 to 38 136.5; 12.5 kHz, at 800 MHz 20 kHz. Repeater outputs have their inputs
 * 5 MHz up at UHF, 30 MHz up at 700 MHz, 45 MHz down at 800 MHz; a D behind the name is the output used directly. At 700 MHz voices are digital.
 * Columns: name, receive, transmit.
 */
const ROWS: readonly (readonly [string, number, number])[] = [
  ['VCALL10', 155_752_500, 155_752_500],
  ['VTAC11', 151_137_500, 151_137_500],
  ['VTAC12', 154_452_500, 154_452_500],
  ['VTAC13', 158_737_500, 158_737_500],
  ['VTAC14', 159_472_500, 159_472_500],
  ['VTAC33', 159_472_500, 151_137_500],
  ['VTAC34', 158_737_500, 154_452_500],
  ['VTAC35', 159_472_500, 158_737_500],
  ['VTAC36', 151_137_500, 159_472_500],
  ['VTAC37', 154_452_500, 158_737_500],
  ['VTAC38', 158_737_500, 159_472_500],
  ['VFIRE21', 154_280_000, 154_280_000],
  ['VFIRE22', 154_265_000, 154_265_000],
  ['VFIRE23', 154_295_000, 154_295_000],
  ['VFIRE24', 154_272_500, 154_272_500],
  ['VFIRE25', 154_287_500, 154_287_500],
  ['VFIRE26', 154_302_500, 154_302_500],
  ['VMED28', 155_340_000, 155_340_000],
  ['VMED29', 155_347_500, 155_347_500],
  ['VLAW31', 155_475_000, 155_475_000],
  ['VLAW32', 155_482_500, 155_482_500],
  ['UCALL40', 453_212_500, 458_212_500],
  ['UTAC41', 453_462_500, 458_462_500],
  ['UTAC42', 453_712_500, 458_712_500],
  ['UTAC43', 453_862_500, 458_862_500],
  ['UCALL40D', 453_212_500, 453_212_500],
  ['UTAC41D', 453_462_500, 453_462_500],
  ['UTAC42D', 453_712_500, 453_712_500],
  ['UTAC43D', 453_862_500, 453_862_500],
];
/** Output of each repeater at 700 MHz, in the order of the guide. */
const AT_700: readonly (readonly [string, number])[] = [
  ['7CALL50', 769_243_750],
  ['7TAC51', 769_143_750],
  ['7TAC52', 769_643_750],
  ['7TAC53', 770_143_750],
  ['7TAC54', 770_643_750],
  ['7TAC55', 769_743_750],
  ['7TAC56', 770_243_750],
  ['7GTAC57', 770_993_750],
  ['7MOB59', 770_893_750],
  ['7LAW61', 770_393_750],
  ['7LAW62', 770_493_750],
  ['7FIRE63', 769_893_750],
  ['7FIRE64', 769_993_750],
  ['7MED65', 769_393_750],
  ['7MED66', 769_493_750],
  ['7CALL70', 773_256_250],
  ['7TAC71', 773_106_250],
  ['7TAC72', 773_606_250],
  ['7TAC73', 774_106_250],
  ['7TAC74', 774_606_250],
  ['7TAC75', 773_756_250],
  ['7TAC76', 774_256_250],
  ['7GTAC77', 774_856_250],
  ['7MOB79', 774_506_250],
  ['7LAW81', 774_006_250],
  ['7LAW82', 774_356_250],
  ['7FIRE83', 773_506_250],
  ['7FIRE84', 773_856_250],
  ['7MED86', 773_006_250],
  ['7MED87', 773_356_250],
];
/** Output of each repeater at 800 MHz. */
const AT_800: readonly (readonly [string, number])[] = [
  ['8CALL90', 851_012_500],
  ['8TAC91', 851_512_500],
  ['8TAC92', 852_012_500],
  ['8TAC93', 852_512_500],
  ['8TAC94', 853_012_500],
];
const bothWays = (rows: readonly (readonly [string, number])[], shiftHz: number) =>
  rows.flatMap(([name, hz]) => [[name, hz, hz + shiftHz] as const, [`${name}D`, hz, hz] as const]);
const LATER_TONE = /^VTAC3[3-8]$/;

/** The table of interoperability channels. */
export const INTEROP: ServiceTable = {
  id: 'interop',
  country: 'US',
  citation: 'National Interoperability Field Operations Guide',
  powerCitation: 'National Interoperability Field Operations Guide',
  licence: 'authorised',
  publicSafety: true,
  licenceCitation: '47 CFR 90.20',
  modes: ['FM', 'digital'],
  modesCitation: 'National Interoperability Field Operations Guide',
  // Part 90 equipment
  certifiedAlso: ['business'],
  certification: true,
  certificationCitation: '47 CFR 90.203',
  repeaters: true,
  identifyEveryMinutes: 15,
  identifyCitation: '47 CFR 90.425',
  words: ['interop'],
  channels: [...ROWS, ...bothWays(AT_700, 30_000_000), ...bothWays(AT_800, -45_000_000)].map(
    ([number, receiveHz, transmitHz]) => ({
      number,
      pair: receiveHz !== transmitHz,
      name: number,
      receiveHz,
      transmitHz,
      maxPowerW: null,
      powerBasis: null,
      bandwidthHz: number.startsWith('8') ? 20_000 : 12_500,
      ...(number.startsWith('7')
        ? { mode: 'digital' as const }
        : { tone: LATER_TONE.test(number) ? '136.5' : '156.7' }),
      neverTest: number.includes('CALL'),
    }),
  ),
};
