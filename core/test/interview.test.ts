import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Answers, describeOwn, interview, MOST_QUESTIONS, QUESTIONS } from '@umbrex/core/interview';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from './support/devices';
import { anyPlan, channel, OSTREL, plan } from './support/plans';

const OWN = { id: 'my-radio', title: 'My radio' };
const kelp = channel('Kelp Stairs', 462.65, 467.65, {
  transmitTone: '131.8',
  receiveTone: '131.8',
  bandwidth: 'wide',
});
const KNOWN: Answers = {
  certified: 'gmrs',
  inputs: 'yes',
  hears: 'vhf',
  tones: 'both-kinds',
  power: '1',
  letters: '16',
};
const verdict = (answers: Answers, pattern = 'guided-handheld') =>
  interview(shipped(pattern), OWN, answers, plan([kelp])).verdicts.get(kelp.id);

describe('one’s own set, from a pattern and what its holder knows', () => {
  it('is unknown while nothing is known, and full once all is', () => {
    expect(verdict({})).toBe('unknown');
    expect(verdict(KNOWN)).toBe('full');
  });
  it.each([
    [{ certified: 'amateur' }, 'listen'],
    [{ certified: 'none' }, 'listen'],
    [{ inputs: 'no' }, 'listen'],
    [{ tones: 'none' }, 'listen'],
    [{ tones: 'ctcss' }, 'full'],
    [{ tones: 'one-code' }, 'adapted'],
    [{ letters: '6' }, 'adapted'],
    [{ power: '5' }, 'full'],
    [{ certified: undefined }, 'unknown'],
    [{ tones: undefined }, 'unknown'],
  ] as const)('with %j instead it is %s', (other, expected) =>
    expect(verdict({ ...KNOWN, ...other } as Answers)).toBe(expected),
  );
  it('keeps no keys and no marks of the pattern', () => {
    const own = describeOwn(shipped('page-handheld'), OWN, KNOWN);
    expect([own.behaviour, own.recipes, own.marks, own.firmware]).toEqual([undefined, undefined, [], []]);
    expect(own.loading?.readBack.length).toBeGreaterThan(0);
  });
});

describe('the interview', () => {
  it('asks first what decides most, and a few questions leave nothing unknown in the demo’s plan', () => {
    const pattern = shipped('guided-handheld');
    let answers: Answers = {};
    const asked: string[] = [];
    for (let n = 0; n < MOST_QUESTIONS; n++) {
      const { open, verdicts } = interview(pattern, OWN, answers, OSTREL);
      const [next] = open;
      if (!next) {
        expect([...verdicts.values()]).not.toContain('unknown');
        break;
      }
      expect(next.decides).toBe(Math.max(...open.map(({ decides }) => decides)));
      asked.push(next.id);
      answers = { ...answers, [next.id]: KNOWN[next.id] };
    }
    expect(asked.length).toBeLessThanOrEqual(6);
    expect(new Set(asked).size).toBe(asked.length);
    const own = describeOwn(pattern, OWN, answers);
    expect(fitPlan(OSTREL, fitDevice(own)).cells.filter(({ verdict: v }) => v === 'unknown')).toEqual([]);
  });
  it('does not ask a receiver what it sends', () => {
    const ids = interview(shipped('bank-scanner'), OWN, {}, OSTREL).open.map(({ id }) => id);
    for (const id of ['certified', 'inputs', 'tones', 'power']) expect(ids).not.toContain(id);
  });
  it('makes a valid description of any pattern with any answers, and never asks without need', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED),
        fc.record(
          Object.fromEntries(
            QUESTIONS.map(({ id, answers }) => [id, fc.constantFrom(undefined, ...answers)]),
          ),
        ),
        anyPlan,
        (pattern, drawn, any) => {
          const answers = Object.fromEntries(
            Object.entries(drawn).filter(([, answer]) => answer !== undefined),
          ) as Answers;
          const { open, verdicts } = interview(pattern, OWN, answers, any);
          expect(verdicts.size).toBe(any.channels.length);
          expect(open.some(({ id }) => id in answers)).toBe(false);
        },
      ),
      { numRuns: 60 },
    ));
});
