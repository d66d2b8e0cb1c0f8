import {
  changesBetween,
  columnsOf,
  type FieldsOf,
  fieldsOf,
  guessMapping,
  masked,
  readTable,
  safeCell,
  THINGS,
  type ThingKind,
  tableOf,
} from '@umbrex/core/fields';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';
import { ANY, anyThing, NAMES } from '../support/things';

const KINDS = Object.keys(THINGS) as ThingKind[];

/** Things as they come back out of a table of theirs, without their ids. */
function throughTable<K extends ThingKind>(kind: K, things: readonly FieldsOf[K][]) {
  const [header = [], ...rows] = tableOf(kind, things, NAMES).map((row) => row.map(safeCell));
  let n = 100;
  const input = {
    rows,
    mapping: guessMapping(header, columnsOf(kind)),
    firstLine: 2,
    newId: () => uuid(n++),
  };
  return readTable(kind, { ...input, present: [], names: NAMES });
}
const bare = (thing: object) => ({ ...thing, id: '' });

describe.each(KINDS)('every field of a %s', (kind) => {
  it('is said once, and its schema knows it', () => {
    const { schema } = THINGS[kind];
    const shape = Object.keys((schema as unknown as { shape: object }).shape).filter((key) => key !== 'id');
    expect(Object.keys(THINGS[kind].fields).sort()).toEqual(shape.sort());
    const titles = fieldsOf(kind).map(([, { title }]) => title);
    expect(new Set(titles).size).toBe(titles.length);
  });
  it('goes out in a table and comes in again as it was', () =>
    fc.assert(
      fc.property(anyThing(kind), (thing) => {
        const [row] = throughTable(kind, [thing]);
        expect(row?.findings).toEqual([]);
        expect(bare(row?.value ?? {})).toEqual(bare(thing));
      }),
      { numRuns: 300 },
    ));
  it('has a header that is understood', () => {
    const columns = columnsOf(kind);
    expect(
      guessMapping(
        columns.map(({ title }) => title),
        columns,
      ),
    ).toEqual(columns.map(({ title }) => title));
    // The other ways to say it, each by itself, as far as another column has not the better right.
    for (const { title, synonyms } of columns)
      for (const synonym of synonyms) {
        const [guess] = guessMapping([synonym.toUpperCase()], columns);
        expect(guess, `${title}: ${synonym}`).not.toBeNull();
      }
  });
  it('is told by its words when it changed, alone, with two that can be told apart', () =>
    fc.assert(
      fc.property(
        anyThing(kind),
        fc.constantFrom(...fieldsOf(kind).map(([key]) => key)),
        fc.gen(),
        (before, key, gen) => {
          const value = gen(
            () => (ANY[kind] as Record<string, fc.Arbitrary<unknown>>)[key] as fc.Arbitrary<unknown>,
          );
          const after = { ...before, [key]: value };
          const changes = changesBetween(kind, before, after, NAMES);
          const isSame = JSON.stringify((before as Record<string, unknown>)[key]) === JSON.stringify(value);
          expect(changes).toHaveLength(isSame ? 0 : 1);
          // Of a memory it is told how much is known, not what; of a timeline how long it is, and what came last.
          if (!isSame && key !== 'holds' && key !== 'timeline')
            expect(changes[0]?.before).not.toBe(changes[0]?.after);
        },
      ),
      { numRuns: 400 },
    ));
});

describe('a version that nobody could read', () => {
  it.each(KINDS)('of a %s is told without a stop, whatever stands in its fields', (kind) =>
    fc.assert(
      fc.property(
        anyThing(kind),
        fc.dictionary(fc.constantFrom(...fieldsOf(kind).map(([key]) => key)), fc.jsonValue()),
        (after, odd) => {
          const before = { ...after, ...odd };
          for (const { title } of changesBetween(kind, before, after, NAMES)) expect(title).not.toBe('');
          expect(() => changesBetween(kind, after, before, NAMES)).not.toThrow();
        },
      ),
      { numRuns: 200 },
    ),
  );
});

describe('what is for members only', () => {
  it('is gone from what others get, and nothing else is', () =>
    fc.assert(
      fc.property(anyThing('channel'), anyThing('station'), (channel, station) => {
        const seen = masked('channel', channel);
        const { transmitTone, receiveTone, ...open } = channel;
        expect(seen).toMatchObject(open);
        if (channel.tonesSecret)
          expect([seen.transmitTone, seen.receiveTone]).toEqual([
            channel.transmitHz === null ? 'off' : 'unknown',
            'unknown',
          ]);
        else expect([seen.transmitTone, seen.receiveTone]).toEqual([transmitTone, receiveTone]);
        const place = masked('station', station);
        expect(place).toEqual({
          ...station,
          facts: station.facts.filter(({ field }) => !/Tone$/.test(field)),
          reports: [],
        });
      }),
    ));
  it('of a plan, which sets and teams carry what; which kinds do is on every sheet', () =>
    fc.assert(
      fc.property(anyThing('plan'), (plan) => {
        const { kinds } = plan.carried;
        expect(masked('plan', plan)).toEqual({ ...plan, carried: { kinds, teams: {}, units: {} } });
      }),
    ));
  it.each(['unit', 'person', 'team', 'net'] as const)('a %s has nothing of that kind', (kind) =>
    fc.assert(
      fc.property(anyThing(kind), (thing) => {
        expect(masked(kind, thing)).toEqual(thing);
      }),
    ),
  );
});
