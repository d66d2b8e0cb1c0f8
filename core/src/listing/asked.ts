import {
  isGuarded,
  type PlanCountry,
  type Service,
  type ServiceChannel,
  type ServiceId,
} from '../facts/index';
import type { Question } from '../findings/index';
import type { Collected } from './collected';

/** The frequencies a line comes to, with the service and the table row they belong to. */
export interface Pair {
  readonly receiveHz: number;
  readonly transmitHz: number | null;
  readonly service: ServiceId | 'other';
  readonly row: ServiceChannel | undefined;
}

/** What a pair is worked out with: what the line says, what is asked, whose rules apply. */
export interface Asked {
  readonly got: Collected;
  readonly questions: Question[];
  readonly country: PlanCountry;
}

/** Asks what stops a reading, with lines that would mend it. */
export function stop(
  { questions }: Asked,
  code: Question['code'],
  about: string,
  fixes: readonly (readonly [offer: string, line: string])[] = [],
): undefined {
  questions.push({
    code,
    blocking: true,
    about,
    offers: fixes.map(([offer]) => offer),
    lines: fixes.map(([, line]) => line),
  });
  return undefined;
}

/**
 * Whether a line names a tone that opens something, or one that is sent and one that is heard: so one does at a repeater. Not where it says
 * that it goes from set to set.
 */
export function isOfRepeater({ tones, opens, direct }: Collected): boolean {
  const directions = new Set(tones.map(({ direction }) => direction));
  return !direct && (opens || (directions.has('send') && directions.has('hear')));
}

/** A channel of a table as a pair: only listened to where nobody here, or only an authorised station, may transmit. */
export function listed(
  { got, questions }: Asked,
  service: Service,
  row: ServiceChannel,
  about: string,
): Pair {
  const guarded =
    service.licence !== 'closed' && isGuarded(service) && !got.listen && row.transmitHz !== null;
  if (guarded) questions.push({ code: 'listen-unless-licensed', blocking: false, about, offers: [] });
  const transmitHz = got.listen || guarded ? null : row.transmitHz;
  return { receiveHz: row.receiveHz, transmitHz, service: service.id as ServiceId, row };
}
