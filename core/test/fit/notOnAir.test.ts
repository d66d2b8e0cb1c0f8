import { isOffAir, reviewPlan, stateSaid, statesSaid } from '@umbrex/core/check';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import type { Channel, Plan } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { anyPlan, channel, plan } from '../support/plans';
import { runs } from '../support/runs';

const repeater = (state: Channel['state'], more: Partial<Channel> = {}) =>
  channel(`Fell ${state}`, 462.7, 467.7, { transmitTone: '192.8', state, ...more });
const DIRECT = channel('Deck', 462.5625, 462.5625);
const cellOf = (state: Channel['state'], policy: Partial<Plan>) => {
  const one = repeater(state);
  const { cells } = fitPlan({ ...plan([DIRECT, one]), ...policy }, fitDevice(shipped('page-handheld')));
  return cells.find(({ channelId }) => channelId === one.id);
};

describe('a channel that is not on the air', () => {
  it.each([
    ['planned', {}, 'loaded-off-air'],
    ['planned', { planned: 'leave-out' }, 'not-loaded'],
    ['withdrawn', {}, 'not-loaded'],
    ['withdrawn', { withdrawn: 'load' }, 'loaded-off-air'],
    ['on-air', { planned: 'leave-out', withdrawn: 'leave-out' }, undefined],
  ] as const)('%s with %o: %s', (state, policy, code) => {
    const cell = cellOf(state, policy);
    const said = cell?.findings.map((finding) => finding.code) ?? [];
    expect(said.filter((one) => one === 'not-loaded' || one === 'loaded-off-air')).toEqual(
      code ? [code] : [],
    );
    expect(cell?.slot === null).toBe(code === 'not-loaded');
    expect(cell?.verdict === 'apart').toBe(code === 'not-loaded');
  });
  it('that is left out leaves the set as if the plan never had it but for names, which stay as they will be', () => {
    const state = fc.constantFrom('on-air', 'planned', 'withdrawn');
    fc.assert(
      fc.property(
        anyPlan,
        fc.array(state, { minLength: 40, maxLength: 40 }),
        fc.constantFrom('page-handheld', 'zoned-mobile', 'guided-handheld', 'plain-handheld'),
        (any, states, id) => {
          const channels = any.channels.map((one, i) => ({ ...one, state: states[i % 40] ?? 'on-air' }));
          const out = { ...any, channels, planned: 'leave-out', withdrawn: 'leave-out' } as Plan;
          const without = { ...out, channels: channels.filter((one) => one.state === 'on-air') };
          const [a, b] = [out, without].map((of) => prepare(of, shipped(id)));
          const contents = (of: typeof a) =>
            [...(of?.fit.image.slots ?? [])].map(([n, { content }]) => {
              const { name: _, ...rest } = content as { name?: string };
              return [n, rest];
            });
          expect(contents(a)).toEqual(contents(b));
        },
      ),
      { numRuns: runs(25) },
    );
  });
});

describe('what the list of stations says of it', () => {
  const on = (status: string | undefined, more: object = {}) => ({
    name: 'Fell',
    outputHz: 462_700_000,
    inputHz: 467_700_000,
    inputTone: '192.8',
    status,
    ...more,
  });
  it.each([
    ['on-air', 'on-air'],
    ['planned', 'planned'],
    ['gone', 'withdrawn'],
    ['off-air', undefined],
    [undefined, undefined],
    ['nonsense', undefined],
  ])('%s: %s', (status, said) => {
    expect(stateSaid(repeater('on-air'), [on(status)])).toBe(said);
  });
  it('is nothing where two of one pair and tone say different things, and of a channel without a repeater', () => {
    expect(stateSaid(repeater('on-air'), [on('planned'), on('on-air')])).toBeUndefined();
    expect(stateSaid(repeater('on-air'), [on('planned'), on(undefined)])).toBeUndefined();
    expect(stateSaid(repeater('on-air'), [on('planned'), on('on-air', { inputTone: '82.5' })])).toBe(
      'planned',
    );
    expect(
      stateSaid(DIRECT, [on('planned', { outputHz: DIRECT.receiveHz, inputHz: DIRECT.receiveHz })]),
    ).toBe(undefined);
    expect(stateSaid(repeater('on-air'), [])).toBeUndefined();
  });
  const proposals = (one: Channel, status: string) => {
    const of = plan([one]);
    const found = reviewPlan(of, { today: '2026-11-29', said: statesSaid(of, [on(status)]) });
    return found.flatMap(({ finding, repair }) => (finding.code === 'state-differs' ? [repair] : []));
  };
  it.each([
    ['planned', 'on-air', 'on-air'],
    ['on-air', 'planned', 'planned'],
    ['on-air', 'gone', 'withdrawn'],
    ['planned', 'gone', 'withdrawn'],
  ] as const)('%s in the plan, %s there: the plan may follow', (state, status, to) => {
    const one = repeater(state);
    expect(proposals(one, status)).toEqual([{ code: 'as-said', channel: { ...one, state: to } }]);
    // Once it does, nothing more is proposed.
    expect(proposals({ ...one, state: to }, status)).toEqual([]);
  });
  it.each(['on-air', 'planned', 'gone'])(
    'proposes nothing of one that the group withdrew, %s there',
    (status) => {
      expect(proposals(repeater('withdrawn'), status)).toEqual([]);
    },
  );
  it('proposes nothing where nobody says anything, and asks nobody to call through what is not there', () => {
    expect(reviewPlan(plan([repeater('planned')])).map(({ finding }) => finding.code)).not.toContain(
      'state-differs',
    );
    expect(['on-air', 'planned', 'withdrawn'].map((s) => isOffAir(repeater(s as never), []))).toEqual([
      false,
      true,
      true,
    ]);
  });
});
