import { BoardFitter, fitBoard } from '@umbrex/core/fit';
import { frozen, type Numbers, type Plan } from '@umbrex/core/model';
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
        fc.integer({ min: 1, max: 3 }),
        anyPlan,
        fc.array(fc.tuple(fc.nat(), fc.constantFrom(...EDITS)), { minLength: 1, maxLength: 4 }),
        (states, first, edits) => {
          const fitter = new BoardFitter(states);
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
  it('of all that is alike it is the same board, and another one as soon as anything is not', () => {
    const fitter = new BoardFitter(2);
    const units = frozen(structuredClone(UNITS));
    const kinds = frozen(structuredClone(SHIPPED));
    const numbers = { [OSTREL.channels[0]?.id ?? '']: 3 };
    const first = fitter.board(OSTREL, units, kinds, NO_GROUNDS, numbers);
    expect(fitter.board(structuredClone(OSTREL), units, kinds, NO_GROUNDS, { ...numbers })).toBe(first);
    const [one, ...others] = units;
    if (!one) throw new Error('no unit');
    const another = [
      fitter.board({ ...OSTREL, receivePolicy: 'open' }, units, kinds, NO_GROUNDS, numbers),
      fitter.board(OSTREL, units, kinds, NO_GROUNDS, {}),
      fitter.board(OSTREL, [frozen({ ...one, keeps: [5] }), ...others], kinds, NO_GROUNDS, numbers),
      fitter.board(
        OSTREL,
        units,
        [...kinds.slice(1), frozen({ ...kinds[0], marks: [] } as never)],
        NO_GROUNDS,
        numbers,
      ),
      fitter.board(OSTREL, units, kinds, { ...NO_GROUNDS, day: '2031-01-01' } as never, numbers),
    ];
    for (const board of another) expect(board).not.toBe(first);
  });
  it('two states by turns, as a draft beside what was published: each is judged once, and what they share not twice', () => {
    const fitter = new BoardFitter(2);
    const [rename] = EDITS;
    const draft = rename?.(OSTREL, 4) ?? OSTREL;
    const kinds = fitter.board(OSTREL, UNITS, SHIPPED, NO_GROUNDS).kinds.length;
    fitter.board(draft, UNITS, SHIPPED, NO_GROUNDS);
    expect(fitter.fresh).toBe(kinds);
    for (const state of [OSTREL, draft, OSTREL, draft]) {
      expect(fitter.board(state, UNITS, SHIPPED, NO_GROUNDS)).toEqual(
        fitBoard(state, UNITS, SHIPPED, NO_GROUNDS),
      );
      expect(fitter.fresh).toBe(0);
    }
    const open = { ...draft, receivePolicy: 'open' as const };
    for (const fresh of [kinds * OSTREL.channels.length, 0]) {
      fitter.board(open, UNITS, SHIPPED, NO_GROUNDS);
      expect(fitter.fresh).toBe(fresh);
      fitter.board(draft, UNITS, SHIPPED, NO_GROUNDS);
      expect(fitter.fresh).toBe(0);
    }
  });
  it('what is no longer asked for is forgotten', () => {
    const fitter = new BoardFitter(2);
    const [, retone] = EDITS;
    const before = fitter.board(OSTREL, UNITS, SHIPPED, NO_GROUNDS).kinds.length;
    for (const at of [1, 2]) fitter.board(retone?.(OSTREL, at) ?? OSTREL, UNITS, SHIPPED, NO_GROUNDS);
    fitter.board(OSTREL, UNITS, SHIPPED, NO_GROUNDS);
    // Channel 2 as it was is known from the first edit, channel 1 from the second.
    expect(fitter.fresh).toBe(0);
    // Two boards of which neither needs channel 1 as it was.
    const once = retone?.(OSTREL, 1) ?? OSTREL;
    for (const one of [once, retone?.(once, 2) ?? once]) fitter.board(one, UNITS, SHIPPED, NO_GROUNDS);
    fitter.board(OSTREL, UNITS, SHIPPED, NO_GROUNDS);
    expect(fitter.fresh).toBe(before);
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
