import { fleetCalls } from '@umbrex/core/fleetCalls';
import { compose, heldAfter } from '@umbrex/core/flow';
import { type Description, DescriptionSchema, type Plan, type Unit, UnitSchema } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from './support/devices';
import { plan as planWith, uuid } from './support/plans';

const mobile = shipped('fleet-mobile');
/** The same set with a display of six letters: what the plan calls it stands there shortened. */
const short: Description = DescriptionSchema.parse({
  ...mobile,
  id: 'short-mobile',
  title: 'Short mobile',
  names: typeof mobile.names === 'object' ? { ...mobile.names, length: 6 } : mobile.names,
});
const kinds = [mobile, short];

const unit = (n: number, fleetId: string, kind = 'fleet-mobile'): Unit =>
  UnitSchema.parse({
    id: uuid(n),
    descriptionId: kind,
    nickname: `Ferry number ${n}`,
    holder: '',
    serial: '',
    firmware: 'unknown',
    fleetId,
  });
const fleet = {
  statuses: ['At berth', 'Under way', 'Need help'],
  calls: [{ name: 'All ferries', fleetId: '199' }],
};
const plan: Plan = { ...planWith([]), fleet };

/** Sets that were loaded by the plan's own sheets. */
function loaded(of: Plan, units: readonly Unit[]): Unit[] {
  return units.map((one) => {
    const description = kinds.find(({ id }) => id === one.descriptionId);
    if (!description) throw new Error('no such kind');
    const others = units.filter(({ id }) => id !== one.id);
    const prepared = compose(of, description, { ...one }, others);
    return { ...one, holds: heldAfter(description, prepared, one.holds, 1, '2026-11-20') };
  });
}
const three = [unit(1, '100'), unit(2, '101', 'short-mobile'), unit(3, '102')];
/** A set with another text in one of its places. */
const with_ = (one: Unit, place: number, field: string, value: string): Unit => ({
  ...one,
  holds: {
    ...one.holds,
    places: one.holds.places.map((held) =>
      held.number === place && held.values ? { ...held, values: { ...held.values, [field]: value } } : held,
    ),
  },
});
/** The place that holds a value. */
const placeOf = (one: Unit, field: string, value: string) => {
  const found = one.holds.places.find(({ values }) => values?.[field] === value);
  if (!found) throw new Error(`no place with ${value}`);
  return found.number;
};

describe('status texts and calls of fleet sets, as held', () => {
  it('do not differ once all hold what the plan says, also where one shows it shortened', () => {
    const texts = fc.uniqueArray(fc.stringMatching(/^[A-Z][a-z]{2,6} [a-z]{2,6}$/), { maxLength: 4 });
    fc.assert(
      fc.property(texts, fc.boolean(), (statuses, hasCall) => {
        const of = { ...plan, fleet: { statuses, calls: hasCall ? fleet.calls : [] } };
        expect(fleetCalls(of, loaded(of, three), kinds)).toEqual({
          sets: 3,
          // Places that the plan leaves alone were never looked at.
          notSeen: expect.any(Array),
          differs: [],
        });
      }),
      { numRuns: 30 },
    );
  });
  it('of sets that nobody looked at nothing is said but that', () => {
    expect(fleetCalls(plan, three, kinds)).toEqual({
      sets: 3,
      notSeen: three.map(({ id }) => id),
      differs: [],
    });
    expect(fleetCalls(plan, [], kinds)).toEqual({ sets: 0, notSeen: [], differs: [] });
  });
  const [a, b, c] = loaded(plan, three);
  if (!a || !b || !c) throw new Error('three sets');
  it('a key that sends something else is named, with the sets on each side', () => {
    const other = with_(a, placeOf(a, 'title', 'Under way'), 'title', 'Sinking');
    expect(fleetCalls(plan, [other, b, c], kinds).differs).toEqual([
      {
        is: 'status',
        place: 2,
        says: [
          { text: 'Sinking', unitIds: [a.id] },
          { text: 'Under way', unitIds: [b.id, c.id] },
        ],
      },
    ]);
  });
  it('an ID that is called by another name is named', () => {
    const other = with_(c, placeOf(c, 'fid', '100'), 'title', 'Tug');
    expect(fleetCalls(plan, [a, b, other], kinds).differs).toEqual([
      {
        is: 'call',
        fleetId: '100',
        says: [
          { text: 'Ferry number 1', unitIds: [b.id] },
          { text: 'Tug', unitIds: [c.id] },
        ],
      },
    ]);
  });
  it('a set that answers to another ID than it is called by is named, and so is the ID that nobody answers to', () => {
    const other = with_(a, placeOf(a, 'fid', '100'), 'fid', '555');
    expect(fleetCalls(plan, [other, b, c], kinds).differs).toEqual([
      { is: 'own', unitId: a.id, holds: '555', listed: '100', shownBy: [b.id, c.id] },
      { is: 'nobody', fleetId: '100', name: 'Ferry number 1', unitIds: [b.id, c.id] },
    ]);
    const twin = with_(a, placeOf(a, 'fid', '100'), 'fid', '101');
    expect(fleetCalls(plan, [twin, b, c], kinds).differs.map(({ is }) => is)).toEqual([
      'own',
      'twice',
      'nobody',
    ]);
  });
});
