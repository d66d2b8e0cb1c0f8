import type { Enrolment } from '../contract/roster';

type Said = NonNullable<Enrolment['licence']>;
/** What somebody may say of a licence. */
export const HOLDS_TEXT: Readonly<Record<Said['holds'], string>> = {
  none: 'none: I only listen, or use sets that need none',
  own: 'my own',
  family: 'of close family',
  employer: 'of my employer',
};

/** What a holder said of a licence, for the coordinator who is to look at it. */
export function licenceSaid({ holds, service, callSign, expires }: Said): string {
  if (holds === 'none') return 'licence, as they wrote: none';
  const whose = { own: 'their own', family: 'of close family', employer: 'of the employer' }[holds];
  return [
    `licence, as they wrote: ${whose}`,
    service,
    callSign && `call sign ${callSign}`,
    expires === 'unknown' ? 'they do not know until when' : `until ${expires}`,
  ]
    .filter(Boolean)
    .join(', ');
}
