import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Channel, slotReader, slotsOf, wantedInScan } from '@umbrex/core/model';
import { type Signal, VirtualDevice } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { anyPlan, channel, plan } from '../support/plans';
import { runs } from '../support/runs';
import { told } from '../support/told';

const TAP = { kind: 'key', heldMs: 100 } as const;
const heard = (name: string, mhz: number, more: Partial<Channel> = {}) =>
  channel(name, mhz, null, { service: 'other', ...more });
/** A scanner that holds these channels, at rest on its first place. */
function scanner(channels: readonly Channel[], id = 'bank-scanner'): VirtualDevice {
  const description = shipped(id);
  return new VirtualDevice(
    description,
    memoryAfter(description, fitPlan(plan(channels), fitDevice(description)).image),
  );
}
const press = (device: VirtualDevice, ...keys: string[]) => {
  for (const key of keys) device.take({ ...TAP, key });
};
const wait = (device: VirtualDevice, ms: number) => device.take({ kind: 'wait', ms });
const on = (mhz: number, fromMs: number, toMs: number, tone = 'off'): Signal => ({
  hz: Math.round(mhz * 1e6),
  tone,
  fromMs,
  toMs,
});

const harbour = heard('Harbour', 152.9);
const rescue = heard('Rescue', 155.1625, { scan: 'priority' });
const pilots = heard('Pilots', 156.325, { receiveTone: '82.5', receivePolicy: 'closed' });
const skipped = heard('Skipped', 154.25, { scan: 'out' });

describe('a scan', () => {
  it('stops where somebody speaks, shows it, and passes a place that is left out', () => {
    const device = scanner([harbour, skipped, pilots]);
    device.receive([on(154.25, 0, 60_000), on(156.325, 1000, 5000, '82.5')]);
    press(device, 'scan');
    wait(device, 800);
    expect(device.speaker()).toBeNull();
    wait(device, 500);
    expect(device.speaker()).toEqual({ number: 3, hz: 156_325_000 });
    expect(device.screen()).toEqual(['SCAN 1-3', 'Pilots']);
    expect(device.caught().catches.map(({ number }) => number)).toEqual([3]);
  });
  it('begins with the place behind the one where it stands, and with the first behind the last', () => {
    const names = [harbour, pilots, heard('Third', 158.1)];
    const stopsAt = (standing: number) => {
      const device = scanner(names);
      for (let i = 1; i < standing; i++) press(device, 'up');
      device.receive(names.map(({ receiveHz }) => on(receiveHz / 1e6, 0, 60_000, 'off')));
      device.receive(names.map(({ receiveHz, receiveTone }) => on(receiveHz / 1e6, 0, 60_000, receiveTone)));
      press(device, 'scan');
      wait(device, 400);
      return device.speaker()?.number;
    };
    expect([stopsAt(1), stopsAt(2), stopsAt(3)]).toEqual([2, 3, 1]);
  });
  it('without a scan its speaker has the place it stands on, while somebody sends what that waits for', () => {
    const device = scanner([pilots, harbour]);
    const first = { number: 1, hz: 156_325_000 };
    device.receive([on(152.9, 0, 60_000)]);
    expect(device.speaker()).toBeNull();
    device.receive([on(156.325, 0, 60_000, '100.0')]);
    expect(device.speaker()).toBeNull();
    device.receive([on(156.325, 0, 2000, '82.5')]);
    expect(device.speaker()).toEqual(first);
    wait(device, 3000);
    expect(device.speaker()).toBeNull();
  });
  it('does not stop for another tone than the one it waits for', () => {
    const device = scanner([harbour, pilots]);
    device.receive([on(156.325, 0, 60_000, '100.0')]);
    press(device, 'scan');
    wait(device, 5000);
    expect(device.caught().catches).toEqual([]);
  });
  it.each([
    ['stays for the answer with a delay of two seconds', 'on', 1],
    ['moves on at once without, and comes back to the answer', 'off', 2],
  ] as const)('%s', (_, resumeDelay, catches) => {
    const device = scanner([{ ...harbour, resumeDelay }, rescue]);
    device.receive([on(152.9, 0, 3000), on(152.9, 4500, 8000)]);
    press(device, 'scan');
    wait(device, 7000);
    expect(device.caught().catches.filter(({ number }) => number === 1)).toHaveLength(catches);
  });
  it('looks at the place with priority every two seconds, which cuts the sound, and goes there', () => {
    const device = scanner([harbour, rescue]);
    device.receive([on(152.9, 0, 30_000), on(155.1625, 7500, 12_000)]);
    press(device, 'scan');
    wait(device, 7000);
    // Looks at about 2, 4 and 6 seconds find nothing; the one at 8 does.
    expect(device.caught()).toMatchObject({ cuts: 3, catches: [{ number: 1 }] });
    wait(device, 1500);
    expect(device.speaker()).toEqual({ number: 2, hz: 155_162_500 });
    expect(device.caught().catches.at(-1)?.atMs).toBeLessThan(7500 + 2000);
  });
  it('catches a call of length L with chance (L - d) / T on a round of T: 10 places of 40 ms, calls of 100 ms', () => {
    // Common practice, no published source: chance min(1, (L - d) / T), here d = 15 ms, so that 85 of 400 offsets are caught: of one each 10 ms nine.
    const channels = Array.from({ length: 10 }, (_, i) => heard(`C${i}`, 152 + i * 0.025));
    const caught = Array.from({ length: 40 }, (_, k) => {
      const device = scanner(channels);
      const from = 4000 + k * 10;
      device.receive([on(152.1, from, from + 100)]);
      press(device, 'scan');
      wait(device, 6000);
      return device.caught().catches.length;
    });
    expect(caught.reduce((sum, n) => sum + n, 0)).toBe(9);
  });
  it('is begun by a side key where its setting says so, and by nothing else', () => {
    const description = shipped('page-handheld');
    const { image } = fitPlan(plan([]), fitDevice(description));
    const memory = memoryAfter(description, image);
    const set = (sideShort: number) =>
      new VirtualDevice(description, { ...memory, settings: { ...memory.settings, sideShort } });
    const scans = set(2);
    press(scans, 'side');
    expect(scans.screen()[0]).toMatch(/^SCAN/);
    press(scans, 'side');
    expect(scans.screen()[0]).not.toMatch(/^SCAN/);
    const alarm = set(4);
    press(alarm, 'side');
    expect(alarm.emissions()).toHaveLength(1);
    const nothing = set(0);
    press(nothing, 'side');
    expect([nothing.emissions().length, nothing.screen()[0]]).toEqual([0, scans.screen()[0]]);
  });
});

