import type { Finding } from '@umbrex/core/findings';
import {
  type Cell,
  decisive,
  fitDevice,
  fitIdentity,
  hasIdentity,
  spellable,
  talkers,
} from '@umbrex/core/fit';
import type { Description } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

const FLEET = shipped('fleet-mobile');
const only = (...kinds: string[]): Description => ({
  ...FLEET,
  regions: FLEET.regions.filter(({ content: { kind } }) => kind === 'free' || kinds.includes(kind)),
});

describe('which sets know who they are', () => {
  it.each([
    [['own'], true],
    [['calls'], true],
    [['status'], true],
    [[], false],
  ])('places for %j: %s', (kinds, has) => expect(hasIdentity(only(...kinds))).toBe(has));
});

describe('what a set holds of who is who', () => {
  const fleet = { statuses: ['At berth'], calls: [{ name: 'All', fleetId: '199' }] };
  const others = [
    { nickname: 'Zoo', fleetId: '101' },
    { nickname: 'Nobody', fleetId: '' },
    { nickname: 'Arc', fleetId: '102' },
    { nickname: 'Ark', fleetId: '101' },
  ];
  const fitted = (description: Description, fleetId: string) =>
    fitIdentity(fleet, fitDevice(description), { nickname: 'Bridge', fleetId }, others);
  const contents = (description: Description, fleetId = '100') =>
    [...fitted(description, fleetId).places.values()].map(({ channelIds, content }) => [channelIds, content]);
  it('its own ID, the group’s calls and then the others by number and name; who has no ID is not called', () => {
    const id = (name: string, fleetId: string) => [[], { kind: 'id', name, fleetId }];
    expect(contents(FLEET)).toEqual([
      id('Bridge', '100'),
      id('All', '199'),
      id('Ark', '101'),
      id('Zoo', '101'),
      id('Arc', '102'),
      [[], { kind: 'text', name: 'At berth' }],
    ]);
    expect(fitted(FLEET, '100').findings).toEqual([]);
  });
  it('where there is no place for a thing, nothing is said of it', () => {
    expect(fitted(only('status'), '')).toMatchObject({ findings: [] });
    expect(contents(only('status'), '')).toEqual([[[], { kind: 'text', name: 'At berth' }]]);
    expect(fitted(only('own'), '').findings).toEqual([{ code: 'fleet-id-missing', severity: 'warning' }]);
    expect(fitted(only('own'), '12').findings).toEqual([
      { code: 'fleet-id-unfit', severity: 'error', fleetId: '12', digits: 3 },
    ]);
    expect(fitted(only('own'), '102').findings).toEqual([
      { code: 'fleet-id-twice', severity: 'error', fleetId: '102', other: 'Arc' },
    ]);
  });
});

describe('the finding that decides', () => {
  const licence: Finding = { code: 'licence-needed', severity: 'note', service: 'gmrs', source: '' };
  const note: Finding = { code: 'no-names', severity: 'note' };
  const warning: Finding = { code: 'receive-unknown', severity: 'warning' };
  const error: Finding = { code: 'no-free-slot', severity: 'error' };
  const first: Finding = { code: 'names-unknown', severity: 'note' };
  it.each([
    [[], undefined],
    [[licence], licence],
    [[licence, note], note],
    [[first, note], first],
    [[note, warning, first], warning],
    [[note, warning, error, licence], error],
  ])('of %j: %j', (findings, expected) =>
    expect(decisive({ findings } as unknown as Cell)).toEqual(expected),
  );
});

describe('who can talk on a channel, as far as its frequencies go', () => {
  const frs = channel('Talk', 462.5625, 462.5625, {
    service: 'frs',
    transmitTone: '82.5',
    receiveTone: '100.0',
  });
  const can = (one: Description) => talkers(frs, plan([frs]), [one]).length === 1;
  const bare = { ...shipped('page-handheld'), transmit: 'unknown' as const };
  const { regions } = shipped('page-handheld');
  it.each([
    ['one that takes it as it is', shipped('page-handheld'), true],
    ['one whose two tones are one: its tones do not count here', shipped('pocket-radio'), true],
    ['one that only listens', shipped('bank-scanner'), false],
    ['a repeater, which has one pair', shipped('repeater'), false],
    ['one of which nobody knows where it sends', { ...bare, regions }, true],
  ])('%s: %s', (_, one, expected) => expect(can(one as Description)).toBe(expected));
});

describe('the characters that a set can be made to write', () => {
  const page = shipped('page-handheld');
  const names = { length: 6, characters: 'ABC123' };
  const of = (recipes: unknown) => spellable({ ...page, names, recipes: recipes as Description['recipes'] });
  const nameField = page.fields.find(({ holds }) => holds === 'name')?.id ?? '';
  const set = (...steps: { do: string }[]) => ({ [nameField]: steps });
  it.each([
    ['no keys are described: what it shows', undefined, names],
    ['nothing is said of how names are written', { set: {} }, names],
    [
      'letters by keys, among other steps',
      { set: set({ do: 'press' }, { do: 'tapName' }), letterKeys: { '2': 'AXB', '3': '2' } },
      { length: 6, characters: 'AB2' },
    ],
    [
      'letters by a wheel, among other steps',
      { set: set({ do: 'press' }, { do: 'wheelName' }), letterWheel: 'C1Z' },
      { length: 6, characters: 'C1' },
    ],
    ['none that it shows', { set: set({ do: 'wheelName' }), letterWheel: 'Z' }, 'none'],
    ['none at all', { set: set({ do: 'wheelName' }) }, 'none'],
  ])('%s', (_, recipes, expected) => expect(of(recipes)).toEqual(expected));
  it('a set that shows no names writes none', () =>
    expect(spellable({ ...page, names: 'none' })).toBe('none'));
});
