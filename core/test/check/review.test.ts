import { gatherFindings, reviewPlan } from '@umbrex/core/check';
import type { Channel, Plan } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { channel, OSTREL, plan, uuid } from '../support/plans';

const TODAY = '2026-11-25';
const review = (channels: Channel[], more: Partial<Plan> = {}) =>
  reviewPlan({ ...plan(channels), ...more }, { today: TODAY });
const codes = (...channels: Channel[]) => review(channels).map(({ finding }) => finding.code);

/* Classic mistakes and what must be said; `repair` is the one-click change and what is left afterwards. */
type Case = readonly [string, Channel, string, string | undefined];
// biome-ignore format: a table
const CASES: readonly Case[] = [
  ['input and output swapped (47 CFR 95.1763)', channel('A', 467.65, 462.65, { transmitTone: '82.5' }), 'input-output-swapped', 'swap'],
  ['a split that no table has', channel('A', 462.65, 467.675, { transmitTone: '82.5' }), 'not-a-service-channel', undefined],
  ['transmitting on a weather frequency', channel('A', 162.55, 162.55), 'nobody-transmits-here', 'listen-only'],
  ['transmitting on air distress', channel('A', 121.5, 121.5), 'nobody-transmits-here', 'listen-only'],
  ['a frequency of no service known here', channel('A', 460.1, 460.1), 'service-needs-licence', 'listen-only'],
  ['wide on 467 MHz interstitial (47 CFR 95.1773)', channel('A', 467.6375, 467.6375, { bandwidth: 'wide' }), 'too-wide', 'narrow'],
  ['wide where FRS shares the channel', channel('A', 462.6375, 462.6375, { bandwidth: 'wide' }), 'wide-beside-narrow', 'narrow'],
  ['waiting for a tone nobody sends', channel('A', 462.6375, 462.6375, { receiveTone: '82.5' }), 'direct-tone-never-sent', 'receive-tone-off'],
  ['two tones on a direct channel', channel('A', 462.6375, 462.6375, { transmitTone: '82.5', receiveTone: '100.0' }), 'direct-tones-differ', undefined],
  ['a repeater without a transmit tone', channel('A', 462.65, 467.65), 'repeater-without-tone', undefined],
  ['a repeater whose tone nobody knows', channel('A', 462.65, 467.65, { transmitTone: 'unknown' }), 'channel-tone-unknown', undefined],
  ['a tone expected to keep a secret', channel('Private talk', 462.6375, 462.6375, { transmitTone: '82.5', receiveTone: '82.5' }), 'tone-is-no-privacy', undefined],
  ['a distress channel (47 CFR 80.373)', channel('A', 156.8, null), 'never-for-tests', undefined],
  ['by permission', channel('A', 462.65, 467.65, { transmitTone: '82.5', access: 'permission' }), 'permission-needed', undefined],
];

