import { fitDevice, fitPlan } from '@umbrex/core/fit';
import type { Alerts, Description } from '@umbrex/core/model';
import { factoryMemory, slotsOf } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { plan } from '../support/plans';

const SLOTS = shipped('slot-alert');
const MENU = shipped('menu-alert');
const alerts = (more: Partial<Alerts> = {}): Alerts => ({
  areas: ['099001'],
  reach: 'list',
  weatherHz: 162_475_000,
  silent: [],
  ...more,
});
const fitted = (description: Description, wanted: Alerts, areasThere: readonly string[] = []) => {
  const present = factoryMemory(description);
  const places = slotsOf(description).filter(({ region }) => region.content.kind === 'areas');
  const area = description.fields.find(({ holds }) => holds === 'areaCode')?.id ?? '';
  const slots = new Map(present.slots);
  for (const [i, code] of areasThere.entries()) {
    const number = places[i]?.number ?? -1;
    if (code) slots.set(number, { ...slots.get(number), [area]: code });
  }
  const fit = fitPlan({ ...plan([]), alerts: wanted }, fitDevice(description, { ...present, slots }));
  return {
    findings: fit.findings,
    // The areas in the order of their places, an empty text where the sheet puts none.
    areas: places.map(({ number }) => String(fit.image.slots.get(number)?.values[area] ?? '')).slice(0, 4),
    settings: fit.image.settings,
  };
};

describe('events that shall not sound', () => {
  it('each is told of once: always on, no switch for it, a warning that nobody hears', () =>
    expect(fitted(SLOTS, alerts({ silent: ['FFA', 'FFW', 'TOR', 'TSW'] })).findings).toEqual([
      { code: 'alert-always-on', severity: 'note', events: ['TOR'] },
      { code: 'alert-no-switch', severity: 'note', events: ['TSW'] },
      { code: 'alert-warning-silent', severity: 'warning', events: ['FFW'] },
    ]));
  it('a watch may be silent, and nothing is said', () =>
    expect(fitted(SLOTS, alerts({ silent: ['FFA', 'HUA'] })).findings).toEqual([]));
  it('an emergency that can be switched off is a warning that nobody hears, too', () => {
    const settings = SLOTS.settings.map((one) => (one.event === 'EAN' ? { ...one, list: 'onOff' } : one));
    expect(fitted({ ...SLOTS, settings }, alerts({ silent: ['EAN'] })).findings).toEqual([
      { code: 'alert-warning-silent', severity: 'warning', events: ['EAN'] },
    ]);
  });
  it('the weekly test is what shows that it works', () =>
    expect(fitted(SLOTS, alerts({ silent: ['RWT'] })).findings).toEqual([
      { code: 'alert-test-silent', severity: 'warning' },
    ]));
  it('each switch stands as it is wanted, and the others sound', () => {
    const list = SLOTS.lists.onOff;
    const means = (index: number | undefined) =>
      Array.isArray(list) && list[0]?.kind === 'items' ? list[0].items[index ?? -1]?.means : undefined;
    const { settings } = fitted(SLOTS, alerts({ silent: ['FFA'] }));
    expect([means(settings.eventFfa), means(settings.eventFfw), means(settings.eventRwt)]).toEqual([
      false,
      true,
      true,
    ]);
  });
});

describe('areas in their places', () => {
  const two = ['099001', '099002'];
  it('stay where they are, and fill what is empty before what somebody put there', () => {
    expect(fitted(MENU, alerts({ areas: two }), ['', '', '099001']).areas).toEqual([
      '099002',
      '',
      '099001',
      '',
    ]);
    expect(fitted(MENU, alerts({ areas: two }), ['099009', '', '099002']).areas).toEqual([
      '',
      '099001',
      '099002',
      '',
    ]);
  });
  it('where one area counts it is the first place, wherever the set has it', () =>
    expect(fitted(MENU, alerts({ areas: two, reach: 'one' }), ['099002', '099001'])).toMatchObject({
      areas: ['099001', '', '', ''],
      findings: [{ code: 'alert-areas-ignored', severity: 'warning', areas: ['099002'] }],
    }));
  it('what somebody put beside them is named, since it sounds as well', () =>
    expect(fitted(MENU, alerts({ areas: two }), ['099009', '', '', '099008']).findings).toEqual([
      { code: 'alert-areas-kept', severity: 'warning', areas: ['099009', '099008'] },
    ]));
  it('what has no place is named', () => {
    const many = Array.from({ length: 10 }, (_, i) => `09900${i}`);
    expect(fitted(SLOTS, alerts({ areas: many })).findings).toEqual([
      { code: 'alert-areas-left-out', severity: 'error', areas: many.slice(8) },
    ]);
  });
});
