import {
  channelOn,
  hasTables,
  type PowerBasis,
  SERVICES,
  type Service,
  type ServiceChannel,
  servicesOf,
} from '../facts/index';
import type { Channel, LicensedFrequency, Plan } from '../model/index';

/** What the rules of a place are applied with; nothing in here is about a person or a device. */
export interface RuleContext {
  readonly country: string;
  /** Other tables than the shipped ones. */
  readonly tables?: readonly Service[];
  /** The workspace's own business frequencies. */
  readonly licensed?: readonly LicensedFrequency[];
  /** What is taken of a set that nobody of the roster holds; without it that whoever takes it has the licences. */
  readonly spares?: Plan['spares'];
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
  /** Voices there, or the half of their width beyond, leave the stretch in which they are allowed. */
  readonly isAtEdge: boolean;
  /** The business row it comes from. */
  readonly licensed?: LicensedFrequency;
}

/** The most an amateur station may use, in watts at the transmitter. Source: 47 CFR 97.313. */
const AMATEUR_LIMIT_W = 1500;

/** What the rules ask of a channel. */
export type OnPair = Pick<Channel, 'receiveHz' | 'transmitHz'> & Partial<Pick<Channel, 'mode' | 'bandwidth'>>;

/**
 * Half of what a voice takes, in hertz: 16 kHz where it is wide FM or nobody knows, 11.25 kHz narrow or digital, 6 kHz AM (common practice,
 * Carson's rule for a deviation of 5 and of 2.5 kHz).
 */
function halfWidthHz({ mode, bandwidth }: OnPair): number {
  if (mode === 'AM') return 3_000;
  return mode === 'digital' || bandwidth === 'narrow' ? 5_625 : 8_000;
}

/** Whether the whole of a signal stays where its band allows voices. */
function fitsBand({ bands }: Service, hz: number, channel: OnPair): boolean {
  const half = halfWidthHz(channel);
  return [hz - half, hz + half].every((edge) =>
    bands.some(({ fromHz, toHz, voice }) => voice && edge >= fromHz && edge <= toHz),
  );
}

/** Every service of the country that has exactly these frequencies. */
export function ruleRows(channel: OnPair, context: RuleContext): RuleRow[] {
  const rows = context.tables
    ? tableRows(channel, servicesOf(context.country, context.tables))
    : shippedRows(channel, context.country);
  return rows.flatMap((row) => ('isOwn' in row ? licensedRows(row.isOwn, channel, context) : [row]));
}

/** A row of a table, or the service that has none, where a group's own frequencies come in. */
type TableRow = RuleRow | { readonly isOwn: Service };

/** Rows of the shipped tables by what was asked of them, which is the same for every set of a fleet; with too many it begins anew. */
const asked = new Map<string, readonly TableRow[]>();
const MOST_ASKED = 10_000;
const shipped = Object.values(SERVICES);

function shippedRows(channel: OnPair, country: string): readonly TableRow[] {
  const { receiveHz, transmitHz, mode, bandwidth } = channel;
  const key = [country, receiveHz, transmitHz, mode, bandwidth].join(' ');
  const known = asked.get(key);
  if (known) return known;
  const rows = tableRows(channel, servicesOf(country, shipped));
  if (asked.size >= MOST_ASKED) asked.clear();
  asked.set(key, rows);
  return rows;
}

function tableRows(channel: OnPair, services: readonly Service[]): TableRow[] {
  const { receiveHz, transmitHz } = channel;
  return services.flatMap((service): TableRow[] => {
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
          isAtEdge: false,
        },
      ];
    if (service.id === 'business') return [{ isOwn: service }];
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
        isAtEdge: transmitHz !== null && !fitsBand(service, transmitHz, channel),
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
      isAtEdge: false,
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
    ({ licence, ownOnly, channels }) =>
      licence !== 'closed' &&
      !ownOnly &&
      channels.some((row) => mine.includes(row.receiveHz) || mine.includes(row.transmitHz)),
  );
}

/** A service of the country with a channel on one of these frequencies that is only listened to. */
export function closedService(
  { receiveHz, transmitHz }: Pick<Channel, 'receiveHz' | 'transmitHz'>,
  context: RuleContext,
): Service | undefined {
  return servicesOf(context.country, context.tables ?? shipped).find(({ channels }) =>
    channels.some(
      (row) => row.transmitHz === null && (row.receiveHz === receiveHz || row.receiveHz === transmitHz),
    ),
  );
}

/** Whether a channel is a distress or calling channel of its country, on which nobody keys up to test. */
export function neverTested(
  channel: Pick<Channel, 'receiveHz'>,
  context: RuleContext,
): ServiceChannel | undefined {
  if (context.tables)
    return neverTestedIn(servicesOf(context.country, context.tables)).get(channel.receiveHz);
  const known = neverTestedBy.get(context.country) ?? neverTestedIn(servicesOf(context.country, shipped));
  neverTestedBy.set(context.country, known);
  return known.get(channel.receiveHz);
}

/** The distress and calling channels of the shipped tables, by country and frequency. */
const neverTestedBy = new Map<string, ReadonlyMap<number, ServiceChannel>>();

function neverTestedIn(services: readonly Service[]): ReadonlyMap<number, ServiceChannel> {
  const rows = services.flatMap(({ channels }) => channels.filter(({ neverTest }) => neverTest));
  // Of two on one frequency the first counts.
  return new Map(rows.toReversed().map((row) => [row.receiveHz, row]));
}

/**
 * Whether a set without a right to send must not be able to on a channel, whatever the plan says of others: those for distress and calling,
 * those of public safety, those set aside, and those of which no table of a country that has tables knows whose they are.
 */
export function mustStayQuiet({ receiveHz }: Pick<Channel, 'receiveHz'>, context: RuleContext): boolean {
  if (neverTested({ receiveHz }, context)) return true;
  const rows = ruleRows({ receiveHz, transmitHz: null }, context);
  if (rows.length === 0) return hasTables(context.country);
  return rows.some(
    ({ service, channel }) => service.publicSafety || service.ownOnly || channel?.reservedFor !== undefined,
  );
}
