import type { Between, SetOnAir } from '@umbrex/core/air';
import {
  compared,
  computedOf,
  faredOn,
  heardOtherwise,
  heardPairs,
  type LoggedCall,
  lastWritten,
  loggedCalls,
  notBroken,
  notBrokenFinding,
  otherwiseFinding,
  reachHeard,
  setMeant,
} from '@umbrex/core/heard';
import { type Evidence, type Heard, HeardSchema, type Net, NetSchema } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

const CHANNEL = uuid(1);
let next = 100;
/** A call as it stands in the log, at noon of a day. */
const call = (from: string, to: string, more: Partial<LoggedCall> = {}, day = '2026-11-20'): LoggedCall => ({
  id: uuid(next++),
  at: `${day}T12:00:00.000Z`,
  channelId: CHANNEL,
  way: 'direct',
  from,
  fromId: from,
  to,
  toId: to,
  heard: true,
  readability: 'unknown',
  strength: 'unknown',
  fromWhere: '',
  toWhere: '',
  settled: 'open',
  by: '',
  note: '',
  source: 'log',
  fromBy: 'set',
  toBy: 'set',
  ...more,
});
const deaf = (from: string, to: string, more: Partial<LoggedCall> = {}) =>
  call(from, to, { heard: false, ...more });
const dayOf = (at: string) => at.slice(0, 10);
const pairsOf = (calls: readonly LoggedCall[], written: Record<string, string> = {}) =>
  heardPairs(calls, CHANNEL, (id) => (written[id] ? { day: written[id] } : null), dayOf);

const HZ = 462_562_500;
const set = (transmitTone = 'off', receiveTone = 'off', more: Partial<SetOnAir> = {}): SetOnAir => ({
  isOn: true,
  place: { kind: 'channel', receiveHz: HZ, transmitHz: HZ, transmitTone, receiveTone, bandwidth: 'wide' },
  maySend: true,
  picked: 'off',
  mode: 'FM',
  ...more,
});
const channel = (sets: Readonly<Record<string, SetOnAir>>, repeaters: readonly Between[] = []) => ({
  sets: Object.entries(sets).map(([unitId, one]) => ({ unitId, set: one })),
  repeaters,
});

describe('what a call still says', () => {
  // By the definition: a call counts in full where nobody wrote into either set on its day or after it.
  it.each([
    ['2026-11-19', 'full', true],
    ['2026-11-20', 'day-of-load', 'old'],
    ['2026-11-21', 'before-load', 'old'],
    ['unknown', 'load-undated', 'old'],
  ] as const)('of a set that was loaded on %s: %s', (loaded, weighs, hears) => {
    for (const id of ['A', 'B']) {
      const [pair] = pairsOf([call('A', 'B')], { [id]: loaded });
      expect([pair?.calls[0]?.weighs, pair?.hears]).toEqual([weighs, hears]);
    }
  });

  // Said at ten that it is loaded: what was heard at noon was heard of what it holds since.
  it.each([
    ['10:00', 'full'],
    ['12:00', 'full'],
    ['12:01', 'day-of-load'],
  ] as const)('of a set that was said to be loaded on that day at %s: %s', (time, weighs) => {
    const written = { day: '2026-11-20', by: `2026-11-20T${time}:00.000Z` };
    const [pair] = heardPairs([call('A', 'B')], CHANNEL, () => written, dayOf);
    expect(pair?.calls[0]?.weighs).toBe(weighs);
  });

  it('takes of several words the one that counts least', () => {
    const [pair] = pairsOf([call('A', 'B')], { A: 'unknown', B: '2026-12-01' });
    expect(pair?.calls[0]?.weighs).toBe('before-load');
  });

  it.each([
    [[true, true], true],
    [[false, false], false],
    [[true, false], 'sometimes'],
  ] as const)('says of calls that were heard %j: %s', (heard, says) => {
    const [pair, ...more] = pairsOf(heard.map((one) => call('A', 'B', { heard: one })));
    expect([pair?.hears, pair?.calls.length, more.length]).toEqual([says, 2, 0]);
  });

  it('puts aside what was no matter of the sets, and what has no two sets, or is of another channel', () => {
    expect(pairsOf([deaf('A', 'B', { settled: 'reach' })])[0]?.hears).toBe('aside');
    expect(pairsOf([deaf('A', 'B', { settled: 'nobody-there' }), call('A', 'B')])[0]?.hears).toBe(true);
    expect(
      pairsOf([call('A', 'B', { toId: null }), call('A', 'A'), call('A', 'B', { channelId: uuid(2) })]),
    ).toEqual([]);
  });

  it('knows the last day on which somebody wrote into a set: looking, trying and lending is no writing', () => {
    const entry = (what: string, day: string, more: object = {}) =>
      ({ what, id: uuid(next++), day, by: '', ...more }) as Evidence;
    const holds = {
      what: 'unknown',
      rest: 'unknown',
      on: 'unknown',
      places: [],
      settings: {},
      wrote: {},
    } as const;
    const unit = (...timeline: Evidence[]) => ({ timeline, holds: holds as never });
    expect(lastWritten(unit())).toBe(null);
    expect(lastWritten(unit(entry('loaded', '2026-11-01'), entry('read', '2026-11-09')))).toEqual({
      day: '2026-11-01',
    });
    expect(lastWritten(unit(entry('loaded', '2026-11-01'), entry('factory', '2026-11-05')))).toEqual({
      day: '2026-11-05',
    });
    expect(lastWritten(unit(entry('loaded', 'unknown')))).toEqual({ day: 'unknown' });
    const by = '2026-11-20T10:00:00.000Z';
    expect(lastWritten(unit(entry('loaded', '2026-11-20', { saidAt: by })))).toEqual({
      day: '2026-11-20',
      by,
    });
  });
});

