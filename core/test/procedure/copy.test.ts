import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { isSameMemory } from '@umbrex/core/memory';
import { factoryMemory, type Memory } from '@umbrex/core/model';
import { copySteps, offerCopy, proveCopy, VirtualDevice } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { anyPlan, channel, plan, unit } from '../support/plans';
import { runs } from '../support/runs';

const COUNTING = shipped('counting-handheld');
const DECK_HZ = 451_812_500;
const deck = { ...channel('Deck', 451.8125, 451.8125, { service: 'business' }), transmitTone: '103.5' };
const licence = {
  name: 'Deck',
  receiveHz: DECK_HZ,
  transmitHz: DECK_HZ,
  bandwidthHz: 12_500,
  maxPowerW: 2,
  licence: 'Ferry, invented',
  area: '',
  expires: 'unknown' as const,
};
const loaded = memoryAfter(
  COUNTING,
  fitPlan({ ...plan([{ ...deck, receiveTone: '103.5' }]), licensed: [licence] }, fitDevice(COUNTING)).image,
);
const hold = (device: VirtualDevice, key: string, heldMs = 5500) => device.take({ kind: 'key', key, heldMs });

describe('copying from set to set', () => {
  it('gives the second set all that the first one holds, at a calm and a slow hand', () => {
    expect(loaded.slots.get(1)).not.toBeNull();
    const copying = proveCopy(COUNTING, loaded, factoryMemory(COUNTING));
    expect(copying).toMatchObject({ proven: true, slowToo: true, presses: 5, firstDifference: null });
    expect(copying?.steps.map(({ on }) => on)).toEqual(['target', 'source', 'source', 'source', 'target']);
    expect(copying?.screens[1]).toEqual(['light stays on']);
  });
  it('for any plan, whatever the second one held', () =>
    fc.assert(
      fc.property(anyPlan, anyPlan, (one, other) => {
        const [a, b] = [one, other].map(
          (any) => memoryAfter(COUNTING, fitPlan(any, fitDevice(COUNTING)).image) as Memory,
        ) as [Memory, Memory];
        expect(proveCopy(COUNTING, a, b)).toMatchObject({ proven: true });
      }),
      { numRuns: runs(40) },
    ));
  it('is found out when the second set is not waiting, or its maker swapped two steps', () => {
    const slip = structuredClone(COUNTING);
    const [wait, ready, ...rest] = slip.recipes?.copy?.steps ?? [];
    if (!slip.recipes?.copy || !wait || !ready) throw new Error('no copy steps');
    slip.recipes.copy.steps = [ready, ...rest, wait];
    const found = proveCopy(slip, loaded, factoryMemory(slip));
    expect(found).toMatchObject({ proven: false, firstDifference: { code: 'proof-differs', number: 1 } });
  });
  it('takes nothing while it is not waiting, and its hold can be left before anything is lost', () => {
    const set = new VirtualDevice(COUNTING, loaded);
    set.takeCopy(factoryMemory(COUNTING));
    hold(set, 'side');
    hold(set, 'power', 120);
    set.takeCopy(factoryMemory(COUNTING));
    expect(isSameMemory(COUNTING, set.memory(), loaded)).toBe(true);
    hold(set, 'side');
    set.take({ kind: 'wait', ms: 61_000 });
    set.takeCopy(factoryMemory(COUNTING));
    expect(isSameMemory(COUNTING, set.memory(), loaded)).toBe(true);
    hold(set, 'side');
    set.takeCopy(factoryMemory(COUNTING));
    expect(isSameMemory(COUNTING, set.memory(), loaded)).toBe(false);
    expect(set.beeps().slice(-3)).toEqual(['ok', 'ok', 'ok']);
  });
  it('one key away everything is back as the factory left it', () => {
    const set = new VirtualDevice(COUNTING, loaded);
    hold(set, 'minus');
    expect(isSameMemory(COUNTING, set.memory(), factoryMemory(COUNTING))).toBe(true);
  });
  it('is offered from sets that shall hold the very same, and never over something of the holder’s own', () => {
    const set = (n: number, more: Parameters<typeof unit>[2] = {}) => unit(n, 'counting-handheld', more);
    const holds = { what: 'plan' as const, on: '2026-11-01' };
    const others = [
      { unit: set(2, { holds }), shall: loaded },
      { unit: set(3), shall: loaded },
      { unit: set(4), shall: factoryMemory(COUNTING) },
    ];
    const offer = (one: ReturnType<typeof unit>) =>
      offerCopy(COUNTING, { unit: one, shall: loaded, before: factoryMemory(COUNTING), own: [] }, others);
    expect(offer(set(1))).toMatchObject({ ready: ['Set 2'], later: ['Set 3'], why: null });
    expect(offer(set(1, { keeps: [3] }))).toMatchObject({ why: 'own' });
    expect(
      offerCopy(COUNTING, { unit: set(1), shall: loaded, before: loaded, own: [] }, others.slice(2)),
    ).toMatchObject({ ready: [], later: [], why: 'alone' });
  });
  it('is written down for one pattern; no other claims it', () =>
    expect(KEYED.filter((description) => copySteps(description)).map(({ id }) => id)).toEqual([
      'counting-handheld',
    ]));
});
