import type { Station } from '@umbrex/core/model';
import { allows } from '../contract/roles';
import type { Session } from './auth/session';

/** A station as somebody may see it: observers without the tones that open it, and without who reached it. */
export function stationFor(session: Session, station: Station): Station {
  if (allows(session.role, 'member')) return station;
  return {
    ...station,
    facts: station.facts.filter(({ field }) => field !== 'inputTone' && field !== 'outputTone'),
    reports: [],
  };
}
