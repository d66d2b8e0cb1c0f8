import { PersonSchema, type Station, StationSchema } from '@umbrex/core/model';
import {
  factOf,
  knownFacts,
  preconditionContext,
  preconditions,
  reviewStation,
  stationsFromGeoJson,
  stationsToGeoJson,
} from '@umbrex/core/stations';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from '../support/devices';
import { channel, plan, unit, uuid } from '../support/plans';

const TODAY = '2026-11-25';
const said = (field: string, value: unknown, on = '2026-10-01', source = 'listing') => ({
  field,
  value,
  on,
  source,
});
const PAIR = [said('outputHz', 462_650_000), said('inputHz', 467_650_000)];
const station = (more: object = {}): Station =>
  StationSchema.parse({ id: uuid(1), kind: 'repeater', name: 'Kelp Stairs', facts: PAIR, ...more });

describe('what several sources say', () => {
  it('the newest word counts, an undated one least, and none is lost', () => {
    const told = station({
      facts: [
        said('inputTone', '131.8', '2024-01-01', 'old book'),
        said('inputTone', '100.0', 'unknown', 'somebody'),
        said('inputTone', '127.3', '2026-02-02', 'owner'),
      ],
    });
    expect(factOf(told, 'inputTone')).toBe('127.3');
    expect(
      knownFacts(told)
        .get('inputTone')
        ?.others.map(({ source }) => source)
        .sort(),
    ).toEqual(['old book', 'somebody']);
    expect(factOf(told, 'powerW')).toBeUndefined();
  });
  it('in whatever order they were written down', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray([1, 2, 3, 4, 5], { minLength: 1 }), (days) => {
        const facts = days.map((n) => said('powerW', n, `2026-01-0${n}`));
        expect(factOf(station({ facts }), 'powerW')).toBe(Math.max(...days));
      }),
    ));
});

describe('what wants a look at a station', () => {
  const complete = [...PAIR, said('inputTone', '131.8'), said('status', 'on-air')];
  const granted = { state: 'granted', by: 'the owner', on: '2026-01-01' };
  const codes = (more: object) => reviewStation(station(more), TODAY).map((finding) => finding.code);
  it.each([
    ['all is known and granted', { facts: complete, permission: granted }, []],
    ['nobody asked', { facts: complete }, ['permission-missing']],
    ['asked', { facts: complete, permission: { state: 'asked' } }, ['permission-waiting']],
    ['refused', { facts: complete, permission: { state: 'refused' } }, ['permission-refused']],
    ['over', { facts: complete, permission: { ...granted, expires: '2026-11-24' } }, ['permission-over']],
    [
      'its last day',
      { facts: complete, permission: { ...granted, expires: TODAY } },
      ['permission-ends-soon'],
    ],
    [
      'two months left',
      { facts: complete, permission: { ...granted, expires: '2027-01-24' } },
      ['permission-ends-soon'],
    ],
    ['longer', { facts: complete, permission: { ...granted, expires: '2027-01-25' } }, []],
    ['no tone known', { facts: [...PAIR, said('status', 'on-air')], permission: granted }, ['fact-missing']],
    [
      'off the air',
      { facts: [...complete, said('status', 'off-air')], permission: granted },
      ['facts-disagree', 'station-not-on-air'],
    ],
    [
      'said twice alike',
      { facts: [...complete, said('inputTone', '131.8', '2025-01-01')], permission: granted },
      [],
    ],
    [
      'not confirmed for a year',
      { facts: complete.map((fact) => ({ ...fact, on: '2025-11-24' })), permission: granted },
      ['fact-old'],
    ],
    [
      'confirmed a year ago to the day',
      { facts: complete.map((fact) => ({ ...fact, on: '2025-11-25' })), permission: granted },
      [],
    ],
    [
      'old facts, but somebody reached it',
      {
        facts: complete.map((fact) => ({ ...fact, on: '2020-01-01' })),
        permission: granted,
        reports: [{ personId: uuid(5), reached: true, on: '2026-10-10' }],
      },
      [],
    ],
    [
      'a weather transmitter needs no permission',
      { kind: 'weather', facts: [said('outputHz', 162_400_000)] },
      [],
    ],
    ['a trunked site without control channels', { kind: 'trunked', facts: [] }, ['fact-missing']],
  ] as const)('%s', (_, more, expected) => expect(codes(more)).toEqual(expected));
});

