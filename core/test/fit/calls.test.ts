import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Description, factoryMemory, type Plan, slotReader, slotsOf } from '@umbrex/core/model';
import type { Sender } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { anyPlan, channel, OSTREL, plan } from '../support/plans';
import { runs } from '../support/runs';

/* A selective call is sent by itself, and so is the answer to one: no place where a set may only listen takes part in them. */

const FLEET = shipped('fleet-mobile');
const KELP = channel('Kelp', 462.65, 467.65);
// Half a watt is the most that 467.5625 MHz takes (47 CFR 95.1767(c)), and this set does not go below 5 W.
const HALF_WATT = channel('Half watt', 467.5625, 467.5625, { service: 'gmrs' });
const NOBODY: Sender = { each: [[]], day: '2026-11-25' };

/** Of each channel: what becomes of it, and whether its place takes part in calls. */
function marks(of: Plan, device: Description, sender?: Sender) {
  const { cells, image } = fitPlan(
    of,
    fitDevice(device, factoryMemory(device), sender ? { sender } : undefined),
  );
  return cells.map(({ verdict, slot }) => {
    const content = slot && image.slots.get(slot.number)?.content;
    return [verdict, content && 'inCalls' in content ? content.inCalls : undefined];
  });
}

describe('selective calls', () => {
  it('are where the set may talk, and nowhere else', () => {
    const [kelp, half] = marks(plan([KELP, HALF_WATT]), FLEET);
    expect(kelp?.[1]).toBe(true);
    expect(half).toEqual(['listen', false]);
  });
  it('are nowhere for a holder without a licence, also where the place is loaded with a warning', () => {
    const of: Plan = { ...plan([KELP]), withoutRight: 'warn' };
    expect(marks(of, FLEET, NOBODY)).toEqual([['listen', false]]);
  });
  it('stand in the memory as they stand on the board, and are taken off where the right went', () => {
    const places = new Map(slotsOf(FLEET).map((slot) => [slot.number, slot]));
    const read = slotReader(FLEET);
    const of: Plan = { ...plan([KELP]), withoutRight: 'warn' };
    const licensed = fitPlan(of, fitDevice(FLEET, factoryMemory(FLEET)));
    const loaded = memoryAfter(FLEET, licensed.image);
    const number = licensed.cells[0]?.slot?.number ?? 0;
    const said = (values: Parameters<typeof read>[1]) => {
      const slot = places.get(number);
      return slot && read(slot, values);
    };
    expect(said(loaded.slots.get(number) ?? null)).toMatchObject({ inCalls: true });
    const lapsed = fitPlan(of, fitDevice(FLEET, loaded, { sender: NOBODY }));
    expect(said(lapsed.image.slots.get(number)?.values ?? null)).toMatchObject({ inCalls: false });
  });
  it('on a set that takes part everywhere and cannot be told otherwise, that is said where it may only listen', () => {
    const fields = FLEET.fields.map((field) => (field.id === 'sel' ? { ...field, factory: 1 } : field));
    const regions = FLEET.regions.map((region) => ({
      ...region,
      ways: region.ways.map((way) => ({ ...way, fields: way.fields.filter((id) => id !== 'sel') })),
    }));
    const open = { ...FLEET, fields, regions };
    const { cells } = fitPlan(plan([KELP, HALF_WATT]), fitDevice(open, factoryMemory(open)));
    expect(
      cells.map(({ findings }) => findings.some(({ code }) => code === 'calls-where-listening')),
    ).toEqual([false, true]);
  });
  it('any plan, with and without the right: a place takes part only where every channel of it may be talked on', () => {
    fc.assert(
      fc.property(anyPlan, fc.boolean(), fc.constantFrom('leave-out', 'warn'), (any, may, withoutRight) => {
        const of = { ...any, withoutRight } as Plan;
        const { cells, image } = fitPlan(
          of,
          fitDevice(FLEET, factoryMemory(FLEET), may ? undefined : { sender: NOBODY }),
        );
        const verdicts = new Map(cells.map(({ channelId, verdict }) => [channelId, verdict]));
        for (const { channelIds, content } of image.slots.values()) {
          if (channelIds.length === 0 || !('inCalls' in content)) continue;
          const all = channelIds.every((id) => /^(full|adapted)$/.test(verdicts.get(id) ?? ''));
          expect(content.inCalls).toBe(all);
        }
      }),
      { numRuns: runs(60) },
    );
  });
  it('the island’s fleet sets take part where they talk', () => {
    const talking = marks(OSTREL, FLEET).filter(([verdict]) => verdict === 'full' || verdict === 'adapted');
    expect(talking.length).toBeGreaterThan(3);
    expect(new Set(talking.map(([, isIn]) => isIn))).toEqual(new Set([true]));
  });
});
