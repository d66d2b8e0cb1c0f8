import {
  apply,
  chanceOf,
  completed,
  diff,
  firstDifference,
  heldMemory,
  heldOf,
  isWhollyKnown,
  knownOf,
  unknownMemory,
  unknownPlaces,
  withWanted,
} from '@umbrex/core/memory';
import { type Description, factoryMemory, type Memory, slotsOf } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { runs } from '../support/runs';

/** A memory of which some places, fields and settings are not known. */
function masked(description: Description, memory: Memory, chance: () => number): Memory {
  const unknown = unknownMemory(description);
  const slots = [...memory.slots].flatMap(([number, values]): [number, typeof values][] => {
    const least = unknown.slots.get(number);
    if (chance() < 0.3) return least ? [[number, least]] : [];
    if (values === null) return [[number, null]];
    const some = Object.entries(values).filter(() => chance() < 0.8);
    return [[number, { ...least, ...Object.fromEntries(some) }]];
  });
  const settings = Object.entries(memory.settings).filter(() => chance() < 0.7);
  return { slots: new Map(slots), settings: Object.fromEntries(settings) };
}
const anySeed = fc.integer({ min: 1, max: 2 ** 31 });
const wholeOf = (description: Description, seed: number) =>
  completed(description, unknownMemory(description), chanceOf(seed));

describe.each(SHIPPED.map((description) => [description.id, description] as const))(
  '%s',
  (_, description) => {
    it('any memory with the difference to another one done to it is that one, whatever of it was known', () =>
      fc.assert(
        fc.property(anySeed, anySeed, fc.boolean(), (one, other, isMasked) => {
          const from = wholeOf(description, one);
          const to = wholeOf(description, other);
          const known = isMasked ? masked(description, from, chanceOf(one + other)) : from;
          expect(firstDifference(description, to, apply(known, diff(description, known, to)))).toBeNull();
          expect(diff(description, to, to)).toEqual({ places: [], settings: [] });
        }),
        { numRuns: runs(20) },
      ));
    it('what is completed agrees with what is known, and is known whole', () =>
      fc.assert(
        fc.property(anySeed, (seed) => {
          const known = masked(description, wholeOf(description, seed), chanceOf(seed + 1));
          const whole = completed(description, known, chanceOf(seed + 2));
          expect(isWhollyKnown(description, whole)).toBe(true);
          for (const [number, values] of known.slots)
            expect(values && whole.slots.get(number)).toEqual(
              values && { ...whole.slots.get(number), ...values },
            );
          expect(whole.settings).toMatchObject(known.settings);
        }),
        { numRuns: runs(20) },
      ));
    it('what is known goes into its words and comes back, with the rest from the factory or unknown', () =>
      fc.assert(
        fc.property(anySeed, fc.constantFrom('factory' as const, 'unknown' as const), (seed, rest) => {
          const whole = wholeOf(description, seed);
          const held = heldOf(description, whole, rest);
          const { memory, notUnderstood } = heldMemory(description, held);
          // Values that the set shows alike cannot be told apart in its words; none of the shipped ones has such.
          expect(notUnderstood).toEqual([]);
          expect(firstDifference(description, whole, memory)).toBeNull();
        }),
        { numRuns: runs(10) },
      ));
    it('of a set that nobody looked at nothing is known that a key or a cable could change', () => {
      const unknown = unknownMemory(description);
      for (const slot of slotsOf(description)) {
        const settable = slot.region.ways.flatMap(({ fields }) => fields);
        const { state } = knownOf(description, slot, unknown);
        if (settable.length > 0 || !slot.fixed)
          expect(unknownPlaces(description, unknown)).toContain(slot.number);
        if (!slot.fixed) expect(state).toBe('unknown');
      }
    });
  },
);

describe('what is known, in words', () => {
  it('a place of which nothing is known but that it is used is not named: it would say nothing', () => {
    const page = shipped('page-handheld');
    const free = slotsOf(page).find(({ fixed }) => !fixed)?.number ?? -1;
    const named = (values: Record<string, never> | null, rest: 'factory' | 'unknown') =>
      heldOf(page, { slots: new Map([[free, values]]), settings: {} }, rest).places;
    expect([named({}, 'factory'), named({}, 'unknown')]).toEqual([[], []]);
    // An empty one says something where the rest is not known, and nothing where all are so.
    expect([named(null, 'factory'), named(null, 'unknown')]).toEqual([[], [{ number: free, values: null }]]);
  });
});

describe('what is wanted', () => {
  const PAGE = shipped('page-handheld');
  it('leaves everything alone that it does not name', () => {
    const before = factoryMemory(PAGE);
    const after = withWanted(PAGE, before, { slots: new Map([[5, { txTone: 3, rxTone: 0 }]]), settings: {} });
    expect(after.slots.get(5)).toMatchObject({ txTone: 3, rxTone: 0 });
    expect(
      firstDifference(PAGE, before, {
        ...after,
        slots: new Map([...after.slots, [5, before.slots.get(5) ?? null]]),
      }),
    ).toBeNull();
  });
  it('an empty place that shall be empty, and a place that is right, are no change; an unknown one is', () => {
    const known = factoryMemory(PAGE);
    const right = known.slots.get(5) ?? null;
    const wanted = {
      slots: new Map([
        [45, null],
        [5, right],
      ]),
      settings: { beep: known.settings.beep ?? 0 },
    };
    expect(diff(PAGE, known, wanted)).toEqual({ places: [], settings: [] });
    const { places, settings } = diff(PAGE, unknownMemory(PAGE), wanted);
    expect(places.map(({ slot, was, to }) => [slot.number, was, to === null])).toEqual([
      [5, 'used', false],
      [45, 'unknown', true],
    ]);
    expect(settings).toEqual([{ id: 'beep', from: undefined, to: known.settings.beep }]);
  });
});
