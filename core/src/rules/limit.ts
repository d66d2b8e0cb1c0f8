import { channelOn, SERVICES, type ServiceChannel, type ServiceId } from '../facts/index';
import type { Finding } from '../findings/index';
import type { Channel, Description } from '../model/index';

/** Whether a kind of device may transmit on a channel, with the limit and where it is written, or the reason why not. */
export type TransmitRule =
  | {
      readonly may: 'transmit';
      readonly limitW: number;
      readonly source: string;
      readonly service: ServiceId;
    }
  | { readonly may: 'listen' | 'unknown'; readonly finding: Finding };

/** Where the power limit of a service is written. */
const POWER_SOURCE: Readonly<Record<ServiceId, string>> = {
  gmrs: '47 CFR 95.1767',
  frs: '47 CFR 95.567',
  weather: SERVICES.weather.citation,
};

/**
 * Applies the service tables to a channel and a device's certification. A limit in effective radiated power is compared
 * with transmitter watts, which is on the safe side of a hand-held's antenna (0 dBd or less, common practice).
 * Source: 47 CFR 95.1763, 95.1767, 95.563, 95.567; certification 95.1761.
 */
export function transmitRule(
  channel: Channel,
  device: Pick<Description, 'certifiedFor' | 'station'>,
): TransmitRule {
  const { receiveHz, transmitHz } = channel;
  if (transmitHz === null)
    return { may: 'listen', finding: { code: 'listen-only-by-plan', severity: 'note' } };
  const rows = (['gmrs', 'frs'] as const).flatMap((id): { id: ServiceId; row: ServiceChannel }[] => {
    const row = channelOn(id, receiveHz, transmitHz);
    return row ? [{ id, row }] : [];
  });
  if (rows.length === 0)
    return { may: 'listen', finding: { code: 'service-needs-licence', severity: 'warning' } };
  const certified = device.certifiedFor;
  if (certified === 'unknown')
    return {
      may: 'unknown',
      finding: { code: 'certification-unknown', severity: 'warning', service: channel.service },
    };
  const allowed = rows.find(
    ({ id, row }) => certified.includes(id) && (!row.handHeldOnly || device.station === 'hand-held'),
  );
  if (!allowed)
    return {
      may: 'listen',
      finding: {
        code: 'not-certified',
        severity: 'warning',
        service: channel.service,
        source: '47 CFR 95.1761',
      },
    };
  return {
    may: 'transmit',
    limitW: allowed.row.maxPowerW ?? 0,
    source: POWER_SOURCE[allowed.id],
    service: allowed.id,
  };
}
