import type { ServiceTable } from './service';

/*
 * Business radio. Source: 47 CFR 90.35 (eligibility), 90.209 (11.25 kHz in 12.5 kHz channels), 90.203 (certification), 90.425
 * (identification). There is no table: each licensee has frequencies of their own, which a plan carries as `licensed`.
 */
/** What part 90 says of every business frequency. */
export const PART_90 = {
  powerCitation: '47 CFR 90.205',
  licence: 'business',
  licenceCitation: '47 CFR 90.35',
  modes: ['FM', 'digital'],
  modesCitation: '47 CFR 90.207',
  certification: true,
  certificationCitation: '47 CFR 90.203',
  identifyEveryMinutes: 15,
  identifyCitation: '47 CFR 90.425',
} as const satisfies Partial<ServiceTable>;

export const BUSINESS: ServiceTable = {
  id: 'business',
  country: 'US',
  citation: '47 CFR 90.35',
  ...PART_90,
  repeaters: true,
  words: ['business'],
  channels: [],
};
