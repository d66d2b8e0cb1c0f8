import type { Channel, Slot } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import type { FitDevice } from '../../src/fit/device';
import type { Judgement } from '../../src/fit/judge';
import { freeRoom, numberedPlace, type Room, roomIn, sitsAt } from '../../src/fit/room';
import { zonesOf } from '../../src/fit/zones';

// Who comes to which place, on a made-up set of a few places, by hand: one that sends, one that was made deaf, two free ones.

const place = (number: number, fixed?: { transmitHz: number | null }, bank = 0, receiveOnly = false) =>
  ({
    number,
    bank,
    fixed,
    region: {
      banks: [{ id: 'a' }, { id: 'b' }],
      label: '{bank}-{position}',
      content: { kind: 'free', receiveOnly },
    },
  }) as unknown as Slot;
const LOUD = place(1, { transmitHz: 462_562_500 });
const DEAF = place(2, { transmitHz: null });
const FREE = place(3);
const OTHER = place(4);

interface Asked {
  readonly outcome?: Judgement['outcome'];
  readonly slots?: readonly Slot[];
  /** The places where it can be had; all that it asks for, if nothing is said. */
  readonly can?: readonly Slot[];
  /** Those where its talk key would go out over what others listen to. */
  readonly covers?: readonly Slot[];
  readonly groupId?: string;
  readonly tier?: 'must' | 'should' | 'nice';
}
const asks = (
  id: string,
  { outcome = 'talk', slots = [LOUD, DEAF, FREE], ...more }: Asked = {},
): Judgement => {
  const can = more.can ?? slots;
  const findings = (slot: Slot) =>
    more.covers?.includes(slot) ? [{ code: 'talk-goes-out-on-output', severity: 'warning' }] : [];
  return {
    channel: { id, groupId: more.groupId ?? 'g', tier: more.tier ?? 'should' } as Channel,
    outcome,
    slots,
    at: (slot: Slot) => (can.includes(slot) ? { findings: findings(slot) } : undefined),
    contentAt: (slot: Slot) => (can.includes(slot) ? { kind: 'channel', receiveHz: 1 } : undefined),
  } as unknown as Judgement;
};
const room = (more: Partial<Room> = {}): Room =>
  ({
    homeOf: new Map(),
    homes: new Set(),
    holds: new Set(['one']),
    blocks: { allows: () => true },
    ...more,
  }) as unknown as Room;
const where = (judgement: Judgement, of: Room) =>
  [LOUD, DEAF, FREE, OTHER].filter(sitsAt(judgement, of)).map(({ number }) => number);

describe('where a channel can be if that is its number', () => {
  it('is where it can be had', () => {
    expect(where(asks('one'), room())).toEqual([1, 2, 3]);
    expect(where(asks('one', { can: [FREE] }), room())).toEqual([3]);
  });
  it('is nowhere for one that the set does not hold, or keeps where it was made', () => {
    expect(where(asks('one'), room({ holds: new Set(['two']) }))).toEqual([]);
    expect(where(asks('one'), room({ homeOf: new Map([['one', LOUD]]) }))).toEqual([]);
  });
  it('is no other channel’s home, and no block of another network', () => {
    expect(where(asks('one'), room({ homes: new Set([1, 3]) }))).toEqual([2]);
    const blocks = { allows: (_: Channel, { number }: Slot) => number !== 2 } as unknown as Room['blocks'];
    expect(where(asks('one'), room({ blocks }))).toEqual([1, 3]);
  });
  it('of one that is only heard is no place that sends, unless there is none that does not', () => {
    expect(where(asks('one', { outcome: 'listen', slots: [DEAF, LOUD, FREE] }), room())).toEqual([2, 3]);
    expect(where(asks('one', { outcome: 'listen', slots: [FREE, LOUD] }), room())).toEqual([3]);
    expect(where(asks('one', { outcome: 'listen', slots: [LOUD] }), room())).toEqual([1]);
    // The first that it asks for is not there for it: the first that is, counts.
    expect(where(asks('one', { outcome: 'listen', slots: [DEAF, LOUD], can: [LOUD] }), room())).toEqual([1]);
    expect(where(asks('one', { outcome: 'listen', slots: [DEAF], can: [] }), room())).toEqual([]);
  });
  it('is the place where people read that number, if it may ask for it', () => {
    const device = {
      slotRead: new Map([
        [16, LOUD],
        [17, OTHER],
      ]),
    } as unknown as FitDevice;
    const at = (number: number | undefined) => numberedPlace(asks('one'), device, room(), number)?.number;
    expect([at(16), at(17), at(18), at(undefined)]).toEqual([1, undefined, undefined, undefined]);
    expect(numberedPlace(asks('one', { can: [FREE] }), device, room(), 16)).toBeUndefined();
  });
});

