import {
  BoardFitter,
  carriedBy,
  fitBoard,
  fitDevice,
  fitPlan,
  numberFleet,
  numberingKinds,
  withCarried,
} from '@umbrex/core/fit';
import { compose, prepare } from '@umbrex/core/flow';
import { withFreshIds } from '@umbrex/core/formats';
import { type Carried, PlanSchema, type Unit, UnitSchema } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from '../support/devices';
import { OSTREL } from '../support/plans';
import { runs } from '../support/runs';

const NONE: Carried = { kinds: {}, teams: {}, units: {} };
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const set = (n: number, descriptionId: string, roleId: string | null = null): Unit =>
  UnitSchema.parse({
    id: uuid(n),
    descriptionId,
    nickname: `Set ${n}`,
    holder: '',
    serial: '',
    firmware: 'unknown',
    roleId,
  });
const [first = '', second = '', ...others] = OSTREL.groups.map(({ id }) => id);
const TEAM = uuid(900);
const idsIn = (groupIds: readonly string[]) =>
  OSTREL.channels.flatMap(({ id, groupId }) => (groupIds.includes(groupId) ? [id] : []));
const ofShipped = (id: string) => {
  const found = SHIPPED.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('which groups a set carries', () => {
  const plan = {
    carried: {
      kinds: { 'page-handheld': [first] },
      teams: { [TEAM]: [second] },
      units: { [uuid(1)]: [first, second] },
    },
  };
  const cases: readonly (readonly [string, Unit, ReturnType<typeof carriedBy>])[] = [
    ['nothing is said: all', set(5, 'pocket-radio'), null],
    ['its kind', set(5, 'page-handheld'), { by: 'kind', groupIds: [first] }],
    ['its team before its kind', set(5, 'page-handheld', TEAM), { by: 'team', groupIds: [second] }],
    ['its own before its team', set(1, 'page-handheld', TEAM), { by: 'unit', groupIds: [first, second] }],
    [
      'a team of which nothing is said',
      set(5, 'page-handheld', uuid(901)),
      { by: 'kind', groupIds: [first] },
    ],
  ];
  for (const [title, unit, carries] of cases) it(title, () => expect(carriedBy(plan, unit)).toEqual(carries));
  it('is said and taken back one by one', () => {
    const said = withCarried(withCarried(NONE, 'teams', TEAM, [first]), 'kinds', 'page-handheld', [second]);
    expect(said).toEqual({ kinds: { 'page-handheld': [second] }, teams: { [TEAM]: [first] }, units: {} });
    expect(
      withCarried(withCarried(said, 'teams', TEAM, undefined), 'kinds', 'page-handheld', undefined),
    ).toEqual(NONE);
  });
  it('no plan says that a set carries nothing', () =>
    expect(PlanSchema.safeParse({ ...OSTREL, carried: { ...NONE, units: { [uuid(1)]: [] } } }).success).toBe(
      false,
    ));
  it('goes over to the new ids when a plan is taken in again', () => {
    let n = 5000;
    const copy = withFreshIds({ ...OSTREL, ...plan }, () => uuid(n++));
    const names = (of: typeof OSTREL, ids: readonly string[] = []) =>
      ids.map((id) => of.groups.find((group) => group.id === id)?.name);
    expect(names(copy, copy.carried.kinds['page-handheld'])).toEqual(names(OSTREL, [first]));
    expect(names(copy, copy.carried.units[uuid(1)])).toEqual(names(OSTREL, [first, second]));
  });
});

describe('a set that does not carry all', () => {
  const someGroups = fc
    .subarray(
      OSTREL.groups.map(({ id }) => id),
      { minLength: 1 },
    )
    .map((ids) => [...ids].sort());
  const kind = fc.constantFrom(...SHIPPED.filter(({ regions }) => regions.length > 0));
  it('does with what it carries exactly what it would do were that the plan, but for the names, which are the plan’s', () => {
    fc.assert(
      fc.property(kind, someGroups, (description, groupIds) => {
        const carries = { by: 'unit' as const, groupIds };
        const whole = fitPlan(OSTREL, fitDevice(description, undefined, { carriesGroups: carries }));
        const part = fitPlan(
          { ...OSTREL, channels: OSTREL.channels.filter(({ groupId }) => groupIds.includes(groupId)) },
          fitDevice(description),
        );
        const bare = (cells: typeof part.cells) =>
          cells.map(({ channelId, verdict, slot }) => [
            channelId,
            verdict === 'adapted' ? 'full' : verdict,
            slot?.number,
          ]);
        expect(bare(whole.cells.filter(({ verdict }) => verdict !== 'apart'))).toEqual(bare(part.cells));
        expect([...whole.image.slots.keys()]).toEqual([...part.image.slots.keys()]);
        const apart = whole.cells.filter(({ verdict }) => verdict === 'apart');
        if (groupIds.length < OSTREL.groups.length) {
          const left = OSTREL.channels.filter(({ groupId }) => !groupIds.includes(groupId));
          expect(apart.map(({ channelId }) => channelId)).toEqual(left.map(({ id }) => id));
          for (const { slot, findings } of apart)
            expect([slot, findings.map(({ code }) => code)]).toEqual([null, ['not-carried']]);
        }
      }),
      { numRuns: runs(60), seed: 11 },
    );
  });
  it('board, numbering and sheet say the same, also when it is edited', () => {
    const units = [
      set(1, 'page-handheld'),
      set(2, 'page-handheld', TEAM),
      set(3, 'guided-handheld'),
      set(4, 'page-handheld'),
      set(5, 'pocket-radio'),
    ];
    const fitter = new BoardFitter();
    fc.assert(
      fc.property(
        fc.option(someGroups, { nil: undefined }),
        fc.option(someGroups, { nil: undefined }),
        fc.option(someGroups, { nil: undefined }),
        (ofKind, ofTeam, ofSet) => {
          const said = withCarried(NONE, 'kinds', 'page-handheld', ofKind);
          const carried = withCarried(withCarried(said, 'teams', TEAM, ofTeam), 'units', uuid(4), ofSet);
          const plan = { ...OSTREL, carried };
          const board = fitBoard(plan, units, SHIPPED, NO_GROUNDS);
          expect(fitter.board(plan, units, SHIPPED, NO_GROUNDS)).toEqual(board);
          const numbering = numberFleet(plan, numberingKinds(units, SHIPPED, NO_GROUNDS, plan), {
            last: {},
            pins: {},
          });
          const able = new Map(numbering.channels.map((one) => [one.channelId, one.able]));
          let holding = new Map<string, number>();
          for (const unit of units) {
            const carries = carriedBy(plan, unit);
            const { fit } = compose(plan, ofShipped(unit.descriptionId), { ...unit, carriesGroups: carries });
            const onBoard = board.kinds.find(({ unitIds }) => unitIds.includes(unit.id));
            expect(onBoard?.cells.map(({ verdict, slot }) => [verdict, slot?.number])).toEqual(
              fit.cells.map(({ verdict, slot }) => [verdict, slot?.number]),
            );
            const carriedIds = idsIn(carries?.groupIds ?? OSTREL.groups.map(({ id }) => id));
            for (const { channelId, verdict, slot } of fit.cells) {
              expect(verdict === 'apart').toBe(!carriedIds.includes(channelId));
              if (slot) holding = holding.set(channelId, (holding.get(channelId) ?? 0) + 1);
            }
          }
          for (const [id, sets] of able) expect(sets, id).toBe(holding.get(id) ?? 0);
        },
      ),
      { numRuns: runs(25), seed: 12 },
    );
  });
  it('its sheet proves, and is shorter', () => {
    for (const id of ['page-handheld', 'guided-handheld', 'zoned-mobile']) {
      const description = ofShipped(id);
      const as = { keeps: [], accepts: [], holds: set(1, id).holds };
      const known = { ...as, holds: { ...as.holds, what: 'factory' as const, rest: 'factory' as const } };
      const all = prepare(OSTREL, description, known);
      const some = prepare(OSTREL, description, {
        ...known,
        carriesGroups: { by: 'team', groupIds: [first, ...others] },
      });
      expect(some.proof.proven, id).toBe(true);
      expect(some.sheet.presses, id).toBeLessThan(all.sheet.presses);
    }
  });
  it('a set that was loaded with all and now carries less is changed: what it leaves is emptied or named', () => {
    const description = ofShipped('page-handheld');
    const held = set(1, 'page-handheld').holds;
    const known = { ...held, what: 'factory' as const, rest: 'factory' as const };
    const before = prepare(OSTREL, description, { keeps: [], accepts: [], holds: known });
    const numbers = [...before.fit.image.slots.keys()];
    const holds = {
      ...known,
      what: 'plan' as const,
      wrote: Object.fromEntries(numbers.map((n) => [String(n), 1])),
      places: numbers.map((number) => ({
        number,
        values: { ...before.fit.image.slots.get(number)?.values },
      })),
    };
    const now = compose(OSTREL, description, {
      keeps: [],
      accepts: [],
      holds,
      carriesGroups: { by: 'unit', groupIds: [first] },
    });
    const kept = new Set(now.fit.image.slots.keys());
    for (const number of numbers)
      if (!kept.has(number)) expect(now.wanted.slots.has(number) || now.stays.includes(number)).toBe(true);
    expect(kept.size).toBeLessThan(numbers.length);
  });
});
