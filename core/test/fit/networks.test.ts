import { type Cell, fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { ChannelSchema, type Trunk } from '@umbrex/core/model';
import { controlChannels } from '@umbrex/core/stations';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { channel, plan, uuid } from '../support/plans';

const SCANNER = shipped('network-scanner');
const tower = (name: string, receiveMHz: number, more: Partial<Trunk> = {}) =>
  channel(name, receiveMHz, null, {
    mode: 'digital',
    service: 'other',
    trunk: { network: 'County', carries: 'control', isLocal: true, ...more },
  });
const cells = (channels: Parameters<typeof plan>[0], device = fitDevice(SCANNER)): readonly Cell[] =>
  fitPlan(plan(channels), device).cells;
const places = (all: readonly Cell[]) => all.map(({ slot }) => slot?.label ?? null);

describe('a trunked system on a network scanner', () => {
  const system = [
    tower('County south', 771.35625),
    tower('County north', 772.35625, { isLocal: false }),
    tower('County west', 773.35625, { isLocal: 'unknown' }),
    tower('County calls', 769.11875, { carries: 'calls' }),
  ];
  it('takes the local control channel alone, past the network that is in it from the factory', () => {
    expect(
      cells(system).map(({ verdict, slot, findings }) => [verdict, slot?.label, findings[0]?.code]),
    ).toEqual([
      ['listen', 'B-1', 'listen-only-by-plan'],
      ['no', undefined, 'tower-not-local'],
      ['unknown', undefined, 'tower-unknown'],
      ['no', undefined, 'trunk-calls'],
    ]);
  });
  it('is set by network, tower, and the on/off key, and proves', () => {
    const { sheet, proof, fit } = prepare(plan(system), SCANNER);
    expect(proof).toMatchObject({ proven: true, slowToo: true });
    expect(fit.image.slots.get(11)?.values).toEqual({ control: 771_356_250, title: 'CO SOUTH', mark: 1 });
    // NET, E past network A; NET, one step to B, E; eight digits, E; the name; ON; SCAN.
    const pressed = sheet.steps.flatMap(({ runs }) =>
      runs.flatMap((run) => (run.do === 'press' ? Array.from({ length: run.times }, () => run.key) : [])),
    );
    expect(sheet.steps[0]?.runs).toEqual([{ do: 'power' }]);
    expect(pressed.slice(0, 5)).toEqual(['net', 'enter', 'net', 'up', 'enter']);
    expect(pressed.slice(5, 14).join(' ')).toBe('d7 d7 d1 d3 d5 d6 d2 d5 enter');
    expect(pressed).toContain('onoff');
    // Names come last, then it follows.
    expect(pressed.slice(-2)).toEqual(['enter', 'scan']);
  });
  it('needs no entry where the factory’s network has the tower: it is switched on', () => {
    const { fit, sheet } = prepare(plan([tower('Old one', 851.2625)]), SCANNER);
    expect(places(fit.cells)).toEqual(['A-2']);
    expect(sheet.steps.at(-2)).toMatchObject({ says: 'Switch the tower ON.', promises: 'TOWER A-2 ON' });
  });
  it('keeps one network to a block, and each network in one', () => {
    const all = [
      tower('N1', 771.1),
      tower('S1', 771.2, { network: 'South' }),
      tower('N2', 771.3),
      ...Array.from({ length: 7 }, (_, k) => tower(`N${k + 3}`, 772 + k * 0.1)),
      tower('W1', 774.1, { network: 'West' }),
      tower('E1', 774.2, { network: 'East' }),
    ].map((one, i) => ({ ...one, id: uuid(700 + i) }));
    expect(places(cells(all))).toEqual([
      ...['B-1', 'C-1', 'B-2', 'B-3', 'B-4', 'B-5', 'B-6', 'B-7', 'B-8'],
      null,
      'D-1',
      null,
    ]);
  });
  it('leaves a block alone that its holder filled with another network', () => {
    const present = fitDevice(SCANNER).present;
    const filled = { ...present, slots: new Map(present.slots) };
    filled.slots.set(12, { control: 773_006_250, title: 'MINE', mark: 1 });
    expect(places(cells([tower('County south', 771.35625)], fitDevice(SCANNER, filled)))).toEqual(['C-1']);
    expect(places(cells([tower('Mine too', 773.00625)], fitDevice(SCANNER, filled)))).toEqual(['B-2']);
  });
  it('does not take the number of the fleet where that would mix two networks', () => {
    const [north, south] = [tower('North', 771.1), tower('South', 771.2, { network: 'South' })];
    const numbers = { [north.id]: 11, [south.id]: 12 };
    expect(places(fitPlan(plan([north, south]), fitDevice(SCANNER), numbers).cells)).toEqual(['B-1', 'C-1']);
  });
  it('is nothing for any other set, and nothing else goes into its places', () => {
    for (const description of SHIPPED.filter(({ id }) => id !== 'network-scanner'))
      expect(cells([tower('County south', 460.5)], fitDevice(description))[0], description.id).toMatchObject({
        verdict: 'no',
        findings: [{ code: 'trunk-not-here' }],
      });
    const dispatch = channel('Dispatch', 460.5, null, { mode: 'digital', service: 'other' });
    expect(cells([dispatch])[0]).toMatchObject({ verdict: 'no', findings: [{ code: 'only-networks' }] });
  });
});

describe('what a trunked site gives a plan', () => {
  const site = {
    id: uuid(1),
    kind: 'trunked' as const,
    name: 'Ostrel county system of the whole island',
    site: null,
    facts: [
      { field: 'controlHz' as const, value: [771_356_250, 771_606_250], source: 'county', on: '2026-01-15' },
    ],
    permission: {
      state: 'unknown' as const,
      by: '',
      on: 'unknown' as const,
      note: '',
      expires: 'unknown' as const,
    },
    reports: [],
    note: '',
  };
  const context = { groupId: uuid(3), channels: [] };
  it('is its control channels, to listen to, with nobody having said which tower is heard', () => {
    const made = controlChannels(site, context, () => uuid(9));
    expect(made.map(({ name }) => name)).toEqual([
      'Ostrel county system of the wh 771.35625',
      'Ostrel county system of the wh 771.60625',
    ]);
    for (const one of made) {
      expect(ChannelSchema.safeParse(one).success).toBe(true);
      expect(one).toMatchObject({ transmitHz: null, mode: 'digital', trunk: { isLocal: 'unknown' } });
    }
  });
  it('leaves out what the plan has already', () =>
    expect(
      controlChannels(site, { ...context, channels: [tower('There', 771.35625)] }, () => uuid(9)),
    ).toHaveLength(1));
});

describe('a channel of a network', () => {
  it('that would send is refused', () => {
    const sends = { ...tower('County', 771.35625), transmitHz: 771_356_250 };
    const result = ChannelSchema.safeParse(sends);
    expect(result.error?.issues[0]?.path).toEqual(['transmitHz']);
  });
});