describe('a plan is reviewed before anybody programs it', () => {
  for (const [title, one, code, repair] of CASES)
    it(title, () => {
      const found = review([one]).find(({ finding }) => finding.code === code);
      expect(found, codes(one).join()).toBeDefined();
      expect(found?.finding.path).toBe('/channels/0');
      expect(found?.repair?.code).toBe(repair);
      if (found?.repair) expect(codes(found.repair.channel)).not.toContain(code);
    });
  it('an open receive policy forgives a receive tone that nobody sends', () =>
    expect(codes(channel('A', 462.6375, 462.6375, { receiveTone: '82.5', receivePolicy: 'open' }))).toEqual(
      [],
    ));
  it('says what channels do to each other', () => {
    const on = (name: string, tone: string, more: Partial<Channel> = {}) =>
      channel(name, 462.65, 467.65, { transmitTone: tone, receiveTone: tone, ...more });
    expect(codes(on('A', '82.5'), on('B', '82.5'))).toContain('same-channel');
    expect(codes(on('A', '82.5'), on('B', '85.4'))).toContain('tones-look-alike');
    expect(codes(on('A', '82.5'), on('B', '131.8'))).toContain('scan-stop-ambiguous');
    expect(codes(on('A', 'D023I'), on('B', 'D047N'))).toContain('tones-are-partners');
    expect(codes(on('A', '82.5'), channel('a ', 462.6375, 462.6375, { id: uuid(7) }))).toContain('same-name');
  });
  it('a country without tables asks', () =>
    expect(
      review([channel('A', 462.65, 467.65, { transmitTone: '82.5' })], { country: 'other' })[0]?.finding.code,
    ).toBe('country-not-covered'));
  it('UHF CB: no tones on the emergency channel, nobody talks on telemetry', () => {
    const au = (...channels: Channel[]) =>
      review(channels, { country: 'AU' }).map(({ finding }) => finding.code);
    const five = channel('CB 5', 476.525, 476.525, { transmitTone: '82.5', receiveTone: '82.5' });
    expect(au(five)).toEqual(expect.arrayContaining(['tones-forbidden', 'never-for-tests']));
    expect(au(channel('CB 22', 476.95, 476.95))).toContain('nobody-transmits-here');
    // Repeaters of 1 to 8 and 41 to 48 listen on 31 to 38 and 71 to 78 (class licence, from memory).
    const directOn = (n: number) => {
      const mhz = (n <= 40 ? 476.425 + 0.025 * (n - 1) : 476.4375 + 0.025 * (n - 41)).toFixed(4);
      return au(channel(`CB ${n}`, Number(mhz), Number(mhz))).includes('input-used-direct');
    };
    const inputs = Array.from({ length: 80 }, (_, k) => k + 1).filter(directOn);
    expect(inputs).toEqual([31, 32, 33, 34, 35, 36, 37, 38, 71, 72, 73, 74, 75, 76, 77, 78]);
    expect(au(channel('CB 3', 476.475, 477.225))).not.toContain('input-used-direct');
  });
  it('business licences: run out, and soon to end', () => {
    const row = (expires: string) => ({
      name: 'F',
      receiveHz: 451_812_500,
      transmitHz: 451_812_500,
      bandwidthHz: 12_500,
      maxPowerW: 2,
      licence: 'L',
      area: '',
      expires,
    });
    const ferry = channel('Ferry', 451.8125, 451.8125, { service: 'business' });
    const of = (expires: string) =>
      review([ferry], { licensed: [row(expires)] }).map(({ finding }) => finding.code);
    expect(of('2026-11-24')).toEqual(['licence-expired']);
    expect(of('2027-01-24')).toEqual(['licence-ends-soon']);
    expect(of('2027-01-25')).toEqual([]);
    // Judged for the day of loading, where that is still to come.
    const on = (loadOn: string, expires: string) =>
      review([ferry], { licensed: [row(expires)], loadOn }).map(({ finding }) => finding.code);
    expect(on('2026-12-12', '2026-12-11')).toEqual(['licence-expired']);
    expect(on('2026-12-12', '2026-12-12')).toEqual(['licence-ends-soon']);
    expect(on('2026-11-01', '2026-11-25')).toEqual(['licence-ends-soon']);
  });
  it('the demo plan has nothing that must be mended, and comes in the order of what to do', () => {
    const found = reviewPlan(OSTREL, { today: TODAY });
    expect(found.filter(({ next }) => next === 'fix')).toEqual([]);
    const order = found.map(({ next }) => ['fix', 'ask', 'look', 'know'].indexOf(next));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
});

describe('findings that say the same of several channels', () => {
  const same = (name: string, hz: number) => channel(name, hz, hz, { bandwidth: 'wide' });
  const found = reviewPlan(
    plan([same('One', 462.5625), same('Two', 462.5875), channel('Sea', 156.8, null, { service: 'marine' })]),
  );
  it('are one row with all of them, and one repair a channel', () => {
    const wide = gatherFindings(found).find(({ first }) => first.finding.code === 'wide-beside-narrow');
    expect(wide?.channelIds).toHaveLength(2);
    expect(wide?.repairs.map((repair) => repair.channel.name)).toEqual(['One', 'Two']);
  });
  it('nothing is lost or doubled by gathering', () => {
    const ids = gatherFindings(found).flatMap(({ channelIds }) => channelIds);
    expect(ids).toHaveLength(found.length);
  });
  it('a service that the plan did not choose is said', () => {
    const chosen = {
      ...plan([channel('Sea', 156.8, null, { service: 'marine' })]),
      services: ['gmrs' as const],
    };
    expect(reviewPlan(chosen).map(({ finding }) => finding)).toContainEqual({
      code: 'service-not-chosen',
      severity: 'note',
      service: 'marine',
      path: '/channels/0',
    });
  });
});
