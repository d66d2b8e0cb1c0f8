import { confidenceOf } from '@umbrex/core/confidence';
import { SERVICES, serviceChannel } from '@umbrex/core/facts';
import { fitDevice, fitPlan, wantedBy } from '@umbrex/core/fit';
import { prepare, triedAs } from '@umbrex/core/flow';
import { firstDifference } from '@umbrex/core/memory';
import { type Description, factoryMemory } from '@umbrex/core/model';
import { CALM, prove, type Run, replay, VirtualDevice, writeSheet } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, PROVABLE, SHIPPED, shipped } from '../support/devices';
import { changesFor, memoryAfter } from '../support/memory';
import { anyPlan, channel, OSTREL, plan } from '../support/plans';
import { runs } from '../support/runs';

describe('the demo plan', () => {
  for (const description of PROVABLE)
    it(`is proven on the ${description.id}, at both paces`, () => {
      const { proof, sheet } = prepare(OSTREL, description, triedAs(description, OSTREL));
      expect(proof.firstDifference).toBeNull();
      expect([proof.proven, proof.slowToo]).toEqual([true, true]);
      expect(proof.screens).toHaveLength(sheet.steps.length);
    });
  it('every shipped pattern is proven: sixteen by keys, six by the file that a program sends', () => {
    expect([KEYED.length, PROVABLE.length, SHIPPED.length]).toEqual([16, 22, 22]);
  });
});

describe('any plan on any shipped device', () => {
  it('200 plans × 22 devices: every sheet proves', () => {
    fc.assert(
      fc.property(anyPlan, (anything) => {
        for (const description of PROVABLE)
          expect(
            prepare(anything, description, triedAs(description, anything)).proof.firstDifference,
            description.id,
          ).toBeNull();
      }),
      { numRuns: runs(200), seed: 23 },
    );
  });
});

describe('a sheet is short and honest', () => {
  it('has no step for a slot that already holds what is wanted', () =>
    expect(
      prepare(plan([channel('Club talk', 462.55, 462.55)]), shipped('pocket-radio')).sheet.steps,
    ).toEqual([]));
  it('names the slots whose contents go', () => {
    const { sheet } = prepare(
      plan([channel('A', 462.65, 467.65, { transmitTone: '82.5' })]),
      shipped('page-handheld'),
    );
    expect(sheet.overwrites).toEqual([5]);
  });
  it('without recipes it is not ready, and says so', () => {
    const { recipes: _, ...bare } = shipped('pocket-radio');
    const { proof } = prepare(
      plan([channel('A', 462.65, 462.65, { transmitTone: '82.5', receiveTone: '82.5' })]),
      bare,
    );
    expect(proof).toMatchObject({ proven: false, firstDifference: { code: 'steps-not-known' } });
  });
});

describe('a description whose behaviour and recipes disagree is caught', () => {
  const talk = plan([channel('A', 462.65, 467.65, { transmitTone: '82.5', receiveTone: '131.8' })]);
  const firstDifferenceAfter = (change: (description: Description) => void, id = 'page-handheld') => {
    const description = shipped(id);
    change(description);
    return prepare(talk, description).proof.firstDifference?.code;
  };
  it('two menu items swapped in the manual', () =>
    expect(
      firstDifferenceAfter(({ recipes }) => {
        if (recipes)
          [recipes.items.txTone, recipes.items.rxTone] = [
            recipes.items.rxTone ?? { number: '', title: '', place: 0 },
            recipes.items.txTone ?? { number: '', title: '', place: 0 },
          ];
      }),
    ).toBe('proof-differs'));
  it('a store key the manual forgets', () =>
    expect(
      firstDifferenceAfter(({ recipes }) => {
        if (recipes) recipes.set.txTone = (recipes.set.txTone ?? []).slice(0, 1);
      }),
    ).toBe('proof-differs'));
  it('a wheel that does not go by ten', () =>
    expect(
      firstDifferenceAfter(({ behaviour }) => {
        for (const row of behaviour?.modes.wheel?.on ?? [])
          if (row.heldMs)
            for (const act of row.do ?? []) if (act.act === 'stepDraft') act.by = Math.sign(act.by) * 5;
      }, 'bank-handheld'),
    ).toBe('proof-differs'));
  it('a display that shows something else than the manual says', () =>
    expect(
      firstDifferenceAfter(({ behaviour }) => {
        if (behaviour?.modes.wheel) behaviour.modes.wheel.screen = ['VALUE'];
      }),
    ).toBe('proof-screen-differs'));
});

