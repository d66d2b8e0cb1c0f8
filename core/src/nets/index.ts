import type { Net } from '../model/index';

/** When a net begins: the day and time on the clocks of its zone, the zone's name, and the same moment in UTC. */
export interface NetTimes {
  readonly day: string;
  readonly time: string;
  readonly zone: string;
  /** `YYYY-MM-DD HH:MM`. */
  readonly utc: string;
}

/**
 * Reads a net's time: what its zone's clocks show, and UTC. A time that the clocks jump over, or show twice, is taken as before
 * the change. The zone's rules come from the platform's tables (IANA).
 */
export function netTimes({ startsAt, timeZone }: Pick<Net, 'startsAt' | 'timeZone'>): NetTimes {
  const [day = '', time = ''] = startsAt.split('T');
  const utc = new Date(utcMs(startsAt, timeZone)).toISOString();
  return { day, time, zone: timeZone, utc: `${utc.slice(0, 10)} ${utc.slice(11, 16)}` };
}

/** The moment, in milliseconds of UTC, at which the clocks of a zone show a local time. */
export function utcMs(local: string, timeZone: string): number {
  const asIfUtc = Date.parse(`${local}:00Z`);
  // The offset of a day before is the one before a change on this day.
  const before = asIfUtc - offsetMs(asIfUtc - 86_400_000, timeZone);
  if (offsetMs(before, timeZone) === asIfUtc - before) return before;
  const after = asIfUtc - offsetMs(asIfUtc + 86_400_000, timeZone);
  return offsetMs(after, timeZone) === asIfUtc - after ? after : before;
}

/** How far a zone's clocks are ahead of UTC at a moment, in milliseconds. */
function offsetMs(ms: number, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en-US', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  }).formatToParts(ms);
  const of = (type: string) => Number(parts.find((part) => part.type === type)?.value ?? 0);
  const shown = Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second'));
  return shown - Math.floor(ms / 1000) * 1000;
}
