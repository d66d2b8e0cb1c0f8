import { AIRBAND } from './airband';
import {
  AMATEUR_2M,
  AMATEUR_6M,
  AMATEUR_10M,
  AMATEUR_23CM,
  AMATEUR_33CM,
  AMATEUR_70CM,
  AMATEUR_125CM,
} from './amateur';
import { BUSINESS } from './business';
import { CB_US } from './cbUs';
import { FRS } from './frs';
import { GMRS } from './gmrs';
import { IARU_R1_2M } from './iaruR12m';
import { IARU_R1_70CM } from './iaruR170cm';
import { INTEROP } from './interop';
import { ITINERANT } from './itinerant';
import { MARINE } from './marine';
import { MARINE_AU, MARINE_EU } from './marineAppendix18';
import { MURS } from './murs';
import { PMR446 } from './pmr446';
import { RAIL_US } from './railUs';
import { type Service, type ServiceChannel, ServiceSchema, type ServiceTable } from './service';
import { SERVICE_TITLES, type ServiceId } from './titles';
import { UHF_CB_AU } from './uhfCbAu';
import { WEATHER } from './weather';

export * from './service';
export * from './titles';
export { WEATHER_NUMBERS } from './weather';

const TABLES: Readonly<Record<ServiceId, ServiceTable>> = {
  gmrs: GMRS,
  frs: FRS,
  murs: MURS,
  weather: WEATHER,
  business: BUSINESS,
  marine: MARINE,
  airband: AIRBAND,
  interop: INTEROP,
  'amateur-2m': AMATEUR_2M,
  'amateur-70cm': AMATEUR_70CM,
  'amateur-10m': AMATEUR_10M,
  'amateur-6m': AMATEUR_6M,
  'amateur-125cm': AMATEUR_125CM,
  'amateur-33cm': AMATEUR_33CM,
  'amateur-23cm': AMATEUR_23CM,
  'cb-us': CB_US,
  pmr446: PMR446,
  'uhf-cb-au': UHF_CB_AU,
  'iaru-r1-2m': IARU_R1_2M,
  'iaru-r1-70cm': IARU_R1_70CM,
  'marine-eu': MARINE_EU,
  'marine-au': MARINE_AU,
  itinerant: ITINERANT,
  'rail-us': RAIL_US,
};

/** Every service table that ships, by id. */
export const SERVICES = Object.fromEntries(
  Object.entries(TABLES).map(([id, table]) => [
    id,
    ServiceSchema.parse({ ...table, title: SERVICE_TITLES[id as ServiceId] }),
  ]),
) as Readonly<Record<ServiceId, Service>>;

/** The services of a country, in the order of the tables. */
export function servicesOf(
  country: string,
  services: readonly Service[] = Object.values(SERVICES),
): Service[] {
  return services.filter((service) => service.country === country);
}

/** The channel of a service by its own number or an alias; `pair` picks the repeater pair instead of the direct channel. */
export function serviceChannel(
  service: ServiceId | Service,
  number: number | string,
  pair = false,
): ServiceChannel | undefined {
  const table = typeof service === 'string' ? SERVICES[service] : service;
  const text = String(number).toLowerCase();
  const like = (channel: ServiceChannel) =>
    channel.number.toLowerCase() === text || channel.aliases.some((alias) => alias.toLowerCase() === text);
  return table.channels.find((channel) => channel.pair === pair && like(channel));
}

/** The channel of a service that has exactly these frequencies (hertz). */
export function channelOn(
  service: ServiceId | Service,
  receiveHz: number,
  transmitHz: number | null,
): ServiceChannel | undefined {
  const table = typeof service === 'string' ? SERVICES[service] : service;
  return table.channels.find(
    (channel) => channel.receiveHz === receiveHz && channel.transmitHz === transmitHz,
  );
}

export { isInAirBand } from './airband';

/** Whether a plan only listens to a service until somebody says otherwise: who may send there is none of the public, or is aboard. */
export function isGuarded({ licence, aboard, ownOnly }: Service): boolean {
  return licence === 'authorised' || licence === 'closed' || aboard || ownOnly;
}
