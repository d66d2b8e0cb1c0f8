import type { Signal, Stop } from '@umbrex/core/procedure';

/** A place that a scan looks at, on as many megahertz as its number. */
export const stop = (number: number, more: Partial<Stop> = {}): Stop => ({
  number,
  hz: number * 1_000_000,
  tone: 'off',
  resumeMs: 300,
  hasPriority: false,
  ...more,
});

/** Somebody who is on the air there. */
export const sends = (number: number, fromMs: number, toMs: number, tone = 'off'): Signal => ({
  hz: number * 1_000_000,
  tone,
  fromMs,
  toMs,
});
