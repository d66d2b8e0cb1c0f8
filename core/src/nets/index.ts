import type { Net } from '../model/index';

export * from './checkIns';

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

/** After its beginning a net goes on for a while: so long it is still the one of now, in milliseconds (common practice). */
const GOES_ON_MS = 2 * 3_600_000;

/**
 * When a net begins next, or began when it still goes on, in milliseconds of UTC; `null` for one that is over. Its clocks are those of its zone: a
 * weekly net at seven stays at seven when they change. One of the 31st skips the months without one (RFC 5545, 3.3.10).
 */
export function nextStart(
  { startsAt, timeZone, repeats }: Pick<Net, 'startsAt' | 'timeZone' | 'repeats'>,
  nowMs: number,
): number | null {
  const from = nowMs - GOES_ON_MS;
  const at = (n: number) => {
    const local = nthLocal(startsAt, repeats, n);
    return local === null ? null : utcMs(local, timeZone);
  };
  if (repeats === 'once') {
    const once = at(0);
    return once !== null && once >= from ? once : null;
  }
  const first = at(0) ?? from;
  // Near where it must be, then one by one.
  const step = { daily: 1, weekly: 7, monthly: 31 }[repeats] * 86_400_000;
  for (let n = Math.max(0, Math.floor((from - first) / step) - 1); ; n++) {
    const ms = at(n);
    if (ms !== null && ms >= from) return ms;
  }
}

/** The time of a net that matters now. */
export interface NetNow extends NetTimes {
  /** By its times alone it begins then, began then and may go on, or is over. */
  readonly is: 'next' | 'on' | 'over';
}

/** When a net begins next, on the clocks of its zone and in UTC; of one that is over, when it was. @param nowMs in milliseconds of UTC */
export function netNow(net: Pick<Net, 'startsAt' | 'timeZone' | 'repeats'>, nowMs: number): NetNow {
  const ms = nextStart(net, nowMs);
  if (ms === null) return { ...netTimes(net), is: 'over' };
  const local = new Date(ms + offsetMs(ms, net.timeZone)).toISOString().slice(0, 16);
  return { ...netTimes({ startsAt: local, timeZone: net.timeZone }), is: ms > nowMs ? 'next' : 'on' };
}

/** Those that are not over, the soonest first. @param nowMs in milliseconds of UTC */
export function comingNets<N extends Pick<Net, 'startsAt' | 'timeZone' | 'repeats'>>(
  nets: readonly N[],
  nowMs: number,
): N[] {
  return nets
    .flatMap((net) => {
      const ms = nextStart(net, nowMs);
      return ms === null ? [] : [{ net, ms }];
    })
    .sort((a, b) => a.ms - b.ms)
    .map(({ net }) => net);
}

/** The n-th local time of a net; `null` for a day that its month does not have. */
function nthLocal(startsAt: string, repeats: Net['repeats'], n: number): string | null {
  const [day = '', time = ''] = startsAt.split('T');
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const days = { once: 0, daily: 1, weekly: 7, monthly: 0 }[repeats] * n;
  const months = repeats === 'monthly' ? n : 0;
  const then = new Date(Date.UTC(year, month - 1 + months, date + days));
  if (repeats === 'monthly' && then.getUTCDate() !== date) return null;
  return `${then.toISOString().slice(0, 10)}T${time}`;
}

/** The next days on which the clocks of a zone change, as YYYY-MM-DD there; none where they never do. Looks two years ahead. */
export function clockChanges(timeZone: string, fromMs: number, most: number): string[] {
  const days: string[] = [];
  const dayMs = 86_400_000;
  const begin = Math.floor(fromMs / dayMs) * dayMs;
  let before = offsetMs(begin, timeZone);
  for (let n = 1; n < 740 && days.length < most; n++) {
    const after = offsetMs(begin + n * dayMs, timeZone);
    if (after !== before) {
      // The first moment with the new offset lies between the two looks.
      let [low, high] = [begin + (n - 1) * dayMs, begin + n * dayMs];
      while (high - low > 60_000) {
        const middle = (low + high) / 2;
        if (offsetMs(middle, timeZone) === before) low = middle;
        else high = middle;
      }
      days.push(new Date(high + after).toISOString().slice(0, 10));
    }
    before = after;
  }
  return days;
}
