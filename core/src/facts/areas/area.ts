/** One county or what stands for one, with the six digits that alert radios store for the whole of it. */
export interface Area {
  /** `0SSCCC`: 0 for the whole, then state and county. Source: 47 CFR 11.31, location code PSSCCC. */
  readonly code: string;
  readonly county: string;
  readonly state: string;
  /** The codes of the areas that share a border with it, lowest first. */
  readonly beside: readonly string[];
}
