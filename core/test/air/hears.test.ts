import {
  type Between,
  HEAR_GATES,
  type HearGate,
  type Hearing,
  hearsDirect,
  hearsThrough,
  type SetOnAir,
} from '@umbrex/core/air';
import type { ChannelContent, ToneText } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';

const [OUT, IN, DIRECT] = [462_650_000, 467_650_000, 462_562_500];
const place = (more: Partial<ChannelContent> = {}): ChannelContent => ({
  kind: 'channel',
  receiveHz: OUT,
  transmitHz: IN,
  transmitTone: '131.8',
  receiveTone: 'off',
  bandwidth: 'wide',
  ...more,
});
const set = (more: Partial<ChannelContent> | null = {}, other: Partial<SetOnAir> = {}): SetOnAir => ({
  isOn: true,
  place: more && place(more),
  maySend: true,
  picked: 'off',
  mode: 'FM',
  ...other,
});
const tower = (more: Partial<Between> = {}): Between => ({
  inputHz: IN,
  outputHz: OUT,
  inputTone: '131.8',
  outputTone: '127.3',
  answer: 'tail',
  talkLimitS: 180,
  status: 'on-air',
  ...more,
});
const direct = { receiveHz: DIRECT, transmitHz: DIRECT };
const gateOf = ({ hears, gate, sounds }: Hearing) => [hears, gate, sounds];

