import { reviewPlan } from '@umbrex/core/check';
import type { Decided } from '@umbrex/core/model';
import { blockersOf, choicesOf, costOf, type SheetCost, sheetCost } from '@umbrex/core/publish';
import { describe, expect, it } from 'vitest';
import { channel, plan, unit, uuid } from './support/plans';

const sheet = (n: number, more: Partial<SheetCost> = {}): SheetCost => ({
  unitId: uuid(n),
  descriptionId: 'page-handheld',
  personId: uuid(900 + (n % 2)),
  isBroken: false,
  stops: [],
  isTouched: true,
  isUpToDate: false,
  begins: null,
  presses: 100,
  namePresses: 40,
  minutes: 2.2,
  ...more,
});
const KELP = channel('Kelp', 462.65, 467.65, {
  transmitTone: '131.8',
  receiveTone: '131.8',
  bandwidth: 'wide',
});
const PLAN = plan([KELP]);

describe('what stops a draft', () => {
  it('is nothing where Check has nothing to mend and every sheet proves', () => {
    expect(blockersOf(PLAN, [], [sheet(1), sheet(2, { stops: ['own-places'] })], [])).toEqual([]);
  });
  it('is what Check says is to be mended, each by a mark that stays the same', () => {
    // Sending on a weather frequency: nobody may.
    const wrong = plan([channel('Weather', 162.4, 162.4, { service: 'weather' })]);
    const stops = () => blockersOf(wrong, reviewPlan(wrong, { today: '2026-11-29' }), [], []);
    expect(stops()[0]).toMatchObject({ code: 'plan-wrong', found: { next: 'fix' } });
    expect(stops().map(({ mark }) => mark)).toEqual(stops().map(({ mark }) => mark));
    expect(new Set(stops().map(({ mark }) => mark)).size).toBe(stops().length);
    // The same finding at another place of the plan is the same thing.
    const moved = plan([KELP, ...wrong.channels]);
    const marks = blockersOf(moved, reviewPlan(moved, { today: '2026-11-29' }), [], []).map(
      ({ mark }) => mark,
    );
    expect(marks).toContain(stops()[0]?.mark);
  });
  it('is a repeater whose keeper nobody asked, and one that only Check asks about, once each', () => {
    const unsettled = [{ receiveHz: 462_650_000, transmitHz: 467_650_000 }];
    expect(blockersOf(PLAN, [], [], unsettled)).toEqual([
      { mark: `permission ${KELP.id}`, code: 'permission-open', channelId: KELP.id },
    ]);
    const asked = plan([{ ...KELP, access: 'permission' }]);
    const review = reviewPlan(asked, { today: '2026-11-29' });
    expect(
      blockersOf(asked, review, [], unsettled).filter(({ code }) => code === 'permission-open').length,
    ).toBe(1);
    expect(blockersOf(PLAN, [], [], [{ receiveHz: 462_650_000, transmitHz: 467_675_000 }])).toEqual([]);
  });
  it('is a kind whose sheets do not prove or cannot be made, and alert radios that would not sound', () => {
    const sheets = [
      sheet(1, { stops: ['not-proven'] }),
      sheet(2, { stops: ['not-proven', 'own-places'] }),
      sheet(3, { descriptionId: 'bank-handheld', isBroken: true }),
      sheet(4, { descriptionId: 'menu-alert', stops: ['no-areas', 'no-transmitter'] }),
      sheet(5, { descriptionId: 'slot-alert', stops: ['no-areas'] }),
    ];
    expect(blockersOf(PLAN, [], sheets, [])).toEqual([
      {
        mark: 'not-proven page-handheld',
        code: 'sheet-not-proven',
        descriptionId: 'page-handheld',
        unitIds: [uuid(1), uuid(2)],
      },
      {
        mark: 'not-made bank-handheld',
        code: 'sheet-not-made',
        descriptionId: 'bank-handheld',
        unitIds: [uuid(3)],
      },
      { mark: 'alert-no-areas', code: 'alert-no-areas', unitIds: [uuid(4), uuid(5)] },
      { mark: 'alert-no-transmitter', code: 'alert-no-transmitter', unitIds: [uuid(4)] },
    ]);
  });
});

describe('what it costs', () => {
  it('is counted over the sets that change, minutes upwards for each of them, people once', () => {
    const sheets = [
      sheet(1),
      sheet(2),
      sheet(3),
      sheet(4, { isTouched: false }),
      sheet(5, { personId: null }),
    ];
    expect(costOf(sheets)).toEqual({ sets: 5, touched: 4, people: 2, presses: 400, minutes: 12 });
    expect(costOf([])).toEqual({ sets: 0, touched: 0, people: 0, presses: 0, minutes: 0 });
  });
});

