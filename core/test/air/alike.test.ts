import { chanceOf, completed, heldOf, unknownMemory } from '@umbrex/core/memory';
import type { Description, Unit } from '@umbrex/core/model';
import { type AirFleet, fleetOnAir, type SetKind } from '@umbrex/core/onAir';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { anyPlan, unit, uuid } from '../support/plans';
import { runs } from '../support/runs';

const KINDS = ['guided-handheld', 'page-handheld', 'paired-handheld'].map((id) => shipped(id));

/** A set that holds anything, or of which nobody knows anything; sometimes lost, sometimes with another pick. */
function anyUnit(description: Description, n: number, seed: number): Unit {
  const chance = chanceOf(seed);
  const { places, settings } = heldOf(
    description,
    completed(description, unknownMemory(description), chance),
    'unknown',
  );
  const known = chance() < 0.6;
  const isLost = chance() < 0.3;
  const timeline = isLost
    ? [{ id: uuid(900 + n), what: 'condition' as const, is: 'lost' as const, day: '2026-11-24' }]
    : [];
  return unit(n, description.id, {
    ...(known && {
      holds: { what: 'read', on: 'unknown', rest: 'unknown', places: places.slice(0, 8), settings },
    }),
    timeline,
  });
}

describe('what was worked out before of sets that are alike', () => {
  it('says of any fleet what is worked out anew: after edits of sets, one after another, in both states', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.array(fc.integer({ min: 1, max: 2 ** 30 }), { minLength: 2, maxLength: 4 }),
        (plan, seeds) => {
          const alike = new Map<string, SetKind>();
          for (const seed of seeds) {
            const units = KINDS.flatMap((description, k) =>
              [0, 1].map((n) => anyUnit(description, 1 + k * 2 + n, seed + k + n)),
            );
            const fleet: AirFleet = { plan, units, descriptions: KINDS, grounds: NO_GROUNDS, stations: [] };
            for (const channel of plan.channels.slice(0, 3))
              for (const as of ['planned', 'held'] as const)
                expect(fleetOnAir({ ...fleet, alike })(channel, as)).toEqual(fleetOnAir(fleet)(channel, as));
          }
          expect(alike.size).toBeGreaterThan(KINDS.length);
        },
      ),
      { numRuns: runs(6) },
    );
  });
});
