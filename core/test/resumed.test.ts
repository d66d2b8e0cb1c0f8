import { prepare } from '@umbrex/core/flow';
import { chanceOf, completed, firstDifference, withWanted } from '@umbrex/core/memory';
import { factoryMemory } from '@umbrex/core/model';
import { CALM, doRuns, SLOW, VirtualDevice } from '@umbrex/core/procedure';
import { haltsOf, haltText, resumed } from '@umbrex/core/resumed';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from './support/devices';
import { UNSEEN } from './support/memory';
import { anyPlan, OSTREL } from './support/plans';
import { runs } from './support/runs';

const SEEN_BY_NOBODY = { keeps: [], accepts: [], holds: UNSEEN };

describe('a sheet that somebody left half way', () => {
  it('is gone on with from its halts, each once, and not from its beginning or from elsewhere', () => {
    const page = shipped('page-handheld');
    const prepared = prepare(OSTREL, page);
    const halts = haltsOf(prepared.sheet);
    expect(new Set(halts.map(haltText)).size).toBe(halts.length);
    expect(halts.slice(0, 3).map(haltText)).toEqual(['start', 'work-1', 'work-2']);
    for (const elsewhere of ['start', 'work-999', 'nonsense', ''])
      expect(resumed(page, prepared, elsewhere)).toBeNull();
  });
  it('has only what is left of it: fewer presses the later', () => {
    const page = shipped('page-handheld');
    const prepared = prepare(OSTREL, page);
    const halts = haltsOf(prepared.sheet).map(haltText);
    const rest = (halt: string) => resumed(page, prepared, halt);
    const works = halts.filter((halt) => halt.startsWith('work-'));
    const names = halts.filter((halt) => halt.startsWith('names-'));
    const presses = [works[2], works[9], names[0], names[2]].map(
      (halt) => rest(halt ?? '')?.sheet.presses ?? 0,
    );
    expect(presses).toEqual([...presses].sort((a, b) => b - a));
    expect(new Set(presses).size).toBe(4);
    expect(rest(works[2] ?? '')?.changes.places.map(({ slot }) => `work-${slot.number}`)).not.toContain(
      works[1],
    );
    expect(rest(names[2] ?? '')?.changes.places.map(({ slot }) => `names-${slot.number}`)).toEqual(
      names.slice(2),
    );
  });
  it('comes out right from wherever it was left: any plan, pattern, start, halt, and key of it, by turns calm and slow', () =>
    fc.assert(
      fc.property(
        fc.oneof(anyPlan, fc.constant(OSTREL)),
        fc.constantFrom(...KEYED),
        fc.constantFrom('new', 'unseen', 'reset'),
        fc.nat(),
        fc.nat(),
        fc.nat(),
        fc.constantFrom(CALM, SLOW),
        (plan, description, start, which, inside, seed, pace) => {
          const unit =
            start === 'new'
              ? undefined
              : { ...SEEN_BY_NOBODY, start: start === 'reset' ? ('reset' as const) : ('absolute' as const) };
          const prepared = prepare(plan, description, unit);
          if (!prepared.proof.proven || prepared.sheet.steps.length === 0) return;
          const { steps } = prepared.sheet;
          const halts = haltsOf(prepared.sheet);
          const halt = halts[which % halts.length] ?? { part: 'start', slotNumber: null };
          const rest = resumed(description, prepared, haltText(halt));
          if (!rest) {
            expect(['start', 'reset']).toContain(halt.part);
            return;
          }
          expect(rest.proof.firstDifference, `${description.id} ${haltText(halt)}`).toBeNull();

          // A set that agrees with what was known of it, on which the sheet is followed up to some key of that halt.
          const begun =
            start === 'new'
              ? factoryMemory(description)
              : completed(description, prepared.now, chanceOf(seed));
          const device = new VirtualDevice(description, begun, prepared.sheet.clears);
          const among = steps.flatMap((step, i) =>
            step.part === halt.part && step.slotNumber === halt.slotNumber ? [i] : [],
          );
          const stopsAt = among[inside % among.length] ?? 0;
          steps.slice(0, stopsAt + (seed % 2)).forEach((step) => {
            doRuns(
              step.runs,
              (event) => device.take(event),
              () => device.screen(),
              CALM.betweenKeysMs,
            );
            device.take({ kind: 'wait', ms: CALM.betweenStepsMs });
          });
          const left = { ...device.memory(), slots: device.snapshot().values };
          for (const step of rest.sheet.steps) {
            let keys = 0;
            doRuns(
              step.runs,
              (event) => {
                if (event.kind !== 'wait') keys++;
                device.take(event);
              },
              () => device.screen(),
              pace.betweenKeysMs,
            );
            // Where nothing is to be pressed, a hand goes on at once.
            device.take({ kind: 'wait', ms: keys === 0 ? pace.betweenKeysMs : pace.betweenStepsMs });
          }
          const shall = withWanted(description, left, prepared.wanted);
          if (pace === CALM || rest.proof.slowToo)
            expect(
              firstDifference(description, shall, device.memory()),
              `${description.id} ${haltText(halt)}`,
            ).toBeNull();
        },
      ),
      { numRuns: runs(150) },
    ));
});
