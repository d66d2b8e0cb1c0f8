import { isSameMemory } from '@umbrex/core/memory';
import { DescriptionSchema } from '@umbrex/core/model';
import { CALM, doRuns, SLOW, VirtualDevice, wayBack } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { mobile } from '../support/mobile';
import { runs } from '../support/runs';

describe('the way back', () => {
  it.each(KEYED.map((description) => [description.id, description] as const))(
    '%s: there is one, from every screen',
    (_, description) => {
      const way = wayBack(description);
      expect(way?.steps.length).toBeGreaterThan(0);
      expect(way?.screens).toBe(Object.keys(description.behaviour?.modes ?? {}).length);
    },
  );
  it('leads there after any keys at all, half typed or held, and changes nothing', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...KEYED),
        fc.array(fc.tuple(fc.nat(), fc.constantFrom(120, 1100, 5000), fc.constantFrom(200, 3000, 60_000)), {
          maxLength: 40,
        }),
        fc.constantFrom(CALM, SLOW),
        (description, presses, { betweenKeysMs }) => {
          const keys = Object.keys(description.behaviour?.keys ?? {});
          const device = new VirtualDevice(description);
          for (const [which, heldMs, ms] of presses) {
            device.take({ kind: 'key', key: keys[which % keys.length] ?? '', heldMs });
            device.take({ kind: 'wait', ms });
          }
          const before = device.memory();
          const fresh = new VirtualDevice(description);
          for (const set of [device, fresh])
            for (const step of wayBack(description)?.steps ?? [])
              doRuns(
                step.runs,
                (event) => set.take(event),
                () => set.screen(),
                betweenKeysMs,
              );
          expect(device.snapshot().mode).toBe(fresh.snapshot().mode);
          expect(isSameMemory(description, before, device.memory())).toBe(true);
        },
      ),
      { numRuns: runs(200) },
    ));
  it('is none where the steps leave a screen as it is, or change what the set holds', () => {
    const page = shipped('plain-handheld');
    const { recipes } = page;
    if (!recipes) throw new Error('no recipes');
    const withStart = (steps: NonNullable<typeof recipes.start>['steps']) =>
      DescriptionSchema.parse({
        ...page,
        recipes: { ...recipes, start: { steps, atStart: false } },
      });
    const key = Object.keys(page.keys)[0] ?? '';
    expect(wayBack(withStart([{ do: 'press', key, says: 'Press it.' }]))).toBeNull();
    const { start: _, ...without } = recipes;
    expect(wayBack({ ...page, recipes: without })).toBeNull();
  });
});

it('there is none where nobody wrote down how a set is brought to its start', () =>
  expect(wayBack(mobile())).toBeNull());
