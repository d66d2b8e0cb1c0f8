import {
  againstStations,
  passThrough,
  type RepeaterSides,
  relay,
  sidesOfMemory,
  sidesOfStation,
} from '@umbrex/core/air';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { type ChannelContent, factoryMemory, StationSchema } from '@umbrex/core/model';
import { loadByFile } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { channel, plan, unit, uuid } from '../support/plans';

const REPEATER = shipped('repeater');
const kelp = channel('Kelp', 462.65, 467.65, {
  id: uuid(41),
  transmitTone: '82.5',
  receiveTone: 'D606N',
  bandwidth: 'narrow',
});
const carriesKelp = unit(1, 'repeater', { carries: kelp.id });

/** 47 CFR 95.1763: the input of a main pair lies 5 MHz above its output. */
const SIDES: RepeaterSides = {
  inputHz: 467_650_000,
  outputHz: 462_650_000,
  inputTone: '82.5',
  outputTone: 'D606N',
  answer: 'tail',
  talkLimitS: 180,
};

describe('a repeater on a plan', () => {
  it('listens where our sets send and sends where they listen, each with the other’s tone', () => {
    const { fit, proof } = prepare(plan([kelp]), REPEATER, carriesKelp);
    expect(fit.cells[0]).toMatchObject({ channelId: kelp.id, verdict: 'full' });
    expect(fit.image.slots.get(1)?.content).toMatchObject({
      receiveHz: 467_650_000,
      transmitHz: 462_650_000,
      receiveTone: '82.5',
      transmitTone: 'D606N',
      powerW: 50,
      bandwidth: 'narrow',
    });
    expect(proof.proven).toBe(true);
  });
  it('waits for its tone even where the plan’s sets are open', () => {
    const { image } = fitPlan(plan([kelp], 'open'), fitDevice(REPEATER, undefined, { carries: kelp.id }));
    expect(image.slots.get(1)?.content).toMatchObject({ receiveTone: '82.5' });
  });
  it('holds the pair that it carries and no other; nobody having said which is a question', () => {
    const other = channel('Gannet', 462.7, 467.7, { id: uuid(42), transmitTone: '100.0' });
    const direct = channel('Direct', 462.5625, 462.5625, { id: uuid(43) });
    const of = (carries: string | null) =>
      fitPlan(plan([kelp, other, direct]), fitDevice(REPEATER, undefined, { carries })).cells.map(
        ({ verdict, findings }) => [verdict, findings[0]?.code],
      );
    expect(of(other.id)).toEqual([
      ['no', 'not-its-pair'],
      ['full', 'licence-needed'],
      ['no', 'not-its-pair'],
    ]);
    expect(of(null)).toEqual([
      ['unknown', 'pair-unknown'],
      ['unknown', 'pair-unknown'],
      ['no', 'not-its-pair'],
    ]);
  });
  it('loaded by its file, it opens for a set that is programmed from the same plan', () => {
    const { wanted } = prepare(plan([kelp]), REPEATER, carriesKelp);
    const loaded = loadByFile(REPEATER, factoryMemory(REPEATER), wanted);
    const sides = sidesOfMemory(REPEATER, loaded.memory);
    expect(sides).toEqual(SIDES);
    const set = prepare(plan([kelp]), shipped('page-handheld')).fit.image.slots.get(5)?.content;
    expect(sides && set?.kind === 'channel' && passThrough(set, sides).gate).toBeNull();
  });
  it('that holds no pair is none', () => {
    const { image } = fitPlan(plan([]), fitDevice(REPEATER));
    expect(sidesOfMemory(REPEATER, memoryAfter(REPEATER, image))).toBeNull();
  });
});

describe('a call meets its gates in order', () => {
  const set: ChannelContent = {
    kind: 'channel',
    receiveHz: 462_650_000,
    transmitHz: 467_650_000,
    transmitTone: '82.5',
    receiveTone: 'D606N',
  };
  const cases: readonly [string, Partial<ChannelContent>, Partial<RepeaterSides>, unknown][] = [
    ['comes back', {}, {}, { gate: null }],
    ['comes back to an open set', { receiveTone: 'off' }, { outputTone: 'unknown' }, { gate: null }],
    // The inverse of D047 sounds as D023 (computed from the Golay word).
    ['opens by a partner', { transmitTone: 'D047I' }, { inputTone: 'D023N' }, { gate: null }],
    ['is not sent at all', { transmitHz: null }, {}, { gate: 'sends-nothing' }],
    [
      'goes out on the output',
      { transmitHz: 462_650_000 },
      {},
      { gate: 'input-frequency', comes: '462650000' },
    ],
    [
      'has the wrong tone',
      { transmitTone: '79.7' },
      {},
      { gate: 'input-tone', needs: '82.5', comes: '79.7' },
    ],
    ['has no tone', { transmitTone: 'off' }, {}, { gate: 'input-tone', comes: 'off' }],
    ['has a tone that is not needed', {}, { inputTone: 'off' }, { gate: null }],
    [
      'leaves the set deaf',
      { receiveTone: '82.5' },
      {},
      { gate: 'output-tone', needs: '82.5', comes: 'D606N' },
    ],
    ['leaves the set deaf without an output tone', {}, { outputTone: 'off' }, { gate: 'output-tone' }],
    ['comes out elsewhere', {}, { outputHz: 462_700_000 }, { gate: 'output-frequency', comes: '462700000' }],
    ['wants a tone that nobody said', {}, { inputTone: 'unknown' }, { gate: 'not-known' }],
    ['is judged by nothing where the pair is unknown', {}, { inputHz: 'unknown' }, { gate: 'not-known' }],
    [
      'meets the wrong tone before the deaf set',
      { transmitTone: 'off', receiveTone: '67.0' },
      {},
      { gate: 'input-tone' },
    ],
  ];
  for (const [title, ours, theirs, expected] of cases)
    it(title, () =>
      expect(passThrough({ ...set, ...ours }, { ...SIDES, ...theirs })).toMatchObject(expected as object),
    );
});

