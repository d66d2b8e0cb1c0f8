import { mhzText } from '../units/index';
import type { Service, ServiceChannel } from './services/index';

/** A service with those of its channels that a search found. */
export interface FoundService {
  readonly service: Service;
  readonly channels: readonly ServiceChannel[];
}

/**
 * Searches service tables for a channel's name, number, other names or a part of its frequency in megahertz; a service's own
 * title or id brings all its channels. An empty text finds everything.
 */
export function searchServices(text: string, services: readonly Service[]): FoundService[] {
  const needle = text.trim().toLowerCase();
  return services.flatMap((service) => {
    const named = needle === '' || service.title.toLowerCase().includes(needle) || service.id === needle;
    const channels = service.channels.filter(
      (row) =>
        named ||
        [row.name, row.number, ...row.aliases].some((name) => name.toLowerCase().includes(needle)) ||
        mhzText(row.receiveHz).includes(needle) ||
        (row.transmitHz !== null && mhzText(row.transmitHz).includes(needle)),
    );
    return channels.length > 0 || named ? [{ service, channels }] : [];
  });
}
