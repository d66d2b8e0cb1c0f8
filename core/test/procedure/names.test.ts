import { planChange } from '@umbrex/core/change';
import { prepare } from '@umbrex/core/flow';
import { listItems, slotsOf } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { channel, plan, uuid } from '../support/plans';
import { runs } from '../support/runs';

/** Words that a set itself shows: labels of its places, titles of its items, texts of its lists. */
function ownWords(id: string): string[] {
  const description = shipped(id);
  const shown = Object.values(description.lists).flatMap((list) =>
    listItems(list).map(({ shown: text }) => text),
  );
  const words = [
    ...slotsOf(description).map(({ label }) => label),
    ...[...description.fields, ...description.settings].map(({ title }) => title),
    ...shown,
  ];
  return [...new Set(words.map((word) => word.trim()).filter((word) => word !== '' && word.length <= 20))];
}

it('a name that stands in a title of the set is gone once its own line is wiped', () => {
  // Found by the property below: page 7 of the wizard is “7 TITLE”, and so was the old name.
  const called = (name: string) =>
    plan([channel(name, 462.55, 467.55, { id: uuid(100), transmitTone: '131.8' })]);
  for (const [before, after] of [
    ['7', '1'],
    ['TITLE', 'QUAY'],
    ['7 TITLE', '7'],
  ] as const)
    expect(planChange(called(before), called(after), shipped('guided-handheld'))).toMatchObject({
      proven: true,
      firstDifference: null,
    });
});

describe('channels that are called as the set itself calls something', () => {
  it.each(KEYED.map(({ id }) => id))('%s: its sheet proves all the same', (id) => {
    const words = ownWords(id);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...words), fc.constantFrom(...words)), {
          minLength: 2,
          maxLength: 8,
        }),
        (names) => {
          const called = (which: 0 | 1) =>
            plan(
              names.map((pair, i) => {
                const hz = 462.55 + 0.025 * (i % 8);
                return channel(pair[which], hz, i % 2 ? hz : hz + 5, {
                  id: uuid(100 + i),
                  transmitTone: '131.8',
                });
              }),
            );
          const unseen = { keeps: [], accepts: [], holds: UNSEEN };
          const { proof } = prepare(called(0), shipped(id), unseen);
          expect([proof.firstDifference, proof.proven]).toEqual([null, true]);
          // From the factory, and then each place called otherwise.
          const change = planChange(called(0), called(1), shipped(id));
          expect([change.firstDifference, change.proven]).toEqual([null, true]);
        },
      ),
      { numRuns: runs(10) },
    );
  });
});