describe('the log beside what is computed', () => {
  it('names what is not as it is written where somebody was heard who could not be', () => {
    const at = (a: SetOnAir, b: SetOnAir) =>
      heardOtherwise(pairsOf([call('A', 'B')]), channel({ A: a, B: b }))[0];
    // B waits for 100.0 and nothing is sent; a place that nobody has; who may not send; what was called broken.
    expect(at(set(), set('off', '100.0'))).toMatchObject({
      likely: 'to-set',
      computed: { gate: 'receive-tone' },
    });
    expect(at(set('off', 'off', { place: null }), set())).toMatchObject({ likely: 'from-set' });
    expect(at(set('off', 'off', { maySend: false }), set())).toMatchObject({ likely: 'right' });
    expect(at(set('off', 'off', { isOn: false }), set())).toMatchObject({ likely: 'condition' });
    expect(at(set(), set())).toBeUndefined();
    expect(at(set('off', 'off', { place: 'unknown' }), set())).toBeUndefined();
  });

  it('names the repeater where a call went through one that it should not have opened', () => {
    const repeater: Between = {
      inputHz: HZ,
      outputHz: HZ,
      inputTone: '131.8',
      outputTone: 'off',
      answer: 'tail',
      talkLimitS: 'unknown',
      status: 'on-air',
    };
    const [one] = heardOtherwise(
      pairsOf([call('A', 'B', { way: 'repeater' })]),
      channel({ A: set('82.5'), B: set() }, [repeater]),
    );
    expect(one).toMatchObject({ likely: 'station', computed: { gate: 'input-tone', at: 'repeater' } });
    // C opens it with the tone that is written, so that it is A that is not as it is written.
    const others = heardOtherwise(
      pairsOf([call('A', 'B', { way: 'repeater' }), call('C', 'B', { way: 'repeater' })]),
      channel({ A: set('82.5'), B: set(), C: set('131.8') }, [repeater]),
    );
    expect(others).toMatchObject([{ pair: { fromId: 'A' }, likely: 'from-set' }]);
    const away = heardOtherwise(
      pairsOf([call('A', 'B', { way: 'repeater' }), call('C', 'B', { way: 'repeater' })]),
      channel({ A: set('131.8'), B: set(), C: set('131.8') }, [{ ...repeater, status: 'off-air' }]),
    );
    expect(away.map(({ likely }) => likely)).toEqual(['station', 'station']);
  });

  // Who else hears A, and whom else B hears, tells the side: worked out by hand.
  const open = channel({ A: set(), B: set(), C: set(), D: set() });
  it.each([
    ['A is heard by C, B hears C', [call('A', 'C'), call('C', 'B')], 'reach'],
    ['nobody hears A, B hears C', [deaf('A', 'C'), call('C', 'B')], 'from-set'],
    ['A is heard by C, B hears nobody', [call('A', 'C'), deaf('C', 'B')], 'to-set'],
    ['nobody else was tried', [], 'open'],
    ['B hears C, A was tried with nobody else', [call('C', 'B')], 'open'],
    ['neither with anybody', [deaf('A', 'C'), deaf('C', 'B')], 'open'],
    ['only another way', [call('A', 'C', { way: 'repeater' }), call('C', 'B', { way: 'repeater' })], 'open'],
  ] as const)('not heard though nothing stops it, and %s: %s', (_why, others, likely) => {
    const found = heardOtherwise(pairsOf([deaf('A', 'B'), ...others]), open);
    expect(found.find(({ pair }) => pair.fromId === 'A' && pair.toId === 'B')?.likely).toBe(likely);
  });

  it('blames a repeater only where two talkers and nobody came through it', () => {
    const repeater: Between = {
      inputHz: HZ,
      outputHz: HZ,
      inputTone: 'off',
      outputTone: 'off',
      answer: 'tail',
      talkLimitS: 'unknown',
      status: 'on-air',
    };
    const through = { way: 'repeater' as const };
    const on = channel({ A: set(), B: set(), C: set() }, [repeater]);
    const likely = (calls: readonly LoggedCall[]) =>
      heardOtherwise(pairsOf(calls), on).map((one) => one.likely);
    expect(likely([deaf('A', 'B', through)])).toEqual(['open']);
    expect(likely([deaf('A', 'B', through), deaf('C', 'B', through)])).toEqual(['station', 'station']);
    expect(likely([deaf('A', 'B', through), deaf('C', 'B', through), call('C', 'A', through)])).not.toContain(
      'station',
    );
  });

  it('says nothing of what is old, of what changes, and of what was settled', () => {
    for (const calls of [
      [deaf('A', 'B'), call('A', 'B')],
      [deaf('A', 'B', { settled: 'reach' })],
      [deaf('A', 'B', { settled: 'nobody-there' })],
    ])
      expect(heardOtherwise(pairsOf(calls), open)).toEqual([]);
    expect(heardOtherwise(pairsOf([deaf('A', 'B')], { B: '2026-11-25' }), open)).toEqual([]);
  });

  const anySet = fc
    .record({
      sends: fc.constantFrom('off', '82.5', '100.0'),
      waits: fc.constantFrom('off', '82.5', '100.0'),
      maySend: fc.constantFrom(true, true, false, 'unknown' as const),
      isOn: fc.constantFrom(true, true, true, false),
    })
    .map(({ sends, waits, maySend, isOn }) => set(sends, waits, { maySend, isOn }));

  it('finds no disagreement in a log that says what is computed, and of one that says another thing of one pair that one alone', () => {
    fc.assert(
      fc.property(fc.array(anySet, { minLength: 2, maxLength: 6 }), fc.nat(), (sets, pick) => {
        const names = sets.map((_, i) => String.fromCharCode(65 + i));
        const on = channel(Object.fromEntries(sets.map((one, i) => [names[i] ?? '', one])));
        const calls = names.flatMap((from) =>
          names.flatMap((to) => {
            const hears =
              from === to ? undefined : computedOf({ fromId: from, toId: to, way: 'direct' }, on)?.hears;
            return hears === true || hears === false ? [call(from, to, { heard: hears })] : [];
          }),
        );
        expect(heardOtherwise(pairsOf(calls), on)).toEqual([]);
        const wrong = calls[pick % Math.max(1, calls.length)];
        if (!wrong) return;
        const turned = calls.map((one) => (one === wrong ? { ...one, heard: !one.heard } : one));
        const found = heardOtherwise(pairsOf(turned), on);
        expect(found.map(({ pair }) => [pair.fromId, pair.toId])).toEqual([[wrong.fromId, wrong.toId]]);
        const [first] = found;
        if (first)
          expect(otherwiseFinding(first, (id) => id)).toMatchObject({ from: wrong.fromId, calls: 1 });
      }),
    );
  });
});

