import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import {
  DescriptionSchema,
  factoryMemory,
  ListSchema,
  listItems,
  type Plan,
  slotReader,
  slotsOf,
  valuesIn,
} from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { channel, plan } from '../support/plans';
import { told } from '../support/told';

describe('a free transmit frequency', () => {
  const FIELD = shipped('field-mobile');
  const SPLIT = channel('Split', 151.01, 155.34, { service: 'business', bandwidth: 'narrow' });
  const wide: Plan = {
    ...plan([SPLIT, channel('Heard', 152.3, null, { service: 'business' })]),
    licensed: [
      {
        name: 'Ferry',
        receiveHz: 151_010_000,
        transmitHz: 155_340_000,
        bandwidthHz: 11_250,
        maxPowerW: 50,
        licence: 'OSTREL 1',
        area: '',
        expires: '2099-12-31',
      },
      {
        name: 'Heard',
        receiveHz: 152_300_000,
        transmitHz: 152_300_000,
        bandwidthHz: 11_250,
        maxPowerW: 50,
        licence: 'OSTREL 1',
        area: '',
        expires: '2099-12-31',
      },
    ],
  };
  it('is typed as it is, with any distance, and proves; where the set only listens it is where it hears', () => {
    const { sheet, proof, fit } = prepare(wide, FIELD);
    expect(proof.firstDifference).toBeNull();
    expect(fit.cells.map(({ verdict }) => ['full', 'adapted'].includes(verdict))).toEqual([true, false]);
    const at = (i: number) => fit.image.slots.get(fit.cells[i]?.slot?.number ?? -1);
    expect(told(at(0)?.content).transmitHz).toBe(155_340_000);
    expect([at(0)?.values.txf, at(1)?.values.txf]).toEqual([155_340_000, 152_300_000]);
    expect(sheet.steps.some(({ says }) => says === 'Type the frequency it sends on, 155.3400.')).toBe(true);
  });
  it('is read back as where it sends; 0 is where it hears, and what no transmitter reaches is nowhere', () => {
    const read = slotReader(FIELD);
    const [slot] = slotsOf(FIELD);
    if (!slot) throw new Error('no place');
    const at = (txf: number) => told(read(slot, { rx: 150_100_000, txf })).transmitHz;
    expect([at(155_340_000), at(0), at(462_550_000)]).toEqual([155_340_000, 150_100_000, null]);
  });
});

describe('modulation a place', () => {
  const RECEIVER = shipped('wideband-receiver');
  it('is AM in the air band and FM elsewhere, and the sheet sets and proves it', () => {
    const both = plan([
      channel('Tower', 118.3, null, { mode: 'AM', service: 'airband' }),
      channel('Two metres', 145.5, null, { service: 'other' }),
    ]);
    const { fit, sheet, proof } = prepare(both, RECEIVER);
    expect(
      fit.cells.map(({ slot }) => told(fit.image.slots.get(slot?.number ?? -1)?.content).modulation),
    ).toEqual(['AM', 'FM']);
    expect(sheet.steps.some(({ recipe }) => recipe.startsWith('/recipes/set/sound'))).toBe(true);
    expect(proof.proven).toBe(true);
  });
  it('that a set does not have in its list is no place for the channel', () => {
    const fmOnly = {
      ...RECEIVER,
      lists: {
        ...RECEIVER.lists,
        modes: [{ kind: 'items' as const, items: [{ shown: 'FM', means: 'FM' }] }],
      },
    };
    const [cell] = fitPlan(
      plan([channel('Tower', 118.3, null, { mode: 'AM', service: 'airband' })]),
      fitDevice(fmOnly),
    ).cells;
    expect(cell).toMatchObject({ verdict: 'no', findings: [{ code: 'mode-not-here' }] });
  });
});

describe('power that a band limits', () => {
  const GUIDED = shipped('guided-handheld');
  const limited = DescriptionSchema.parse({
    ...GUIDED,
    transmit: {
      ...(GUIDED.transmit as object),
      bands: [
        { fromHz: 136_000_000, toHz: 174_000_000 },
        { fromHz: 400_000_000, toHz: 480_000_000, mostPowerW: 0.5 },
      ],
    },
  });
  it('counts for what the law allows and for what is read back', () => {
    const direct = channel('Direct', 462.5625, 462.5625, { bandwidth: 'wide' });
    const power = (description: typeof GUIDED) => {
      const { image, cells } = fitPlan(plan([direct]), fitDevice(description));
      return told(image.slots.get(cells[0]?.slot?.number ?? -1)?.content).powerW;
    };
    expect(power(limited)).toBe(0.5);
    expect(power(GUIDED)).toBeGreaterThan(0.5);
    const { proof, fit, wanted } = prepare(plan([direct]), limited);
    expect(proof.proven).toBe(true);
    const [[number, values] = [0, null]] = [...wanted.slots];
    const slot = slotsOf(limited).find((one) => one.number === number);
    expect(slot && told(slotReader(limited)(slot, values)).powerW).toBe(0.5);
    expect(fit.cells[0]?.verdict).not.toBe('no');
    expect(factoryMemory(limited).slots.size).toBeGreaterThan(0);
  });
});

describe('a list of frequencies as a range', () => {
  it('is every step from the lowest to the highest, counted from 1', () =>
    expect(
      listItems([
        {
          kind: 'range',
          fromHz: 462_550_000,
          toHz: 462_600_000,
          stepHz: 12_500,
          shown: '{nth:3} {mhz}',
          typed: '{nth:3}',
        },
      ]),
    ).toEqual([
      { shown: '001 462.5500', typed: '001', means: 462_550_000 },
      { shown: '002 462.5625', typed: '002', means: 462_562_500 },
      { shown: '003 462.5750', typed: '003', means: 462_575_000 },
      { shown: '004 462.5875', typed: '004', means: 462_587_500 },
      { shown: '005 462.6000', typed: '005', means: 462_600_000 },
    ]));
  it('is counted without being written out, as every other; all lists together have an end', () => {
    for (const { lists } of SHIPPED)
      for (const list of Object.values(lists)) expect(valuesIn(list)).toBe(listItems(list).length);
    const most = { kind: 'numbers', from: 0, to: 50_000, shown: '{n}' } as const;
    const { success, error } = DescriptionSchema.safeParse({
      ...shipped('guided-handheld'),
      lists: { ...shipped('guided-handheld').lists, most: [most] },
    });
    expect([success, error?.issues[0]?.path]).toEqual([false, ['lists']]);
  });
  it('may be of shifts, and has an end', () => {
    expect(
      listItems([{ kind: 'range', fromHz: -600_000, toHz: 600_000, stepHz: 600_000, shown: '{mhz}' }]).map(
        ({ means }) => means,
      ),
    ).toEqual([-600_000, 0, 600_000]);
    const safe = (toHz: number, stepHz: number) =>
      ListSchema.safeParse([{ kind: 'range', fromHz: 0, toHz, stepHz, shown: '{mhz}' }]).success;
    expect([safe(1_000_000, 1000), safe(-1, 1000), safe(100_000_000, 1)]).toEqual([true, false, false]);
  });
});
