import { entryText, fitDevice, fitIdentity, fitPlan, hasIdentity } from '@umbrex/core/fit';
import type { Alerts, Fleet } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { item, items, mobile, type Raw, region, without } from '../support/mobile';
import { channel, plan, uuid } from '../support/plans';

// IDs, calls, texts, alerts and names of zones on the mobile, decided by hand.

const place = (id: string, first: number, count: number, content: object, fields: string[]) => ({
  id,
  title: id,
  first,
  count,
  size: count,
  stride: count,
  banks: [],
  label: `${id} {position}`,
  content,
  ways: fields.length > 0 ? [{ by: ['keys'], fields }] : [],
});

describe('who a set is and whom it calls', () => {
  const set = (kinds: readonly string[], change: (raw: Raw) => void = () => undefined) =>
    mobile((raw) => {
      raw.identity = { digits: 3 };
      raw.fields.push({ id: 'fid', title: 'ID', holds: 'fleetId', factory: '' });
      if (kinds.includes('own')) raw.regions.push(place('own', 101, 1, { kind: 'own' }, ['fid', 'name']));
      if (kinds.includes('calls'))
        raw.regions.push(place('calls', 111, 2, { kind: 'calls' }, ['fid', 'name']));
      if (kinds.includes('status')) raw.regions.push(place('status', 121, 1, { kind: 'status' }, ['name']));
      change(raw);
    });
  const FLEET: Fleet = { statuses: ['ABED', 'CAB'], calls: [{ name: 'ALL BADE', fleetId: '199' }] };
  const ME = { nickname: 'ACE', fleetId: '100' };
  const OTHERS = [
    { nickname: 'DAB', fleetId: '102' },
    { nickname: 'BED', fleetId: '101' },
    { nickname: 'EBB', fleetId: '12' },
    { nickname: 'CAD', fleetId: '' },
  ];
  const told = (of: ReturnType<typeof set>, me = ME) => {
    const { places, findings } = fitIdentity(FLEET, fitDevice(of), me, OTHERS);
    return { places: [...places], findings: findings.map(({ severity: _, ...finding }) => finding) };
  };
  it('is asked of a kind that holds any of it', () =>
    expect([['own'], ['calls'], ['status'], []].map((kinds) => hasIdentity(set(kinds)))).toEqual([
      true,
      true,
      true,
      false,
    ]));
  it('itself, the calls, then the others by their numbers; what does not fit is named', () =>
    expect(told(set(['own', 'calls', 'status']))).toStrictEqual({
      places: [
        [
          101,
          {
            channelIds: [],
            values: { fid: '100', name: 'ACE' },
            content: { kind: 'id', name: 'ACE', fleetId: '100' },
          },
        ],
        [
          111,
          {
            channelIds: [],
            values: { fid: '199', name: 'ABAD' },
            content: { kind: 'id', name: 'ABAD', fleetId: '199' },
          },
        ],
        [
          112,
          {
            channelIds: [],
            values: { fid: '101', name: 'BED' },
            content: { kind: 'id', name: 'BED', fleetId: '101' },
          },
        ],
        [121, { channelIds: [], values: { name: 'ABED' }, content: { kind: 'text', name: 'ABED' } }],
      ],
      findings: [
        { code: 'calls-left-out', names: ['EBB', 'DAB'] },
        { code: 'statuses-left-out', texts: ['CAB'] },
      ],
    }));
  it('nothing is missed that a set has no place for', () => {
    expect(told(set([]))).toEqual({ places: [], findings: [] });
    expect(told(set(['status'])).findings).toEqual([{ code: 'statuses-left-out', texts: ['CAB'] }]);
    expect(told(set([]), { nickname: 'ACE', fleetId: '' }).findings).toEqual([]);
  });
  it('a number that it cannot hold is told with how many figures it has; a set that has none has 0', () => {
    expect(told(set(['own']), { nickname: 'ACE', fleetId: '1000' }).findings).toEqual([
      { code: 'fleet-id-unfit', fleetId: '1000', digits: 3 },
    ]);
    const none = set(['own'], (raw) => Object.assign(raw, { identity: 'none' }));
    expect(told(none).findings).toEqual([{ code: 'fleet-id-unfit', fleetId: '100', digits: 0 }]);
  });
  it('by their names alone where it holds no numbers', () => {
    const names = set(['calls'], (raw) => without(raw, 'fid'));
    expect(told(names).places).toStrictEqual([
      [111, { channelIds: [], values: { name: 'ABAD' }, content: { kind: 'id', name: 'ABAD' } }],
      [112, { channelIds: [], values: { name: 'BED' }, content: { kind: 'id', name: 'BED' } }],
    ]);
  });
  it('a set without letters shows no text', () => {
    expect(entryText(mobile(), 'BADE')).toBe('BADE');
    expect(entryText({ ...mobile(), names: 'none' }, 'BADE')).toBe('');
  });
});

