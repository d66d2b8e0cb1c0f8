import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type LineKnown, lineOf, readHeardLine } from '../../src/heard/index';
import { uuid } from '../support/plans';

const set = (n: number, nickname: string, holder: number | null = null) => ({
  id: uuid(n),
  nickname,
  personId: holder === null ? null : uuid(holder),
});
const KNOWN: LineKnown = {
  channels: [
    { id: uuid(1), name: 'Gannet Top', aliases: ['the Top'], kind: 'repeater' },
    { id: uuid(2), name: 'Porch one', aliases: [], kind: 'direct' },
    { id: uuid(3), name: 'Clinic', aliases: [], kind: 'direct' },
    { id: uuid(4), name: 'Fire dispatch', aliases: [], kind: 'listen' },
  ],
  roster: {
    units: [
      set(11, 'Boat 1'),
      set(12, 'Boat 2', 31),
      set(13, 'Clinic'),
      set(14, 'Watch 8', 32),
      set(15, 'Watch 9', 32),
    ],
    people: [
      { id: uuid(31), name: 'Mira Solheim' },
      { id: uuid(32), name: 'Tove Aldis' },
      { id: uuid(33), name: 'Jon Farrow' },
    ],
  },
  stations: [
    { name: 'Gannet Hill', channelIds: [uuid(1)] },
    { name: 'Second tower', channelIds: [uuid(1)] },
    { name: 'Far tower', channelIds: [] },
  ],
  channelId: uuid(1),
  now: { day: '2026-11-30', minute: 14 * 60 + 40 },
};
const read = (line: string, more: Partial<LineKnown> = {}) => readHeardLine(line, { ...KNOWN, ...more });
const asks = (line: string, more: Partial<LineKnown> = {}) =>
  read(line, more).questions.flatMap(({ code, blocking }) => (blocking ? [code] : []));