describe('how much can be compared', () => {
  it('is what counts in full of sets of which enough is known', () => {
    const on = channel({ A: set(), B: set(), C: set('off', 'off', { place: 'unknown' }) });
    expect(compared(pairsOf([call('A', 'B'), call('C', 'B'), deaf('B', 'A')]), on)).toBe(2);
    expect(compared(pairsOf([call('A', 'B')], { B: '2026-12-01' }), on)).toBe(0);
    expect(compared(pairsOf([deaf('A', 'B', { settled: 'reach' })]), on)).toBe(0);
    expect(compared([], on)).toBe(0);
  });
});

describe('the set that everybody thinks is broken', () => {
  const on = channel({ A: set(), B: set(), C: set(), X: set('off', '100.0'), Y: set() });
  it('is not, where what it holds explains all that went wrong', () => {
    const calls = [deaf('A', 'X'), deaf('A', 'X'), deaf('B', 'X'), call('X', 'A')];
    const found = notBroken(pairsOf(calls), on);
    expect(found).toMatchObject([
      { unitId: 'X', side: 'to', calls: 3, others: 2, stop: { gate: 'receive-tone' } },
    ]);
    const [first] = found;
    expect(first && notBrokenFinding(first, (id) => `set ${id}`)).toMatchObject({
      code: 'not-broken',
      set: 'set X',
      needs: '100.0',
      comes: 'off',
    });
  });
  it.each([
    ['two calls are no case', [deaf('A', 'X'), deaf('B', 'X')]],
    ['one talker is no case', [deaf('A', 'X'), deaf('A', 'X'), deaf('A', 'X')]],
    ['one was heard', [deaf('A', 'X'), deaf('B', 'X'), deaf('C', 'X'), call('Y', 'X')]],
    ['nothing explains it', [deaf('A', 'Y'), deaf('B', 'Y'), deaf('C', 'Y')]],
    [
      'old ones count no more',
      [deaf('A', 'X', { at: '2026-01-01T00:00:00Z' }), deaf('B', 'X'), deaf('B', 'X')],
    ],
  ])('stays open: %s', (why, calls) => {
    const written: Record<string, string> = why.startsWith('old') ? { X: '2026-06-01' } : {};
    expect(notBroken(pairsOf(calls, written), on)).toEqual([]);
  });
});

