import { type Net, NetSchema } from '@umbrex/core/model';
import { checkedIn, withCheckIn, withNewList } from '@umbrex/core/nets';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

const at = (minute: number) => `2026-11-29T21:${String(minute).padStart(2, '0')}:00.000Z`;
const net = (more: object = {}): Net =>
  NetSchema.parse({
    id: uuid(1),
    name: 'Sunday check',
    startsAt: '2026-11-29T19:00',
    timeZone: 'UTC',
    leader: 'Ines',
    channelId: uuid(2),
    checkIns: [1, 5, 9].map((minute) => ({ who: `Set ${minute}`, at: at(minute), note: '' })),
    ...more,
  });
const minutes = fc.integer({ min: 0, max: 59 });

describe('the list of check-ins', () => {
  it.each([
    [null, 3],
    [at(0), 3],
    [at(1), 3],
    [at(2), 2],
    // The same moment, written another way.
    ['2026-11-29T21:05:00Z', 2],
    [at(10), 0],
  ])('from %s on has %i', (listFrom, count) => {
    expect(checkedIn(net({ listFrom }))).toHaveLength(count);
  });
  it('a new list is empty, whoever checks in is in it, and nothing of before is gone, whatever clocks say', () =>
    fc.assert(
      fc.property(minutes, fc.array(minutes, { maxLength: 4 }), (begun, later) => {
        const list = withNewList(net(), Date.parse(at(begun)));
        expect(checkedIn(list)).toEqual([]);
        const after = later.reduce(
          (now, minute, i) => withCheckIn(now, { who: `New ${i}`, note: '' }, Date.parse(at(minute))),
          list,
        );
        expect(NetSchema.parse(after)).toEqual(after);
        expect(checkedIn(after).map(({ who }) => who)).toEqual(later.map((_, i) => `New ${i}`));
        expect(after.checkIns.slice(0, 3)).toEqual(net().checkIns);
      }),
    ));
  it('a check-in keeps who led then, and the channel of then', () => {
    const first = withCheckIn(net(), { who: 'Ada', note: 'weak' }, Date.parse(at(20)));
    const second = withCheckIn(
      { ...first, leader: 'Vera', channelId: null },
      { who: 'Oda', note: '' },
      Date.parse(at(21)),
    );
    expect(second.checkIns.slice(3)).toEqual([
      { who: 'Ada', at: at(20), note: 'weak', heardBy: 'Ines', channelId: uuid(2) },
      { who: 'Oda', at: at(21), note: '', heardBy: 'Vera', channelId: null },
    ]);
  });
  it('the newest are kept, as many as the schema takes', () => {
    let many = net();
    for (let i = 0; i < 510; i++)
      many = withCheckIn(many, { who: `Set ${i}`, note: '' }, Date.parse(at(30)) + i);
    expect(NetSchema.safeParse(many).success).toBe(true);
    expect(many.checkIns.at(-1)?.who).toBe('Set 509');
  });
});
