import { fieldsOf, sheetPart } from '@umbrex/core/fields';
import { prepare } from '@umbrex/core/flow';
import { type Plan, PlanSchema, UnitSchema } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { OSTREL, unit } from '../support/plans';
import { runs } from '../support/runs';
import { ANY, lawful } from '../support/things';

/** Everything of a sheet that is kept: it must be the same for two that are taken for one. */
const sheetOf = (plan: Plan, id: string, of = unit(1, id)) => {
  const { fit, sheet, wanted, changes, toAccept, stays } = prepare(plan, shipped(id), of);
  return {
    cells: fit.cells,
    image: [...fit.image.slots],
    sheet,
    wanted: [...wanted.slots],
    changes,
    toAccept,
    stays,
  };
};
const unmarked = (kind: 'channel' | 'unit' | 'plan') =>
  fieldsOf(kind).flatMap(([key, { sheet }]) => (sheet ? [] : [key]));
const ids = fc.constantFrom(
  'page-handheld',
  'wideband-receiver',
  'fleet-mobile',
  ...KEYED.map(({ id }) => id),
);
const small: Plan = { ...OSTREL, channels: OSTREL.channels.slice(0, 6) };
const anyOf = (kind: 'channel' | 'unit' | 'plan', key: string) =>
  (ANY[kind] as Record<string, fc.Arbitrary<unknown>>)[key] as fc.Arbitrary<unknown>;

describe('a sheet does not depend on what is not marked', () => {
  it('of a channel', () =>
    fc.assert(
      fc.property(ids, fc.nat(5), fc.constantFrom(...unmarked('channel')), fc.gen(), (id, at, key, gen) => {
        const value = gen(() => anyOf('channel', key));
        const channels = small.channels.map((one, i) => (i === at ? lawful({ ...one, [key]: value }) : one));
        expect(sheetOf({ ...small, channels }, id)).toEqual(sheetOf(small, id));
      }),
      { numRuns: runs(40) },
    ));
  it('of a set', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('page-handheld', 'wideband-receiver', 'slot-alert', 'pocket-radio'),
        fc.constantFrom(...unmarked('unit')),
        fc.gen(),
        (id, key, gen) => {
          const value = gen(() => anyOf('unit', key));
          const other = UnitSchema.parse({ ...unit(1, id), [key]: value });
          expect(sheetOf(small, id, other)).toEqual(sheetOf(small, id));
        },
      ),
      { numRuns: runs(40) },
    ));
  it('of a plan', () =>
    fc.assert(
      fc.property(ids, fc.constantFrom(...unmarked('plan')), fc.gen(), (id, key, gen) => {
        const plan = PlanSchema.parse({ ...small, [key]: gen(() => anyOf('plan', key)) });
        expect(sheetOf(plan, id)).toEqual(sheetOf(small, id));
      }),
      { numRuns: runs(10) },
    ));
});

describe('what a sheet does depend on is marked', () => {
  it.each([
    ['channel', 'name'],
    ['channel', 'transmitTone'],
    ['channel', 'bandwidth'],
    ['channel', 'shortNames'],
    ['channel', 'scan'],
    ['unit', 'keeps'],
    ['unit', 'holds'],
    ['unit', 'fleetId'],
    ['unit', 'roleId'],
    ['plan', 'numbering'],
    ['plan', 'fleet'],
    ['plan', 'naming'],
  ] as const)('%s: %s', (kind, key) => {
    const [one, other] = fc
      .sample(anyOf(kind, key), { numRuns: 50, seed: 3 })
      .filter((value, i, all) => i === 0 || JSON.stringify(value) !== JSON.stringify(all[0]));
    expect(sheetPart(kind, { [key]: one })).not.toEqual(sheetPart(kind, { [key]: other }));
  });
});