describe('hazards', () => {
  const channels = [
    channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' }),
    channel('Boat', 462.625, 462.625, { transmitTone: '82.5', receiveTone: '82.5' }),
  ];
  const broken = (
    id: string,
    spoil: (
      steps: { says: string; runs: (Run & { key?: string; heldMs?: number })[]; promises: undefined }[],
    ) => void,
  ) => {
    const description = shipped(id);
    const image = fitPlan(plan(channels), fitDevice(description)).image;
    const sheet = writeSheet(description, changesFor(description, image));
    const steps = structuredClone(sheet.steps).map(({ says, runs }) => ({
      says,
      runs: [...runs],
      promises: undefined,
    }));
    spoil(steps as never);
    const { memory } = replay(description, steps as never, CALM);
    return firstDifference(description, memoryAfter(description, image), memory)?.code;
  };
  it('the sheets are fine when done right', () => {
    for (const id of ['page-handheld', 'bank-handheld', 'pocket-radio'])
      expect(broken(id, () => {})).toBeUndefined();
  });
  it('a flashing figure of the pocket radio goes back after 6 seconds', () =>
    expect(
      broken('pocket-radio', (steps) =>
        steps.find(({ says }) => says.startsWith('Turn to code'))?.runs.push({ do: 'wait', ms: 7000 }),
      ),
    ).toBe('proof-differs'));
  it('BANK held for three seconds copies bank A over B and C', () => {
    const device = new VirtualDevice(shipped('bank-handheld'));
    const tap = (key: string, heldMs = 120) => device.take({ kind: 'key', key, heldMs });
    for (const key of ['bank', 'item', 'yes', 'up', 'yes', 'no']) tap(key);
    expect(device.memory().slots.get(101)?.sendCode).toBe(1);
    expect(device.memory().slots.get(113)?.sendCode).toBe(0);
    tap('bank', 3200);
    expect(device.memory().slots.get(113)?.sendCode).toBe(1);
    expect(device.memory().slots.get(125)?.sendCode).toBe(1);
  });
  it('LIST held on the page hand-held locks the keys, and the sheet comes to nothing', () =>
    expect(
      broken('page-handheld', (steps) => {
        const press = steps.find(({ says }) => says === 'Open the list.')?.runs[0];
        if (press) press.heldMs = 2500;
      }),
    ).toBe('proof-differs'));
  it('letters tapped too fast on one key run together', () => {
    const device = new VirtualDevice(shipped('page-handheld'));
    const keys = (...list: string[]) => {
      for (const key of list) {
        device.take({ kind: 'key', key, heldMs: 120 });
        device.take({ kind: 'wait', ms: 200 });
      }
    };
    keys(
      'd0',
      'd4',
      'd5',
      'list',
      'd2',
      'd1',
      'keep',
      'd4',
      'd6',
      'd2',
      'd6',
      'd5',
      'd0',
      'd0',
      'keep',
      'd2',
      'd8',
      'keep',
    );
    keys('d2', 'd2');
    expect(device.screen()[1]).toBe('B');
    device.take({ kind: 'wait', ms: 1500 });
    keys('d2');
    expect(device.screen()[1]).toBe('BA');
  });
  it('TALK while the code flashes stores and transmits at once', () => {
    const device = new VirtualDevice(shipped('pocket-radio'));
    for (const key of ['field', 'field', 'plus', 'talk']) device.take({ kind: 'key', key, heldMs: 120 });
    expect(device.emissions()).toMatchObject([{ hz: 462_562_500 }]);
    expect(device.memory().slots.get(1)?.code).toBe(1);
  });
});