describe('the repeater itself', () => {
  const call = { hz: 467_650_000, tone: '82.5', lengthS: 4 };
  it('opens, relays as long as the call, and answers', () =>
    expect(relay(SIDES, call)).toEqual({
      sends: { hz: 462_650_000, tone: 'D606N', lengthS: 4 },
      answer: 'tail',
      cut: false,
    }));
  it('falls silent at the talk limit, without its answer', () =>
    expect(relay(SIDES, { ...call, lengthS: 181 })).toEqual({
      sends: { hz: 462_650_000, tone: 'D606N', lengthS: 180 },
      answer: 'none',
      cut: true,
    }));
  for (const [what, other] of [
    ['another tone', { tone: '85.4' }],
    ['no tone', { tone: 'off' }],
    ['its own output', { hz: 462_650_000 }],
  ] as const)
    it(`stays shut for ${what}`, () => expect(relay(SIDES, { ...call, ...other }).sends).toBeNull());
});

describe('a station of the list', () => {
  it('counts by its newest word, and what nobody said is unknown', () => {
    const said = (field: string, value: unknown, on: string) => ({ field, value, source: 'a listing', on });
    const station = StationSchema.parse({
      id: uuid(5),
      kind: 'repeater',
      name: 'Kelp',
      facts: [
        said('inputTone', '82.5', '2026-03-01'),
        said('inputTone', '79.7', '2025-03-01'),
        said('outputHz', 462_650_000, 'unknown'),
      ],
    });
    expect(sidesOfStation(station)).toEqual({
      inputHz: 'unknown',
      outputHz: 462_650_000,
      inputTone: '82.5',
      outputTone: 'unknown',
      answer: 'unknown',
      talkLimitS: 'unknown',
    });
  });
});

describe('the places of a set against the group’s stations', () => {
  const station = (name: string, tone: string, more: object[] = []) =>
    StationSchema.parse({
      id: uuid(name.length),
      kind: 'repeater',
      name,
      facts: [
        ['outputHz', 462_650_000],
        ['inputHz', 467_650_000],
        ['inputTone', tone],
        ['outputTone', tone],
      ]
        .map(([field, value]) => ({ field, value, source: 'trustee', on: '2026-03-01' }))
        .concat(more as never[]),
    });
  const place = (number: number, content: Partial<ChannelContent>) => ({
    number,
    label: `M${number}`,
    content: { kind: 'channel' as const, receiveHz: 462_650_000, transmitHz: 467_650_000, ...content },
  });
  it('of two repeaters on one pair the one that it opens counts', () =>
    expect(
      againstStations(
        [place(5, { transmitTone: '82.5', receiveTone: '82.5' })],
        [station('Other', '131.8'), station('Kelp', '82.5')],
      ),
    ).toMatchObject([{ number: 5, station: 'Kelp', gate: null, status: 'unknown' }]));
  it('says which gate stops it where it opens none, and that it is only planned', () => {
    const planned = { field: 'status', value: 'planned', source: 'trustee', on: '2026-03-01' };
    expect(
      againstStations([place(5, { transmitTone: '82.5' })], [station('Fell', '192.8', [planned])]),
    ).toMatchObject([{ gate: 'input-tone', needs: '192.8', comes: '82.5', status: 'planned' }]);
  });
  it('leaves out what is not sent through a repeater, and pairs nobody noted', () =>
    expect(
      againstStations(
        [
          place(1, { transmitHz: 462_650_000 }),
          place(2, { transmitHz: null }),
          place(3, { receiveHz: 462_700_000, transmitHz: 467_700_000 }),
        ],
        [station('Kelp', '82.5')],
      ),
    ).toEqual([]));
});