describe('who hears whom, by hand', () => {
  // Three sets on one direct channel: a tone both ways, none, and one that is only sent (TIA-603: a receiver without a tone opens for all).
  const sets = {
    both: set({ ...direct, transmitTone: '100.0', receiveTone: '100.0' }),
    none: set({ ...direct, transmitTone: 'off', receiveTone: 'off' }),
    sends: set({ ...direct, transmitTone: '100.0', receiveTone: 'off' }),
  };
  it.each([
    ['both', 'none', true, null, 'it waits for nothing'],
    ['both', 'sends', true, null, 'it waits for nothing'],
    ['none', 'both', false, 'receive-tone', 'no tone comes, and 100.0 is waited for'],
    ['none', 'sends', true, null, 'it waits for nothing'],
    ['sends', 'both', true, null, 'what it waits for comes'],
    ['sends', 'none', true, null, 'it waits for nothing'],
  ] as const)('%s to %s: %s, %s (%s)', (from, to, hears, gate, _why) =>
    expect(hearsDirect(sets[from], sets[to])).toMatchObject({ hears, gate }),
  );
  it.each([
    ['a set that waits for what the repeater sends', {}, { receiveTone: '127.3' }, true, null],
    [
      'a paired set waits for what it sends, which the repeater does not',
      {},
      { receiveTone: '131.8' },
      false,
      'receive-tone',
    ],
    ['a set without its tone does not open it', { transmitTone: 'off' }, {}, false, 'input-tone'],
    ['the partner of a code opens as the code (D023I is sent as D047N)', {}, {}, true, null],
    [
      'a pocket set on the output sends where the repeater does not listen',
      { transmitHz: OUT },
      {},
      false,
      'input-frequency',
    ],
    ['a set that only listens sends nothing', { transmitHz: null }, {}, false, 'may-transmit'],
    ['one that hears another output', {}, { receiveHz: 462_675_000 }, false, 'output-frequency'],
  ] as const)('through a repeater: %s', (title, a, b, hears, gate) => {
    const code = title.startsWith('the partner');
    const sent = code ? { ...a, transmitTone: 'D047N' as ToneText } : a;
    const found = hearsThrough(set(sent), tower(code ? { inputTone: 'D023I' } : {}), set(b));
    expect(found).toMatchObject({ hears, gate });
  });
  it('of two towers on one pair the tone says which one opens', () => {
    const [near, far] = [tower({ inputTone: '131.8' }), tower({ inputTone: '82.5' })];
    expect(hearsThrough(set(), near, set()).hears).toBe(true);
    expect(hearsThrough(set(), far, set())).toMatchObject({
      gate: 'input-tone',
      needs: '82.5',
      comes: '131.8',
    });
  });
  it.each([
    ['wide', 'narrow', 'harsh'],
    ['narrow', 'wide', 'weak'],
    ['wide', 'wide', 'right'],
    ['narrow', undefined, 'unknown'],
  ] as const)('%s into %s is heard, and sounds %s', (sent, heard, sounds) => {
    const bandwidth = (width: string | undefined) => ({ ...(width && { bandwidth: width }) });
    const b = place({ ...direct, ...bandwidth(heard) });
    const { bandwidth: _, ...without } = b;
    expect(
      gateOf(hearsDirect(set({ ...direct, ...bandwidth(sent) }), { ...set(), place: heard ? b : without })),
    ).toEqual([true, null, sounds]);
  });
  it('a tone picked by hand stands in place of the place’s own: what it sends, or that and what it waits for', () => {
    const left = (reach: 'transmit' | 'both') =>
      set({ ...direct, transmitTone: 'off' }, { picked: { tone: '88.5', reach } });
    const plain = set({ ...direct, transmitTone: 'off' });
    expect(hearsThrough(set({}, { picked: { tone: '88.5', reach: 'transmit' } }), tower(), set()).gate).toBe(
      'input-tone',
    );
    expect(hearsDirect(plain, left('transmit')).hears).toBe(true);
    expect(hearsDirect(plain, left('both')).gate).toBe('receive-tone');
    expect(hearsDirect(left('both'), left('both')).hears).toBe(true);
  });
  it('a set with two lines may listen on one and talk on the other: you hear them, they hear nothing from you', () => {
    const other = place({ receiveHz: 462_675_000, transmitHz: 467_675_000 });
    const [two, plain] = [set(direct, { talks: other }), set(direct)];
    expect(hearsDirect(plain, two).hears).toBe(true);
    expect(hearsDirect(two, plain)).toMatchObject({ hears: false, gate: 'transmit-frequency' });
    expect(hearsThrough(set({}, { talks: other }), tower(), set()).gate).toBe('input-frequency');
    expect(hearsDirect({ ...two, talks: 'unknown' }, plain)).toMatchObject({
      hears: 'unknown',
      gate: 'place',
    });
  });
  it('what stops it first is said, in the order of the gates', () => {
    const worst = set(null, { isOn: false, maySend: false });
    expect(hearsDirect(worst, worst).gate).toBe('off');
    expect(hearsDirect({ ...worst, isOn: true }, set()).gate).toBe('place');
    // Each set is asked when the call comes to it: what A may not send meets no B.
    expect(hearsDirect(set(direct, { maySend: false }), worst)).toMatchObject({
      gate: 'may-transmit',
      at: 'from',
    });
    expect(hearsDirect(set(direct), worst)).toMatchObject({ gate: 'off', at: 'to' });
    expect(hearsThrough(set({ transmitTone: 'off' }), tower(), worst)).toMatchObject({
      gate: 'input-tone',
      at: 'repeater',
    });
    expect(hearsThrough(set(), tower(), set(null))).toMatchObject({ gate: 'place', at: 'to' });
    expect(hearsDirect(set(direct, { maySend: false }), set(direct)).gate).toBe('may-transmit');
    expect(hearsDirect(set({ ...direct, modulation: 'AM' }), set(direct)).gate).toBe('mode');
    expect(hearsThrough(set(), tower({ status: 'planned' }), set()).gate).toBe('station');
    expect(hearsThrough(set(), tower(), set(), 181)).toMatchObject({
      gate: 'talk-limit',
      needs: '180',
      comes: '181',
    });
    expect(hearsThrough(set(), tower(), set(), 180).hears).toBe(true);
    expect(hearsDirect(set(direct), set(direct, { isMuted: true })).gate).toBe('mute');
    expect(hearsDirect(set(direct), set(direct, { isElsewhere: true })).gate).toBe('scan');
  });
  it('what nobody knows is unknown, unless another gate stops it for sure', () => {
    const unseen = { ...set(direct), place: 'unknown' as const };
    expect(gateOf(hearsDirect(unseen, set(direct)))).toEqual(['unknown', 'place', 'unknown']);
    expect(hearsDirect(unseen, set(direct, { isOn: false })).gate).toBe('off');
    expect(hearsThrough(set(), tower({ inputTone: 'unknown' }), set())).toMatchObject({
      hears: 'unknown',
      gate: 'input-tone',
    });
    expect(hearsThrough(set(), tower({ inputTone: 'unknown' }), set({ receiveHz: DIRECT }))).toMatchObject({
      hears: false,
      gate: 'output-frequency',
    });
  });
});

