import { callFinding, hearMatrix } from '@umbrex/core/air';
import { fitDevice, fitPlan, sendsBy } from '@umbrex/core/fit';
import { heldAfter, prepare } from '@umbrex/core/flow';
import { groundsOf } from '@umbrex/core/grounds';
import { numbersWith, type Plan, StationSchema, type Unit } from '@umbrex/core/model';
import { type AirFleet, fleetOnAir, reachSaid, repeatersOn } from '@umbrex/core/onAir';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, SHIPPED } from './support/devices';
import { anyPlan, channel, OSTREL, plan, unit, uuid } from './support/plans';
import { runs } from './support/runs';

const fleetOf = (of: Plan, units: readonly Unit[], more: Partial<AirFleet> = {}): AirFleet => ({
  plan: of,
  units,
  descriptions: SHIPPED,
  grounds: NO_GROUNDS,
  stations: [],
  ...more,
});
const TALKERS = SHIPPED.filter(({ kind }) => kind !== 'repeater' && kind !== 'alert');

describe('sets on a channel as the plan wants them', () => {
  const units = TALKERS.map(({ id }, i) => unit(i + 1, id));
  const onChannel = fleetOnAir(fleetOf(OSTREL, units));
  it.each(TALKERS.map(({ id }, i) => [id, i] as const))(
    '%s: the place and the right that the fit gives',
    (id, i) => {
      const description = SHIPPED.find((one) => one.id === id);
      if (!description) throw new Error(id);
      const { cells } = fitPlan(OSTREL, fitDevice(description), numbersWith(OSTREL));
      for (const one of OSTREL.channels) {
        const cell = cells.find(({ channelId }) => channelId === one.id);
        const found = onChannel(one, 'planned')[i];
        expect(found?.place?.number).toBe(one.trunk ? found?.place?.number : cell?.slot?.number);
        if (found?.place) expect(found.set.maySend).toBe(sendsBy(cell?.verdict ?? 'no'));
        if (cell?.slot && !one.trunk)
          expect(found?.set.place).toMatchObject({ kind: 'channel', receiveHz: one.receiveHz });
      }
    },
  );
  it('a repeater of ours is between the sets and none of them', () => {
    const more = [...units, unit(90, 'repeater', { carries: OSTREL.channels[0]?.id ?? null })];
    const first = OSTREL.channels[0];
    if (!first) throw new Error('no channel');
    expect(fleetOnAir(fleetOf(OSTREL, more))(first, 'planned').map(({ unitId }) => unitId)).toEqual(
      units.map(({ id }) => id),
    );
  });
  it('sets that may talk on a repeater hear each other through it, whatever their kind', () => {
    const gannet = OSTREL.channels[0];
    if (!gannet) throw new Error('no channel');
    const sets = onChannel(gannet, 'planned').filter(({ set }) => set.maySend === true && set.place !== null);
    expect(sets.length).toBeGreaterThan(5);
    const repeaters = repeatersOn(fleetOf(OSTREL, units), gannet, 'planned').map(({ between }) => between);
    const { at } = hearMatrix(
      sets.map(({ set }) => set),
      repeaters,
    );
    for (const i of sets.keys())
      for (const j of sets.keys())
        expect([sets[i]?.unitId, sets[j]?.unitId, at(i, j).hears, at(i, j).gate]).toEqual([
          sets[i]?.unitId,
          sets[j]?.unitId,
          true,
          null,
        ]);
  });
});