describe('what a sheet comes to', () => {
  const changes = { places: [{}], settings: [] } as never;
  it('is nothing for one that could not be made', () => {
    const more = { isUpToDate: false, stops: [], namePresses: 0, minutes: 0 };
    expect(sheetCost(unit(1, 'page-handheld'), undefined, more)).toMatchObject({
      isBroken: true,
      isTouched: false,
      presses: 0,
      begins: 'keep',
    });
    const known = unit(1, 'page-handheld', { holds: { what: 'factory', on: 'unknown', rest: 'factory' } });
    const made = sheetCost(known, { changes, sheet: { presses: 7 } as never }, more);
    expect(made).toMatchObject({ isBroken: false, isTouched: true, presses: 7, begins: null });
    expect(sheetCost(unit(1, 'page-handheld', { start: 'reset' }), undefined, more).begins).toBe('clean');
  });
});

describe('the choices', () => {
  const choices = (of = PLAN, sheets = [sheet(1)], licences: number[] = [1], before: Decided[] = []) =>
    new Map(
      choicesOf(
        of,
        sheets,
        licences.map((n) => ({ licences: Array.from({ length: n }, () => ({}) as never) })),
        before,
      ).map((one) => [one.choice, one]),
    );
  const silent = (n: number) =>
    channel(`Silent ${n}`, 462.55 + n / 40, 467.55 + n / 40, { receiveTone: 'off' });
  it('propose one channel of priority, and say how many have it', () => {
    const first = (name: string) => channel(name, 462.55, 467.55, { scan: 'priority' });
    expect(choices(plan([])).get('priority')).toMatchObject({
      value: 'none',
      proposed: 'none',
      of: 0,
      all: 0,
    });
    expect(choices(plan([KELP])).get('priority')).toMatchObject({
      value: 'none',
      proposed: 'one',
      of: 0,
      all: 1,
    });
    expect(choices(plan([KELP, first('A')])).get('priority')).toMatchObject({ value: 'one', of: 1, all: 2 });
    expect(choices(plan([first('A'), first('B')])).get('priority')).toMatchObject({
      value: 'several',
      proposed: 'one',
    });
  });
  it('propose to wait for tones while at least half of the repeaters send one that is known', () => {
    expect(choices().get('tones')).toMatchObject({ value: 'closed', proposed: 'closed', of: 1, all: 1 });
    expect(choices(plan([KELP, silent(0)])).get('tones')).toMatchObject({
      proposed: 'closed',
      of: 1,
      all: 2,
    });
    expect(choices(plan([KELP, silent(0), silent(1)])).get('tones')).toMatchObject({
      proposed: 'open',
      of: 1,
      all: 3,
    });
    expect(choices(plan([])).get('tones')).toMatchObject({ proposed: 'closed', of: 0, all: 0 });
  });
  it('propose to leave names for later where they take more than half of the presses', () => {
    expect(choices(PLAN, [sheet(1, { namePresses: 50 })]).get('names')).toMatchObject({
      proposed: 'now',
      of: 50,
      all: 100,
    });
    expect(choices(PLAN, [sheet(1, { namePresses: 51 })]).get('names')).toMatchObject({ proposed: 'later' });
    const still = sheet(2, { isTouched: false, namePresses: 900 });
    expect(choices(PLAN, [sheet(1, { namePresses: 50 }), still]).get('names')).toMatchObject({ of: 50 });
  });
  it('propose that spares listen while somebody on the roster has no licence', () => {
    expect(choices(PLAN, [], [1, 2]).get('spares')).toMatchObject({ proposed: 'licensed', of: 0, all: 2 });
    expect(choices(PLAN, [], [1, 0]).get('spares')).toMatchObject({ proposed: 'listen-only', of: 1, all: 2 });
    expect(choices(PLAN, [], [1, 0]).get('without-right')).toMatchObject({
      proposed: 'leave-out',
      of: 1,
      all: 2,
    });
  });
  it('of planned channels and of what sets hold already, each with its figures', () => {
    const early = channel('Early', 462.7, 467.7, { state: 'planned' });
    expect(choices(plan([KELP, early])).get('planned')).toMatchObject({ value: 'load', of: 1, all: 2 });
    const begins = (...ways: SheetCost['begins'][]) =>
      choices(
        PLAN,
        ways.map((way, n) => sheet(n, { begins: way })),
      ).get('start');
    expect(begins(null)).toMatchObject({ value: 'keep', of: 0, all: 0 });
    expect(begins('keep', 'keep', null)).toMatchObject({ value: 'keep', of: 0, all: 2 });
    expect(begins('keep', 'clean')).toMatchObject({ value: 'both', proposed: 'keep', of: 1, all: 2 });
    expect(begins('clean', null)).toMatchObject({ value: 'clean', of: 1, all: 1 });
  });
  it('stand as somebody decided them, until another value is taken', () => {
    const decided: Decided = { choice: 'tones', value: 'closed', by: 'Ines', day: '2026-09-05' };
    expect(choices(PLAN, [], [], [decided]).get('tones')?.decided).toEqual(decided);
    expect(choices(plan([KELP], 'open'), [], [], [decided]).get('tones')?.decided).toBeUndefined();
    expect(choices(PLAN, [], [], [decided]).get('spares')?.decided).toBeUndefined();
  });
});
