import { fitBoard } from '@umbrex/core/fit';
import { type Person, PersonSchema, type Station, StationSchema, type Unit } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { whatIsDue } from '@umbrex/core/today';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { channel, plan, unit, uuid } from '../support/plans';

const TODAY = '2026-11-25';
const KELP = channel('Kelp Stairs', 462.65, 467.65, {
  transmitTone: '131.8',
  receiveTone: '131.8',
  bandwidth: 'wide',
});
const firmware = shipped('page-handheld').firmware[0] ?? '';
const well = unit(1, 'page-handheld', { firmware, batteryChanged: '2026-06-01', pickedTone: 'off' });

function due(
  more: {
    toChange?: string[];
    rightsEnded?: string[];
    units?: Unit[];
    people?: Person[];
    stations?: Station[];
    channels?: (typeof KELP)[];
    loadOn?: string;
  } = {},
) {
  const { units = [well], people = [], stations = [], channels = [KELP] } = more;
  const standing = { ...plan(channels), loadOn: more.loadOn ?? null };
  const board = fitBoard(standing, units, SHIPPED, NO_GROUNDS);
  const found = whatIsDue({
    plan: standing,
    board,
    people,
    units,
    stations,
    descriptions: SHIPPED,
    toChange: new Set(more.toChange),
    rightsEnded: new Set(more.rightsEnded),
    today: TODAY,
  });
  return Object.fromEntries(found.map(({ code, items }) => [code, items.map(({ name }) => name)]));
}
const holder = (expires: string) =>
  PersonSchema.parse({ id: uuid(20), name: 'Ada', licences: [{ service: 'gmrs', holds: 'own', expires }] });

/** The set as somebody said of it, the last word last. */
const said = (...all: readonly ('lost' | 'broken' | 'well')[]) => ({
  ...well,
  timeline: all.map((is, i) => ({
    what: 'condition',
    id: uuid(40 + i),
    day: TODAY,
    by: 'Ada',
    is,
    note: '',
  })),
});

