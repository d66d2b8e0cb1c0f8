import { type CalendarOf, calendarOf } from '@umbrex/core/calendar';
import { BenchDaySchema, NetSchema, PersonSchema, StationSchema, UnitSchema } from '@umbrex/core/model';
import { clockChanges } from '@umbrex/core/nets';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from '../support/devices';
import { plan, uuid } from '../support/plans';

const TODAY = '2026-11-29';
const NONE: CalendarOf = {
  plan: plan([]),
  nets: [],
  benches: [],
  people: [],
  units: [],
  descriptions: SHIPPED,
  stations: [],
  revisions: [],
  timeZone: 'America/New_York',
  clockChanges: ['2027-03-14'],
  today: TODAY,
};
const unit = (more: object = {}) =>
  UnitSchema.parse({
    id: uuid(1),
    descriptionId: 'pocket-radio',
    nickname: 'Pocket 1',
    holder: '',
    serial: '',
    firmware: 'A1',
    ...more,
  });
const entries = (more: Partial<CalendarOf>) =>
  calendarOf({ ...NONE, ...more }).map(({ code, names, when, alarmsMin }) => [
    code,
    names.join(),
    when.is === 'day' ? when.day : when.local,
    alarmsMin.map((min) => min / 1440),
  ]);

describe('a calendar', () => {
  it('of nothing is empty', () => expect(entries({})).toEqual([]));
  it.each([
    [
      'a cell, a year on',
      { units: [unit({ batteryChanged: '2026-03-01' })] },
      ['cells-due', 'Pocket 1', '2027-03-01', [7]],
    ],
    [
      'one that is overdue stands today',
      { units: [unit({ batteryChanged: '2024-03-01' })] },
      ['cells-due', 'Pocket 1', TODAY, [7]],
    ],
    [
      'a cell that keeps the memory, as many years on as its kind says',
      { units: [unit({ descriptionId: 'bank-scanner', memoryCellChanged: '2024-02-29' })] },
      ['memory-cell', 'Pocket 1', '2029-02-28', [30]],
    ],
    [
      'one of which nobody knows stands today',
      { units: [unit({ descriptionId: 'bank-scanner' })] },
      ['memory-cell', 'Pocket 1', TODAY, [30]],
    ],
    [
      'a licence that ends',
      {
        people: [
          PersonSchema.parse({
            id: uuid(2),
            name: 'Ada',
            licences: [{ service: 'gmrs', holds: 'own', expires: '2027-05-01' }],
          }),
        ],
      },
      ['licence-ends', 'Ada', '2027-05-01', [60, 14]],
    ],
    [
      'a permission that nobody answered, two weeks on',
      {
        stations: [
          StationSchema.parse({
            id: uuid(3),
            kind: 'repeater',
            name: 'Kelp',
            permission: { state: 'asked', on: '2026-11-20' },
          }),
        ],
      },
      ['ask-again', 'Kelp', '2026-12-04', []],
    ],
    [
      'a permission that ends',
      {
        stations: [
          StationSchema.parse({
            id: uuid(3),
            kind: 'repeater',
            name: 'Kelp',
            permission: { state: 'granted', expires: '2027-01-01' },
          }),
        ],
      },
      ['permission-ends', 'Kelp', '2027-01-01', [60, 14]],
    ],
    [
      'what is said of a repeater, a year on',
      {
        stations: [
          StationSchema.parse({
            id: uuid(3),
            kind: 'repeater',
            name: 'Kelp',
            facts: [{ field: 'powerW', value: 50, source: 'us', on: '2026-02-01' }],
          }),
        ],
      },
      ['facts-review', 'Kelp', '2027-02-01', []],
    ],
    [
      'a firmware that nobody looked at, once a month',
      { units: [unit({ firmware: 'unknown' })] },
      ['firmware', SHIPPED.find(({ id }) => id === 'pocket-radio')?.title, '2026-12-01', []],
    ],
    [
      'a revision that comes',
      { revisions: [{ number: 4, effectiveFrom: '2026-12-05', reason: 'Kelp moved' }] },
      ['revision', `${plan([]).name} 4`, '2026-12-05', [7, 1]],
    ],
    [
      'an event is counted down to',
      {
        nets: [
          NetSchema.parse({ id: uuid(4), name: 'Drill', startsAt: '2026-12-12T09:00', timeZone: 'UTC' }),
        ],
      },
      ['event', 'Drill', '2026-12-12T09:00', [7, 1, 1 / 24]],
    ],
  ] as const)('%s', (_, more, entry) => expect(entries(more as Partial<CalendarOf>)).toEqual([entry]));
  it('an alert radio: its weekly test, and fresh cells when the clocks change', () =>
    expect(
      entries({ units: [unit({ descriptionId: 'menu-alert', nickname: 'Hall', testHeard: '2026-11-25' })] }),
    ).toEqual([
      ['cells-clock', 'Hall', '2027-03-14', [1]],
      ['alert-test', 'Hall', '2026-12-02', []],
    ]));
  it('a bench day stands at its hour on the group’s clocks', () => {
    const bench = BenchDaySchema.parse({
      id: uuid(6),
      name: 'Hall',
      planId: uuid(7),
      revision: 1,
      day: '2026-12-05',
    });
    expect(entries({ benches: [bench] })).toEqual([['bench', 'Hall', '2026-12-05T09:00', [7, 1]]]);
  });
  it('each matter has one name of its own, the same at each look', () => {
    const all = {
      units: [unit(), unit({ id: uuid(5), batteryChanged: '2026-05-05' })],
      nets: [NetSchema.parse({ id: uuid(4), name: 'Drill', startsAt: '2026-12-12T09:00', timeZone: 'UTC' })],
    };
    const ids = calendarOf({ ...NONE, ...all }).map(({ uid }) => uid);
    expect(new Set(ids).size).toBe(ids.length);
    expect(calendarOf({ ...NONE, ...all, today: '2026-11-30' }).map(({ uid }) => uid)).toEqual(ids);
  });
});

describe('the days on which clocks change', () => {
  // US: second Sunday in March, first in November (Energy Policy Act of 2005, section 110); EU: last Sundays of March and October (Directive 2000/84/EC).
  it.each([
    ['America/New_York', ['2027-03-14', '2027-11-07']],
    ['Europe/Berlin', ['2027-03-28', '2027-10-31']],
    ['Australia/Sydney', ['2027-04-04', '2027-10-03']],
    ['UTC', []],
    ['America/Phoenix', []],
  ])('%s', (zone, days) => expect(clockChanges(zone, Date.parse('2026-11-29T12:00:00Z'), 2)).toEqual(days));
});
