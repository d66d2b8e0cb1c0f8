import { z } from 'zod';

/** Years that a group's days lie in: others are slips of the keys, and a calendar file has four figures for a year (RFC 5545, 3.3.4). */
const YEARS = { first: 1900, last: 2199 } as const;
const isInReach = (day: string) => {
  const year = Number(day.slice(0, 4));
  return year >= YEARS.first && year <= YEARS.last;
};
const reach = `${YEARS.first} to ${YEARS.last}`;
const A_TIME = 'a day and a time, as 2026-12-01T19:00';

/** A day that there is, as YYYY-MM-DD. */
export const DaySchema = z.iso
  .date({ error: 'a day, as 2026-12-01', abort: true })
  .refine(isInReach, `a day of the years ${reach}`);

/** A day, or that nobody knows it. */
export const DayOrUnknownSchema = z.union([DaySchema, z.literal('unknown')]);

/** A day and a time that clocks can show, as 2026-12-01T19:00, in no zone. */
export const LocalTimeSchema = z.iso
  .datetime({ local: true, precision: -1, error: A_TIME, abort: true })
  .refine((text) => !text.endsWith('Z'), { error: A_TIME, abort: true })
  .refine(isInReach, `a day of the years ${reach}`);