/*
 * A model of its own, written from the definitions: with all known, each gate in its order; what is not known stands for everything that it could be, and a
 * call is heard, or not, where that is so for all of it.
 */
const HZ = [OUT, IN, DIRECT] as const;
const TONES = ['off', '100.0', '131.8', 'D023I', 'D047N'] as const;
/** D023I and D047N are the same on the air (TIA-603; the word of 023 turned over is that of 047). */
const sameTone = (a: string, b: string) => a === b || (/^D0(23I|47N)$/.test(a) && /^D0(23I|47N)$/.test(b));

interface Plainly {
  on: [boolean, boolean];
  there: [boolean, boolean];
  may: boolean;
  sendsHz: number | null;
  hearsHz: number;
  mode: [string, string];
  sent: string;
  awaited: string;
  muted: boolean;
  elsewhere: boolean;
  tower: null | { isOn: boolean; inHz: number; outHz: number; inTone: string; outTone: string };
}
function plainly(x: Plainly): HearGate | null {
  const steps: [HearGate, boolean][] = [
    ['off', x.on[0]],
    ['place', x.there[0]],
    ['may-transmit', x.may && x.sendsHz !== null],
    ...(x.tower
      ? ([
          ['station', x.tower.isOn],
          ['input-frequency', x.tower.inHz === x.sendsHz],
          ['input-tone', x.tower.inTone === 'off' || sameTone(x.tower.inTone, x.sent)],
        ] as [HearGate, boolean][])
      : []),
    ['off', x.on[1]],
    ['place', x.there[1]],
    x.tower
      ? ['output-frequency', x.tower.outHz === x.hearsHz]
      : ['transmit-frequency', x.sendsHz === x.hearsHz],
    ['mode', x.mode[0] === x.mode[1]],
    ['receive-tone', x.awaited === 'off' || sameTone(x.awaited, x.tower ? x.tower.outTone : x.sent)],
    ['mute', !x.muted],
    ['scan', !x.elsewhere],
  ];
  return steps.find(([, passes]) => !passes)?.[0] ?? null;
}

const pick = <T>(values: readonly T[]) => fc.constantFrom(...values);
const orUnknown = <T>(values: readonly T[]) =>
  fc.oneof({ weight: 9, arbitrary: pick(values) }, { weight: 1, arbitrary: fc.constant('unknown' as const) });
const anySet = fc.record({
  isOn: orUnknown([true, true, true, false]),
  place: fc.oneof(
    {
      weight: 8,
      arbitrary: fc.record({
        receiveHz: pick(HZ),
        transmitHz: fc.oneof({ weight: 5, arbitrary: pick(HZ) }, fc.constant(null)),
        transmitTone: pick(TONES),
        receiveTone: pick(TONES),
      }),
    },
    { weight: 1, arbitrary: fc.constant(null) },
    { weight: 1, arbitrary: fc.constant('unknown' as const) },
  ),
  maySend: orUnknown([true, true, true, false]),
  picked: fc.oneof(
    { weight: 5, arbitrary: fc.constant('off' as const) },
    {
      weight: 1,
      arbitrary: fc.record({ tone: orUnknown(TONES), reach: pick(['transmit', 'both'] as const) }),
    },
  ),
  mode: pick(['FM', 'FM', 'FM', 'AM']),
  isMuted: orUnknown([false, false, false, true]),
  isElsewhere: orUnknown([false, false, false, true]),
});
const anyTower = fc.record({
  status: pick(['on-air', 'on-air', 'planned', 'off-air', 'gone', 'unknown'] as const),
  inputHz: orUnknown(HZ),
  outputHz: orUnknown(HZ),
  inputTone: orUnknown(TONES),
  outputTone: orUnknown(TONES),
});

type Of<A> = A extends fc.Arbitrary<infer T> ? T : never;
type AnySet = Of<typeof anySet>;
type AnyTower = Of<typeof anyTower>;

