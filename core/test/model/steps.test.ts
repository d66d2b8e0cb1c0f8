import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { type Description, digitsOf, hzOfDigits, isOnStep, leastApartHz } from '@umbrex/core/model';
import { VirtualDevice } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

const receive = (stepHz: number, ...others: number[]): Exclude<Description['receive'], 'unknown'> => ({
  bands: [{ fromHz: 100_000_000, toHz: 500_000_000 }],
  stepHz,
  ...(others.length > 0 && { otherStepsHz: others }),
  modes: ['FM'],
});
const KILOHERTZ = { digits: 6, unitHz: 1000 } as const;
const BEGUN = { ...KILOHERTZ, completes: true } as const;

describe('the figures that stand for a frequency', () => {
  // Worked by hand: 462.5625 is 74,010 steps of 6.25 kHz; nothing of 5 or 6.25 kHz begins 155.752.
  const table: readonly (readonly [number, string | undefined, string | undefined])[] = [
    [462_562_500, undefined, '462562'],
    [446_006_250, undefined, '446006'],
    [145_000_000, '145000', '145000'],
    [151_820_000, '151820', '151820'],
    [155_752_500, undefined, undefined],
    [462_563_000, '462563', undefined],
  ];
  it.each(table)('%d Hz: whole %s, begun %s', (hz, whole, begun) => {
    const steps = receive(5000, 6250);
    expect(digitsOf(KILOHERTZ, steps, hz)).toBe(whole);
    expect(digitsOf(BEGUN, steps, hz)).toBe(begun);
  });

  it('every frequency on a step is typed and taken back, where no two begin with the same figures', () => {
    fc.assert(
      fc.property(
        fc.constantFrom([5000, 6250], [2500, 6250], [12_500, 5000], [6250], [25_000, 12_500, 10_000]),
        fc.integer({ min: 20_000, max: 40_000 }),
        fc.nat(),
        ([first = 0, ...others], k, which) => {
          const steps = receive(first, ...others);
          const step = [first, ...others][which % (others.length + 1)] ?? first;
          const hz = k * step;
          expect(isOnStep(steps, hz)).toBe(true);
          expect(leastApartHz(steps)).toBeGreaterThanOrEqual(BEGUN.unitHz);
          const typed = digitsOf({ ...BEGUN, digits: String(Math.floor(hz / 1000)).length }, steps, hz);
          expect(typed).toBeDefined();
          expect(hzOfDigits({ ...BEGUN, digits: typed?.length ?? 0 }, steps, typed ?? '')).toBe(hz);
        },
      ),
    );
  });

  it('two frequencies lie at least as far apart as the steps have in common', () => {
    expect(leastApartHz(receive(5000))).toBe(5000);
    expect(leastApartHz(receive(5000, 6250))).toBe(1250);
    expect(leastApartHz(receive(12_500, 6250))).toBe(6250);
  });
});

describe('a set with several steps that completes what is typed', () => {
  const TWOSTEP = shipped('twostep-mobile');
  const marine = plan([channel('Ground 8', 446.006_25, null), channel('Ground 9', 446.01, null)]);

  it('holds frequencies of both steps, and its sheet types their beginnings', () => {
    const { fit, sheet, proof } = prepare(marine, TWOSTEP);
    expect(fit.cells.map(({ slot }) => slot !== null)).toEqual([true, true]);
    expect(proof.firstDifference).toBeNull();
    const says = sheet.steps.map((step) => step.says);
    expect(says).toContain('Type 446006, for 446.00625.');
    expect(says).toContain('Type 446010, for 446.0100.');
  });

  it('refuses what lies on none of them, and says which there are', () => {
    const { cells } = fitPlan(plan([channel('Between', 155.7525, null)]), fitDevice(TWOSTEP));
    expect(cells[0]?.findings).toContainEqual({
      code: 'cannot-enter-frequency',
      severity: 'error',
      hz: 155_752_500,
      stepsHz: [5000, 6250],
    });
  });

  it('takes no figures that begin nothing', () => {
    const shownAfter = (figures: string) => {
      const device = new VirtualDevice(TWOSTEP);
      for (const key of ['dial', ...[...figures].map((figure) => `d${figure}`), 'keep'])
        device.take({ kind: 'key', key, heldMs: 100 });
      return device.screen().join(' ');
    };
    expect(shownAfter('446006')).toContain('446.00625');
    expect(shownAfter('155752')).not.toContain('155.75');
  });
});