describe('a search', () => {
  const places = [137.5, 138.1, 139.25, 140.5, 141.75, 143, 155.1];
  it('keeps the last five frequencies where it heard something', () => {
    const device = scanner([harbour]);
    device.receive(
      places.map((mhz) => on(mhz, 0, 500_000)).map((s, i) => ({ ...s, toMs: 20_000 + i * 9000 })),
    );
    press(device, 'search');
    wait(device, 120_000);
    expect(device.found()).toEqual([155_100_000, 143_000_000, 141_750_000, 140_500_000, 139_250_000]);
    expect(device.screen()).toEqual(['SEARCH 155.1000', 'FINDS 5']);
    press(device, 'up', 'up');
    expect(device.screen()[0]).toBe('SEARCH 141.7500');
  });
  it('puts a find into the memory it stood on when E is pressed, which is why its sheet warns of it', () => {
    const device = scanner([harbour]);
    device.receive([on(138.1, 0, 60_000)]);
    press(device, 'search');
    wait(device, 20_000);
    press(device, 'enter');
    expect(device.memory().slots.get(1)?.rx).toBe(138_100_000);
    expect(shipped('bank-scanner').recipes?.hazards.join(' ')).toMatch(/search/);
  });
  it('finds nothing beside its steps and outside its bands', () => {
    const device = scanner([harbour]);
    device.receive([on(138.106, 0, 200_000), on(150.1, 0, 200_000)]);
    press(device, 'search');
    wait(device, 100_000);
    expect(device.found()).toEqual([]);
  });
});

describe('for any plan', () => {
  const scanners = SHIPPED.filter(({ behaviour }) =>
    Object.values(behaviour?.modes ?? {}).some(({ scans }) => scans === 'places'),
  ).map(({ id }) => id);
  it('five kinds of set scan by a key', () =>
    expect(scanners).toEqual([
      'bank-scanner',
      'field-mobile',
      'network-scanner',
      'page-handheld',
      'wideband-receiver',
    ]));

  it.each(scanners)('%s stops for every channel that shall be in the scan, and for no other', (id) => {
    const description = shipped(id);
    const read = slotReader(description);
    fc.assert(
      fc.property(
        anyPlan,
        fc.infiniteStream(fc.constantFrom('usual', 'in', 'out', 'priority')),
        (any, scans) => {
          const channels = any.channels.map((one) => ({
            ...one,
            scan: scans.next().value as Channel['scan'],
          }));
          const { image, cells } = fitPlan({ ...any, channels }, fitDevice(description));
          const memory = memoryAfter(description, image);
          const sidekey = description.settings.some((setting) => setting.id === 'sideShort');
          for (const { channelId, slot, findings } of cells) {
            const one = channels.find((candidate) => candidate.id === channelId);
            const place = image.slots.get(slot?.number ?? -1);
            if (!one || !slot || place?.channelIds[0] !== channelId || place.channelIds.length > 1) continue;
            const device = new VirtualDevice(description, {
              ...memory,
              settings: { ...memory.settings, ...(sidekey && { sideShort: 2 }) },
            });
            const { receiveHz: hz = 0, receiveTone: tone = 'off' } = told(place.content);
            device.receive([{ hz, tone, fromMs: 0, toMs: 600_000 }]);
            // The network scanner scans as it comes on.
            if (id === 'field-mobile') press(device, 'power', 'open');
            else if (id !== 'network-scanner') press(device, sidekey ? 'side' : 'scan');
            wait(device, 60_000);
            const stops = device.caught().catches.some(({ number }) => number === slot.number);
            const alone = slotsOf(description).filter(
              (other) => told(read(other, memory.slots.get(other.number) ?? null)).receiveHz === hz,
            );
            // Where two places have the frequency, the scan may stay at the other one for good.
            if (alone.length > 1 || findings.some(({ code }) => code === 'scan-differs')) continue;
            expect([one.name, stops]).toEqual([one.name, wantedInScan(one) !== 'out']);
          }
        },
      ),
      { numRuns: runs(25) },
    );
  });
});