describe('an alert radio of few switches', () => {
  const alerting = (change: (raw: Raw) => void = () => undefined) =>
    mobile((raw) => {
      raw.lists.both = items(item('ON', true), item('OFF', false));
      raw.lists.on = items(item('ON', true));
      raw.lists.off = items(item('OFF', false));
      raw.fields.push({ id: 'area', title: 'Area', holds: 'areaCode', factory: '' });
      raw.settings = [
        { id: 'lamp', title: 'Lamp', list: 'both', factory: 1 },
        { id: 'tor', title: 'Tornado', list: 'both', factory: 0, event: 'TOR' },
        { id: 'ean', title: 'National', list: 'on', factory: 0, event: 'EAN' },
        { id: 'svr', title: 'Storm', list: 'off', factory: 0, event: 'SVR' },
      ];
      raw.regions.push(place('areas', 101, 2, { kind: 'areas' }, ['area']));
      change(raw);
    });
  const fitted = (alerts: Partial<Alerts>, set = alerting()) =>
    fitPlan(
      {
        ...plan([]),
        alerts: { areas: ['099001'], reach: 'list', weatherHz: 162_475_000, silent: [], ...alerts },
      },
      fitDevice(set),
    );
  it('has its areas, and its switches as they shall stand; no other setting is touched', () => {
    const { image, findings } = fitted({ silent: ['TOR', 'EAN'] });
    expect([...image.slots]).toEqual([
      [101, { channelIds: [], values: { area: '099001' }, content: { kind: 'area', areaCode: '099001' } }],
    ]);
    expect(image.settings).toEqual({ tor: 1 });
    expect(findings).toEqual([
      { code: 'alert-always-on', severity: 'note', events: ['EAN'] },
      { code: 'alert-warning-silent', severity: 'warning', events: ['TOR'] },
    ]);
  });
  it('is not said to sound always where it never does', () => expect(fitted({}).findings).toEqual([]));
  it('without a place for an area is none', () => {
    const none = alerting((raw) => raw.regions.pop());
    const { image, findings } = fitted({ silent: ['TOR'] }, none);
    expect([image.settings, findings]).toEqual([{}, []]);
  });
});

describe('names of zones', () => {
  const ZONED = mobile((raw) => {
    Object.assign(region(raw, 'free'), {
      count: 4,
      size: 2,
      stride: 2,
      banks: ['A', 'B'],
      label: '{bank}{position}',
    });
    raw.regions.push(place('zones', 201, 2, { kind: 'zones', of: 'free' }, ['name']));
  });
  it('stand in their order, and hold no channel', () => {
    const [one, two] = [uuid(901), uuid(902)];
    const channels = [
      channel('ABE', 462.65, 462.65, { groupId: one }),
      channel('BEA', 462.675, 462.675, { groupId: one }),
      channel('CAD', 462.7, 462.7, { groupId: two }),
    ];
    const groups = [
      { id: one, name: 'ABBE', note: '' },
      { id: two, name: 'DECADE', note: '' },
    ];
    const { image } = fitPlan({ ...plan(channels), groups }, fitDevice(ZONED));
    expect([201, 202].map((number) => image.slots.get(number))).toEqual([
      { channelIds: [], values: { name: 'ABBE' }, content: { kind: 'text', name: 'ABBE' } },
      { channelIds: [], values: { name: 'DECA' }, content: { kind: 'text', name: 'DECA' } },
    ]);
  });
});
