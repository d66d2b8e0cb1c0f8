import { hasTables, type PowerBasis, type Service } from '../facts/index';
import type { Finding } from '../findings/index';
import type { Channel, Description } from '../model/index';
import { hasEnded, personFinding } from './person';
import { closedService, type OnPair, type RuleContext, type RuleRow, ruleRows, touchedService } from './rows';
import { isShutOut, isUnsettled, type Sender } from './sender';

/** What somebody may do on a channel with a kind of device, and where that is written. */
export type TransmitRule =
  | {
      readonly may: 'transmit';
      readonly service: Service;
      /** In watts; `null` where the table gives none. */
      readonly limitW: number | null;
      readonly basis: PowerBasis | null;
      readonly bandwidthHz: number;
      readonly identifyEveryMinutes: number | null;
      readonly source: string;
      readonly findings: readonly Finding[];
    }
  | { readonly may: 'listen' | 'unknown'; readonly finding: Finding };

type Device = Pick<Description, 'certifiedFor' | 'station'> & Partial<Pick<Description, 'kind' | 'antenna'>>;

/** What is said where there are no tables: that the country has none here, or that nobody has said which it is. */
export function withoutTables(country: string): Finding {
  return { code: country === 'unknown' ? 'country-unknown' : 'country-not-covered', severity: 'warning' };
}

/**
 * The one answer to whether somebody may send on a channel with a kind of device on a day: by the service tables of the country, what
 * the device is certified for, the licences of whoever holds it, and the word of the repeater's keeper. With several services on the same frequencies, the first that lets them transmit counts. A limit in effective radiated power is later
 * compared with transmitter watts, which is on the safe side of a hand-held's antenna (0 dBd or less, common practice).
 * Sources: each service's own citations, see its table.
 */
export function transmitRule(
  channel: OnPair & Pick<Channel, 'service'>,
  device: Device,
  context: RuleContext,
  sender: Sender,
): TransmitRule {
  const listen = (finding: Finding): TransmitRule => ({ may: 'listen', finding });
  if (channel.transmitHz === null) return listen({ code: 'listen-only-by-plan', severity: 'note' });
  if (!hasTables(context.country)) return { may: 'unknown', finding: withoutTables(context.country) };
  const rows = ruleRows(channel, context);
  const answers = rows.map((row) => oneRow(row, device, context, sender, channel.mode));
  const best =
    answers.find((answer) => answer.may === 'transmit') ?? answers.find((answer) => answer.may === 'unknown');
  if (best && isShutOut(channel, sender)) return listen({ code: 'keeper-refused', severity: 'error' });
  if (best?.may === 'transmit' && isUnsettled(channel, sender))
    return { ...best, findings: [...best.findings, { code: 'keeper-not-asked', severity: 'warning' }] };
  // The service the plan names explains best why not.
  const named = rows.findIndex((row) => row.service.id === channel.service);
  return best ?? answers[Math.max(0, named)] ?? listen(outsideAll(channel, context));
}

function oneRow(
  row: RuleRow,
  device: Device,
  context: RuleContext,
  { each, day }: Sender,
  mode: Channel['mode'] | undefined,
): TransmitRule {
  const { service } = row;
  const listen = (finding: Finding): TransmitRule => ({ may: 'listen', finding });
  if (service.licence === 'closed')
    return listen({ code: 'nobody-transmits-here', severity: 'error', source: service.licenceCitation });
  if (service.ownOnly)
    return listen({ code: 'not-on-a-licence', severity: 'warning', source: service.licenceCitation });
  if (row.channel?.reservedFor)
    return listen({
      code: 'reserved-channel',
      severity: 'error',
      use: row.channel.reservedFor,
      source: service.citation,
    });
  if (service.certification) {
    const source = service.certificationCitation;
    if (device.certifiedFor === 'unknown')
      return {
        may: 'unknown',
        finding: { code: 'certification-unknown', severity: 'warning', service: service.id, source },
      };
    const isCertified = (device.certifiedFor as readonly string[]).some(
      (id) => id === service.id || service.certifiedAlso.includes(id),
    );
    if (!isCertified)
      return listen({ code: 'not-certified', severity: 'warning', service: service.id, source });
  }
  if (service.fixedAntenna && device.antenna === 'removable')
    return listen({ code: 'removable-antenna', severity: 'error', source: '47 CFR 95.587' });
  if (mode !== undefined && !service.modes.includes(mode))
    return listen({ code: 'emission-not-here', severity: 'error', mode, source: service.modesCitation });
  if (row.isAtEdge) return listen({ code: 'band-edge', severity: 'error', source: service.modesCitation });
  const fixedW = isFixed(device) ? row.channel?.fixedMaxW : undefined;
  if (fixedW === null)
    return listen({ code: 'fixed-station-not-here', severity: 'error', source: service.citation });
  if (row.handHeldOnly && device.station !== 'hand-held')
    return listen({ code: 'hand-held-only', severity: 'error', source: service.powerCitation });
  const findings: Finding[] = [];
  if (service.aboard)
    findings.push({ code: 'only-aboard', severity: 'note', source: service.licenceCitation });
  const { licensed } = row;
  if (licensed && hasEnded(licensed.expires, day))
    return listen({
      code: 'licence-expired',
      severity: 'error',
      expires: licensed.expires,
      source: service.licenceCitation,
    });
  const people = each ?? (context.spares === 'listen-only' ? NOBODY_LICENSED : null);
  if (service.licence !== 'none')
    findings.push({
      code: 'licence-needed',
      severity: 'note',
      service: service.id,
      source: service.licenceCitation,
    });
  if (people !== null) {
    const why = people.map((licences) => personFinding(licences, row, day)).filter((found) => found !== null);
    // Who surely may not decides before who perhaps may.
    const finding = why.find(({ code }) => code !== 'licence-expiry-unknown') ?? why[0];
    if (finding)
      return finding.code === 'licence-expiry-unknown' ? { may: 'unknown', finding } : listen(finding);
  }
  return {
    may: 'transmit',
    service,
    limitW: fixedW === undefined ? row.limitW : Math.min(fixedW, row.limitW ?? fixedW),
    basis: row.basis,
    bandwidthHz: row.bandwidthHz,
    identifyEveryMinutes: service.identifyEveryMinutes,
    source: service.powerCitation,
    findings,
  };
}

/** Whether a device is a fixed station of its service; a repeater is one of its own kind (47 CFR 95.303). */
const isFixed = ({ station, kind }: Device): boolean => station === 'fixed' && kind !== 'repeater';

/** Whoever takes a spare set, where the plan takes it that they have no licence. */
const NOBODY_LICENSED: Sender['each'] = [[]];

/** A pair that a service of this country knows only in part breaks its table; elsewhere the service is not known here. */
function outsideAll(channel: Pick<Channel, 'receiveHz' | 'transmitHz'>, context: RuleContext): Finding {
  const closed = closedService(channel, context);
  if (closed) return { code: 'nobody-transmits-here', severity: 'error', source: closed.licenceCitation };
  const touched = touchedService(channel, context);
  if (touched)
    return {
      code: 'not-a-service-channel',
      severity: 'error',
      service: touched.id,
      source: touched.citation,
    };
  return { code: 'service-needs-licence', severity: 'warning' };
}
