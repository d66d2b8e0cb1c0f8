import { STATES } from './counties';

/** One county or what stands for one, with the six digits that alert radios store for the whole of it. */
export interface Area {
  /** `0SSCCC`: 0 for the whole, then state and county. Source: 47 CFR 11.31, location code PSSCCC. */
  readonly code: string;
  readonly county: string;
  readonly state: string;
}

/** Every county of the states, the District, Puerto Rico and the islands, in the order of their codes. */
export const AREAS: readonly Area[] = STATES.flatMap(([stateCode, state, counties]) =>
  counties.split(';').map((entry) => ({
    code: `0${stateCode}${entry.slice(0, 3)}`,
    county: entry.slice(4),
    state,
  })),
);

/**
 * Searches the areas by county, by county and state (`lake, ohio`), or by their code with or without the part digit.
 * @returns the first `most` in the order of their codes, and how many there are in all
 */
export function searchAreas(text: string, most = 30): { areas: readonly Area[]; total: number } {
  const words = text.trim().toLowerCase();
  if (words === '') return { areas: [], total: 0 };
  const [county = '', state = ''] = words.split(',').map((part) => part.trim());
  const digits = /^\d{5,6}$/.test(words) ? words.padStart(6, '0') : undefined;
  const found = AREAS.filter((area) =>
    digits
      ? area.code.slice(1) === digits.slice(1)
      : area.county.toLowerCase().startsWith(county) && area.state.toLowerCase().startsWith(state),
  );
  return { areas: found.slice(0, most), total: found.length };
}
