import {
  type Board,
  boardFor,
  fitBoard,
  maySend,
  namesAreByKeys,
  talkers,
  unitKinds,
} from '@umbrex/core/fit';
import { groundsOf } from '@umbrex/core/grounds';
import { type Description, PersonSchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { channel, plan, unit, uuid } from '../support/plans';

const DAY = '2026-11-25';
const KELP = channel('Kelp', 462.65, 467.65);
const DIRECT = channel('Direct', 462.5625, 462.5625);
const WEATHER = channel('Weather', 162.55, null, { service: 'weather' });
const of = { ...plan([KELP, DIRECT, WEATHER]), withoutRight: 'leave-out' as const };

const licensed = PersonSchema.parse({
  id: uuid(500),
  name: 'Holds one',
  licences: [{ service: 'gmrs', holds: 'own', expires: '2033-04-30' }],
});
const without = PersonSchema.parse({ id: uuid(501), name: 'Holds none', licences: [] });
const sets = [
  unit(600, 'paired-handheld', { personId: licensed.id }),
  unit(601, 'paired-handheld', { personId: without.id }),
  unit(602, 'pocket-radio', { personId: without.id }),
  unit(603, 'pocket-radio', { personId: licensed.id }),
];
const board = fitBoard(of, sets, SHIPPED, groundsOf(sets, [licensed, without], [], DAY));

describe('columns of one kind whose holders differ', () => {
  it('say on how many channels they send, or that they listen only; alike ones say nothing', () => {
    expect(board.kinds.map(({ title, unitIds }) => [title, unitIds])).toEqual([
      [`${shipped('paired-handheld').title}, sends on 2`, [uuid(600)]],
      [`${shipped('paired-handheld').title}, listens only`, [uuid(601)]],
      // What is built to send by rule needs no licence of its holder.
      [shipped('pocket-radio').title, [uuid(602), uuid(603)]],
    ]);
  });
});

describe('kinds that fit alike', () => {
  const plain = { personId: null };
  const kinds = unitKinds(
    [
      unit(1, 'page-handheld', plain),
      unit(2, 'page-handheld', { ...plain, keeps: [60] }),
      unit(3, 'page-handheld', { ...plain, keeps: [60, 61] }),
      unit(4, 'page-handheld', { ...plain, names: 'later' }),
      unit(5, 'page-handheld', {
        ...plain,
        holds: { what: 'read', on: DAY, places: [{ number: 45, values: null }] },
      }),
      unit(6, 'page-handheld', {
        ...plain,
        holds: { what: 'read', on: DAY, places: [{ number: 46, values: null }] },
      }),
      unit(7, 'page-handheld', { personId: licensed.id }),
      unit(8, 'page-handheld', { personId: without.id }),
      unit(9, 'page-handheld', plain),
      unit(10, 'guided-handheld', plain),
      unit(11, 'slot-alert', plain),
      unit(12, 'slot-alert', { ...plain, alerts: { areas: ['099001'], weatherHz: 162_475_000 } }),
      unit(13, 'slot-alert', { ...plain, alerts: { areas: ['099002'], weatherHz: 162_475_000 } }),
      unit(14, 'repeater', { ...plain, carries: KELP.id }),
      unit(15, 'repeater', plain),
      unit(16, 'page-handheld', plain),
    ],
    SHIPPED,
    groundsOf(
      [
        unit(7, 'page-handheld', { personId: licensed.id }),
        unit(8, 'page-handheld', { personId: without.id }),
      ],
      [licensed, without],
      [],
      DAY,
    ),
    { carried: { kinds: {}, teams: {}, units: { [uuid(16)]: [uuid(1)] } } },
  );
  it('are told apart by whatever makes their fits differ, each by a key of its own', () => {
    expect(
      kinds
        .map(({ units }) => units.map(({ id }) => Number(id.slice(-3))))
        .filter(({ length }) => length > 1),
    ).toEqual([[1, 9]]);
    expect(kinds).toHaveLength(15);
    expect(new Set(kinds.map(({ key }) => key)).size).toBe(kinds.length);
  });
});

describe('the part of a board that is about some sets', () => {
  const some = new Set([uuid(601), uuid(603), uuid(999)]);
  it('has their columns with the same words and cells, no other set, and what was found of them', () => {
    const found: Board = { ...board, unitFindings: { [uuid(601)]: [], [uuid(600)]: [] } };
    const part = boardFor(found, some);
    expect(part.kinds.map(({ unitIds }) => unitIds)).toEqual([[uuid(601)], [uuid(603)]]);
    for (const kind of part.kinds) {
      const whole = board.kinds.find(({ key }) => key === kind.key);
      expect(kind).toEqual({ ...whole, unitIds: kind.unitIds });
    }
    expect(Object.keys(part.unitFindings)).toEqual([uuid(601)]);
  });
  it('of no set is empty', () => expect(boardFor(board, new Set())).toEqual({ kinds: [], unitFindings: {} }));
});

describe('on how many channels somebody may send', () => {
  const cell = (channelId: string, verdict: Board['kinds'][number]['cells'][number]['verdict']) => ({
    channelId,
    verdict,
    slot: null,
    name: null,
    findings: [],
  });
  const kind = (n: number, cells: ReturnType<typeof cell>[]): Board['kinds'][number] => ({
    key: `k${n}`,
    descriptionId: 'x',
    keeps: [],
    title: 'x',
    unitIds: [uuid(n)],
    cells,
  });
  const two: Board = {
    kinds: [
      kind(1, [cell('a', 'unknown'), cell('b', 'unknown'), cell('c', 'no'), cell('d', 'listen')]),
      kind(2, [cell('a', 'adapted'), cell('b', 'apart'), cell('c', 'full'), cell('d', 'listen')]),
    ],
    unitFindings: {},
  };
  const count = (...ids: number[]) => maySend(two, new Set(ids.map(uuid)), of);
  it('one set that sends is enough; unknown is what none sends on and one might', () => {
    expect(count(1)).toEqual({ sends: 0, unknown: 2, of: 2 });
    expect(count(2)).toEqual({ sends: 2, unknown: 0, of: 2 });
    expect(count(1, 2)).toEqual({ sends: 2, unknown: 1, of: 2 });
    expect(count()).toEqual({ sends: 0, unknown: 0, of: 2 });
  });
});

describe('who can talk on a channel as far as frequencies go', () => {
  const ids = (one: ReturnType<typeof channel>) =>
    talkers(one, of, SHIPPED)
      .map(({ id }) => id)
      .sort();
  it('its tones do not count, a repeater itself is no talker, and receivers are none', () => {
    const bare = ids(KELP);
    expect(bare).toContain('paired-handheld');
    expect(bare).not.toContain('repeater');
    expect(bare).not.toContain('bank-scanner');
    expect(bare).not.toContain('amateur-handheld');
    expect(ids({ ...KELP, transmitTone: '254.1', receiveTone: 'D754I' })).toEqual(bare);
  });
  it('on a channel that nobody sends on there is nobody', () => expect(ids(WEATHER)).toEqual([]));
});

describe('whether a kind is given names by its keys', () => {
  const names = (id: string) => namesAreByKeys(shipped(id));
  it('it has a field that holds names, and its recipes write that', () => {
    expect([names('amateur-handheld'), names('guided-handheld')]).toEqual([true, true]);
    // Names come by cable alone; there is no display to show one; a program loads it.
    expect([names('pocket-radio'), names('retired-portable'), names('repeater')]).toEqual([
      false,
      false,
      false,
    ]);
    const AMATEUR = shipped('amateur-handheld');
    const { recipes, ...bare } = AMATEUR;
    expect(namesAreByKeys(bare)).toBe(false);
    if (!recipes) throw new Error('no recipes');
    expect(namesAreByKeys({ ...AMATEUR, recipes: { ...recipes, order: ['rx'] } })).toBe(false);
  });
});

describe('what a description does not say is not known, and nothing is read into it', () => {
  const verdict = (description: Description, one = DIRECT) => {
    const { kinds } = fitBoard(
      plan([one]),
      [unit(1, description.id)],
      [description],
      groundsOf([], [], [], DAY),
    );
    const [cell] = kinds[0]?.cells ?? [];
    return [cell?.verdict, cell?.findings.map(({ code }) => code)];
  };
  const toned = { ...DIRECT, transmitTone: '100.0', receiveTone: '100.0' };
  it('where it receives', () =>
    expect(verdict({ ...shipped('guided-handheld'), receive: 'unknown' })).toEqual([
      'unknown',
      ['receive-unknown'],
    ]));
  const unlisted = (id: string, holds: string): Description => {
    const kind = shipped(id);
    const fields = kind.fields.map((field) =>
      field.holds === holds ? { ...field, list: 'unknown' as const } : field,
    );
    return { ...kind, fields };
  };
  it.each([
    ['guided-handheld', 'transmitTone'],
    ['guided-handheld', 'receiveTone'],
    ['page-handheld', 'transmitTone'],
    ['pocket-radio', 'bothTones'],
  ] as const)('%s, its list of tones: %s', (id, holds) =>
    expect(verdict(unlisted(id, holds), toned)).toEqual(['unknown', ['tone-list-unknown']]),
  );
});
