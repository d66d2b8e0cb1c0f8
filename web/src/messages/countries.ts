import type { PlanCountry } from '@umbrex/core/facts';

/** Whose rules a plan follows, in words. */
export const COUNTRY_TEXT: Readonly<Record<PlanCountry, string>> = {
  unknown: 'nobody has said whose rules',
  US: 'United States',
  AU: 'Australia',
  EU: 'Europe, IARU Region 1',
  other: 'another country (no rules known here)',
};

/** The choices, as long as nobody has said with that first. */
export function countryChoices(now: PlanCountry): (readonly [PlanCountry, string])[] {
  const all = Object.entries(COUNTRY_TEXT) as [PlanCountry, string][];
  return all.filter(([country]) => country !== 'unknown' || now === 'unknown');
}
