import { BenchDaySchema } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type BenchTexts,
  isOvernight,
  movedTo,
  readBench,
  textsOf,
} from '../src/islands/BenchDesk/benchTexts';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const DAY = BenchDaySchema.parse({
  id: id(1),
  name: 'Saturday',
  planId: id(2),
  revision: 1,
  day: '2026-12-05',
  people: [
    { id: id(3), fromMin: 0, toMin: 240 },
    { id: id(4), fromMin: 60, toMin: 120 },
  ],
});
const texts = textsOf(DAY);
const read = (change: Partial<BenchTexts>) => readBench({ ...texts, ...change }, DAY);
const faults = (change: Partial<BenchTexts>) => read(change).faults;
const people = (...hours: [string, string][]) => ({
  people: hours.map(([comes, goes], i) => ({ id: id(3 + i), comes, goes })),
});

describe('the form of a bench day', () => {
  it('begins with what is there', () =>
    expect(texts).toMatchObject({
      from: '09:00',
      to: '13:00',
      stands: '1',
      standMin: '5',
      people: [
        { comes: '09:00', goes: '13:00' },
        { comes: '10:00', goes: '11:00' },
      ],
    }));
  it.each([
    [{ name: ' ' }, { name: 'Give it a name.' }],
    [{ name: 'x'.repeat(61) }, { name: 'At most 60 letters.' }],
    [{ day: '' }, { day: 'Give the day.' }],
    [{ day: '9999-12-31' }, { day: 'Give the day.' }],
    [{ from: '' }, { beginsMin: 'Give a time, as 09:00.', lastsMin: expect.any(String) }],
    [{ to: '09:00' }, { lastsMin: 'Give a time at least ten minutes after it begins.' }],
    [{ to: '09:09' }, { lastsMin: 'Give a time at least ten minutes after it begins.' }],
    [{ stands: '21' }, { stands: 'A number from 0 to 20.' }],
    [{ stands: '' }, { stands: 'A number from 0 to 20.' }],
    [{ stands: 'two' }, { stands: 'A number from 0 to 20.' }],
    [{ stands: '1.5' }, { stands: 'A number from 0 to 20.' }],
    [{ stands: '-1' }, { stands: 'A number from 0 to 20.' }],
    [{ standMin: '0' }, { standMin: 'Minutes, from 1 to 240.' }],
    [{ standMin: '241' }, { standMin: 'Minutes, from 1 to 240.' }],
    [people(['08:30', '13:00']), { 'people.0.fromMin': 'Give a time from 09:00 to 13:00.' }],
    [people(['09:00', '13:30']), { 'people.0.toMin': 'Give a time from 09:00 to 13:00.' }],
    [people(['11:00', '10:00']), { 'people.0.toMin': 'Give a time after they come.' }],
    [people(['11:00', '11:00']), { 'people.0.toMin': 'Give a time after they come.' }],
    [
      people(['', '']),
      {
        'people.0.fromMin': 'Give a time from 09:00 to 13:00.',
        'people.0.toMin': 'Give a time from 09:00 to 13:00.',
      },
    ],
    [
      people(['09:00', '13:00'], ['13:00', '13:00']),
      { 'people.1.fromMin': 'Give a time from 09:00 to 13:00.' },
    ],
    [{ setIds: Array.from({ length: 301 }, (_, i) => id(i)) }, { setIds: 'At most 300 sets on a day.' }],
  ] as [Partial<BenchTexts>, Record<string, string>][])(
    '%j: said at its field, and nothing else is taken for it',
    (change, wanted) => expect(faults(change)).toEqual(wanted),
  );
  it('takes the whole of a shift past midnight, and says that it is one', () => {
    const night = movedTo(movedTo(texts, { from: '20:00' }), { to: '02:00' });
    expect([isOvernight(texts), isOvernight(night)]).toEqual([false, true]);
    const done = readBench({ ...night, people: [{ id: id(3), comes: '23:30', goes: '01:00' }] }, DAY).day;
    expect(done).toMatchObject({ beginsMin: 1200, lastsMin: 360, people: [{ fromMin: 210, toMin: 300 }] });
  });
  it('moved hours take along whoever came with the beginning and stayed to the end, nobody else', () => {
    const moved = movedTo(movedTo(texts, { from: '08:00' }), { to: '12:30' });
    expect(moved.people).toEqual([
      { id: id(3), comes: '08:00', goes: '12:30' },
      { id: id(4), comes: '10:00', goes: '11:00' },
    ]);
  });
  it('any day comes out as it went in', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 10, max: 1439 }),
        fc.array(fc.tuple(fc.nat(1439), fc.nat(1439)), { maxLength: 4 }),
        fc.nat(20),
        fc.integer({ min: 1, max: 240 }),
        (beginsMin, lastsMin, shifts, stands, standMin) => {
          const day = {
            ...DAY,
            beginsMin,
            lastsMin,
            stands,
            standMin,
            people: shifts.map(([a, b], i) => {
              const fromMin = a % lastsMin;
              return { id: id(3 + i), fromMin, toMin: fromMin + 1 + (b % (lastsMin - fromMin)) };
            }),
          };
          expect(readBench(textsOf(day), day)).toEqual({ day, faults: null });
        },
      ),
      { numRuns: 300 },
    ));
});
