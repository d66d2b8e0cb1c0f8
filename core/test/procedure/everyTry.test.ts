import { prepare } from '@umbrex/core/flow';
import { type Description, slotsOf } from '@umbrex/core/model';
import { beginnings, CALM, prove, type Replay, replay, TRIES_UNKNOWN } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { OSTREL } from '../support/plans';

// A proof is as good as its worst try: one place or one state that a sheet was not written for is enough to refuse it, wherever it comes
// among the others.

/** Of a set that is known it is tried calm and slow; where something is turned until it shows, in several ways to come to it. */
const [TRIES_KNOWN, TRIES_TURNING] = [2, 6];

const SEEN_BY_NOBODY = { keeps: [], accepts: [], holds: UNSEEN };
const RESET = { ...SEEN_BY_NOBODY, start: 'reset' as const };

/** A description whose sheets do not ask whether the keys are locked, which no switching off and on undoes. */
const withoutUnlocking = (id: string): Description => {
  const description = shipped(id);
  const start = description.recipes?.start;
  if (!start) throw new Error('no start');
  const steps = start.steps.filter((step) => !('when' in step && step.when));
  expect(steps.length).toBe(start.steps.length - 1);
  start.steps = steps;
  return description;
};

describe('a set of which nobody knows whether its keys are locked', () => {
  it.each(['page-handheld', 'plain-handheld', 'pocket-radio'])('%s', (id) => {
    for (const unit of [SEEN_BY_NOBODY, RESET]) {
      const whole = prepare(OSTREL, shipped(id), unit);
      const bare = prepare(OSTREL, withoutUnlocking(id), unit);
      if (whole.sheet.findings.some(({ severity }) => severity === 'error')) continue;
      expect(whole.proof).toMatchObject({ proven: true, firstDifference: null, tried: TRIES_UNKNOWN });
      expect(bare.proof.proven).toBe(false);
      expect(bare.proof.firstDifference).not.toBeNull();
    }
  });
});

describe('what a proof says of its tries', () => {
  it.each(KEYED.map((description) => [description.id, description] as const))('on %s', (_, description) => {
    for (const unit of [undefined, SEEN_BY_NOBODY]) {
      const { sheet, proof, now } = prepare(OSTREL, description, unit);
      if (proof.screens.length === 0) continue;
      const isTurning = sheet.steps.some(({ runs }) => runs.some((run) => run.do === 'until'));
      const tries = unit ? TRIES_UNKNOWN : isTurning ? TRIES_TURNING : TRIES_KNOWN;
      expect(proof.tried).toBe(tries);
      const first = sheet.steps.find(({ slotNumber }) => slotNumber !== null)?.slotNumber ?? null;
      const calm = beginnings(description, now, tries, first)
        .filter((_begun, i) => tries <= TRIES_KNOWN || i % 2 === 0)
        .map(
          ({ memory, from }): Replay =>
            replay(description, sheet.steps, CALM, { memory, picked: sheet.clears, from }),
        );
      // A line that is promised after a step stood there in each of them.
      const alike = (of: (one: Replay) => readonly string[]) => {
        const [one = [], ...others] = calm.map(of);
        return one.filter((line, k) => others.every((other) => other[k] === line));
      };
      expect(proof.screens).toEqual(sheet.steps.map((_step, i) => alike(({ screens }) => screens[i] ?? [])));
      expect(proof.begins).toEqual(alike(({ begins }) => begins));
      expect(proof.minutes).toBeCloseTo(Math.max(...calm.map(({ ms }) => ms)) / 60_000, 6);
      expect(proof.windowsMs).toEqual(calm[0]?.windowsMs);
    }
  });
});

describe('where the tries begin', () => {
  const page = shipped('page-handheld');
  const modes = Object.keys(page.behaviour?.modes ?? {});
  const { now } = prepare(OSTREL, page, SEEN_BY_NOBODY);
  const at = (goesTo: number | null) => beginnings(page, now, 20, goesTo).map(({ from }) => from);
  it('the first as the set comes on, the others out of every mode in turn', () => {
    const [first, ...others] = at(45);
    expect(first).toBeUndefined();
    expect(others.map((from) => from?.mode)).toEqual(
      Array.from({ length: 19 }, (_, i) => modes[(i + 1) % modes.length]),
    );
  });
  it('one stands already where the sheet goes first, the others anywhere', () => {
    const to = slotsOf(page)[20]?.number ?? -1;
    const numbers = at(to).map((from) => from?.number);
    expect(numbers[1]).toBe(to);
    expect(new Set(numbers.slice(2)).size).toBeGreaterThan(10);
    // But for that one they are where they would be without it.
    expect(numbers.toSpliced(1, 1)).toEqual(
      at(null)
        .map((from) => from?.number)
        .toSpliced(1, 1),
    );
    expect(at(null)[1]?.number).not.toBe(to);
  });
});

describe('a set that a program loads', () => {
  const CABLE = shipped('cable-handheld');
  const of = (unit?: typeof SEEN_BY_NOBODY, description = CABLE) => prepare(OSTREL, description, unit);
  it('is proven where its file comes out right, once for a set that is known, often for one that is not', () => {
    expect(of().proof).toMatchObject({ proven: true, slowToo: true, firstDifference: null, tried: 1 });
    expect(of(SEEN_BY_NOBODY).proof).toMatchObject({ proven: true, slowToo: true, tried: TRIES_UNKNOWN });
  });
  it('is not, where the set refuses a value of it, and the refusal is named', () => {
    const { now, wanted, sheet } = of();
    const [number, values] = [...wanted.slots].find(([, one]) => one) ?? [];
    const power = CABLE.fields.find(({ holds }) => holds === 'powerW')?.id ?? '';
    const slots = new Map(wanted.slots).set(number ?? -1, { ...values, [power]: 99 });
    const proof = prove(CABLE, now, { ...wanted, slots }, sheet);
    expect(proof).toMatchObject({ proven: false, slowToo: false });
    expect(proof.firstDifference).not.toBeNull();
  });
});
