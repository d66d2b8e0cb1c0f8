import {
  CAUSES,
  type Found,
  KNOWN,
  likelihood,
  nextTrial,
  rankCauses,
  SYMPTOMS,
  type Symptom,
  TRIALS,
} from '@umbrex/core/cause';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Case, KEPT_APART, OPEN } from './cases';

const isSymptom = (text: string): text is Symptom => (SYMPTOMS as readonly string[]).includes(text);

/** Asks as somebody at the set would be asked, until it is sure enough or nothing is worth asking. */
function worked({ symptom, knows, truth, finds }: Case): { place: number; asked: string[] } {
  if (!isSymptom(symptom)) throw new RangeError(symptom);
  let found: Found = knows;
  const asked: string[] = [];
  for (let trial = nextTrial(symptom, found); trial; trial = nextTrial(symptom, found)) {
    asked.push(trial.id);
    found = { ...found, [trial.id]: finds[trial.id] ?? trial.finds[0] };
  }
  return { place: rankCauses(symptom, found).findIndex(({ id }) => id === truth) + 1, asked };
}

function summary(cases: readonly Case[]) {
  const all = cases.map((one) => ({ ...worked(one), id: one.id, truth: one.truth }));
  return {
    inThree: all.filter(({ place }) => place >= 1 && place <= 3).length / all.length,
    first: all.filter(({ place }) => place === 1).length / all.length,
    questions: all.reduce((sum, { asked }) => sum + asked.length, 0) / all.length,
    missed: all
      .filter(({ place }) => place < 1 || place > 3)
      .map(({ id, truth, asked }) => `${truth} (${id}): ${asked.join(', ')}`),
  };
}

describe('what is the matter', () => {
  it('the written cases that the table was tried by: the true cause among the first three of nine in ten, four questions on average at most', () => {
    const { inThree, questions, missed } = summary(OPEN);
    expect([inThree >= 0.9, questions <= 4, missed]).toEqual([true, true, missed]);
  });
  it('those that were kept apart, too', () => {
    const { inThree, questions, missed } = summary(KEPT_APART);
    expect([inThree >= 0.9, questions <= 4, missed]).toEqual([true, true, missed]);
  });
  it('the log speaks: a set that others heard does not send the wrong tone, and one that nobody heard is not out of reach', () => {
    const of = (found: Found, id: string) =>
      rankCauses('i-hear-they-dont', found).find((one) => one.id === id)?.probability ?? 0;
    for (const [talked, more, less] of [
      ['heard', 'out-of-reach', 'wrong-sent-tone'],
      ['silent', 'wrong-sent-tone', 'out-of-reach'],
    ] as const) {
      expect(of({ talked }, more)).toBeGreaterThan(of({}, more));
      expect(of({ talked }, less)).toBeLessThan(of({}, less) / 2);
    }
    const deaf = (found: Found) =>
      rankCauses('they-hear-i-dont', found).find(({ id }) => id === 'wrong-awaited-tone')?.probability ?? 0;
    expect(deaf({ listened: 'hears' })).toBeLessThan(deaf({}) / 2);
  });
  it('every finding and cause of the cases is one of the table', () => {
    const ids = new Set(CAUSES.map(({ id }) => id));
    for (const { truth, finds, knows, symptom } of [...OPEN, ...KEPT_APART]) {
      expect([truth, ids.has(truth), isSymptom(symptom)]).toEqual([truth, true, true]);
      for (const [of, what] of Object.entries(finds))
        expect([of, TRIALS.find(({ id }) => id === of)?.finds.includes(what)]).toEqual([of, true]);
      for (const [of, what] of Object.entries(knows))
        expect([of, KNOWN[of]?.[what] !== undefined]).toEqual([of, true]);
    }
  });
});

describe('the ranking', () => {
  const anyFound = fc
    .array(fc.constantFrom(...TRIALS), { maxLength: 5 })
    .chain((those) =>
      fc.tuple(...those.map(({ id, finds }) => fc.constantFrom(...finds).map((what) => [id, what] as const))),
    )
    .map((pairs) => Object.fromEntries(pairs) as Found);
  it('is Bayes’ rule: held against the sum over all causes, written out', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SYMPTOMS), anyFound, (symptom, found) => {
        const joint = CAUSES.map((cause) => {
          let p = cause.when[symptom] ?? 0;
          for (const [of, what] of Object.entries(found)) p *= likelihood(cause, of, what);
          return [cause.id, p] as const;
        });
        const all = joint.reduce((sum, [, p]) => sum + p, 0);
        for (const { id, probability } of rankCauses(symptom, found)) {
          const p = joint.find(([other]) => other === id)?.[1] ?? 0;
          expect(probability).toBeCloseTo(all > 0 ? p / all : 0, 9);
        }
      }),
      { numRuns: 200 },
    );
  });
  it('gives each trial a distribution: what can be found adds up to one under every cause', () => {
    for (const cause of CAUSES)
      for (const { id, finds } of TRIALS)
        expect(finds.reduce((sum, what) => sum + likelihood(cause, id, what), 0)).toBeCloseTo(1, 9);
  });
  it('never blames the repeater before tone, place and reach are looked at', () => {
    for (const symptom of SYMPTOMS) expect(rankCauses(symptom, {})[0]?.id).not.toBe('repeater-off');
    expect(rankCauses('silence', { tail: 'none' })[0]?.id).not.toBe('repeater-off');
    expect(
      rankCauses('silence', { tail: 'none', others: 'nobody', place: 'right', mark: 'none' })[0]?.id,
    ).toBe('repeater-off');
  });
  it('says what speaks for a cause', () =>
    expect(rankCauses('i-hear-they-dont', { mark: 'picked', tail: 'none' })[0]).toMatchObject({
      id: 'picked-tone',
      because: [
        { of: 'mark', found: 'picked' },
        { of: 'tail', found: 'none' },
      ],
    }));
  it('asks what is near first, never again what was answered, and nothing that cannot be done', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SYMPTOMS),
        anyFound,
        fc.subarray(TRIALS.map(({ id }) => id)),
        (symptom, found, cannot) => {
          const trial = nextTrial(symptom, found, new Set(cannot));
          if (!trial) return;
          expect(found[trial.id]).toBeUndefined();
          expect(cannot).not.toContain(trial.id);
          expect(trial.of === undefined || trial.of.includes(symptom)).toBe(true);
        },
      ),
      { numRuns: 100 },
    );
    for (const symptom of SYMPTOMS)
      expect([symptom, nextTrial(symptom, {})?.effort ?? 'look']).toEqual([
        symptom,
        expect.stringMatching(/look|talk/),
      ]);
  });
  it('every symptom has a cause, and every cause a symptom and something by which it is found', () => {
    for (const symptom of SYMPTOMS) expect(rankCauses(symptom, {}).length).toBeGreaterThan(0);
    for (const { id, when, finds } of CAUSES)
      expect([id, Object.keys(when).length > 0, Object.keys(finds).length > 0]).toEqual([id, true, true]);
  });
});