describe('sets as they are known to be', () => {
  it('of which nobody looked anything are unknown, also where the factory says where they listen', () => {
    const direct = channel('Direct', 462.5625, 462.5625, { transmitTone: '100.0', receiveTone: '100.0' });
    const sets = fleetOnAir(
      fleetOf(plan([direct]), [
        unit(1, 'page-handheld'),
        unit(2, 'pocket-radio'),
        unit(3, 'amateur-handheld'),
      ]),
    )(direct, 'held');
    expect(sets.map(({ set }) => set.place)).toMatchObject([
      { receiveHz: 462_562_500, transmitTone: 'unknown', receiveTone: 'unknown' },
      { receiveHz: 462_562_500, transmitTone: 'unknown', receiveTone: 'unknown' },
      // It cannot tune there at all.
      null,
    ]);
    const { at } = hearMatrix(
      sets.map(({ set }) => set),
      [],
    );
    expect(at(0, 1)).toMatchObject({ hears: 'unknown', gate: 'receive-tone', at: 'to' });
  });
  it.each(KEYED.filter(({ kind }) => kind !== 'repeater' && kind !== 'alert').map(({ id }) => id))(
    '%s: once a sheet was done, what is held is what was planned',
    (id) => {
      const description = KEYED.find((one) => one.id === id);
      if (!description) throw new Error(id);
      fc.assert(
        fc.property(anyPlan, (any) => {
          const blank = unit(1, id, { holds: { what: 'factory', on: '2026-11-01', rest: 'factory' } });
          const prepared = prepare(any, description, blank);
          const holds = heldAfter(description, prepared, blank.holds, 1, '2026-11-30');
          const sets = fleetOnAir(fleetOf(any, [{ ...blank, holds, pickedTone: 'off' }]));
          for (const one of any.channels) {
            const [asPlanned] = sets(one, 'planned');
            const [asHeld] = sets(one, 'held');
            // A control channel is a place of its own kind, and no call comes there.
            if (!asPlanned?.set.place || one.trunk) continue;
            expect(asHeld?.place).toEqual(asPlanned.place);
            const { name: _, ...wanted } = (asPlanned.set.place ?? {}) as { name?: string };
            expect(asHeld?.set.place).toMatchObject(wanted);
            expect(asHeld?.set.picked).toBe('off');
          }
        }),
        { numRuns: runs(15) },
      );
    },
    60_000,
  );
  it('a tone picked by hand counts as somebody said, and is unknown until then; a set that has none is never asked', () => {
    const direct = channel('Direct', 462.5625, 462.5625);
    const sets = fleetOnAir(
      fleetOf(plan([direct]), [
        unit(1, 'zoned-mobile'),
        unit(2, 'zoned-mobile', { pickedTone: '88.5' }),
        unit(3, 'zoned-mobile', { pickedTone: 'off' }),
        unit(4, 'page-handheld'),
      ]),
    );
    expect(sets(direct, 'held').map(({ set }) => set.picked)).toEqual([
      { tone: 'unknown', reach: 'transmit' },
      { tone: '88.5', reach: 'transmit' },
      'off',
      'off',
    ]);
    expect(sets(direct, 'planned').map(({ set }) => set.picked)).toEqual(['off', 'off', 'off', 'off']);
  });
  it('a set that is lost is not on, and one that was found is', () => {
    const direct = channel('Direct', 462.5625, 462.5625);
    const said = (is: 'lost' | 'well') =>
      ({ what: 'condition', id: uuid(50), day: '2026-11-02', by: '', is, note: '' }) as const;
    const sets = fleetOnAir(
      fleetOf(plan([direct]), [
        unit(1, 'page-handheld', { timeline: [said('lost')] }),
        unit(2, 'page-handheld', { timeline: [said('lost'), { ...said('well'), id: uuid(51) }] }),
      ]),
    )(direct, 'planned');
    expect(sets.map(({ set }) => set.isOn)).toEqual([false, true]);
  });
  it('of somebody without a licence the call stops at their right, and the reason stands beside it', () => {
    const pair = channel('Hill', 462.65, 467.65, { service: 'gmrs' });
    const units = [unit(1, 'page-handheld', { personId: uuid(7) }), unit(2, 'page-handheld')];
    const grounds = groundsOf(units, [], [], '2026-11-30');
    const sets = fleetOnAir(fleetOf(plan([pair]), units, { grounds }))(pair, 'planned');
    expect(sets.map(({ set, why }) => [set.maySend, why?.code])).toEqual([
      [false, 'no-licence'],
      [true, expect.anything()],
    ]);
    const { at } = hearMatrix(
      sets.map(({ set }) => set),
      [],
    );
    expect(callFinding(at(0, 1))).toMatchObject({ code: 'call-stops', gate: 'may-transmit', at: 'from' });
  });
});

