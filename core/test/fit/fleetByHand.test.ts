import {
  ableToSend,
  boardFor,
  boardOf,
  type Cell,
  carriedBy,
  doesCarry,
  fitDevice,
  fitPlan,
  maySend,
  numberFleet,
  silenced,
  unitKinds,
  withCarried,
} from '@umbrex/core/fit';
import { factoryMemory, type Memory, type UnitInput } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { read, UNSEEN } from '../support/memory';
import { fieldOf, item, items, mobile, type Raw, region } from '../support/mobile';
import { channel, plan, unit, uuid } from '../support/plans';

// A fleet of mobiles, sorted, counted and told apart by hand.

const MOBILE = mobile();
const VALUES = { rx: 462_650_000, off: 0, enc: 0, dec: 0, pow: 2, wid: 1, mute: 0, name: '' };
const sets = (...of: Partial<UnitInput>[]) => of.map((more, i) => unit(i + 1, MOBILE.id, more));
const kindsOf = (of: Partial<UnitInput>[], carried?: Parameters<typeof unitKinds>[3]) =>
  unitKinds(sets(...of), [MOBILE], NO_GROUNDS, carried ?? {});

describe('sets that fit alike', () => {
  it('are those of which the same is known', () => {
    expect(kindsOf([{}, {}, { holds: UNSEEN }]).map(({ title, units }) => [title, units.length])).toEqual([
      ['Little mobile', 3],
    ]);
  });
  it.each([
    ['nothing', {}, 'Little mobile', false],
    ['one number kept', { keeps: [12] }, 'Little mobile, 1 kept', false],
    ['two', { keeps: [15, 12] }, 'Little mobile, 2 kept', false],
    ['read as loaded', { holds: read([{ number: 11, values: null }]) }, 'Little mobile, as loaded', false],
    ['a setting read', { holds: read([], { bell: '2' }) }, 'Little mobile, as loaded', false],
    [
      'a place of its own',
      { holds: read([{ number: 11, values: VALUES }]) },
      'Little mobile, 1 place of its own',
      true,
    ],
    [
      'two, and an empty one',
      {
        holds: read([
          { number: 11, values: VALUES },
          { number: 12, values: VALUES },
          { number: 13, values: null },
        ]),
      },
      'Little mobile, 2 places of its own',
      true,
    ],
    [
      'one that the plan wrote',
      { holds: { ...read([{ number: 11, values: VALUES }]), wrote: { 11: 3 } } },
      'Little mobile, as loaded',
      false,
    ],
    [
      'areas',
      { alerts: { areas: ['037063'], weatherHz: 162_550_000 } },
      'Little mobile, its own areas',
      false,
    ],
  ])('%s', (_, more, title, hasOwn) => {
    expect(kindsOf([more as Partial<UnitInput>]).map((kind) => [kind.title, kind.hasOwn])).toEqual([
      [title, hasOwn],
    ]);
  });
  it('kept numbers in any order are the same', () =>
    expect(kindsOf([{ keeps: [12, 15] }, { keeps: [15, 12] }])).toHaveLength(1));
  it('by the groups that they carry, said where it is not of all of their kind', () => {
    const [one, two] = [uuid(1), uuid(2)];
    const titles = (carried: object) =>
      kindsOf([{}, {}], { carried: { kinds: {}, teams: {}, units: {}, ...carried } } as never).map(
        ({ title }) => title,
      );
    expect(titles({})).toEqual(['Little mobile']);
    expect(titles({ kinds: { [MOBILE.id]: [one] } })).toEqual(['Little mobile']);
    expect(titles({ units: { [uuid(1)]: [one] } })).toEqual(['Little mobile, 1 group', 'Little mobile']);
    expect(titles({ units: { [uuid(1)]: [one, two] } })).toEqual([
      'Little mobile, 2 groups',
      'Little mobile',
    ]);
  });
  it('one of which nobody described the kind is refused', () =>
    expect(() => unitKinds([unit(1, 'nowhere')], [MOBILE], NO_GROUNDS, {})).toThrow(
      /no description nowhere/,
    ));
});

