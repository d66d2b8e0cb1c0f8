import { BoardFitter, fitBoard } from '@umbrex/core/fit';
import type { Numbers, Plan } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from '../support/devices';
import { anyPlan, OSTREL, unit } from '../support/plans';
import { runs } from '../support/runs';

const UNITS = SHIPPED.map(({ id }, i) => unit(i, id, i % 5 === 0 ? { keeps: [3] } : {}));

/** The edits a coordinator makes, each on the channel that `at` points to. */
const EDITS: readonly ((plan: Plan, at: number) => Plan)[] = [
  (plan, at) => ({
    ...plan,
    channels: plan.channels.map((c, i) => (i === at ? { ...c, name: `${c.name} B` } : c)),
  }),
  (plan, at) => ({
    ...plan,
    channels: plan.channels.map((c, i) => (i === at ? { ...c, receiveTone: '100.0' } : c)),
  }),
  (plan, at) => ({ ...plan, channels: plan.channels.filter((_, i) => i !== at) }),
  (plan) => ({ ...plan, channels: plan.channels.toReversed() }),
  (plan) => ({ ...plan, receivePolicy: plan.receivePolicy === 'open' ? 'closed' : 'open' }),
  (plan) => ({ ...plan, country: 'other' }),
];

describe('fitting again after an edit', () => {
  it('gives the very board that fitting anew gives, edit after edit', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.array(fc.tuple(fc.nat(), fc.constantFrom(...EDITS)), { minLength: 1, maxLength: 4 }),
        (first, edits) => {
          const fitter = new BoardFitter();
          let now = first;
          const expectSame = (numbers: Numbers) =>
            expect(fitter.board(now, UNITS, SHIPPED, NO_GROUNDS, numbers)).toEqual(
              fitBoard(now, UNITS, SHIPPED, NO_GROUNDS, numbers),
            );
          expectSame({});
          for (const [at, edit] of edits) {
            now = edit(now, at % Math.max(1, now.channels.length));
            // Other numbers after every edit, also for channels that are gone.
            expectSame(Object.fromEntries(first.channels.map(({ id }, i) => [id, 1 + ((i + at) % 60)])));
          }
        },
      ),
      { numRuns: runs(25) },
    );
  });
  it('judges anew only what was touched: one channel once for each kind, and nothing when nothing changed', () => {
    const fitter = new BoardFitter();
    const kinds = fitter.board(OSTREL, UNITS, SHIPPED, NO_GROUNDS).kinds.length;
    expect(fitter.fresh).toBe(kinds * OSTREL.channels.length);
    fitter.board(structuredClone(OSTREL), UNITS, SHIPPED, NO_GROUNDS);
    expect(fitter.fresh).toBe(0);
    const [rename] = EDITS;
    fitter.board(rename?.(OSTREL, 4) ?? OSTREL, UNITS, SHIPPED, NO_GROUNDS);
    expect(fitter.fresh).toBe(kinds);
    fitter.board({ ...OSTREL, receivePolicy: 'open' }, UNITS, SHIPPED, NO_GROUNDS);
    expect(fitter.fresh).toBe(kinds * OSTREL.channels.length);
  });
  it('a device that changes hands or firmware changes its board too', () => {
    const fitter = new BoardFitter();
    fitter.board(OSTREL, UNITS, SHIPPED, NO_GROUNDS);
    const kept = UNITS.map((one, i) => (i === 1 ? { ...one, keeps: [1, 2, 3] } : one));
    expect(fitter.board(OSTREL, kept, SHIPPED, NO_GROUNDS)).toEqual(
      fitBoard(OSTREL, kept, SHIPPED, NO_GROUNDS),
    );
  });
});