/** What each line says, as somebody at a net would tell it. */
const SAID: readonly [line: string, said: string][] = [
  ['Boat 1 > Clinic 5', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5'],
  ['boat 1 to clinic loud', 'Boat 1 to Clinic, Gannet Top by repeater: heard loud'],
  ['Boat 1->Clinic 4 weak', 'Boat 1 to Clinic, Gannet Top by repeater: heard 4 weak'],
  ['Clinic heard Boat 1 3', 'Boat 1 to Clinic, Gannet Top by repeater: heard 3'],
  ['Clinic did not hear Boat 1', 'Boat 1 to Clinic, Gannet Top by repeater: not heard'],
  ["Clinic doesn't hear Boat 1 on Porch one", 'Boat 1 to Clinic, Porch one by direct: not heard'],
  ['Boat 1 heard by Clinic', 'Boat 1 to Clinic, Gannet Top by repeater: heard'],
  ['Boat 1 not heard by Clinic', 'Boat 1 to Clinic, Gannet Top by repeater: not heard'],
  ['Boat 1 calls Clinic nothing', 'Boat 1 to Clinic, Gannet Top by repeater: not heard'],
  ['Boat 1 > Clinic no answer', 'Boat 1 to Clinic, Gannet Top by repeater: not heard'],
  ['Boat 1 > Clinic 5x9', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5 loud'],
  ['Boat 1 > Clinic 59', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5 loud'],
  ['Boat 1 > Clinic 4 by 7', 'Boat 1 to Clinic, Gannet Top by repeater: heard 4 good'],
  ['Boat 1 > Clinic loud and clear', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5 loud'],
  ['Boat 1 > Clinic direct 3', 'Boat 1 to Clinic, Gannet Top by direct: heard 3'],
  // Two repeaters are on that pair: which one it was is kept.
  [
    'Boat 1 > Clinic via Gannet Hill 3',
    'Boat 1 to Clinic, Gannet Top by repeater: heard 3 (via Gannet Hill)',
  ],
  // The set comes first, the channel of the same name after both are named.
  ['Clinic > Boat 1 on Clinic 5', 'Clinic to Boat 1, Clinic by direct: heard 5'],
  ['Clinic > Boat 1 Clinic 5', 'Clinic to Boat 1, Clinic by direct: heard 5'],
  ['Boat 1 > Clinic the Top 2', 'Boat 1 to Clinic, Gannet Top by repeater: heard 2'],
  ['Boat 1 > Clinic 5 from Gull Point', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5, from Gull Point'],
  [
    'Boat 1 > Clinic 5 from the old pier at 14:32',
    'Boat 1 to Clinic, Gannet Top by repeater: heard 5, from the old pier, 2026-11-30 872',
  ],
  ['Boat 1 > Clinic 5 at the gate', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5, at the gate'],
  ['09:05 Boat 1 > Clinic 5', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5, 2026-11-30 545'],
  ['Boat 1 > Clinic 5 yesterday 19:10', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5, 2026-11-29 1150'],
  [
    '2026-11-02 19:10 Boat 1 > Clinic 5',
    'Boat 1 to Clinic, Gannet Top by repeater: heard 5, 2026-11-02 1150',
  ],
  ['Boat 1 > Clinic 5 // low cells', 'Boat 1 to Clinic, Gannet Top by repeater: heard 5 (low cells)'],
  ['"Marta" > Clinic 5', 'Marta to Clinic, Gannet Top by repeater: heard 5'],
  [
    'Boat 1 <> Clinic 4 from Gull Point',
    'Boat 1 to Clinic, Gannet Top by repeater: heard 4, from Gull Point; Clinic to Boat 1, Gannet Top by repeater: heard 4, at Gull Point',
  ],
  ['Mira Solheim > Clinic 5', 'Mira Solheim to Clinic, Gannet Top by repeater: heard 5'],
];

function saidBy(line: string): string {
  const { calls } = read(line);
  return calls
    .map((call) => {
      const channel = KNOWN.channels.find(({ id }) => id === call.channelId)?.name;
      const how = [call.readability, call.strength].filter((one) => one !== 'unknown').join(' ');
      const more = [
        call.fromWhere && `from ${call.fromWhere}`,
        call.toWhere && `at ${call.toWhere}`,
        call.time && `${call.time.day} ${call.time.minute}`,
      ].filter(Boolean);
      return [
        `${call.from} to ${call.to}, ${channel} by ${call.way}: ${call.heard ? 'heard' : 'not heard'}${how && ` ${how}`}`,
        ...more,
      ]
        .join(', ')
        .concat(call.note && ` (${call.note})`);
    })
    .join('; ');
}

describe('readHeardLine', () => {
  it.each(SAID)('%s', (line, said) => {
    expect(asks(line)).toEqual([]);
    expect(saidBy(line)).toBe(said);
  });

  it.each([
    ['', 'heard-nothing'],
    ['Boat 1', 'heard-who-listened'],
    ['> Clinic 5', 'heard-who-talked'],
    ['Boat 1 Clinic 5', 'heard-direction'],
    ['Boat 1 > Clinic', 'heard-or-not'],
    ['Boat 1 > Marta 5', 'heard-who'],
    ['Bot 1 > Clinic 5', 'heard-who'],
    ['Boat 1 > Clinic 5 blue', 'heard-left-over'],
    ['Boat 1 > Clinic 5 on', 'heard-left-over'],
    ['Boat 1 > Clinic 5 nothing', 'heard-contradicts'],
    ['Boat 1 not heard by Clinic 5', 'heard-contradicts'],
    ['Boat 1 > Clinic 5 loud weak', 'heard-contradicts'],
    ['Boat 1 > Clinic 5 4', 'heard-several-reports'],
    ['Boat 1 <> Clinic 5 4', 'heard-several-reports'],
    ['Boat 1 > Clinic 5x5', 'heard-scale'],
    ['Boat 1 > "Ola 5', 'heard-quote'],
    ['Boat 1 > Clinic 5 via Far tower', 'heard-no-repeater'],
    ['Boat 1 > Clinic 5 via Gannet Hill via Second tower', 'heard-left-over'],
    ['Boat 1 > Clinic 5 direct via Gannet Hill', 'heard-left-over'],
    ['Boat 1 > Clinic 5 from the quay from the pier', 'heard-left-over'],
    ['Boat 1 > Clinic 5 from the quay Porch one', 'heard-place-channel'],
    ['Boat 1 > Clinic from mile 5', 'heard-place-number'],
    ['Boat 1 > Clinic 5 on Porch one on Gannet Top', 'heard-several-channels'],
    ['Boat 1 > Clinic 5 on Porch one via Gannet Hill', 'heard-no-repeater'],
    ['Boat 1 > Clinic 5 direct repeater', 'heard-left-over'],
    ['Boat 1 > Boat 1 5', 'heard-same'],
    ['Mira Solheim > Boat 2 5', 'heard-same'],
    ['Boat 1 > Clinic 5 at 23:10', 'heard-time-ahead'],
    ['Boat 1 > Clinic 5 2026-12-24 10:00', 'heard-time-ahead'],
    ['Boat 1 > Clinic 5 yesterday', 'heard-time'],
    ['Boat 1 > Clinic 6', 'heard-left-over'],
    ['Boat 1 > Clinic 0', 'heard-left-over'],
    ['Boat 1 > Clinic 462.675 5', 'heard-left-over'],
  ])('asks at %s: %s', (line, code) => {
    expect(asks(line)).toContain(code);
    expect(read(line).ok).toBe(false);
  });

  it('asks for the channel where none stands from before', () => {
    expect(asks('Boat 1 > Clinic 5', { channelId: null })).toEqual(['heard-channel']);
    expect(asks('Boat 1 > Clinic 5 on Porch one', { channelId: null })).toEqual([]);
  });

  it('takes the channel of a repeater that has only one', () => {
    const said = read('Boat 1 > Clinic 5 via Gannet Hill', { channelId: uuid(2) });
    expect([said.ok, said.calls[0]?.channelId]).toEqual([true, uuid(1)]);
    expect(said.questions.map(({ code }) => code)).toContain('heard-channel-of');
  });

  it('says which set it takes for a person, and offers them where there are several', () => {
    const one = read('Mira Solheim > Clinic 5');
    expect(one.calls[0]?.fromId).toBe(uuid(12));
    expect(one.questions.map(({ code, about }) => [code, about])).toContainEqual([
      'heard-set-of-holder',
      'Mira Solheim: Boat 2',
    ]);
    const several = read('Tove Aldis > Clinic 5');
    expect([several.ok, several.calls[0]?.fromId]).toEqual([true, null]);
    expect(several.questions.find(({ code }) => code === 'heard-which-set')?.lines).toEqual([
      'Watch 8 > Clinic 5',
      'Watch 9 > Clinic 5',
    ]);
    expect(read('Jon Farrow > Clinic 5').questions.map(({ code }) => code)).toContain('heard-no-set');
  });

  it('offers who may be meant by a name that nothing has', () => {
    const who = read('Bot 1 > Clinic 5').questions.find(({ code }) => code === 'heard-who');
    expect(who?.lines).toContain('Boat 1 > Clinic 5');
    expect(who?.lines).toContain('"Bot 1" > Clinic 5');
    expect(who?.lines).toContain('"Bot" 1 > Clinic 5');
  });

  const WORDS = [
    ...KNOWN.channels.map(({ name }) => name),
    ...KNOWN.roster.units.map(({ nickname }) => nickname),
    ...KNOWN.roster.people.map(({ name }) => name),
    ...['>', '<>', 'heard', 'heard by', 'not heard by', 'on', 'via', 'from', 'at', 'direct', 'repeater'],
    ...['5', '59', '5x5', 'r4', 'loud', 'very weak', 'nothing', '14:32', '23:59', 'yesterday', '2026-11-02'],
    ...['//', '"', '"Ola"', 'blue', '462.675', '6', ',', '>>', '-', 'Bo at'],
  ];
  const lines = fc.oneof(
    fc.array(fc.constantFrom(...WORDS), { maxLength: 12 }).map((words) => words.join(' ')),
    fc.string({ unit: 'grapheme', maxLength: 60 }),
  );

  it('reads any line without a stop; what is read names two who are not the same, and nothing of it is lost', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const { ok, calls, questions } = read(line);
        expect(ok).toBe(calls.length > 0 && !questions.some(({ blocking }) => blocking));
        for (const call of ok ? calls : []) {
          expect(call.from && call.to).toBeTruthy();
          expect(call.fromId === null || call.fromId !== call.toId).toBe(true);
        }
        for (const { offers, lines: those = [] } of questions)
          expect(those.length).toBeLessThanOrEqual(offers.length);
      }),
      { numRuns: 3000 },
    );
  });

  it('puts each offer in place of what it asked of: that is not asked again', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const all = read(line).questions;
        for (const { code, about, lines: those = [], blocking } of all) {
          const asked = (questions: typeof all) =>
            questions.filter((one) => one.code === code && one.about === about).length;
          for (const other of blocking ? those : [])
            expect(asked(read(other).questions), other).toBeLessThan(asked(all));
        }
      }),
      { numRuns: 3000 },
    );
  });

  it('reads what is put together of its parts, in any order behind the two', () => {
    const unit = fc.constantFrom(...KNOWN.roster.units.map(({ nickname }) => nickname));
    const spec = fc.record({
      from: unit,
      to: unit,
      channel: fc.constantFrom('Gannet Top', 'Porch one'),
      readability: fc.integer({ min: 1, max: 5 }),
      strength: fc.constantFrom('loud', 'good', 'weak', 'very weak', 'fading'),
      place: fc.constantFrom('the old pier', 'Gull Point'),
      isListenerFirst: fc.boolean(),
      order: fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4 }),
    });
    fc.assert(
      fc.property(spec, ({ from, to, channel, readability, strength, place, isListenerFirst, order }) => {
        fc.pre(from !== to);
        const parts = [`on ${channel}`, String(readability), strength, `from ${place}`];
        const last = order.indexOf(3);
        // A place ends where something else begins; at the end nothing follows it.
        const rest = [
          ...order.filter((k) => k !== 3).slice(0, last),
          3,
          ...order.filter((k) => k !== 3).slice(last),
        ];
        // A number behind a place may be a part of it, and is asked.
        fc.pre(rest[rest.indexOf(3) + 1] !== 1);
        const who = isListenerFirst ? `${to} heard ${from}` : `${from} > ${to}`;
        const reading = read(`${who} ${rest.map((k) => parts[k]).join(' ')}`);
        expect(reading.questions.filter(({ blocking }) => blocking)).toEqual([]);
        expect(reading.calls).toEqual([
          expect.objectContaining({
            from,
            to,
            readability,
            strength: strength.replace(' ', '-'),
            fromWhere: place,
            heard: true,
            channelId: KNOWN.channels.find(({ name }) => name === channel)?.id,
          }),
        ]);
      }),
    );
  });

  it('reads a call again that was written as a line', () => {
    const place = fc.constantFrom('', 'the old pier', 'Gull Point', 'at the gate', 'mile 5');
    const someone = fc.constantFrom(
      ...KNOWN.roster.units.map(({ nickname }) => nickname),
      'Mira Solheim',
      'Marta 5',
      'Ola to Ela',
      'Gannet Top',
    );
    const call = fc.record({
      channelId: fc.constantFrom(uuid(1), uuid(2)),
      way: fc.constantFrom('direct' as const, 'repeater' as const),
      from: someone,
      to: someone,
      heard: fc.boolean(),
      readability: fc.constantFrom(1, 3, 5, 'unknown' as const),
      strength: fc.constantFrom('loud' as const, 'very-weak' as const, 'unknown' as const),
      fromWhere: place,
      toWhere: place,
      note: fc.constantFrom('', 'low cells', 'a // b'),
    });
    const local = { day: '2026-11-20', time: '14:32' };
    fc.assert(
      fc.property(call, (one) => {
        fc.pre(one.from !== one.to && !(one.way === 'repeater' && one.channelId === uuid(2)));
        fc.pre(![one.from, one.to].includes('Boat 2') || ![one.from, one.to].includes('Mira Solheim'));
        // A report of what was not heard is none, and a place ends where another one begins.
        const said = one.heard
          ? one
          : { ...one, readability: 'unknown' as const, strength: 'unknown' as const };
        const line = lineOf(said, local, KNOWN);
        const reading = readHeardLine(line, KNOWN);
        expect(
          reading.questions.filter(({ blocking }) => blocking),
          line,
        ).toEqual([]);
        expect(reading.calls[0], line).toMatchObject({ ...said, time: { day: '2026-11-20', minute: 872 } });
      }),
    );
  });
});