describe('the columns of a board', () => {
  const cell = (channelId: string, verdict: Cell['verdict']): Cell => ({
    channelId,
    verdict,
    slot: null,
    name: null,
    findings: [],
  });
  const fleet = unitKinds(
    sets(
      {},
      { holds: read([{ number: 11, values: null }]) },
      { holds: read([{ number: 11, values: VALUES }]) },
      { keeps: [12] },
    ),
    [MOBILE],
    NO_GROUNDS,
    {},
  );
  const board = (verdicts: readonly (readonly Cell['verdict'][])[]) =>
    boardOf(plan([]), fleet, (kind) => ({
      cells: (verdicts[fleet.indexOf(kind)] ?? []).map((verdict, i) => cell(`c${i}`, verdict)),
      findings: [],
    }));
  const columns = (verdicts: readonly (readonly Cell['verdict'][])[]) =>
    board(verdicts).kinds.map(
      ({ title, unitIds }) => `${title}: ${unitIds.map((id) => Number(id.slice(-2))).join(' ')}`,
    );
  const [TALKS, HEARS] = [
    ['full', 'adapted'],
    ['listen', 'full'],
  ] as const;
  it('a set that was loaded stands with those that were not where all comes to the same', () => {
    expect(columns([TALKS, TALKS, TALKS, TALKS])).toEqual([
      'Little mobile: 1 2',
      'Little mobile, 1 place of its own: 3',
      'Little mobile, 1 kept: 4',
    ]);
    // Whichever of them came first, the shorter title counts.
    const turned = [fleet[1], fleet[0]].flatMap((kind) => kind ?? []);
    const { kinds } = boardOf(plan([]), turned, () => ({ cells: [cell('c0', 'full')], findings: [] }));
    expect(kinds.map(({ title, unitIds }) => [title, unitIds.length])).toEqual([['Little mobile', 2]]);
  });
  it('apart, where it does not; then each says on how many it sends', () => {
    expect(columns([TALKS, HEARS, TALKS, TALKS])).toEqual([
      'Little mobile, sends on 2: 1',
      'Little mobile, as loaded, sends on 1: 2',
      'Little mobile, 1 place of its own, sends on 2: 3',
      'Little mobile, 1 kept, sends on 2: 4',
    ]);
    expect(columns([['listen', 'listen'], TALKS, TALKS, TALKS])[0]).toBe('Little mobile, listens only: 1');
  });
  it('what is left to others is no difference in sending', () => {
    // Two carry the first channel alone, two carry both: among themselves they are alike.
    const some = ['full', 'apart'] as const;
    expect(columns([some, some, TALKS, TALKS])).toEqual([
      'Little mobile: 1 2',
      'Little mobile, 1 place of its own: 3',
      'Little mobile, 1 kept: 4',
    ]);
  });
  it('only the sets that somebody may see', () => {
    const whole = board([TALKS, TALKS, TALKS, TALKS]);
    const seen = boardFor(whole, new Set([uuid(2), uuid(4)]));
    expect(seen.kinds.map(({ unitIds }) => unitIds)).toEqual([[uuid(2)], [uuid(4)]]);
    expect(Object.keys(seen.unitFindings).every((id) => [uuid(2), uuid(4)].includes(id))).toBe(true);
  });
  it('on how many channels some sets send, and of how many nobody knows', () => {
    const channels = [
      channel('A', 462.65, 462.65),
      channel('B', 462.675, 462.675),
      channel('C', 462.7, null),
    ];
    const whole = board([
      ['full', 'unknown'],
      ['listen', 'unknown'],
      ['full', 'adapted'],
      ['listen', 'listen'],
    ]);
    const count = (...ids: number[]) => maySend(whole, new Set(ids.map(uuid)), { channels });
    expect(count(1)).toEqual({ sends: 1, unknown: 1, of: 2 });
    expect(count(2)).toEqual({ sends: 0, unknown: 1, of: 2 });
    expect(count(1, 3)).toEqual({ sends: 2, unknown: 0, of: 2 });
    expect(count(4)).toEqual({ sends: 0, unknown: 0, of: 2 });
    expect(count()).toEqual({ sends: 0, unknown: 0, of: 2 });
  });
  it('what is said of single sets', () => {
    const old = boardOf(
      plan([]),
      unitKinds(
        [unit(1, MOBILE.id, { firmware: 'A' }), unit(2, MOBILE.id, { firmware: 'B' })],
        [MOBILE],
        NO_GROUNDS,
        {},
      ),
      () => ({ cells: [], findings: [] }),
    );
    expect(old.unitFindings[uuid(1)]).toBeUndefined();
    expect(old.unitFindings[uuid(2)]).toEqual([
      { code: 'firmware-unverified', severity: 'warning', firmware: 'B' },
    ]);
  });
});