describe('how many free places a set can fill', () => {
  const device = (capacity: number | undefined, filled: readonly number[]) =>
    ({
      description: { capacity },
      freeSlots: [FREE, OTHER, place(5)],
      filled: new Map(filled.map((number) => [number, 1])),
    }) as unknown as FitDevice;
  it.each([
    [undefined, [], 3],
    [undefined, [3, 4], 3],
    [2, [], 2],
    [9, [], 3],
    [2, [3], 1],
    [2, [3, 4, 5], 0],
  ] as const)('of three with room for %s, %j filled: %i', (capacity, filled, free) =>
    expect(freeRoom(device(capacity, filled))).toBe(free),
  );
});

describe('who chooses first', () => {
  const device = (places: readonly Slot[], capacity?: number) =>
    ({
      description: { capacity, regions: [] },
      slots: places,
      freeSlots: places.filter(({ fixed }) => !fixed),
      filled: new Map(),
      holding: new Map(),
    }) as unknown as FitDevice;
  const turnsOf = (judged: readonly Judgement[], of: FitDevice) =>
    roomIn(
      judged,
      of,
      judged.map(({ channel }) => channel),
    ).turns.map(({ channel }) => channel.id);
  const [talks, hears] = [{ slots: [FREE, OTHER] }, { outcome: 'listen', slots: [FREE, OTHER] }] as const;

  it('is who talks, then the plan’s order, while there is room for all', () => {
    const judged = [asks('a', hears), asks('b', { ...talks, tier: 'nice' }), asks('c', talks)];
    expect(turnsOf(judged.slice(0, 2), device([FREE, OTHER]))).toEqual(['b', 'a']);
    expect(turnsOf(judged.slice(1), device([FREE, OTHER]))).toEqual(['b', 'c']);
  });
  it('is what must be in where there is not, whatever is done with it, each group together', () => {
    const judged = [
      asks('a', { ...talks, tier: 'nice', groupId: 'g' }),
      asks('b', { ...talks, groupId: 'h' }),
      asks('c', { ...hears, tier: 'must', groupId: 'h' }),
      asks('d', { ...talks, groupId: 'g' }),
    ];
    expect(turnsOf(judged, device([FREE, OTHER]))).toEqual(['c', 'd', 'b', 'a']);
    // Room for more than there are: nothing of that counts, and a set that is full by what it says of itself is full.
    const five = [FREE, OTHER, place(5), place(6), place(7)];
    expect(turnsOf(judged, device(five))).toEqual(['a', 'b', 'd', 'c']);
    expect(turnsOf(judged, device(five, 3))).toEqual(['c', 'd', 'b', 'a']);
    // Factory places are room as well; what is refused or not known asks for none.
    expect(turnsOf(judged, device([LOUD, DEAF, FREE, OTHER]))).toEqual(['a', 'b', 'd', 'c']);
    const refused = [...judged.slice(0, 2), asks('e', { outcome: 'no' }), asks('f', { outcome: 'unknown' })];
    expect(turnsOf(refused, device([FREE, OTHER]))).toEqual(['a', 'b', 'e', 'f']);
  });
  it('a place where the talk key would go out over others comes last, judged by where it would be', () => {
    const judged = [
      asks('a', { ...hears, covers: [OTHER], can: [OTHER] }),
      asks('b', { ...hears, covers: [OTHER] }),
      asks('c', { ...talks, tier: 'nice' }),
    ];
    expect(turnsOf(judged, device([FREE, OTHER]))).toEqual(['b', 'c', 'a']);
    expect(turnsOf([asks('x', { ...talks, covers: [FREE] }), ...judged], device([FREE, OTHER]))[0]).toBe('x');
  });
});

