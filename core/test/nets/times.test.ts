import { NetSchema } from '@umbrex/core/model';
import { netTimes } from '@umbrex/core/nets';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

describe('a net’s time in UTC (offsets of the IANA time zone database, typed by hand)', () => {
  it.each([
    ['2026-12-01T19:00', 'America/New_York', '2026-12-02 00:00'], // EST, five behind
    ['2026-07-01T19:00', 'America/New_York', '2026-07-01 23:00'], // EDT, four behind
    ['2026-07-01T19:00', 'America/Phoenix', '2026-07-02 02:00'], // no summer time
    ['2026-03-08T01:59', 'America/New_York', '2026-03-08 06:59'],
    ['2026-03-08T03:00', 'America/New_York', '2026-03-08 07:00'], // the hour from two to three was jumped over
    ['2026-03-08T02:30', 'America/New_York', '2026-03-08 07:30'], // never shown: as before the change
    ['2026-11-01T01:30', 'America/New_York', '2026-11-01 05:30'], // shown twice: the first time
    ['2026-06-01T20:00', 'Asia/Kathmandu', '2026-06-01 14:15'], // 5:45 ahead
    ['2026-01-15T20:00', 'Australia/Sydney', '2026-01-15 09:00'], // southern summer, eleven ahead
    ['2026-01-15T20:00', 'Australia/Lord_Howe', '2026-01-15 09:00'],
    ['2026-06-15T20:00', 'Australia/Lord_Howe', '2026-06-15 09:30'], // half an hour of summer time
    ['2026-02-28T23:30', 'America/St_Johns', '2026-03-01 03:00'],
    ['2026-05-05T12:00', 'UTC', '2026-05-05 12:00'],
  ])('%s in %s', (startsAt, timeZone, utc) => expect(netTimes({ startsAt, timeZone }).utc).toBe(utc));

  it('shows on the zone’s clocks what was written, unless the clocks jump there', () =>
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2020-01-01'), max: new Date('2035-01-01'), noInvalidDate: true }),
        fc.constantFrom('America/Denver', 'Europe/London', 'Australia/Adelaide', 'Pacific/Chatham', 'UTC'),
        (moment, timeZone) => {
          const shown = (at: Date) =>
            new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' })
              .format(at)
              .replace(' ', 'T');
          const local = shown(moment);
          const { utc } = netTimes({ startsAt: local, timeZone });
          expect(shown(new Date(`${utc.replace(' ', 'T')}:00Z`))).toBe(local);
        },
      ),
    ));
});

it('a net needs a real day, time and zone', () => {
  const net = { id: uuid(1), name: 'Sunday net', startsAt: '2026-12-06T19:00', timeZone: 'America/New_York' };
  expect(NetSchema.safeParse(net).success).toBe(true);
  for (const wrong of [{ timeZone: 'Mars/Base' }, { startsAt: 'Sunday' }, { name: ' ' }, { timeZone: '' }])
    expect(NetSchema.safeParse({ ...net, ...wrong }).success).toBe(false);
});
