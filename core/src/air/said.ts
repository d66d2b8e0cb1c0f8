import type { Finding } from '../findings/index';
import type { Hearing } from './hears';

/** What is said of a call: where it stops, what is not known, or how it sounds; nothing where it is heard as it should be. */
export function callFinding({ hears, gate, at, needs, comes, sounds }: Hearing): Finding | null {
  if (gate !== null && at !== null)
    return hears === false
      ? { code: 'call-stops', severity: 'warning', gate, at, needs, comes }
      : { code: 'call-not-known', severity: 'note', gate, at, needs, comes };
  if (sounds === 'harsh' || sounds === 'weak') return { code: 'call-sounds', severity: 'warning', sounds };
  return null;
}