describe('which groups a set carries', () => {
  const carried = { kinds: { k: ['a'] }, teams: { t: ['b'] }, units: { u: ['c'] } };
  it('the nearest word counts', () => {
    const of = (id: string, roleId: string | null, descriptionId: string) =>
      carriedBy({ carried }, { id, roleId, descriptionId });
    expect(of('u', 't', 'k')).toEqual({ by: 'unit', groupIds: ['c'] });
    expect(of('v', 't', 'k')).toEqual({ by: 'team', groupIds: ['b'] });
    expect(of('v', null, 'k')).toEqual({ by: 'kind', groupIds: ['a'] });
    expect(of('v', 's', 'l')).toBeNull();
    expect(carriedBy({}, { id: 'u', roleId: 't', descriptionId: 'k' })).toBeNull();
    // Nobody's team is none, whatever a team is called.
    expect(
      carriedBy(
        { carried: { ...carried, teams: { null: ['b'] } } },
        { id: 'v', roleId: null, descriptionId: 'l' },
      ),
    ).toBeNull();
  });
  it('all, where nobody says', () => {
    expect(doesCarry(null, 'a')).toBe(true);
    expect(doesCarry({ by: 'kind', groupIds: ['a'] }, 'a')).toBe(true);
    expect(doesCarry({ by: 'kind', groupIds: ['a'] }, 'b')).toBe(false);
  });
  it('is written for one, and taken back', () => {
    expect(withCarried(carried, 'teams', 's', ['d'])).toEqual({ ...carried, teams: { t: ['b'], s: ['d'] } });
    expect(withCarried(carried, 'teams', 't', ['d'])).toEqual({ ...carried, teams: { t: ['d'] } });
    expect(withCarried(carried, 'teams', 't', undefined)).toEqual({ ...carried, teams: {} });
  });
  it('and finds nothing of the others', () => {
    const device = fitDevice(MOBILE, factoryMemory(MOBILE), {
      carriesGroups: { by: 'kind', groupIds: [uuid(9)] },
    });
    const [mine, others] = [
      channel('AAA', 462.65, 462.65, { groupId: uuid(9) }),
      channel('BBB', 462.675, 462.675),
    ];
    const { channels } = numberFleet(plan([others, mine]), [{ key: 'some', weight: 1, device }], {
      last: {},
      pins: {},
    });
    expect(channels.map(({ number, able, elsewhere }) => [number, able, elsewhere])).toEqual([
      [null, 0, []],
      [11, 1, []],
    ]);
  });
});