describe('who hears whom, against a model of its own', () => {
  it('of random pairs, directly and through a repeater, with what nobody knows', () => {
    fc.assert(
      fc.property(anySet, anySet, fc.option(anyTower), (one, two, between) => {
        const asSet = ({ place: held, ...rest }: typeof one): SetOnAir => ({
          ...rest,
          place: held === null || held === 'unknown' ? held : { kind: 'channel', ...held },
        });
        const [a, b] = [asSet(one), asSet(two)];
        const found = between
          ? hearsThrough(a, { ...between, answer: 'unknown', talkLimitS: 'unknown' }, b)
          : hearsDirect(a, b);
        const gates = new Set<HearGate | null>();
        for (const x of worlds(one, two, between)) {
          gates.add(plainly(x));
          // Heard in one and not in another: nothing more can be learnt.
          if (gates.has(null) && gates.size > 1) break;
        }
        const all = [...gates];
        if (all.every((gate) => gate === null)) expect(found).toMatchObject({ hears: true, gate: null });
        else if (all.every((gate) => gate !== null)) {
          // Stopped in every world. Which gate is the first may differ between them; the one that is named stops it in each.
          expect(found.hears).toBe(false);
          expect(HEAR_GATES).toContain(found.gate);
          if (all.length === 1) expect(found.gate).toBe(all[0]);
        } else expect(found.hears).toBe('unknown');
      }),
      { numRuns: runs(10_000), seed: 20_261_130 },
    );
  }, 60_000);
});

/** Everything that two sets and what is between them could be, where something of them is not known. */
const modeOf = (place: object | null, own: string): string =>
  place && 'modulation' in place ? String(place.modulation) : own;

function* worlds(one: AnySet, two: AnySet, between: AnyTower | null): Generator<Plainly> {
  const bools = (value: boolean | 'unknown') => (value === 'unknown' ? [true, false] : [value]);
  const of = <T>(value: T | 'unknown', all: readonly T[]): readonly T[] =>
    value === 'unknown' ? all : [value as T];
  const anyPlace = (held: (typeof one)['place']) =>
    held === 'unknown'
      ? [
          null,
          ...HZ.flatMap((hz) =>
            TONES.flatMap((tone) =>
              // A place nobody looked at may say how it is modulated, too.
              ['FM', 'AM'].map((modulation) => ({
                receiveHz: hz,
                transmitHz: hz,
                transmitTone: tone,
                receiveTone: tone,
                modulation,
              })),
            ),
          ),
        ]
      : [held];
  const tones = (set: typeof one, own: string, isSent: boolean) =>
    set.picked !== 'off' && (isSent || set.picked.reach === 'both') ? of(set.picked.tone, TONES) : [own];
  for (const onA of bools(one.isOn))
    for (const onB of bools(two.isOn))
      for (const may of bools(one.maySend))
        for (const muted of bools(two.isMuted))
          for (const elsewhere of bools(two.isElsewhere))
            for (const placeA of anyPlace(one.place))
              for (const placeB of anyPlace(two.place))
                for (const sent of tones(one, placeA?.transmitTone ?? 'off', true))
                  for (const awaited of tones(two, placeB?.receiveTone ?? 'off', false)) {
                    const base = {
                      on: [onA, onB] as [boolean, boolean],
                      there: [placeA !== null, placeB !== null] as [boolean, boolean],
                      may,
                      sendsHz: placeA?.transmitHz ?? null,
                      hearsHz: placeB?.receiveHz ?? -1,
                      mode: [modeOf(placeA, one.mode), modeOf(placeB, two.mode)] as [string, string],
                      sent,
                      awaited,
                      muted,
                      elsewhere,
                    };
                    if (!between) yield { ...base, tower: null };
                    else
                      for (const inHz of of(between.inputHz, HZ))
                        for (const outHz of of(between.outputHz, HZ))
                          for (const inTone of of(between.inputTone, TONES))
                            for (const outTone of of(between.outputTone, TONES))
                              for (const isOn of between.status === 'unknown'
                                ? [true, false]
                                : [between.status === 'on-air'])
                                yield { ...base, tower: { isOn, inHz, outHz, inTone, outTone } };
                  }
}
