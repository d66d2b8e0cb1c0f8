import { diffPlans, isSamePlan } from '@umbrex/core/revision';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { channel, plan, uuid } from '../support/plans';

const abc = ['A', 'B', 'C', 'D', 'E'].map((name, i) =>
  channel(name, 462.5625 + i * 0.025, 462.5625 + i * 0.025, { id: uuid(700 + i) }),
);
const [A, B, C, D, E] = abc as [
  (typeof abc)[0],
  (typeof abc)[0],
  (typeof abc)[0],
  (typeof abc)[0],
  (typeof abc)[0],
];
const changes = (before: typeof abc, after: typeof abc) =>
  diffPlans(plan(before), plan(after)).channels.map(({ name, change, fields }) =>
    [name, change, ...fields.map(({ field }) => field)].join(' '),
  );
const elsewhere = { ...B, groupId: uuid(9) };

describe('what differs between two states of a plan', () => {
  it.each([
    ['nothing', abc, abc, []],
    ['one at the end', [A, B], [A, B, C], ['C added']],
    ['one in front', [A, B], [C, A, B], ['C added']],
    ['one taken out', [A, B, C], [A, C], ['B removed']],
    ['the first ones taken out', [A, B, C, D], [C, D], ['A removed', 'B removed']],
    [
      'taken out between others that change',
      [A, B, C],
      [
        { ...A, note: 'x' },
        { ...C, note: 'y' },
      ],
      ['A changed note', 'B removed', 'C changed note'],
    ],
    ['the last brought to the front', abc, [E, A, B, C, D], ['E moved']],
    ['the first brought to the end', abc, [B, C, D, E, A], ['A moved']],
    ['another group', [A, B], [A, elsewhere], ['B moved groupId']],
    ['another group and a value', [A, B], [A, { ...elsewhere, note: 'n' }], ['B changed groupId note']],
    ['moved and changed', [A, B, C], [{ ...C, name: 'Z' }, A, B], ['Z changed name']],
    ['the same thing under another id', [A], [{ ...A, id: uuid(99) }], ['A removed', 'A added']],
  ] as const)('%s', (_, before, after, expected) =>
    expect(changes([...before], [...after])).toEqual(expected),
  );
  it('gives both values, as the document has them, and the head’s own', () => {
    const before = plan([{ ...A, transmitTone: 'D346N' }]);
    const after = { ...plan([{ ...A, transmitTone: 'D251N' }]), name: 'Other', loadOn: '2026-12-12' };
    expect(diffPlans(before, after)).toEqual({
      head: [
        { field: 'name', from: before.name, to: 'Other' },
        { field: 'loadOn', from: null, to: '2026-12-12' },
      ],
      channels: [
        {
          id: A.id,
          name: 'A',
          change: 'changed',
          fields: [{ field: 'transmitTone', from: 'D346N', to: 'D251N' }],
        },
      ],
    });
  });
  it('does not mind in what order properties stand, nor who the plan is', () => {
    const turned = Object.fromEntries(Object.entries(A).reverse()) as typeof A;
    expect(isSamePlan(plan([A]), { ...plan([turned]), id: uuid(55) })).toBe(true);
  });
  it('names as few as can be: of any new order, those outside the longest run that stayed', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray(abc, { minLength: 5 }), (after) => {
        const moved = new Set(diffPlans(plan(abc), plan(after)).channels.map(({ id }) => id));
        const rest = after.filter(({ id }) => !moved.has(id));
        expect(rest).toEqual(abc.filter(({ id }) => !moved.has(id)));
        // Every smaller set of moved ones leaves something out of order.
        const subsets = Array.from({ length: 32 }, (_, bits) => abc.filter((_, i) => (bits >> i) & 1));
        for (const subset of subsets.filter(({ length }) => length < moved.size)) {
          const left = (list: typeof abc) => list.filter((one) => !subset.includes(one)).map(({ id }) => id);
          expect(left(after)).not.toEqual(left(abc));
        }
      }),
    ));
  it('told of any two plans turns the one into the other', () => {
    const some = fc
      .uniqueArray(fc.nat(7), { maxLength: 8 })
      .chain((ids) =>
        fc.tuple(
          ...ids.map((i) =>
            fc
              .constantFrom('', 'x')
              .map((note) => ({ ...(abc[i % 5] as typeof A), id: uuid(700 + i), note })),
          ),
        ),
      );
    fc.assert(
      fc.property(some, some, (before, after) => {
        const { channels } = diffPlans(plan([...before]), plan([...after]));
        const byId = new Map<string, typeof A>(before.map((one) => [one.id, one]));
        for (const { id, change, fields } of channels)
          if (change === 'removed') byId.delete(id);
          else if (change === 'added') byId.set(id, after.find((one) => one.id === id) as typeof A);
          else
            byId.set(id, {
              ...(byId.get(id) as typeof A),
              ...Object.fromEntries(fields.map(({ field, to }) => [field, to])),
            });
        expect(new Map([...byId].sort())).toEqual(new Map(after.map((one) => [one.id, one] as const).sort()));
      }),
    );
  });
});
