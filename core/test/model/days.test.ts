import { calendarOf } from '@umbrex/core/calendar';
import {
  DayOrUnknownSchema,
  DaySchema,
  LocalTimeSchema,
  NetSchema,
  PersonSchema,
  UnitSchema,
} from '@umbrex/core/model';
import { comingNets, netNow, netTimes } from '@umbrex/core/nets';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from '../support/devices';
import { plan, unit, uuid } from '../support/plans';
import { runs } from '../support/runs';

describe('a day is one that there is, in years that a group lives in', () => {
  it.each([
    ['2026-11-30', true],
    ['2024-02-29', true],
    ['1900-01-01', true],
    ['2199-12-31', true],
    ['2026-02-29', false],
    ['1900-02-29', false],
    ['2026-13-01', false],
    ['2026-11-31', false],
    ['1899-12-31', false],
    ['2200-01-01', false],
    ['9999-12-31', false],
    ['0000-01-01', false],
    ['2026-1-1', false],
    ['+12026-01-01', false],
    ['unknown', false],
    ['', false],
  ])('%s: %s', (day, is) => {
    expect(DaySchema.safeParse(day).success).toBe(is);
    expect(DayOrUnknownSchema.safeParse(day).success).toBe(is || day === 'unknown');
    expect(LocalTimeSchema.safeParse(`${day}T19:00`).success).toBe(is);
  });
  it('what is none is told once', () => {
    for (const wrong of ['last week', '', '9999-12-31', '2026-13-01'])
      expect(DaySchema.safeParse(wrong).error?.issues, wrong).toHaveLength(1);
    for (const wrong of ['last week', '', '9999-12-31T19:00', '2026-12-01T29:99', '0001-12-01T19:00Z'])
      expect(LocalTimeSchema.safeParse(wrong).error?.issues, wrong).toHaveLength(1);
  });
  it.each([
    ['00:00', true],
    ['23:59', true],
    ['24:00', false],
    ['19:60', false],
    ['29:99', false],
    ['19:00:00', false],
    ['19:00Z', false],
    ['19:00+02:00', false],
    ['9:00', false],
    ['19', false],
    ['', false],
  ])('a time %s: %s', (time, is) => expect(LocalTimeSchema.safeParse(`2026-12-01T${time}`).success).toBe(is));
});

describe('whatever days are taken in can be counted with, and written into a calendar', () => {
  const two = (n: number) => String(n).padStart(2, '0');
  // Days and times that nobody looked over, impossible ones among them, and the ends of what is taken.
  const day = fc.oneof(
    fc
      .tuple(
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 0, max: 15 }),
        fc.integer({ min: 0, max: 33 }),
      )
      .map(([year, month, date]) => `${String(year).padStart(4, '0')}-${two(month)}-${two(date)}`),
    fc.constantFrom('1900-01-01', '2199-12-31', '2026-12-31', '2028-02-29'),
  );
  const moment = fc
    .tuple(day, fc.integer({ min: 0, max: 25 }), fc.integer({ min: 0, max: 61 }))
    .map(([on, hour, minute]) => `${on}T${two(hour)}:${two(minute)}`);
  const zone = fc.constantFrom(
    'UTC',
    'America/New_York',
    'Australia/Lord_Howe',
    'Pacific/Kiritimati',
    'Etc/GMT+12',
  );
  it('or they are not taken in', () => {
    let taken = 0;
    fc.assert(
      fc.property(
        day,
        moment,
        zone,
        fc.constantFrom('once', 'daily', 'weekly', 'monthly'),
        fc.date({ min: new Date('1990-01-01'), max: new Date('2190-01-01'), noInvalidDate: true }),
        (on, startsAt, timeZone, repeats, now) => {
          const net = NetSchema.safeParse({ id: uuid(1), name: 'Net', startsAt, timeZone, repeats });
          if (net.success) {
            expect(netTimes(net.data).utc).toMatch(/^\d{4}-\d\d-\d\d \d\d:\d\d$/);
            netNow(net.data, now.getTime());
            comingNets([net.data], now.getTime());
          }
          const set = UnitSchema.safeParse({
            ...unit(2, 'slot-alert'),
            batteryChanged: on,
            memoryCellChanged: on,
            testHeard: on,
          });
          const person = PersonSchema.safeParse({
            id: uuid(3),
            name: 'Somebody',
            licences: [{ service: 'gmrs', holds: 'own', expires: on }],
          });
          expect(set.success).toBe(person.success);
          if (net.success || set.success) taken++;
          const entries = calendarOf({
            plan: { ...plan([]), licensed: [] },
            nets: net.success ? [net.data] : [],
            benches: [],
            people: person.success ? [person.data] : [],
            units: set.success ? [set.data] : [],
            descriptions: SHIPPED,
            stations: [],
            revisions: [],
            timeZone: 'UTC',
            clockChanges: [],
            today: '2026-11-30',
          });
          for (const { when } of entries)
            expect(when.is === 'day' ? when.day : when.local).toMatch(/^\d{4}-\d\d-\d\d/);
        },
      ),
      { numRuns: runs(600), seed: 12 },
    );
    expect(taken).toBeGreaterThan(20);
  });
});
