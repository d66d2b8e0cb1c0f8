import { loadedWith, planChange } from '@umbrex/core/change';
import { prepare } from '@umbrex/core/flow';
import { diff, heldMemory } from '@umbrex/core/memory';
import type { Plan } from '@umbrex/core/model';
import { writeSheet } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from './support/devices';
import { UNSEEN } from './support/memory';
import { anyPlan, channel, plan, uuid } from './support/plans';
import { runs } from './support/runs';

/** A plan for every kind: repeaters and direct channels of GMRS, one to listen to on each band. */
const CHANNELS = [
  channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8', bandwidth: 'wide' }),
  channel('Gannet', 462.575, 467.575, { transmitTone: '100.0', receiveTone: 'off', bandwidth: 'wide' }),
  channel('Beach', 462.5625, 462.5625, { transmitTone: '82.5', receiveTone: '82.5' }),
  channel('Dock', 151.82, 151.82, { service: 'murs', transmitTone: 'off', receiveTone: 'off' }),
  channel('Weather', 162.4, null, { service: 'weather' }),
];
const BEFORE = plan(CHANNELS);
const [KELP, GANNET, BEACH, DOCK, WEATHER] = CHANNELS as [Plan['channels'][0], ...Plan['channels']] &
  Plan['channels'];
const other = { ...KELP, transmitTone: '141.3' } as (typeof CHANNELS)[0];

describe('a change sheet, for every shipped kind', () => {
  it.each(SHIPPED.map((description) => [description.id, description] as const))('%s', (_, description) => {
    const to = (channels: readonly (typeof CHANNELS)[0][]) =>
      planChange(BEFORE, plan([...channels]), description);
    expect(planChange(BEFORE, BEFORE, description)).toMatchObject({
      way: 'none',
      steps: 0,
      slots: [],
      proven: true,
    });
    const changed = {
      tone: to([other, GANNET, BEACH, DOCK, WEATHER] as never),
      name: to([{ ...KELP, name: 'Kelp Stairs' }, GANNET, BEACH, DOCK, WEATHER] as never),
      added: to([...CHANNELS, channel('North', 462.5875, 462.5875)]),
      removed: to(CHANNELS.slice(1)),
      order: to([...CHANNELS].reverse()),
    };
    for (const [what, change] of Object.entries(changed)) {
      expect([what, change.proven, change.firstDifference]).toEqual([what, true, null]);
      expect([what, change.way === 'none']).toEqual([what, change.slots.length === 0 && change.steps === 0]);
    }
  });
});

describe('a place that is called otherwise', () => {
  // On the amateur’s set letters are turned, and a name is sooner written on an empty place.
  const description = shipped('amateur-handheld');
  const quay = (name: string) => plan([channel(name, 154.115, null, { id: uuid(7), service: 'other' })]);
  const { changes } = prepare(quay('ABC'), description, loadedWith(quay('ZZZZZZZ'), description));
  const empties = (of: typeof description, given = changes) =>
    writeSheet(of, given).steps.some(({ recipe }) => recipe.startsWith('/recipes/erase'));
  const [place] = changes.places;
  const [width] = description.fields.filter(({ holds }) => holds === 'bandwidth');
  if (!place || !width) throw new Error('no place, no width');

  it('is emptied first where that takes fewer presses', () => {
    expect(changes.places).toHaveLength(1);
    expect(empties(description)).toBe(true);
  });
  it('is not where something would be lost that nobody says anew', () => {
    const { [width.id]: _, ...to } = place.to ?? {};
    const held = { ...place.before, [width.id]: width.factory === 0 ? 1 : 0 };
    expect(empties(description, { ...changes, places: [{ ...place, before: held, to }] })).toBe(false);
  });
  it('is not where it is told not to send: it never is without that, not even between two steps', () => {
    // The same field, taken for one that forbids it, and not as the factory has it.
    const fields = description.fields.map((field) =>
      field.id === width.id ? { ...field, holds: 'transmitForbidden' as const } : field,
    );
    const [told, loose] = width.factory === 0 ? [1, 0] : [0, 1];
    const shut = (value: number) => ({
      ...changes,
      places: [
        {
          ...place,
          before: { ...place.before, [width.id]: value },
          to: { ...place.to, [width.id]: value },
        },
      ],
    });
    expect(empties({ ...description, fields }, shut(told))).toBe(false);
    expect(empties({ ...description, fields }, shut(loose))).toBe(true);
  });
});

describe('between any two plans', () => {
  it('brings what the first left to what the second wants, and never takes more presses than setting all of it anew', () =>
    fc.assert(
      fc.property(anyPlan, anyPlan, fc.constantFrom(...SHIPPED.map(({ id }) => id)), (before, after, id) => {
        const description = shipped(id);
        const change = planChange(before, after, description);
        expect([change.firstDifference, change.proven]).toEqual([null, true]);
        expect(planChange(after, after, description).way).toBe('none');
        // The whole sheet for the very same places, by somebody who knows nothing of them: every value is set anew. What is turned until
        // it shows takes up to the most from a memory that happens to be so.
        const { wanted, changes } = prepare(after, description, loadedWith(before, description));
        // A place that is told not to send is not emptied, whatever that saves: there it may take some presses more.
        const forbids = description.fields.filter(({ holds }) => holds === 'transmitForbidden');
        const isShut = changes.places.some(({ before: had }) =>
          forbids.some(({ id: field, factory }) => had[field] !== undefined && had[field] !== factory),
        );
        const nothing = heldMemory(description, UNSEEN).memory;
        const whole = writeSheet(description, diff(description, nothing, wanted));
        if (whole.findings.length === 0 && !isShut)
          expect(change.presses).toBeLessThanOrEqual(whole.mostPresses);
      }),
      { numRuns: runs(60) },
    ));
});
