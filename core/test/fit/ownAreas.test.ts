import { tryAlerts } from '@umbrex/core/air';
import { alertsOf, fitBoard } from '@umbrex/core/fit';
import { afterSheet, prepare } from '@umbrex/core/flow';
import type { Unit } from '@umbrex/core/model';
import { sheetReadiness } from '@umbrex/core/readiness';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { plan, unit } from '../support/plans';

const MENU = shipped('menu-alert');
const OF_PLAN = { areas: ['099001', '099002'], reach: 'list', weatherHz: 162_475_000, silent: [] } as const;
const THEIRS = { ...plan([]), alerts: { ...OF_PLAN, areas: [...OF_PLAN.areas], silent: [] } };
const OWN = { areas: ['099003'], weatherHz: 162_400_000 };
const set = (alerts: Unit['alerts']) =>
  unit(1, MENU.id, { alerts, holds: { what: 'factory', on: 'unknown', rest: 'factory' } });
const areasOf = (of: typeof THEIRS, one: Unit) => {
  const { fit } = prepare(of, MENU, one);
  return [...fit.image.slots.values()].flatMap(({ content }) =>
    content.kind === 'area' ? [content.areaCode] : [],
  );
};

describe('an alert radio with areas of its own', () => {
  it('holds those, hears its own transmitter, and its steps prove', () => {
    expect(areasOf(THEIRS, set(null))).toEqual(['099001', '099002']);
    expect(areasOf(THEIRS, set(OWN))).toEqual(['099003']);
    const prepared = prepare(THEIRS, MENU, set(OWN));
    expect(prepared.proof.proven).toBe(true);
    const setting = MENU.settings.find(({ holds }) => holds === 'weatherHz');
    const list = MENU.lists[setting?.list ?? ''];
    const at = prepared.fit.image.settings[setting?.id ?? ''] ?? -1;
    expect(JSON.stringify(list)).toContain('162400000');
    expect(at).not.toBe(prepare(THEIRS, MENU, set(null)).fit.image.settings[setting?.id ?? '']);
  });
  it('sounds for its own area and not for the plan’s', () => {
    const one = set(OWN);
    const prepared = prepare(THEIRS, MENU, one);
    const alerts = alertsOf(THEIRS.alerts, OWN);
    if (!alerts) throw new Error('no areas');
    const trials = tryAlerts(alerts, MENU, afterSheet(MENU, prepared));
    const sounds = trials.map(({ message, outcome }) => [message.areas[0], outcome.sounds]);
    expect(sounds).toEqual([
      ['099003', true],
      ['099001', false],
    ]);
  });
  it('is ready by them where the plan has none, and not while nobody has listened for its transmitter', () => {
    const none = { ...THEIRS, alerts: null };
    const stops = (own: Unit['alerts']) =>
      sheetReadiness(MENU, prepare(none, MENU, set(own)), alertsOf(none.alerts, own)).stops;
    expect(stops(null)).toEqual(['no-areas']);
    expect(stops(OWN)).toEqual([]);
    expect(stops({ ...OWN, weatherHz: 'unknown' })).toEqual(['no-transmitter']);
    // How far it listens is the plan's; without one it is its own areas.
    expect(alertsOf(null, OWN)).toEqual({ ...OWN, reach: 'list', silent: [] });
    expect(alertsOf({ ...THEIRS.alerts, reach: 'everywhere' }, OWN)?.reach).toBe('everywhere');
  });
  it('is told of what it cannot hold by itself', () => {
    const many = { ...OWN, areas: Array.from({ length: 31 }, (_, i) => `0990${String(i + 10)}`) };
    const units = [set(null), { ...set(many), id: unit(2, MENU.id).id }];
    const { unitFindings } = fitBoard(THEIRS, units, SHIPPED, NO_GROUNDS);
    const codes = units.map(({ id }) => (unitFindings[id] ?? []).map(({ code }) => code));
    expect(codes[0]).not.toContain('alert-areas-left-out');
    expect(codes[1]).toContain('alert-areas-left-out');
  });
});