describe('how a set fared with others', () => {
  it.each([
    ['heard by one', [call('X', 'A'), deaf('X', 'B')], true],
    ['heard by none of two', [deaf('X', 'A'), deaf('X', 'B')], false],
    ['one alone says little', [deaf('X', 'A'), deaf('X', 'A')], undefined],
    ['nothing', [], undefined],
    ['others only', [call('A', 'B')], undefined],
  ] as const)('%s: %s', (_why, calls, fared) => {
    expect(faredOn(pairsOf(calls), 'X', 'from')).toBe(fared);
    const turned = calls.map((one) => ({ ...one, fromId: one.toId, toId: one.fromId }));
    expect(faredOn(pairsOf(turned), 'X', 'to')).toBe(fared);
  });
});

describe('whether the signal gets there, by the log', () => {
  it('is what was heard last, or settled, whatever was loaded since', () => {
    const far = deaf('A', 'B', { settled: 'reach', at: '2026-11-21T00:00:00Z' });
    expect(reachHeard(pairsOf([call('A', 'B')], { A: '2026-11-30' }), 'A', 'B')).toBe('heard');
    expect(reachHeard(pairsOf([call('A', 'B'), far]), 'A', 'B')).toBe('not-heard');
    expect(reachHeard(pairsOf([far, call('A', 'B', { at: '2026-11-22T00:00:00Z' })]), 'A', 'B')).toBe(
      'heard',
    );
    expect(reachHeard(pairsOf([deaf('A', 'B')]), 'A', 'B')).toBe('unknown');
    expect(reachHeard(pairsOf([call('A', 'B')]), 'B', 'A')).toBe('unknown');
  });
});