describe('places that could send', () => {
  // Nobody may send on a business channel who has no licence for it.
  const OUTSIDE = 464_550_000;
  const able = mobile((raw: Raw) => {
    region(raw, 'factory').content.channels[0].receiveHz = OUTSIDE;
    region(raw, 'factory').content.channels[0].transmitHz = OUTSIDE;
  });
  const device = fitDevice(able);
  const free = (transmit: number, mute = 0): Memory => {
    const fresh = factoryMemory(able);
    return {
      slots: new Map(fresh.slots).set(11, { ...VALUES, rx: transmit, mute }),
      settings: fresh.settings,
    };
  };
  const named = (memory: Memory, planned: number[], of = device) =>
    ableToSend(of, memory, new Set(planned), [], plan([])).map(({ number, fromFactory }) => [
      number,
      fromFactory,
    ]);
  it('those of the factory, and those that the plan fills', () => {
    expect(named(factoryMemory(able), [])).toEqual([[1, true]]);
    expect(named(free(OUTSIDE), [])).toEqual([[1, true]]);
    expect(named(free(OUTSIDE), [11])).toEqual([
      [1, true],
      [11, false],
    ]);
    expect(named(free(OUTSIDE, 1), [11])).toEqual([[1, true]]);
    expect(named(free(462_650_000), [11])).toEqual([[1, true]]);
  });
  it('none on a set that cannot send, or of which nobody knows', () => {
    const deaf = fitDevice({ ...able, transmit: { bands: [] } });
    expect(named(free(OUTSIDE), [11], deaf)).toEqual([]);
    expect(named(free(OUTSIDE), [11], fitDevice({ ...able, transmit: 'unknown' }))).toEqual([]);
  });
  it('are told not to, where a step can', () => {
    const canMute = mobile((raw: Raw) => {
      region(raw, 'factory').content.channels[0].receiveHz = OUTSIDE;
      region(raw, 'factory').content.channels[0].transmitHz = OUTSIDE;
      region(raw, 'factory').ways[0].fields.push('mute');
    });
    const quiet = silenced(fitDevice(canMute), new Set(), plan([]));
    expect([...quiet]).toEqual([
      [
        1,
        {
          channelIds: [],
          values: factoryMemory(canMute).slots.get(1) && { ...factoryMemory(canMute).slots.get(1), mute: 1 },
          content: { kind: 'channel', receiveHz: OUTSIDE, transmitHz: null },
        },
      ],
    ]);
    expect(silenced(fitDevice(canMute), new Set([1]), plan([])).size).toBe(0);
    expect(silenced(device, new Set(), plan([])).size).toBe(0);
    // Once it is told, nobody is warned of it.
    const told = factoryMemory(canMute);
    const memory = { ...told, slots: new Map(told.slots).set(1, { ...told.slots.get(1), mute: 1 }) };
    expect(named(memory, [], fitDevice(canMute))).toEqual([]);
    expect(named(told, [], fitDevice(canMute))).toEqual([[1, true]]);
  });
});

describe('selective calls', () => {
  const calling = (change: (raw: Raw) => void = () => undefined) =>
    mobile((raw: Raw) => {
      raw.lists.calls = items(item('OUT', false), item('IN', true));
      raw.fields.push({ id: 'sel', title: 'Calls', holds: 'inCalls', list: 'calls', factory: 1 });
      region(raw, 'free').ways[0].fields.push('sel');
      change(raw);
    });
  const [talks, hears] = [channel('AAA', 462.65, 462.65), channel('BBB', 462.675, null)];
  const marks = (set = calling()) => {
    const { image, cells } = fitPlan(plan([talks, hears]), fitDevice(set));
    return cells.map(({ slot, findings }) => [
      slot && image.slots.get(slot.number)?.values.sel,
      findings.some(({ code }) => code === 'calls-where-listening'),
    ]);
  };
  it('are made and answered where one talks, and nowhere else', () =>
    expect(marks()).toEqual([
      [1, false],
      [0, false],
    ]));
  it('a place that cannot be told so says it, where it would answer', () => {
    const fixed = calling((raw) => {
      region(raw, 'free').ways[0].fields.pop();
    });
    expect(marks(fixed).map(([, said]) => said)).toEqual([false, true]);
    const silent = calling((raw) => {
      region(raw, 'free').ways[0].fields.pop();
      fieldOf(raw, 'sel').factory = 0;
    });
    expect(marks(silent).map(([, said]) => said)).toEqual([false, false]);
  });
  it('nothing where nobody looked its values up', () => {
    const unknown = calling((raw) => {
      fieldOf(raw, 'sel').list = 'unknown';
    });
    expect(marks(unknown).map(([, said]) => said)).toEqual([false, false]);
  });
  it('a place that two share is in where both talk', () => {
    const other = { ...talks, id: uuid(55), name: 'CCC', transmitHz: null };
    const { image } = fitPlan(
      plan([talks, { ...talks, id: uuid(56), name: 'DDD' }, other]),
      fitDevice(calling()),
    );
    expect(image.slots.get(11)).toMatchObject({ channelIds: [talks.id, uuid(56)], values: { sel: 1 } });
  });
});
