import { passThrough, relay, sidesOfStation } from '@umbrex/core/air';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { StationSchema } from '@umbrex/core/model';
import { prove, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { memoryAfter, read } from '../support/memory';
import { channel, plan, unit, uuid } from '../support/plans';

/** Its list has fourteen tones: T1 is 67.0, T3 is 82.5 (the description's own order). */
const ZONED = shipped('zoned-mobile');
const KELP = channel('Kelp', 462.65, 467.65, { id: uuid(1), transmitTone: '131.8', receiveTone: '131.8' });
const FERRY = channel('Ferry', 462.7, 467.7, { id: uuid(2), transmitTone: '88.5', receiveTone: 'off' });
const station = StationSchema.parse({
  id: uuid(3),
  kind: 'repeater',
  name: 'Kelp',
  facts: [
    ['outputHz', 462_650_000],
    ['inputHz', 467_650_000],
    ['inputTone', '131.8'],
    ['outputTone', '131.8'],
  ].map(([field, value]) => ({ field, value, source: 'trustee', on: '2026-03-01' })),
});

function programmed(sticky = true) {
  const { operatorTone } = ZONED;
  const description =
    typeof operatorTone === 'object' ? { ...ZONED, operatorTone: { ...operatorTone, sticky } } : ZONED;
  const { image } = fitPlan(plan([KELP, FERRY]), fitDevice(description));
  const device = new VirtualDevice(description, memoryAfter(description, image));
  const press = (...keys: string[]) => {
    for (const key of keys) device.take({ kind: 'key', key, heldMs: 120 });
  };
  return { device, press, sent: () => device.emissions().map(({ hz, tone }) => [hz, tone]) };
}

describe('a tone picked by hand', () => {
  it('goes out on every channel in place of its own until it is cleared, where it is sticky', () => {
    const { press, sent, device } = programmed();
    press('talk', 'tone', 'right', 'right', 'right');
    expect(device.screen()[0]).toBe('PICKED T3');
    press('tone', 'talk', 'right', 'talk', 'tone', 'left', 'left', 'left', 'tone', 'talk');
    expect(sent()).toEqual([
      [467_650_000, '131.8'],
      [467_650_000, '82.5'],
      [467_700_000, '82.5'],
      [467_700_000, '88.5'],
    ]);
  });
  it('is cleared by the first steps of a sheet where somebody noted it, and the proof sees one that stays', () => {
    const noted = (pickedTone: string) =>
      prepare(plan([KELP]), ZONED, unit(1, ZONED.id, { pickedTone, holds: read([]) }));
    const { sheet, proof, now, wanted } = noted('82.5');
    expect(sheet.steps.slice(1, 4).map(({ says }) => says)).toEqual([
      'Open the tone picked by hand.',
      'Turn to OFF.',
      'Leave it.',
    ]);
    expect(sheet.presses - noted('off').sheet.presses).toBe(5);
    expect(proof).toMatchObject({ proven: true, slowToo: true });
    const lame = { ...sheet, steps: sheet.steps.filter((_, i) => i === 0 || i > 3) };
    expect(prove(ZONED, now, wanted, lame).firstDifference).toEqual({
      code: 'proof-still-picked',
      severity: 'error',
    });
    expect(noted('unknown').sheet.clears).toBe(0);
  });
  it('goes with the channel where it is not', () => {
    const { press, sent } = programmed(false);
    press('tone', 'right', 'tone', 'talk', 'right', 'talk', 'left', 'talk');
    expect(sent().map(([, tone]) => tone)).toEqual(['67.0', '88.5', '131.8']);
  });
  it('leaves the memory as it was, and shuts the repeater that waits for the channel’s own', () => {
    const { press, device } = programmed();
    const before = device.memory();
    press('tone', 'right', 'tone', 'talk');
    expect(device.memory()).toEqual(before);
    const [{ hz, tone } = { hz: 0, tone: '' }] = device.emissions();
    const sides = sidesOfStation(station);
    expect(relay(sides, { hz, tone, lengthS: 3 }).sends).toBeNull();
    const set = {
      kind: 'channel' as const,
      receiveHz: 462_650_000,
      transmitHz: hz,
      transmitTone: tone,
      receiveTone: '131.8',
    };
    expect(passThrough(set, sides)).toEqual({ gate: 'input-tone', needs: '131.8', comes: '67.0' });
    press('tone', 'left', 'tone', 'talk');
    const [, cleared = { hz: 0, tone: '' }] = device.emissions();
    expect(relay(sides, { ...cleared, lengthS: 3 }).sends).toMatchObject({ hz: 462_650_000 });
  });
});
