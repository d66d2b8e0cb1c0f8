import { fitBoard, fitDevice, fitPlan, namingOf, withoutNames, writesNames } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { type Description, factoryMemory, type Naming, type Plan } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { OSTREL, unit } from '../support/plans';
import { told } from '../support/told';

const AMATEUR = shipped('amateur-handheld');
const saying = (all: Naming, kinds: Record<string, Naming> = {}): Plan => ({
  ...OSTREL,
  naming: { all, kinds },
});

describe('whether names are written', () => {
  it('the set goes before its kind, the kind before the plan', () => {
    const plan = saying('later', { 'amateur-handheld': 'never' });
    expect(namingOf(plan, AMATEUR)).toBe('never');
    expect(namingOf(plan, AMATEUR, 'now')).toBe('now');
    expect(namingOf(plan, shipped('guided-handheld'))).toBe('later');
    expect(namingOf({}, AMATEUR)).toBe('now');
  });
  it('a program writes them unless nobody wants them', () => {
    const cable = shipped('cable-handheld');
    expect(
      (['now', 'later', 'needed', 'never'] as const).map((all) => writesNames(saying(all), cable)),
    ).toEqual([true, true, true, false]);
  });
  it('only where the display shows nothing else: not on one that shows numbers, but on one that shows names alone', () => {
    const nameOnly = structuredClone(AMATEUR) as Description;
    const start = nameOnly.behaviour?.modes[nameOnly.behaviour.start];
    if (!start) throw new Error('no start');
    start.screen = ['{name}'];
    expect([writesNames(saying('needed'), AMATEUR), writesNames(saying('needed'), nameOnly)]).toEqual([
      false,
      true,
    ]);
    // Where nobody knows what it shows, it may show nothing else.
    const { behaviour: _, ...unknown } = AMATEUR;
    expect(writesNames(saying('needed'), unknown)).toBe(true);
  });
  it('a name that is not written had not to be shortened: the board and the sheet say the same', () => {
    const units = [unit(1, 'guided-handheld'), unit(2, 'guided-handheld', { names: 'now' })];
    const GUIDED = shipped('guided-handheld');
    const plan = saying('never');
    const board = fitBoard(plan, units, [GUIDED], NO_GROUNDS);
    expect(board.kinds.map(({ unitIds }) => unitIds)).toEqual([[units[0]?.id], [units[1]?.id]]);
    for (const one of units) {
      const kind = board.kinds.find(({ unitIds }) => unitIds.includes(one.id));
      expect(prepare(plan, GUIDED, one).fit.cells).toEqual(kind?.cells);
    }
    const codes = board.kinds.map(({ cells }) =>
      cells.flatMap(({ findings }) => findings.map(({ code }) => code)),
    );
    expect(codes.map((of) => of.includes('name-shortened'))).toEqual([false, true]);
    const full = board.kinds.map(({ cells }) => cells.filter(({ verdict }) => verdict === 'full').length);
    expect(full[0]).toBeGreaterThan(full[1] ?? 0);
  });
  it('the sheet follows, and proves', () => {
    const sheet = (all: Naming, names: Parameters<typeof unit>[2] = {}) => {
      const { sheet, proof, fit } = prepare(saying(all), AMATEUR, unit(1, 'amateur-handheld', names));
      expect(proof.proven).toBe(true);
      return [sheet.steps.some(({ part }) => part === 'names'), fit.cells.some(({ name }) => name)];
    };
    expect(sheet('now')).toEqual([true, true]);
    expect(sheet('never')).toEqual([false, false]);
    expect(sheet('needed')).toEqual([false, false]);
    expect(sheet('never', { names: 'now' })).toEqual([true, true]);
    expect(sheet('now', { names: 'later' })).toEqual([false, false]);
  });
});

describe('a fit that leaves names for another day', () => {
  const amateur = shipped('amateur-handheld');
  const name = amateur.fields.find(({ holds }) => holds === 'name')?.id ?? '';
  const one = {
    ...OSTREL,
    channels: OSTREL.channels.filter(({ transmitHz }) => transmitHz !== null).slice(0, 1),
  };
  /** What stands as a name in the place of the one channel, from what is there before; by a set that can empty places or cannot. */
  const written = (there: 'empty' | 'unknown' | string | undefined, mayErase: boolean) => {
    const description: Description = {
      ...amateur,
      recipes: amateur.recipes && {
        ...amateur.recipes,
        erase: mayErase
          ? { regions: amateur.regions.map(({ id }) => id), steps: [] as never }
          : (undefined as never),
      },
    };
    const factory = factoryMemory(description);
    const [slot] = fitDevice(description).freeSlots;
    const fit = fitPlan(one, fitDevice(description));
    const number = fit.cells[0]?.slot?.number ?? -1;
    expect(number).toBe(slot?.number);
    const values = { ...fit.image.slots.get(number)?.values, [name]: there };
    const slots = new Map(factory.slots);
    if (there === 'unknown') slots.delete(number);
    else slots.set(number, there === 'empty' ? null : (values as never));
    const left = withoutNames(fit, description, { ...factory, slots });
    const place = left.image.slots.get(number);
    expect(told(place?.content).name).toBe(place?.values[name]);
    expect(told(place?.content).receiveHz).toBe(one.channels[0]?.receiveHz);
    expect(left.cells[0]?.name === null).toBe(place?.values[name] === '');
    return place?.values[name] === '' ? 'none' : 'its name';
  };
  it.each([
    // What is there, what is written where the set cannot empty a place, and where it can.
    ['empty', 'none', 'none'],
    ['  ', 'none', 'none'],
    ['ANOTHER', 'its name', 'its name'],
    // It may be another one: it goes with the rest of what nobody knows where the place is emptied first.
    [undefined, 'its name', 'none'],
    ['unknown', 'its name', 'none'],
  ])('where it holds %s', (there, without, erased) =>
    expect([written(there, false), written(there, true)]).toEqual([without, erased]),
  );
});
