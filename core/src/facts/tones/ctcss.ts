/*
 * CTCSS tones in tenths of a hertz.
 * Source: TIA-603, continuous tone-coded squelch, for the core of 37-38 tones; the rest is manufacturers' common
 * practice. The values were entered from memory of these tables.
 */
// biome-ignore format: in the table's own order, ten to a line
export const CTCSS_TENTHS_HZ: readonly number[] = [
  670, 693, 719, 744, 770, 797, 825, 854, 885, 915,
  948, 974, 1000, 1035, 1072, 1109, 1148, 1188, 1230, 1273,
  1318, 1365, 1413, 1462, 1514, 1567, 1598, 1622, 1655, 1679,
  1713, 1738, 1773, 1799, 1835, 1862, 1899, 1928, 1966, 1995,
  2035, 2065, 2107, 2181, 2257, 2291, 2336, 2418, 2503, 2541,
];

/** Tones that a few sets have beside the 50 (common practice, no published source). */
export const CTCSS_RARE_TENTHS_HZ: readonly number[] = [1500];

/** Tones that the numbering 1-38 of consumer devices leaves out (common practice, no published source). */
// biome-ignore format: one row as it is usually given
export const CTCSS_NOT_CONSUMER_TENTHS_HZ: readonly number[] = [
  693, 1598, 1655, 1713, 1773, 1835, 1899, 1966, 1995, 2065, 2291, 2541,
];

/** The 38 tones that consumer devices number 1-38, in that order (common practice). */
export const CTCSS_CONSUMER_TENTHS_HZ: readonly number[] = CTCSS_TENTHS_HZ.filter(
  (tone) => !CTCSS_NOT_CONSUMER_TENTHS_HZ.includes(tone),
);

/** The standard tone nearest to a value in tenths of a hertz, for a question only: never to be taken by itself. */
export function nearestCtcss(tenthsHz: number): number {
  return CTCSS_TENTHS_HZ.reduce((best, tone) =>
    Math.abs(tone - tenthsHz) < Math.abs(best - tenthsHz) ? tone : best,
  );
}
