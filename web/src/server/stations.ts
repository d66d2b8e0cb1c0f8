import { masked } from '@umbrex/core/fields';
import type { Station } from '@umbrex/core/model';
import { allows } from '../contract/roles';
import type { Session } from './auth/session';

/** A station as somebody may see it: observers without the tones that open it, and without who reached it. */
export function stationFor(session: Session, station: Station): Station {
  return allows(session.role, 'member') ? station : masked('station', station);
}
