import type { Finding } from '../findings/index';
import type { Licence } from '../model/index';
import type { RuleRow } from './rows';

/** What the rules ask of a licence. */
export type HeldLicence = Pick<Licence, 'service' | 'holds' | 'expires'>;

/**
 * Whether a person's licences let them transmit in a service: `null` when they do, else the finding that says why not.
 * Source: 47 CFR 95.1705 (family, not employees), 95.305 (no licence), 97.5, 90.35; expiry by the licence itself.
 * @param day as YYYY-MM-DD; without it no licence counts as ended
 */
export function personFinding(
  licences: readonly HeldLicence[],
  row: RuleRow,
  day: string | undefined,
): Finding | null {
  const { service } = row;
  const source = service.licenceCitation;
  const needed = service.licence;
  if (needed === 'none') return null;
  const good = (licence: HeldLicence) =>
    licence.service === (service.licensedAs ?? service.id) ||
    (needed === 'personal' && licence.service === 'amateur');
  const mine = licences.filter(good);
  const byHolding = mine.filter(({ holds }) => {
    switch (needed) {
      case 'family':
        return holds === 'own' || holds === 'family';
      case 'personal':
        return holds === 'own';
      case 'business':
      case 'authorised':
        return holds !== 'family';
      case 'closed':
        return false;
      default:
        return needed satisfies never;
    }
  });
  const [first] = mine;
  if (!first) return { code: 'no-licence', severity: 'error', service: service.id, source };
  if (byHolding.length === 0)
    return { code: 'licence-does-not-cover', severity: 'error', holds: first.holds, source };
  const ends = byHolding.map(({ expires }) => expires);
  if (ends.some((expires) => expires !== 'unknown' && !hasEnded(expires, day))) return null;
  if (ends.includes('unknown')) return { code: 'licence-expiry-unknown', severity: 'warning', source };
  return { code: 'licence-expired', severity: 'error', expires: ends.sort().at(-1) ?? '', source };
}

/** Whether a licence whose last day is `expires` is over on a day, both as YYYY-MM-DD; without a day none is. */
export function hasEnded(expires: string, day: string | undefined): boolean {
  return day !== undefined && expires < day;
}
