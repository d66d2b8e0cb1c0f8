import { elseShown, leadBack, type SLIPS, type Work } from '@umbrex/core/astray';
import { prepare } from '@umbrex/core/flow';
import { chanceOf, completed } from '@umbrex/core/memory';
import { CALM, doRuns, POWER_MS, type Run, sheetBlocks, TAP_MS, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { channel, plan, uuid } from '../support/plans';

const PLAN = plan(
  ['Gannet Top', 'Kelp Stairs', 'Beach sweep', 'Watch direct'].map((name, i) => {
    const hz = 462.55 + 0.025 * i;
    return channel(name, hz, i % 2 ? hz : hz + 5, {
      id: uuid(100 + i),
      transmitTone: i % 2 ? 'off' : '131.8',
    });
  }),
);
function workOf(id: string, holds?: typeof UNSEEN) {
  const description = shipped(id);
  const unit = holds && { keeps: [], accepts: [], holds };
  const prepared = prepare(PLAN, description, unit);
  const blocks = sheetBlocks(prepared.sheet, prepared.proof, []);
  const steps = blocks.flatMap((block, at) => block.steps.map(({ step: { runs } }) => ({ runs, block: at })));
  const work: Work = { description, now: prepared.now, picked: prepared.sheet.clears, steps };
  return { description, prepared, work };
}
/** What the sheet says that is shown after a step. */
const proofShows = ({ proof }: ReturnType<typeof prepare>, n: number) =>
  proof.screens[n - 1]?.filter((line) => line.trim()).join('|');

/** Some of the steps, spread over the sheet. */
const spread = (steps: number, most: number) => [
  ...new Set(Array.from({ length: most }, (_, i) => 1 + Math.floor((i * steps) / most))),
];

/**
 * A hand of this test's own, that reads nothing of the search: it does the steps before, the step with its slip as one reads it in words, the way back,
 * and the rest.
 */
function hand(set: VirtualDevice) {
  const press = (key: string, heldMs = TAP_MS, others: readonly string[] = []) => {
    for (const other of others) set.take({ kind: 'down', key: other });
    set.take({ kind: 'key', key, heldMs });
    for (const other of others) set.take({ kind: 'up', key: other });
    set.take({ kind: 'wait', ms: CALM.betweenKeysMs });
  };
  const runs = (all: readonly Run[]) =>
    doRuns(
      all,
      (event) => set.take(event),
      () => set.screen(),
      CALM.betweenKeysMs,
    );
  const rest = () => set.take({ kind: 'wait', ms: CALM.betweenStepsMs });
  return { press, runs, rest, power: () => set.take({ kind: 'wait', ms: POWER_MS }) };
}

describe('whoever went astray is led back', () => {
  const shares: Record<string, string> = {};
  it.each(
    KEYED.flatMap(({ id }) => [
      [id, 'not looked at', UNSEEN] as const,
      [id, 'as from the factory', undefined] as const,
    ]),
  )('%s, %s: each way ends with all that the set shall hold', (id, start, holds) => {
    const { description, prepared, work } = workOf(id, holds);
    if (!prepared.proof.proven || work.steps.length === 0) return;
    let [shown, led] = [0, 0];
    for (const n of spread(work.steps.length, 12))
      for (const { slip, shows } of elseShown(work, n).slice(0, 3)) {
        shown++;
        expect(shows.join('|')).not.toBe(proofShows(prepared, n));
        const { back, sent } = leadBack(work, n, slip);
        if (!back || sent) continue;
        led++;
        // On a set that the search has not seen.
        const memory = completed(description, prepared.now, chanceOf(4711 + n));
        const set = new VirtualDevice(description, memory);
        const { runs, rest } = hand(set);
        for (const step of work.steps.slice(0, n - 1)) {
          expect(runs(step.runs)).toBeNull();
          rest();
        }
        slipByHand(set, work.steps[n - 1]?.runs ?? [], slip);
        for (const step of back.runs) {
          runs(step);
          rest();
        }
        for (const step of work.steps.slice(back.goOn - 1)) {
          runs(step.runs);
          rest();
        }
        const holdsNow = set.memory();
        for (const [number, values] of prepared.wanted.slots)
          if (values !== null)
            expect(holdsNow.slots.get(number), `${id} step ${n} ${slip.kind} ${slip.key}`).toMatchObject(
              values,
            );
          else expect(holdsNow.slots.get(number)).toBeNull();
        // What the plan has no place for is as it was.
        for (const [number, values] of memory.slots)
          if (!prepared.wanted.slots.has(number)) expect(holdsNow.slots.get(number)).toEqual(values);
      }
    shares[`${id} ${start}`] = `${led} of ${shown}`;
    // Sheets in which a hand can slip and be seen to: most slips have a way back.
    if (shown > 4) expect(led / shown).toBeGreaterThan(0.5);
  });
  it('of nearly all slips that show something else', () => {
    const [led, shown] = Object.values(shares)
      .map((text) => text.split(' of ').map(Number))
      .reduce(([a = 0, b = 0], [x = 0, y = 0]) => [a + x, b + y], [0, 0]);
    expect(Number(led) / Number(shown)).toBeGreaterThan(0.9);
  });
});

/** Does a step with a slip, written from the words of the slip alone. */
function slipByHand(
  set: VirtualDevice,
  all: readonly Run[],
  slip: { kind: (typeof SLIPS)[number]; key: string; at: number },
) {
  const window = set.windowMs() ?? 0;
  let at = 0;
  let isFirst = true;
  const pause = () => {
    if (!isFirst) set.take({ kind: 'wait', ms: CALM.betweenKeysMs });
    isFirst = false;
  };
  const once = (key: string, heldMs: number, others: readonly string[] = []) => {
    pause();
    for (const other of others) set.take({ kind: 'down', key: other });
    set.take({ kind: 'key', key, heldMs });
    for (const other of others) set.take({ kind: 'up', key: other });
  };
  const plainly = (run: Run) => {
    if (!isFirst && run.do !== 'power') isFirst = false;
    doRuns(
      [run],
      (event) => set.take(event),
      () => set.screen(),
      CALM.betweenKeysMs,
    );
    isFirst = false;
  };
  for (const run of all) {
    if (run.do !== 'press') {
      if (at === slip.at) {
        if (slip.kind === 'twice') {
          plainly(run);
          if (run.do === 'until') once(run.key, run.heldMs ?? TAP_MS);
        }
      } else {
        if (run.do !== 'power') pause();
        plainly(run);
      }
      at++;
      continue;
    }
    if (run.when !== undefined && !set.screen().some((line) => line.includes(run.when ?? ''))) {
      at += run.times;
      continue;
    }
    for (let k = 0; k < run.times; k++, at++) {
      const [heldMs, others] = [run.heldMs ?? TAP_MS, run.with];
      if (at !== slip.at) once(run.key, heldMs, others);
      else if (slip.kind === 'twice') {
        once(run.key, heldMs, others);
        once(run.key, heldMs, others);
      } else if (slip.kind === 'held') once(run.key, 2600, others);
      else if (slip.kind === 'short') once(run.key, TAP_MS, others);
      else if (slip.kind === 'late') {
        pause();
        set.take({ kind: 'wait', ms: window + 700 });
        once(run.key, heldMs, others);
      }
    }
  }
}
