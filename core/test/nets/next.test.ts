import { comingNets, netNow, nextStart } from '@umbrex/core/nets';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

const at = (text: string) => Date.parse(text);
const net = (
  startsAt: string,
  repeats: 'once' | 'daily' | 'weekly' | 'monthly',
  timeZone = 'America/New_York',
) => ({
  startsAt,
  repeats,
  timeZone,
});
const next = (of: ReturnType<typeof net>, now: string) => {
  const ms = nextStart(of, at(now));
  return ms === null ? null : new Date(ms).toISOString();
};

describe('when a net begins next', () => {
  // Clocks in New York went back on 2026-11-01 (Energy Policy Act of 2005: first Sunday in November) and go forward on 2027-03-14.
  it.each([
    [net('2026-10-27T19:00', 'weekly'), '2026-10-28T00:00:00Z', '2026-10-27T23:00:00.000Z'],
    [net('2026-10-27T19:00', 'weekly'), '2026-10-29T00:00:00Z', '2026-11-04T00:00:00.000Z'],
    [net('2026-10-27T19:00', 'weekly'), '2027-03-17T12:00:00Z', '2027-03-23T23:00:00.000Z'],
    [net('2026-10-31T19:00', 'daily'), '2026-11-01T12:00:00Z', '2026-11-02T00:00:00.000Z'],
    [net('2026-12-01T19:00', 'once'), '2026-11-01T12:00:00Z', '2026-12-02T00:00:00.000Z'],
    // It goes on for a while, and then is over.
    [net('2026-12-01T19:00', 'once'), '2026-12-02T01:59:00Z', '2026-12-02T00:00:00.000Z'],
    [net('2026-12-01T19:00', 'once'), '2026-12-02T02:01:00Z', null],
    // The months without a 31st have none (RFC 5545, 3.3.10).
    [net('2026-12-31T19:00', 'monthly', 'UTC'), '2027-02-01T00:00:00Z', '2027-03-31T19:00:00.000Z'],
    [net('2026-12-31T19:00', 'monthly', 'UTC'), '2027-04-02T00:00:00Z', '2027-05-31T19:00:00.000Z'],
    [net('2020-01-06T19:00', 'weekly', 'UTC'), '2026-11-29T00:00:00Z', '2026-11-30T19:00:00.000Z'],
  ])('%j at %s', (of, now, expected) => {
    expect(next(of, now)).toBe(expected);
  });

  it('is never more than two hours ago, and the one before is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('daily' as const, 'weekly' as const, 'monthly' as const),
        fc.constantFrom('UTC', 'America/New_York', 'Australia/Lord_Howe', 'Europe/Berlin'),
        fc.integer({ min: 0, max: 3650 }),
        (repeats, zone, days) => {
          const now = at('2024-01-31T00:00:00Z') + days * 86_400_000;
          const ms = nextStart(net('2024-01-31T19:00', repeats, zone), now) ?? 0;
          expect(ms).toBeGreaterThanOrEqual(now - 2 * 3_600_000);
          expect(ms - now).toBeLessThanOrEqual(
            { daily: 1.1, weekly: 7.1, monthly: 62 }[repeats] * 86_400_000,
          );
          expect(nextStart(net('2024-01-31T19:00', repeats, zone), ms)).toBe(ms);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the time of a net that matters now', () => {
  // The same changes of the clocks as above; at seven by the clocks, whatever they are ahead of UTC.
  it.each([
    [
      net('2026-10-27T19:00', 'weekly'),
      '2026-10-29T00:00:00Z',
      'next',
      '2026-11-03 19:00',
      '2026-11-04 00:00',
    ],
    [net('2026-10-27T19:00', 'weekly'), '2026-11-04T00:30:00Z', 'on', '2026-11-03 19:00', '2026-11-04 00:00'],
    [
      net('2026-10-27T19:00', 'weekly'),
      '2027-03-17T12:00:00Z',
      'next',
      '2027-03-23 19:00',
      '2027-03-23 23:00',
    ],
    [net('2026-12-01T19:00', 'once'), '2026-12-03T00:00:00Z', 'over', '2026-12-01 19:00', '2026-12-02 00:00'],
    // It begins at this very moment.
    [
      net('2026-12-01T19:00', 'once', 'UTC'),
      '2026-12-01T19:00:00Z',
      'on',
      '2026-12-01 19:00',
      '2026-12-01 19:00',
    ],
  ])('%j at %s is %s: %s there, %s UTC', (of, now, is, local, utc) => {
    const { day, time, zone, ...said } = netNow(of, at(now));
    expect({ ...said, local: `${day} ${time}` }).toEqual({ is, utc, local });
    expect(zone).toBe(of.timeZone);
  });
  it('says the very moment of its next beginning, also where clocks jump or show a time twice', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('daily' as const, 'weekly' as const, 'monthly' as const),
        fc.constantFrom('UTC', 'America/New_York', 'Australia/Lord_Howe', 'Europe/Berlin'),
        fc.constantFrom('00:30', '01:30', '02:30', '19:00'),
        fc.integer({ min: 0, max: 3650 * 24 }),
        (repeats, zone, time, hours) => {
          const now = at('2024-01-31T00:00:00Z') + hours * 3_600_000;
          const of = net(`2024-01-31T${time}`, repeats, zone);
          const { utc, is } = netNow(of, now);
          const ms = nextStart(of, now) ?? Number.NaN;
          expect(utc).toBe(new Date(ms).toISOString().slice(0, 16).replace('T', ' '));
          expect(is).toBe(ms > now ? 'next' : 'on');
        },
      ),
      { numRuns: 400 },
    );
  });
  it('those that come are there, the soonest first', () => {
    const [over, later, sooner] = [
      net('2026-11-20T19:00', 'once'),
      net('2026-12-24T19:00', 'once'),
      net('2026-11-01T19:00', 'weekly'),
    ];
    expect(comingNets([over, later, sooner], at('2026-11-30T12:00:00Z'))).toEqual([sooner, later]);
  });
});
