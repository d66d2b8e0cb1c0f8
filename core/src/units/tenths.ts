/** Turns `131.8`, `82` or `82.50` into tenths of a hertz; `undefined` when it is finer than a tenth or no number. */
export function tenthsFromHzText(text: string): number | undefined {
  const match = /^(\d{1,3})(?:\.(\d)0*)?$/.exec(text);
  return match ? Number(match[1]) * 10 + Number(match[2] ?? 0) : undefined;
}

/** Writes tenths of a hertz as hertz with one decimal: 825 gives `82.5`. */
export function hzTextFromTenths(tenthsHz: number): string {
  if (!Number.isSafeInteger(tenthsHz) || tenthsHz < 0) throw new RangeError(`tenthsHz: ${tenthsHz}`);
  return `${Math.floor(tenthsHz / 10)}.${tenthsHz % 10}`;
}