describe('who is meant', () => {
  const units = [
    { id: uuid(11), nickname: 'Boat 1', personId: uuid(21) },
    { id: uuid(12), nickname: 'Boat 2', personId: uuid(22) },
    { id: uuid(13), nickname: 'Boat 3', personId: uuid(22) },
    { id: uuid(14), nickname: 'Twin', personId: null },
    { id: uuid(15), nickname: 'twin', personId: null },
    { id: uuid(16), nickname: 'Ada', personId: null },
  ];
  const people = ['Mira Solheim', 'Tove Aldis', 'Jon Farrow', 'Ada'].map((name, i) => ({
    id: uuid(21 + i),
    name,
  }));
  it.each([
    ['boat  1', uuid(11), 'set'],
    ['MIRA SOLHEIM', uuid(11), 'only-set-held'],
    ['Tove Aldis', null, 'several-held'],
    ['Jon Farrow', null, 'none-held'],
    ['Twin', null, 'nobody'],
    ['Ada', null, 'nobody'],
    ['Marta', null, 'nobody'],
  ] as const)('by %s', (said, unitId, by) => {
    expect(setMeant(said, { units, people })).toEqual({ unitId, by });
  });

  const log = (more: Partial<Heard>): Heard =>
    HeardSchema.parse({
      id: uuid(next++),
      at: '2026-11-20T12:00:00Z',
      planId: uuid(2),
      channelId: CHANNEL,
      from: 'Mira Solheim',
      to: 'Boat 2',
      heard: true,
      ...more,
    });
  const net = (more: Partial<Net>, checkIn: object = {}): Net =>
    NetSchema.parse({
      id: uuid(next++),
      name: 'Evening net',
      startsAt: '2026-11-21T19:00',
      timeZone: 'UTC',
      channelId: CHANNEL,
      leader: 'Boat 2',
      checkIns: [
        {
          who: 'Boat 1',
          at: '2026-11-21T19:04:00Z',
          note: 'weak',
          heardBy: 'Boat 2',
          channelId: CHANNEL,
          ...checkIn,
        },
      ],
      ...more,
    });
  it('is a set by its id, else by its name or the one who holds no other; one that is gone is nobody’s', () => {
    const calls = loggedCalls([log({}), log({ fromId: uuid(12) }), log({ fromId: uuid(99) })], [], {
      units,
      people,
    });
    expect(calls.map(({ fromId, fromBy, toId }) => [fromId, fromBy, toId])).toEqual([
      [uuid(11), 'holder', uuid(12)],
      [uuid(12), 'set', uuid(12)],
      [null, 'set', uuid(12)],
    ]);
  });
  it('takes check-ins as heard by whoever led the net then, newest first', () => {
    const [first, second] = loggedCalls([log({})], [net({})], { units, people });
    expect(first).toMatchObject({
      source: 'net',
      fromId: uuid(11),
      toId: uuid(12),
      heard: true,
      note: 'weak',
    });
    expect(second?.source).toBe('log');
  });
  it('a new list of check-ins takes nothing from what was heard before', () => {
    const begun = net({ listFrom: '2026-11-28T19:00:00Z' });
    expect(loggedCalls([], [begun], { units, people })).toHaveLength(begun.checkIns.length);
  });
  it('another leader and another channel of the net change nothing of what was heard; what nobody wrote down is no call', () => {
    const calls = (...nets: Net[]) => loggedCalls([], nets, { units, people });
    expect(
      calls(net({ leader: 'Boat 9', channelId: uuid(77) }), net({ leader: '', channelId: null })),
    ).toMatchObject([1, 2].map(() => ({ to: 'Boat 2', toId: uuid(12), channelId: CHANNEL })));
    for (const unknown of [
      { heardBy: '' },
      { channelId: null },
      { heardBy: undefined },
      { channelId: undefined },
    ])
      expect(calls(net({}, unknown))).toEqual([]);
  });
});
