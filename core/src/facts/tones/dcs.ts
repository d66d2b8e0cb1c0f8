/*
 * DCS (CDCSS) codes: three octal digits.
 * Source: TIA-603, continuous digital-coded squelch, for the core 83; the rest of the 104 is common practice.
 * The lists were entered from memory; the partner rule below is computed from the Golay word and checks them.
 */
// biome-ignore format: in the list's own order
export const DCS_CODES: readonly string[] = [
  '023', '025', '026', '031', '032', '036', '043', '047', '051', '053', '054', '065', '071', '072', '073', '074',
  '114', '115', '116', '122', '125', '131', '132', '134', '143', '145', '152', '155', '156', '162', '165', '172',
  '174', '205', '212', '223', '225', '226', '243', '244', '245', '246', '251', '252', '255', '261', '263', '265',
  '266', '271', '274', '306', '311', '315', '325', '331', '332', '343', '346', '351', '356', '364', '365', '371',
  '411', '412', '413', '423', '431', '432', '445', '446', '452', '454', '455', '462', '464', '465', '466', '503',
  '506', '516', '523', '526', '532', '546', '565', '606', '612', '624', '627', '631', '632', '654', '662', '664',
  '703', '712', '723', '731', '732', '734', '743', '754',
];

/** Codes that the consumer numbering 39-121 leaves out (common practice, no published source). */
// biome-ignore format: in the list's own order
export const DCS_NOT_CONSUMER: readonly string[] = [
  '036', '053', '122', '145', '212', '225', '246', '252', '255', '266', '274',
  '325', '332', '356', '446', '452', '454', '455', '462', '523', '526',
];

/** The 83 codes that consumer devices number 39-121, in that order (common practice). */
export const DCS_CONSUMER: readonly string[] = DCS_CODES.filter((code) => !DCS_NOT_CONSUMER.includes(code));

/** Normal or inverted: a code and its complement. */
export type Polarity = 'N' | 'I';

const WORD_BITS = 23;
const WORD_MASK = (1 << WORD_BITS) - 1;
/** x^11+x^10+x^6+x^5+x^4+x^2+1, the generator of the Golay (23,12) code. */
const GENERATOR = 0b1100_0111_0101;

/**
 * The 23-bit word that a transmitter repeats for a code, bit 0 first on the air: the nine bits of the octal code, 100
 * (binary) above them, and above those the eleven check bits: the remainder of the data, shifted up, by the generator.
 * Source: TIA-603, CDCSS; Golay (23,12) cyclic code. Sent at 134.4 bit/s.
 * @throws RangeError when `code` is not three octal digits.
 */
export function dcsWord(code: string): number {
  if (!/^[0-7]{3}$/.test(code)) throw new RangeError(`code: ${code}`);
  const data = 0b100_000_000_000 | Number.parseInt(code, 8);
  let remainder = data << 11;
  for (let bit = WORD_BITS - 1; bit >= 11; bit--)
    if (remainder & (1 << bit)) remainder ^= GENERATOR << (bit - 11);
  return (remainder << 12) | data;
}

/** The word of an inverted code: every bit the other way round. */
export function wordOnAir(code: string, polarity: Polarity): number {
  return polarity === 'N' ? dcsWord(code) : ~dcsWord(code) & WORD_MASK;
}

/** The smallest of a word's 23 rotations: equal for two words that sound alike, since the word repeats without a mark. */
export function canonicalRotation(word: number): number {
  let best = word;
  let turned = word;
  for (let shift = 1; shift < WORD_BITS; shift++) {
    turned = ((turned << 1) & WORD_MASK) | (turned >> (WORD_BITS - 1));
    if (turned < best) best = turned;
  }
  return best;
}

const SOUNDS = new Map<number, { code: string; polarity: Polarity }[]>();
for (const code of DCS_CODES)
  for (const polarity of ['N', 'I'] as const) {
    const key = canonicalRotation(wordOnAir(code, polarity));
    SOUNDS.set(key, [...(SOUNDS.get(key) ?? []), { code, polarity }]);
  }

/**
 * The codes in use that cannot be told from this one on the air, itself left out: D023I sounds as D047N.
 * Also answers for octal codes outside the 104.
 * @throws RangeError when `code` is not three octal digits.
 */
export function partnersOf(tone: {
  code: string;
  polarity: Polarity;
}): { code: string; polarity: Polarity }[] {
  const alike = SOUNDS.get(canonicalRotation(wordOnAir(tone.code, tone.polarity))) ?? [];
  return alike.filter((other) => other.code !== tone.code || other.polarity !== tone.polarity);
}
