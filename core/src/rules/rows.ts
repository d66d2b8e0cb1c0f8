import {
  channelOn,
  type PowerBasis,
  SERVICES,
  type Service,
  type ServiceChannel,
  servicesOf,
} from '../facts/index';
import type { Channel, LicensedFrequency } from '../model/index';

/** What the rules of a place are applied with; nothing in here is about a person or a device. */
export interface RuleContext {
  readonly country: string;
  /** Other tables than the shipped ones. */
  readonly tables?: readonly Service[];
  /** The workspace's own business frequencies. */
  readonly licensed?: readonly LicensedFrequency[];
  /** The day on which the rules are asked, as YYYY-MM-DD; without it no licence counts as expired. */
  readonly today?: string;
}

/** A service that knows a channel's frequencies, with the limits it sets there. */
export interface RuleRow {
  readonly service: Service;
  /** The table's own channel; absent for a stretch of an amateur band. */
  readonly channel: ServiceChannel | undefined;
  readonly limitW: number | null;
  readonly basis: PowerBasis | null;
  readonly bandwidthHz: number;
  readonly handHeldOnly: boolean;
  /** The business row it comes from. */
  readonly licensed?: LicensedFrequency;
}

/** The most an amateur station may use, in watts at the transmitter. Source: 47 CFR 97.313. */
const AMATEUR_LIMIT_W = 1500;

/** Every service of the country that has exactly these frequencies. */
export function ruleRows(
  channel: Pick<Channel, 'receiveHz' | 'transmitHz'>,
  context: RuleContext,
): RuleRow[] {
  const { receiveHz, transmitHz } = channel;
  const services = servicesOf(context.country, context.tables ?? Object.values(SERVICES));
  return services.flatMap((service): RuleRow[] => {
    const row =
      channelOn(service, receiveHz, transmitHz) ??
      (transmitHz === null ? onReceive(service, receiveHz) : undefined);
    if (row)
      return [
        {
          service,
          channel: row,
          limitW: row.maxPowerW,
          basis: row.powerBasis,
          bandwidthHz: row.bandwidthHz,
          handHeldOnly: row.handHeldOnly,
        },
      ];
    if (service.id === 'business') return licensedRows(service, channel, context);
    const inBand = (hz: number) => service.bands.some((band) => hz >= band.fromHz && hz <= band.toHz);
    if (!inBand(receiveHz) || (transmitHz !== null && !inBand(transmitHz))) return [];
    return [
      {
        service,
        channel: undefined,
        limitW: AMATEUR_LIMIT_W,
        basis: 'transmitter',
        bandwidthHz: 20_000,
        handHeldOnly: false,
      },
    ];
  });
}

function onReceive(service: Service, receiveHz: number): ServiceChannel | undefined {
  return service.channels.find((channel) => channel.receiveHz === receiveHz);
}

function licensedRows(
  service: Service,
  channel: Pick<Channel, 'receiveHz' | 'transmitHz'>,
  context: RuleContext,
): RuleRow[] {
  return (context.licensed ?? [])
    .filter(
      (row) =>
        row.receiveHz === channel.receiveHz &&
        (channel.transmitHz === null || row.transmitHz === channel.transmitHz),
    )
    .map((row) => ({
      service,
      channel: undefined,
      limitW: row.maxPowerW,
      basis: 'transmitter',
      bandwidthHz: row.bandwidthHz,
      handHeldOnly: false,
      licensed: row,
    }));
}

/** A service of the country in which somebody may talk and which has one of a channel's frequencies, but not the pair. */
export function touchedService(
  { receiveHz, transmitHz }: Pick<Channel, 'receiveHz' | 'transmitHz'>,
  context: RuleContext,
): Service | undefined {
  const mine = [receiveHz, transmitHz];
  return servicesOf(context.country, context.tables ?? Object.values(SERVICES)).find(
    ({ licence, channels }) =>
      licence !== 'closed' &&
      channels.some((row) => mine.includes(row.receiveHz) || mine.includes(row.transmitHz)),
  );
}
