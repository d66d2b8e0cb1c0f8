import { FRS } from './frs';
import { GMRS } from './gmrs';
import type { Service, ServiceChannel, ServiceId } from './service';
import { WEATHER } from './weather';

export type { PowerBasis, Service, ServiceChannel, ServiceId } from './service';
export { SERVICE_IDS } from './service';
export { WEATHER_NUMBERS } from './weather';

/** Every service table, by id. */
export const SERVICES: Readonly<Record<ServiceId, Service>> = { gmrs: GMRS, frs: FRS, weather: WEATHER };

/** The channel of a service by its own number; `pair` picks the repeater pair instead of the direct channel. */
export function serviceChannel(id: ServiceId, number: number, pair = false): ServiceChannel | undefined {
  return SERVICES[id].channels.find((channel) => channel.number === number && channel.pair === pair);
}

/** The channel of a service that has exactly these frequencies (hertz). */
export function channelOn(
  id: ServiceId,
  receiveHz: number,
  transmitHz: number | null,
): ServiceChannel | undefined {
  return SERVICES[id].channels.find(
    (channel) => channel.receiveHz === receiveHz && channel.transmitHz === transmitHz,
  );
}
