/** Lowest and highest frequency that any device of this field receives, in hertz (25-1300 MHz, common practice). */
export const RADIO_RANGE_HZ = { min: 25_000_000, max: 1_300_000_000 } as const;

/**
 * Turns a decimal text in megahertz into whole hertz without passing through a float, so `462.5625` is exact.
 * @returns hertz, or `undefined` when the text is no plain decimal number or is finer than one hertz.
 */
export function hzFromMHzText(text: string): number | undefined {
  const match = /^(\d{1,4})(?:\.(\d{1,6}))?$/.exec(text);
  if (!match) return undefined;
  return Number(match[1]) * 1_000_000 + Number((match[2] ?? '').padEnd(6, '0'));
}

/** Writes hertz as megahertz: four decimals, five or six only where the value needs them. */
export function mhzText(hz: number): string {
  if (!Number.isSafeInteger(hz) || hz < 0) throw new RangeError(`hz: ${hz}`);
  const whole = Math.floor(hz / 1_000_000);
  const fraction = String(hz % 1_000_000).padStart(6, '0');
  return `${whole}.${fraction.replace(/0{1,2}$/, '')}`;
}

/** Whether a frequency in hertz lies in the range devices of this field receive. */
export function inRadioRange(hz: number): boolean {
  return hz >= RADIO_RANGE_HZ.min && hz <= RADIO_RANGE_HZ.max;
}
