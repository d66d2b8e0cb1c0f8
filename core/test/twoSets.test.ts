import { NO_GROUNDS } from '@umbrex/core/rules';
import { twoSetTest } from '@umbrex/core/twoSets';
import { describe, expect, it } from 'vitest';
import { SHIPPED } from './support/devices';
import { channel, plan, unit, uuid } from './support/plans';

const direct = channel('Direct', 462.5625, 462.5625, {
  id: uuid(61),
  transmitTone: '100.0',
  receiveTone: '100.0',
});
const hill = channel('Hill', 462.65, 467.65, { id: uuid(62), transmitTone: '131.8' });
const distress = channel('Distress', 156.8, 156.8, { id: uuid(63), service: 'marine' });
const of = plan([direct, hill, distress]);
const test = (on: typeof hill, one: string, two: string) =>
  twoSetTest({ plan: of, descriptions: SHIPPED, grounds: NO_GROUNDS, stations: [] }, [], on, [
    unit(1, one),
    unit(2, two),
  ]);
const told = (found: ReturnType<typeof test>) =>
  found?.steps.map(({ isolates, talks, listens, cannot }) => [isolates, talks, listens, cannot]);

describe('two sets and nobody else', () => {
  it('leave one thing less with each step, both ways round: loudspeaker, frequency, tones', () => {
    const found = test(direct, 'page-handheld', 'guided-handheld');
    expect(found?.ground).toMatchObject({ name: 'Direct', transmitTone: 'off', receiveTone: 'off' });
    expect(told(found)).toEqual([
      ['mute', null, 'b', null],
      ['mute', null, 'a', null],
      ['frequency', 'a', 'b', null],
      ['frequency', 'b', 'a', null],
      ['sent-tone', 'a', 'b', null],
      ['sent-tone', 'b', 'a', null],
      ['awaited-tone', 'a', 'b', null],
      ['awaited-tone', 'b', 'a', null],
    ]);
  });
  it('a repeater’s input is heard by whoever can listen there, else it is not testable here', () => {
    const found = test(hill, 'page-handheld', 'wideband-receiver');
    expect(told(found)).toContainEqual(['input', 'a', 'b', null]);
    expect(told(found)).toContainEqual(['input', 'b', 'a', 'may-not-send']);
    // A pocket radio has its 22 channels and no other.
    expect(told(test(hill, 'page-handheld', 'pocket-radio'))).toContainEqual([
      'input',
      'a',
      'b',
      'cannot-listen-there',
    ]);
  });
  it('whoever may not send is not asked to talk', () => {
    const found = test(direct, 'wideband-receiver', 'page-handheld');
    for (const { talks, cannot } of found?.steps ?? [])
      if (talks === 'a') expect(cannot).toBe('may-not-send');
  });
  it('never on a channel for distress and calling', () =>
    expect(test(distress, 'page-handheld', 'guided-handheld')).toMatchObject({ isQuiet: true, steps: [] }));
  it('says how often one has to say who one is (47 CFR 95.1751: every 15 minutes)', () =>
    expect(test(hill, 'page-handheld', 'guided-handheld')?.identifyEveryMinutes).toBe(15));
  it('whoever has no place for the channel is not asked to listen there', () =>
    expect(told(test(hill, 'page-handheld', 'network-scanner'))).toContainEqual([
      'repeater',
      'a',
      'b',
      'cannot-listen-there',
    ]));
  it('a repeater is no set to talk with', () => expect(test(hill, 'page-handheld', 'repeater')).toBeNull());
});
