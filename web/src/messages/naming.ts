import type { Naming } from '@umbrex/core/model';

/** What can be chosen of names on displays. */
export const NAMING_TEXT: Readonly<Record<Naming, string>> = {
  now: 'written last, once all places work',
  later: 'left for another day',
  never: 'never written',
  needed: 'only where the display shows nothing else',
};

/** The choices of a plan, and those of something that can also follow it. */
export const NAMING_CHOICES = Object.entries(NAMING_TEXT) as [Naming, string][];
export const NAMING_OPTIONS = [
  ['plan', 'as the plan says'],
  ...NAMING_CHOICES,
] as const satisfies readonly (readonly [Naming | 'plan', string])[];
