import { SERVICES, type Service, type ServiceChannel, type ServiceId, servicesOf } from './services/index';

/** A country, or a region of one set of rules, that has tables here. */
export type CountryId = Service['country'];

/**
 * Whose rules a plan follows: `unknown` while nobody has said; `EU` stands for the European recommendations, `other` for everywhere else,
 * of which there are no tables here.
 */
export const COUNTRIES = ['unknown', 'US', 'AU', 'EU', 'other'] as const;
export type PlanCountry = (typeof COUNTRIES)[number];

/** Whether there are tables of a country; where there are none rules answer unknown, and nothing is usual. */
export function hasTables(country: string): country is CountryId {
  return Object.hasOwn(COUNTRY, country);
}

/** What is usual where, as far as people write it down by habit. Whose rules apply stands in the service tables. */
export interface Country {
  readonly title: string;
  /** The service that a bare channel number means, and a frequency of it without a word (common practice). */
  readonly home: ServiceId;
  /** Another service on the very channels of the home one, meant only where its word stands (47 CFR 95.563, 95.1763). */
  readonly beside: ServiceId | null;
  /** Between channels of the home service nothing else is: a frequency within this of one, in hertz, that is none is a slip. */
  readonly slipHz: number;
}

/** What is usual in each. */
export const COUNTRY: Readonly<Record<CountryId, Country>> = {
  US: { title: 'United States', home: 'gmrs', beside: 'frs', slipHz: 12_500 },
  AU: { title: 'Australia', home: 'uhf-cb-au', beside: null, slipHz: 6_250 },
  EU: { title: 'European recommendations', home: 'pmr446', beside: null, slipHz: 6_250 },
};

/** What a bare channel number means in a country; nothing where there are no tables of it. */
export function homeOf(country: PlanCountry): Service | undefined {
  return hasTables(country) ? SERVICES[COUNTRY[country].home] : undefined;
}

/** Whether a frequency (hertz) lies among the channels of a country's home service, where nothing else is. */
export function isAmongHome(country: PlanCountry, hz: number): boolean {
  if (!hasTables(country)) return false;
  const { slipHz, home } = COUNTRY[country];
  return frequenciesOf(SERVICES[home]).some((channelHz) => Math.abs(channelHz - hz) <= slipHz);
}

/** The frequency of a service that is nearest to another one, in hertz; of those that sets hear. */
export function nearestOf(service: Service, hz: number): number {
  return service.channels
    .map(({ receiveHz }) => receiveHz)
    .reduce((best, candidate) => (Math.abs(candidate - hz) < Math.abs(best - hz) ? candidate : best));
}

function frequenciesOf({ channels }: Service): number[] {
  return channels.flatMap(({ receiveHz, transmitHz }) =>
    transmitHz === null ? [receiveHz] : [receiveHz, transmitHz],
  );
}

const shiftOf = ({ receiveHz, transmitHz }: ServiceChannel) =>
  transmitHz === null ? 0 : transmitHz - receiveHz;

/**
 * From a repeater's output to its input as a service has it there, in hertz: by its own pair, by its usual pairs, by the plan of the band;
 * 0 where nothing is usual.
 */
export function usualShiftHz(service: Service, receiveHz: number): number {
  const pairs = service.channels.filter(({ pair }) => pair);
  const there = pairs.filter((row) => row.receiveHz === receiveHz);
  const shifts = new Set((there.length > 0 ? there : pairs).map(shiftOf));
  // Where a service shifts in several ways none of them is usual.
  if (pairs.length > 0) return shifts.size === 1 ? ([...shifts][0] ?? 0) : 0;
  const band = service.bands.find(({ fromHz, toHz }) => receiveHz >= fromHz && receiveHz <= toHz);
  return band?.usualOffsetHz ?? 0;
}

/** The usual shift of a channel: by its own service where that has one there, else by the country's. @param service `other` for none */
export function usualShiftOf(service: ServiceId | 'other', country: string, receiveHz: number): number {
  const own = service === 'other' ? 0 : usualShiftHz(SERVICES[service], receiveHz);
  return own || usualShiftIn(country, receiveHz);
}

/** The same for a frequency of which only the country is known: by the first of its services that has it. */
export function usualShiftIn(country: string, receiveHz: number): number {
  const has = (service: Service) =>
    service.channels.some((row) => row.receiveHz === receiveHz) ||
    service.bands.some(({ fromHz, toHz }) => receiveHz >= fromHz && receiveHz <= toHz);
  const shifts = servicesOf(country)
    .filter(has)
    .map((service) => usualShiftHz(service, receiveHz));
  return shifts.find((hz) => hz !== 0) ?? 0;
}