describe('what stays where it was made, and what else there is room for', () => {
  const device = (capacity?: number) =>
    ({
      description: { capacity, regions: [] },
      slots: [LOUD, DEAF, FREE, OTHER],
      freeSlots: [FREE, OTHER],
      filled: new Map(),
      holding: new Map(),
    }) as unknown as FitDevice;
  const settled = (judged: readonly Judgement[], capacity?: number) => {
    const { homeOf, homes, holds } = roomIn(
      judged,
      device(capacity),
      judged.map(({ channel }) => channel),
    );
    return {
      homeOf: [...homeOf].map(([id, { number }]) => [id, number]),
      homes: [...homes],
      holds: [...holds],
    };
  };
  const other = { kind: 'channel', receiveHz: 2 } as unknown as ReturnType<Judgement['contentAt']>;
  it('a channel keeps the factory place that it asks for first, and only where it would come first', () => {
    const judged = [asks('a', { slots: [LOUD, FREE] }), asks('b', { slots: [FREE, DEAF] })];
    expect(settled(judged)).toEqual({ homeOf: [['a', 1]], homes: [1], holds: ['a', 'b'] });
    // Where it cannot be had there, the next factory place is looked at, and no free one.
    expect(settled([asks('a', { slots: [LOUD, DEAF, FREE], can: [DEAF, FREE] })]).homeOf).toEqual([['a', 2]]);
    expect(settled([asks('a', { slots: [LOUD, FREE, DEAF], can: [FREE, DEAF] })]).homeOf).toEqual([]);
  });
  it('two share one if they come to the same there; another one has none', () => {
    const same = [asks('a', { slots: [LOUD] }), asks('b', { slots: [LOUD] })];
    expect(settled(same)).toEqual({
      homeOf: [
        ['a', 1],
        ['b', 1],
      ],
      homes: [1],
      holds: ['a', 'b'],
    });
    const differs = { ...asks('b', { slots: [LOUD, FREE] }), contentAt: () => other };
    expect(settled([asks('a', { slots: [LOUD] }), differs]).homeOf).toEqual([['a', 1]]);
  });
  it('of the rest as many come in as there is room for, in their turn, and none that is refused', () => {
    const free = { slots: [FREE, OTHER] };
    const judged = ['a', 'b', 'c'].map((id) => asks(id, free));
    expect(settled(judged).holds).toEqual(['a', 'b']);
    expect(settled(judged, 1).holds).toEqual(['a']);
    expect(
      settled([
        asks('x', { outcome: 'no', slots: [] }),
        asks('y', { outcome: 'unknown', slots: [] }),
        ...judged,
      ]).holds,
    ).toEqual(['a', 'b']);
    // A channel that has a home asks for no free place.
    expect(settled([asks('h', { slots: [LOUD, FREE] }), ...judged]).holds).toEqual(['h', 'a', 'b']);
  });
  it('a channel of a network takes a block before those that come after it', () => {
    const trunk = (id: string, network: string) => {
      const one = asks(id, { slots: [FREE, OTHER] });
      return { ...one, channel: { ...one.channel, trunk: { network } } } as unknown as Judgement;
    };
    const blockB = { ...OTHER, bank: 1 } as Slot;
    const of = { ...device(), slots: [FREE, blockB] } as unknown as FitDevice;
    const judged = [trunk('a', 'North'), trunk('b', 'South')].map((one) => ({
      ...one,
      slots: [FREE, blockB],
      at: () => ({ findings: [] }),
    })) as unknown as Judgement[];
    const { blocks } = roomIn(
      judged,
      of,
      judged.map(({ channel }) => channel),
    );
    const allowed = judged.map(({ channel }) => [FREE, blockB].map((slot) => blocks.allows(channel, slot)));
    expect(allowed).toEqual([
      [true, false],
      [false, true],
    ]);
  });
});

describe('zones', () => {
  const zone = (bank: number, receiveOnly: boolean) =>
    [0, 1].map((i) => place(10 + 2 * bank + i, undefined, bank, receiveOnly));
  const freeSlots = [...zone(0, false), ...zone(1, true)];
  const device = { freeSlots, holding: new Map() } as unknown as FitDevice;
  it('a channel that can be in none of the free places has no zone, and takes nobody’s', () => {
    const judged = [
      asks('deaf', { outcome: 'listen', slots: freeSlots, can: freeSlots.slice(2) }),
      asks('nowhere', { slots: [LOUD], groupId: 'h' }),
      asks('loud', { slots: freeSlots.slice(0, 2), groupId: 'i' }),
    ];
    const zones = zonesOf(
      judged,
      device,
      judged.map(({ channel }) => channel),
    );
    expect([...zones]).toEqual([
      ['deaf', 1],
      ['loud', 0],
    ]);
  });
});