describe('what needs somebody now', () => {
  it('is nothing once a set that was lost is back', () =>
    expect(due({ units: [said('lost', 'well')] } as never)).toEqual({}));
  it.each(['lost', 'broken'] as const)('of a set that is %s nothing else is asked', (is) => {
    const asksMuch = {
      firmware: 'unknown',
      batteryChanged: 'unknown',
      confirmed: false,
      pickedTone: '88.5',
      intake: { cell: 'bad' },
    };
    const id = well.id;
    const one = { ...said(is), ...asksMuch } as never;
    expect(due({ units: [one], toChange: [id], rightsEnded: [id] })).toEqual({
      [`units-${is}`]: [well.nickname],
    });
    // The same of one that is there: most of it is due.
    const there = { ...well, ...asksMuch } as never;
    expect(Object.keys(due({ units: [there], toChange: [id] }))).toEqual(
      expect.arrayContaining([
        'units-to-change',
        'units-to-confirm',
        'batteries-unknown',
        'firmware-unknown',
      ]),
    );
  });
  it('is nothing where all is known and in order', () => expect(due()).toEqual({}));
  it.each([
    [
      'a battery of a year and a day',
      { units: [{ ...well, batteryChanged: '2025-11-24' }] },
      'batteries-due',
    ],
    ['a battery nobody knows of', { units: [{ ...well, batteryChanged: 'unknown' }] }, 'batteries-unknown'],
    ['an older firmware', { units: [{ ...well, firmware: '0.1' }] }, 'units-behind'],
    ['a firmware nobody looked at', { units: [{ ...well, firmware: 'unknown' }] }, 'firmware-unknown'],
    ['a set its holder described', { units: [{ ...well, confirmed: false }] }, 'units-to-confirm'],
    [
      'a fault found at intake',
      { units: [{ ...well, intake: { ...well.intake, speaker: 'bad' } }] },
      'units-faulty',
    ],
    ['a set that was lost', { units: [said('lost')] }, 'units-lost'],
    ['a set that broke', { units: [said('broken')] }, 'units-broken'],
    [
      'a set whose right ended since it was loaded, and no second notice of it',
      { toChange: [well.id], rightsEnded: [well.id] },
      'rights-ended',
    ],
    ['a set that would be loaded otherwise now', { toChange: [well.id, uuid(77)] }, 'units-to-change'],
    ['a licence that ended', { people: [holder('2026-11-24')] }, 'licences-over'],
    ['a licence on its last day', { people: [holder(TODAY)] }, 'licences-ending'],
    ['a licence without a day', { people: [holder('unknown')] }, 'licences-unknown'],
    [
      'a repeater nobody asked for',
      { stations: [StationSchema.parse({ id: uuid(30), kind: 'repeater', name: 'Kelp' })] },
      'permissions',
    ],
    [
      'a channel whose tone nobody knows',
      { channels: [{ ...KELP, transmitTone: 'unknown' }] },
      'cells-unknown',
    ],
  ] as const)('%s', (_, more, code) => expect(Object.keys(due(more as never))).toContain(code));
  it('an alert radio whose weekly test nobody heard for more than eight days (one is sent each week: NWS instruction 10-1712, from memory)', () => {
    const heard = (testHeard: string) => {
      const alerting = {
        ...well,
        id: uuid(9),
        descriptionId: 'menu-alert',
        nickname: 'Hall',
        firmware: '1.0',
        testHeard,
      };
      return due({ units: [{ ...well, testHeard: 'unknown' }, alerting] })['alert-tests-due'];
    };
    expect([heard('unknown'), heard('2026-11-16'), heard('2026-11-17')]).toEqual([
      ['Hall'],
      ['Hall'],
      undefined,
    ]);
  });
  it('a battery of a year to the day, and a licence with more than two months, can wait', () =>
    expect(
      due({ units: [{ ...well, batteryChanged: '2025-11-25' }], people: [holder('2027-01-25')] }),
    ).toEqual({}));
  it('the most pressing comes first', () => {
    const found = due({
      units: [{ ...well, batteryChanged: '2020-01-01', confirmed: false }],
      people: [holder('2020-01-01')],
    });
    expect(Object.keys(found)).toEqual(['licences-over', 'units-to-confirm', 'batteries-due']);
  });
  it('asks for the firmware once for a kind, and does not say of an unknown one that it is another', () => {
    const unlooked = [1, 2, 3].map((n) =>
      unit(n, 'page-handheld', { ...well, id: uuid(n), firmware: 'unknown' }),
    );
    expect(due({ units: unlooked })).toEqual({ 'firmware-unknown': [shipped('page-handheld').title] });
  });
  it('says which alert radios have no areas to sound for', () => {
    const alert = unit(9, 'menu-alert', {
      firmware: shipped('menu-alert').firmware[0] ?? '',
      batteryChanged: '2026-06-01',
      testHeard: TODAY,
    });
    expect(due({ units: [alert] })).toMatchObject({ 'alerts-missing': ['Set 9'] });
    const own = { areas: ['099003'], weatherHz: 162_400_000 };
    expect(due({ units: [{ ...alert, alerts: own }] })).not.toHaveProperty('alerts-missing');
    expect(due({ units: [{ ...alert, alerts: { ...own, weatherHz: 'unknown' } }] })).toHaveProperty(
      'alerts-missing',
    );
  });
  it.each([
    ['on the day of loading', '2026-12-12', 'licences-ending'],
    ['the day before', '2026-12-11', 'licences-over'],
    ['long after', '2033-01-01', undefined],
  ])('a licence that ends %s', (_, expires, code) =>
    expect(Object.keys(due({ people: [holder(expires)], loadOn: '2026-12-12' }))).toEqual(code ? [code] : []),
  );
  it('a day of loading that has gone by decides nothing', () =>
    expect(Object.keys(due({ people: [holder('2026-11-24')], loadOn: '2026-11-01' }))).toEqual([
      'licences-over',
    ]));
  it('a licence that ended is due until another of the same service is good', () => {
    const withLicences = (...licences: [string, string, string][]) =>
      due({
        people: [
          PersonSchema.parse({
            id: uuid(20),
            name: 'Ada',
            licences: licences.map(([service, holds, expires]) => ({ service, holds, expires })),
          }),
        ],
      });
    const ended = ['gmrs', 'own', '2026-01-01'] as [string, string, string];
    expect(withLicences(ended)).toEqual({ 'licences-over': ['Ada'] });
    expect(withLicences(ended, ['gmrs', 'family', '2033-01-01'])).toEqual({});
    expect(withLicences(ended, ['gmrs', 'employer', '2033-01-01'])).toEqual({ 'licences-over': ['Ada'] });
    expect(withLicences(ended, ['amateur', 'own', '2033-01-01'])).toEqual({ 'licences-over': ['Ada'] });
    expect(withLicences(['gmrs', 'own', 'unknown'], ['gmrs', 'own', '2033-01-01'])).toEqual({});
  });
});
