import { prepare, triedAs } from '@umbrex/core/flow';
import { firstDifference } from '@umbrex/core/memory';
import { CALM, doRuns, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { OSTREL } from '../support/plans';

const SMALL = { ...OSTREL, channels: OSTREL.channels.slice(0, 8) };

describe('the state of a virtual device is plain data', () => {
  it.each(KEYED.map((description) => [description.id, description] as const))(
    '%s: set aside in the middle of a sheet and taken up again, it ends the same, display by display',
    (_, description) => {
      const { sheet, now } = prepare(SMALL, description, triedAs(description, SMALL));
      const device = new VirtualDevice(description, now);
      const half = Math.floor(sheet.steps.length / 2);
      const steps = (from: number, to: number) =>
        sheet.steps.slice(from, to).map(({ runs }) => {
          doRuns(
            runs,
            (event) => device.take(event),
            () => device.screen(),
            CALM.betweenKeysMs,
          );
          device.take({ kind: 'wait', ms: CALM.betweenStepsMs });
          return device.screen();
        });
      steps(0, half);
      const aside = device.snapshot();
      const first = [steps(half, sheet.steps.length), device.memory(), device.snapshot().nowMs];
      device.restore(aside);
      const second = [steps(half, sheet.steps.length), device.memory(), device.snapshot().nowMs];
      expect(second).toEqual(first);
      // What was set aside is not changed by what was done since.
      device.restore(aside);
      expect(device.snapshot()).toEqual(aside);
    },
  );
  it('all of it, and nothing is shared with the set that goes on', () => {
    const page = shipped('page-handheld');
    const set = new VirtualDevice(page);
    for (const key of ['d0', 'd4', 'd5', 'list']) set.take({ kind: 'key', key, heldMs: 120 });
    const full = {
      ...set.snapshot(),
      heard: ['high', 'low'],
      sent: [{ hz: 462_550_000 }],
      copied: [45],
    } as unknown as ReturnType<typeof set.snapshot>;
    set.restore(full);
    const aside = set.snapshot();
    expect(aside).toEqual(full);
    // What is put in as a whole may be the same thing; what is added to may not.
    for (const name of ['values', 'settings', 'down', 'sent', 'copied', 'heard'] as const)
      expect([name, aside[name] === full[name]]).toEqual([name, false]);
  });
  it('another set takes it up as well, and goes on from there', () => {
    const page = shipped('page-handheld');
    const [one, other] = [new VirtualDevice(page), new VirtualDevice(page)];
    for (const key of ['d0', 'd4', 'd5', 'list']) one.take({ kind: 'key', key, heldMs: 120 });
    other.restore(one.snapshot());
    expect(other.screen()).toEqual(one.screen());
    for (const set of [one, other])
      for (const key of ['d2', 'd1', 'keep', 'd4', 'd6', 'd2', 'd6', 'd5', 'd0', 'd0', 'keep'])
        set.take({ kind: 'key', key, heldMs: 120 });
    expect(firstDifference(page, one.memory(), other.memory())).toBeNull();
    expect(one.memory().slots.get(45)?.rx).toBe(462_650_000);
  });
});