describe('the repeaters on a channel', () => {
  const hill = channel('Hill', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '127.3' });
  const says = (field: string, value: unknown) => ({ field, value, source: 'the keeper', on: '2026-11-01' });
  const station = (n: number, facts: readonly unknown[], more = {}) =>
    StationSchema.parse({ id: uuid(n), kind: 'repeater', name: `Tower ${n}`, facts, ...more });
  const pair = [says('outputHz', 462_650_000), says('inputHz', 467_650_000)];
  it('is as the plan says where no list does, and none where the channel is direct', () => {
    expect(repeatersOn(fleetOf(plan([hill]), []), hill, 'planned')).toMatchObject([
      {
        by: 'plan',
        between: {
          inputHz: 467_650_000,
          outputHz: 462_650_000,
          inputTone: '131.8',
          outputTone: '127.3',
          status: 'on-air',
        },
      },
    ]);
    const later = { ...hill, state: 'planned' as const };
    expect(repeatersOn(fleetOf(plan([later]), []), later, 'planned')[0]?.between.status).toBe('planned');
    expect(repeatersOn(fleetOf(plan([]), []), channel('Direct', 462.5625, 462.5625), 'planned')).toEqual([]);
  });
  it('are those of the list that come out there, with what is said of them and no more', () => {
    const stations = [
      station(1, [...pair, says('inputTone', '82.5'), says('status', 'on-air')]),
      station(2, pair),
      station(3, [says('outputHz', 462_675_000)]),
    ];
    expect(repeatersOn(fleetOf(plan([hill]), [], { stations }), hill, 'planned')).toMatchObject([
      {
        name: 'Tower 1',
        by: 'station',
        between: { inputTone: '82.5', outputTone: 'unknown', status: 'on-air' },
      },
      { name: 'Tower 2', by: 'station', between: { inputTone: 'unknown', status: 'unknown' } },
    ]);
  });
  it('the group’s own one is as its memory is known to be; nobody looked, and it is as the list or the plan says', () => {
    const description = SHIPPED.find(({ id }) => id === 'repeater');
    if (!description) throw new Error('no repeater');
    const wanted = { ...hill, transmitTone: '82.5' };
    const blank = unit(5, 'repeater', { carries: hill.id, holds: { what: 'factory', on: '2026-11-01' } });
    const prepared = prepare(plan([wanted]), description, blank);
    const own = { ...blank, holds: heldAfter(description, prepared, blank.holds, 1, '2026-11-30') };
    const held = (units: readonly Unit[]) => repeatersOn(fleetOf(plan([hill]), units), hill, 'held');
    expect(held([own])).toMatchObject([
      { by: 'own-set', between: { inputTone: '82.5', outputTone: '127.3' } },
    ]);
    expect(held([{ ...own, holds: unit(6, 'repeater').holds }])).toMatchObject([{ by: 'plan' }]);
    expect(repeatersOn(fleetOf(plan([hill]), [own]), hill, 'planned')).toMatchObject([{ by: 'plan' }]);
  });
  it('carries as far as both people reach it, by the newest word of each', () => {
    const [ann, ben, cy] = [uuid(11), uuid(12), uuid(13)];
    const reports = [
      { personId: ann, reached: false, on: '2026-01-01' },
      { personId: ann, reached: true, on: '2026-06-01' },
      { personId: ben, reached: true, on: '2026-03-01' },
      { personId: cy, reached: false, on: '2026-03-01' },
    ];
    const [repeater] = repeatersOn(
      fleetOf(plan([hill]), [], { stations: [station(1, pair, { reports })] }),
      hill,
      'planned',
    );
    if (!repeater) throw new Error('no repeater');
    const reach = (from: string | null, to: string | null, through: number | null = 0) =>
      reachSaid({ through }, { personId: from }, { personId: to }, [repeater]);
    expect([
      reach(ann, ben),
      reach(ben, ann),
      reach(ann, cy),
      reach(cy, null),
      reach(ann, null),
      reach(ann, ben, null),
    ]).toEqual(['heard', 'heard', 'not-heard', 'not-heard', 'unknown', 'unknown']);
  });
});