describe('the preconditions, each yes, no or unknown with the next move', () => {
  const ada = PersonSchema.parse({ id: uuid(5), name: 'Ada' });
  const kelp = channel('Kelp Stairs', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
  const told = station({ facts: [...PAIR, said('inputTone', '131.8')], permission: { state: 'granted' } });
  const hand = unit(7, 'page-handheld', { personId: ada.id });
  const pocket = unit(8, 'pocket-radio', { personId: ada.id });
  const ask = (units = [hand], where: Station = told, channels = [kelp]) => {
    const context = preconditionContext(plan(channels), SHIPPED, TODAY);
    const { set, frequency, tone, reach, permission } = preconditions(ada, units, where, context);
    return [set, frequency, tone, reach, permission].map(({ is, next }) => (next ? `${is}: ${next}` : is));
  };
  it.each([
    ['no licence', [], 'no: get-the-licence'],
    ['a licence', [{ service: 'gmrs', holds: 'own', expires: '2033-04-30' }], 'yes'],
    ['one of close family (95.1705)', [{ service: 'gmrs', holds: 'family', expires: TODAY }], 'yes'],
    ['one that ended', [{ service: 'gmrs', holds: 'own', expires: '2026-11-24' }], 'no: get-the-licence'],
    [
      'one of which nobody knows',
      [{ service: 'gmrs', holds: 'own', expires: 'unknown' }],
      'unknown: ask-when-it-ends',
    ],
    [
      'another service’s',
      [{ service: 'amateur', holds: 'own', expires: '2033-04-30' }],
      'no: get-the-licence',
    ],
  ])('%s', (_, licences, expected) => {
    const person = PersonSchema.parse({ ...ada, licences });
    const context = preconditionContext(plan([kelp]), SHIPPED, TODAY);
    const { licence } = preconditions(person, [hand], told, context);
    expect(licence.next ? `${licence.is}: ${licence.next}` : licence.is).toBe(expected);
  });
  it.each([
    [
      'a set that can, the channel, the tone, granted',
      ask(),
      ['yes', 'yes', 'yes', 'unknown: try-it', 'yes'],
    ],
    ['no set at all', ask([]), ['no: lend-a-set', 'yes', 'no: lend-a-set', 'unknown: try-it', 'yes']],
    [
      'a pocket radio',
      ask([pocket]),
      ['no: lend-a-set', 'yes', 'no: a-set-with-the-tone', 'unknown: try-it', 'yes'],
    ],
    ['a better set beside it', ask([pocket, hand]), ['yes', 'yes', 'yes', 'unknown: try-it', 'yes']],
    [
      'not in the plan',
      ask([hand], told, []),
      ['yes', 'no: add-the-channel', 'unknown: add-the-channel', 'unknown: try-it', 'yes'],
    ],
    [
      'another tone in the plan',
      ask([hand], told, [{ ...kelp, transmitTone: '127.3' }]),
      ['yes', 'yes', 'no: correct-the-tone', 'unknown: try-it', 'yes'],
    ],
    [
      'nobody knows its tone',
      ask([hand], station()),
      ['yes', 'yes', 'unknown: ask-the-tone', 'unknown: try-it', 'unknown: ask-permission'],
    ],
    [
      'nobody knows its pair',
      ask([hand], station({ facts: [] })),
      [
        'unknown: ask-the-frequencies',
        'unknown: ask-the-frequencies',
        'unknown: ask-the-tone',
        'unknown: try-it',
        'unknown: ask-permission',
      ],
    ],
    [
      'she reached it',
      ask([hand], { ...told, reports: [{ personId: ada.id, reached: true, on: TODAY }] }).slice(3),
      ['yes', 'yes'],
    ],
    [
      'she did not',
      ask([hand], { ...told, reports: [{ personId: ada.id, reached: false, on: TODAY }] }).slice(3),
      ['no: another-place', 'yes'],
    ],
    [
      'permission ran out',
      ask([hand], { ...told, permission: { ...told.permission, expires: '2026-11-24' } }).slice(4),
      ['no: ask-again'],
    ],
    [
      'refused',
      ask([hand], { ...told, permission: { ...told.permission, state: 'refused' } }).slice(4),
      ['no: listen-only'],
    ],
    [
      'the same word inverted: D023I is D047N on the air',
      ask([hand], station({ facts: [...PAIR, said('inputTone', 'D023I')] }), [
        { ...kelp, transmitTone: 'D047N' },
      ]).slice(1, 3),
      ['yes', 'yes'],
    ],
  ])('%s', (_, found, expected) => expect(found).toEqual(expected));
});

describe('GeoJSON (RFC 7946: longitude first, 3.1.1)', () => {
  const site = { latitudeDeg: 41.28, longitudeDeg: -38.5 };
  let n = 300;
  const read = (document: unknown) => stationsFromGeoJson(document, () => uuid(n++));
  const point = (coordinates: unknown, properties: object = { name: 'X' }) => ({
    type: 'Feature',
    geometry: { type: 'Point', coordinates },
    properties,
  });
  const collection = (...features: unknown[]) => ({ type: 'FeatureCollection', features });
  it('goes out and comes back whole', () => {
    const placed = station({ site, permission: { state: 'asked', by: 'Ines' }, note: '<b>no</b>' });
    const document = stationsToGeoJson([placed, station({ id: uuid(2) })]);
    expect(document.features.map(({ geometry }) => geometry.coordinates)).toEqual([[-38.5, 41.28]]);
    const { stations, findings } = read(JSON.parse(JSON.stringify(document)));
    expect(findings).toEqual([]);
    expect(stations.map((s) => ({ ...s, id: '' }))).toEqual([{ ...placed, id: '' }]);
  });
  it('takes points of others by name, and says at which path a wrong one stands', () => {
    const { stations, findings } = read(
      collection(
        point([-38.5, 41.28, 120], { name: 'Fell' }),
        point([1, 91]),
        point(['a', 2]),
        point([0, 0], {}),
        { type: 'Feature' },
      ),
    );
    expect(stations).toMatchObject([{ name: 'Fell', site, kind: 'repeater' }]);
    expect(findings.map((f) => 'path' in f && f.path)).toEqual([
      '/features/1/geometry/coordinates',
      '/features/2',
      '/features/3',
      '/features/4',
    ]);
    expect(read({ type: 'Feature' }).findings).toMatchObject([{ path: '' }]);
  });
  it('never throws, whatever it is given', () =>
    fc.assert(
      fc.property(fc.jsonValue(), (value) => Array.isArray(read(collection(value, point(value))).stations)),
    ));
});
