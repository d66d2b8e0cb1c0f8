import { type Partner, radioChecks } from '@umbrex/core/check';
import type { Channel, Plan } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { channel, plan, uuid } from '../support/plans';

const direct = (name: string, mhz: number, n: number, more: Partial<Channel> = {}) =>
  channel(name, mhz, mhz, { id: uuid(n), access: 'open', ...more });
const A = direct('A', 462.5625, 1);
const MUST = direct('Must', 462.5875, 2, { tier: 'must' });
const SIXTEEN = direct('Sixteen', 156.8, 3, { tier: 'must', service: 'marine' });
const REP = channel('Rep', 462.65, 467.65, { id: uuid(4), access: 'open' });
const OTHER_REP = channel('Other', 462.7, 467.7, { id: uuid(5), access: 'permission', tier: 'must' });
const all: Plan = plan([A, MUST, SIXTEEN, REP, OTHER_REP]);
const everything = new Set(all.channels.map(({ id }) => id));
const partner = (nickname: string, holder: string, on: readonly Channel[]): Partner => ({
  nickname,
  holder,
  talksOn: new Set(on.map(({ id }) => id)),
});
const station = (name: string, output: number, input: number, status?: string) => ({
  name,
  outputHz: output * 1e6,
  inputHz: input * 1e6,
  status,
});

describe('the calls that show that a loaded set works', () => {
  it('go to the channel of most weight on which somebody answers, never to a distress channel', () => {
    const checks = radioChecks(
      all,
      everything,
      'Ines',
      [partner('Boat', '', [A, SIXTEEN]), partner('Mine too', 'Ines', [A]), partner('Watch', 'Nils', [A])],
      [],
    );
    expect(checks[0]).toEqual({
      kind: 'direct',
      channelId: A.id,
      partners: [
        { nickname: 'Watch', holder: 'Nils' },
        { nickname: 'Boat', holder: '' },
        { nickname: 'Mine too', holder: 'Ines' },
      ],
      through: null,
      needsLeave: false,
    });
    const alone = radioChecks(all, everything, '', [], []);
    expect(alone.map(({ channelId, partners }) => [channelId, partners])).toEqual([
      [MUST.id, []],
      [REP.id, []],
    ]);
  });
  it('never go through a repeater that is off the air, and name it where the list has it', () => {
    const nils = [partner('Watch', 'Nils', [REP, OTHER_REP])];
    const through = (...stations: Parameters<typeof radioChecks>[4]) =>
      radioChecks(all, everything, 'Ines', nils, stations).find(({ kind }) => kind === 'repeater');
    expect(through(station('Kelp', 462.65, 467.65, 'on-air'))).toMatchObject({
      channelId: REP.id,
      through: 'Kelp',
    });
    expect(through(station('Kelp', 462.65, 467.65, 'off-air'))).toMatchObject({
      channelId: OTHER_REP.id,
      through: null,
      needsLeave: true,
    });
    // Two on the pair, and nobody knows which of them it opens: both are off.
    expect(
      through(
        station('Kelp', 462.65, 467.65, 'gone'),
        station('Pier', 462.65, 467.65, 'off-air'),
        station('Fell', 462.7, 467.7, 'planned'),
      ),
    ).toBeUndefined();
    expect(
      through(station('Kelp', 462.65, 467.65, 'gone'), station('Fell', 462.7, 467.7, 'planned')),
    ).toBeUndefined();
  });
  it('tell two repeaters on one pair apart by the tone that opens them, and name none where that does not', () => {
    const opening = { ...REP, transmitTone: '82.5' };
    const name = (...tones: readonly (string | undefined)[]) =>
      radioChecks(
        plan([opening]),
        everything,
        '',
        [],
        tones.map((inputTone, i) => ({ ...station(`No ${i}`, 462.65, 467.65), inputTone })),
      )[0]?.through;
    expect(name('131.8', '82.5')).toBe('No 1');
    expect(name('131.8', '100.0')).toBeNull();
    expect(name('82.5', '82.5')).toBeNull();
    expect(name(undefined)).toBe('No 0');
  });
  it('are none on a set that talks nowhere, or on distress channels alone', () => {
    expect(radioChecks(all, new Set(), '', [], [])).toEqual([]);
    expect(radioChecks(all, new Set([SIXTEEN.id]), '', [], [])).toEqual([]);
  });
});
