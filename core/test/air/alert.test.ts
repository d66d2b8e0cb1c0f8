import { alertOutcome, isSameArea, tryAlerts } from '@umbrex/core/air';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Alerts, factoryMemory } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { plan } from '../support/plans';

const ALERTS: Alerts = {
  areas: ['099001', '099003'],
  reach: 'list',
  weatherHz: 162_475_000,
  silent: ['SPS', 'RWT'],
};
/** What each message comes to on a set that was given the plan's alerts. */
const outcomes = (id: string, alerts: Alerts = ALERTS) => {
  const description = shipped(id);
  const memory = memoryAfter(description, fitPlan({ ...plan([]), alerts }, fitDevice(description)).image);
  return tryAlerts(alerts, description, memory).map(({ message, wanted, outcome }) => [
    message.event,
    message.areas[0],
    wanted,
    outcome.sounds ? outcome.by : outcome.why,
  ]);
};

describe('whether an area is meant (47 CFR 11.31(c), from memory)', () => {
  it.each([
    ['048113', '048113', true],
    ['048113', '148113', true], // part 1 of the county is meant, and the set has all of it
    ['148113', '048113', true],
    ['148113', '248113', false],
    ['048113', '048115', false],
    ['048113', '048000', true], // the whole state
    ['048113', '047000', false],
    ['048113', '000000', true],
    ['000000', '048113', true],
  ])('%s stored, %s sent: %s', (stored, sent, same) => expect(isSameArea(stored, sent)).toBe(same));
});

describe('an alert radio', () => {
  it('sounds for the plan’s areas and for no other; what has a switch is silent, the rest sounds', () => {
    expect(outcomes('slot-alert')).toEqual([
      ['TOR', '099001', true, 'unknown'],
      ['TOR', '099003', true, 'unknown'],
      ['TOR', '099005', false, 'other-area'],
      ['SPS', '099001', false, 'switched-off'],
      ['RWT', '099001', false, 'switched-off'],
    ]);
    expect(outcomes('menu-alert').map(([, , wanted, by]) => [wanted, by])).toEqual([
      [true, 'voice'],
      [true, 'voice'],
      [false, 'other-area'],
      [false, 'voice'],
      [false, 'voice'],
    ]);
  });
  it('set to one area ignores a second one, and set to everywhere sounds for all', () => {
    expect(outcomes('menu-alert', { ...ALERTS, reach: 'one', silent: [] })).toEqual([
      ['TOR', '099001', true, 'voice'],
      ['TOR', '099003', false, 'other-area'],
      ['TOR', '099005', false, 'other-area'],
    ]);
    expect(outcomes('slot-alert', { ...ALERTS, reach: 'everywhere', silent: [] })[2]).toEqual([
      'TOR',
      '099005',
      true,
      'unknown',
    ]);
  });
  it('hears one transmitter alone, sounds only for areas it holds, and nobody knows of a set without either', () => {
    const set = shipped('slot-alert');
    const memory = {
      ...factoryMemory(set),
      settings: { ...factoryMemory(set).settings, reach: 1, station: 2 },
    };
    const message = { hz: 162_475_000, event: 'TOR', areas: ['099001'] };
    expect(alertOutcome(set, memory, message)).toEqual({ sounds: false, why: 'no-area' });
    expect(alertOutcome(set, memory, { ...message, hz: 162_400_000 })).toMatchObject({
      why: 'other-transmitter',
    });
    expect(alertOutcome(shipped('page-handheld'), memory, message)).toMatchObject({ why: 'not-known' });
  });
  it('that the plan has no transmitter for is not tried', () =>
    expect(outcomes('slot-alert', { ...ALERTS, weatherHz: 'unknown' })).toEqual([]));
});

describe('for any areas and any reach', () => {
  const area = fc
    .tuple(fc.constantFrom('0', '1', '5'), fc.constantFrom('99', '48'), fc.integer({ min: 1, max: 9 }))
    .map(([part, state, county]) => `${part}${state}00${county}`);
  const alerts = fc.record({
    areas: fc.uniqueArray(area, { minLength: 1, maxLength: 30 }),
    reach: fc.constantFrom('one' as const, 'list' as const, 'everywhere' as const),
    weatherHz: fc.constantFrom(162_400_000, 162_475_000, 162_550_000),
    silent: fc.uniqueArray(fc.constantFrom('SPS' as const, 'RWT' as const, 'FFA' as const, 'TOR' as const)),
  });
  it.each(['menu-alert', 'slot-alert'])('%s sounds as the plan wants, or something says why not', (id) =>
    fc.assert(
      fc.property(alerts, (wanted) => {
        const description = shipped(id);
        const fit = fitPlan({ ...plan([]), alerts: wanted }, fitDevice(description));
        const said = new Set(fit.findings.map(({ code }) => code));
        const trials = tryAlerts(wanted, description, memoryAfter(description, fit.image));
        expect(trials.filter(({ about }) => about === 'area')).toHaveLength(wanted.areas.length);
        for (const { about, message, wanted: shall, outcome } of trials) {
          if (outcome.sounds === shall) continue;
          const why = {
            area: ['alert-areas-left-out', 'alert-reach-not-here', 'alert-areas-ignored'],
            neighbour: ['alert-reach-not-here'],
            event: ['alert-always-on', 'alert-no-switch', 'alert-reach-not-here'],
          }[about];
          expect([about, message, why.some((code) => said.has(code as never))]).toEqual([
            about,
            message,
            true,
          ]);
        }
      }),
      { numRuns: 200 },
    ),
  );
});