describe('a slow hand', () => {
  it('is told to have things ready when only a calm one makes the window', () => {
    const hasty = shipped('pocket-radio');
    for (const mode of Object.values(hasty.behaviour?.modes ?? {})) if (mode.timeout) mode.timeout.ms = 3000;
    const talk = plan([channel('Boat', 462.625, 462.625, { transmitTone: '82.5', receiveTone: '82.5' })]);
    const { proof } = prepare(talk, hasty);
    expect([proof.proven, proof.slowToo]).toEqual([true, false]);
    // Which step it is: the first whose keys the set waits for too short a time.
    const [slow, ...more] = proof.findings;
    expect([slow?.code, more]).toEqual(['proof-too-slow', []]);
    const short = proof.windowsMs.findIndex((ms) => ms !== undefined && ms <= 3000);
    expect(short).toBeGreaterThanOrEqual(0);
    expect(slow && 'step' in slow ? slow.step : 0).toBeGreaterThan(short);
    expect(slow && 'step' in slow ? slow.step : 0).toBeLessThanOrEqual(proof.windowsMs.length);
  });
});

describe('the comparison reads memory alone', () => {
  it('sees a whole-set setting that was changed on the way', () => {
    const description = shipped('pocket-radio');
    const image = fitPlan(
      plan([channel('Boat', 462.625, 462.625, { transmitTone: '82.5', receiveTone: '82.5' })]),
      fitDevice(description),
    ).image;
    const sheet = writeSheet(description, changesFor(description, image));
    const spoiled = sheet.steps.map((step, i) =>
      i === sheet.steps.length - 1
        ? { ...step, runs: [{ do: 'press' as const, key: 'plus', times: 1 }, ...step.runs] }
        : step,
    );
    const now = factoryMemory(description);
    expect(
      prove(description, now, wantedBy(image), { ...sheet, steps: spoiled }).firstDifference,
    ).toMatchObject({
      code: 'proof-setting-differs',
      setting: 'bell',
    });
  });
});

describe('confidence', () => {
  const proven = prepare(OSTREL, shipped('pocket-radio')).proof;
  const mark = (kind: 'confirmed' | 'contradicted', firmware: string) => ({
    kind,
    firmware,
    on: '2026-11-01',
    by: 'Ines',
    note: '',
  });
  const of = (...marks: ReturnType<typeof mark>[]) =>
    confidenceOf(proven, { ...shipped('pocket-radio'), marks }, 'A');
  it('a replay is never more than rehearsed', () => expect(of()).toBe('rehearsed'));
  it('a person’s word confirms the firmware it was given for', () => {
    expect(of(mark('confirmed', 'A'))).toBe('confirmed');
    expect(of(mark('confirmed', 'B'))).toBe('rehearsed');
  });
  it('what is learnt from one recording is learnt, until a person confirms it', () => {
    const recording = { fields: [] } as never;
    const learnt = (...marks: ReturnType<typeof mark>[]) =>
      confidenceOf(proven, { ...shipped('pocket-radio'), recording, marks }, 'A');
    expect([learnt(), learnt(mark('confirmed', 'A')), learnt(mark('contradicted', 'A'))]).toEqual([
      'learnt',
      'confirmed',
      'contradicted',
    ]);
  });
  it('one contradiction flags every sheet', () =>
    expect(of(mark('confirmed', 'A'), mark('contradicted', 'B'))).toBe('contradicted'));
});

describe('the order of the places of a sheet', () => {
  // The preset radio comes on at 1 and turns both ways round its channels: 4 and 22 are 3 + 4 presses up and back, 1 + 4 the other way.
  const orderOf = (...numbers: number[]) => {
    const channels = numbers.map((number) => {
      const row = serviceChannel(SERVICES.gmrs, String(number));
      const mhz = (row?.receiveHz ?? 0) / 1e6;
      return channel(`C${number}`, mhz, mhz, { transmitTone: '67.0', receiveTone: '67.0' });
    });
    const { steps } = prepare(plan(channels), shipped('preset-radio')).sheet;
    return [...new Set(steps.flatMap(({ slotNumber, part }) => (part === 'work' ? (slotNumber ?? []) : [])))];
  };
  it('is another than a person reads only where that saves a tenth', () => {
    expect(orderOf(4, 22)).toEqual([22, 4]);
    expect(orderOf(2, 22)).toEqual([2, 22]);
    expect(orderOf(2, 3, 4)).toEqual([2, 3, 4]);
  });
});
