import type { Memory } from '@umbrex/core/model';
import { VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { holding } from '../support/memory';
import { mobile, type Raw } from '../support/mobile';

/*
 * What single keys do to a virtual set: each key of the mobile is given the actions that a test is about, and what it comes to was written
 * down before it was run. Its places are F1, F2 and 11 to 15.
 */

const HELD = { rx: 462_700_000, off: 0, enc: 1, dec: 0, pow: 2, wid: 1, mute: 0, name: 'ABCDE' };
type Rows = Record<string, object | readonly object[]>;

const items = [
  { number: '1', title: 'FREQ', editor: 'frequency', target: { reach: 'channel', field: 'rx' } },
  { number: '2', title: 'SHIFT', editor: 'wheel', target: { reach: 'channel', field: 'off' } },
  { number: '3', title: 'NAME', editor: 'letters', target: { reach: 'channel', field: 'name' } },
  {
    number: '4',
    title: 'TONE',
    editor: 'wheel',
    lockedWhen: { field: 'mute', value: 1 },
    target: { reach: 'channel', field: 'enc' },
  },
  { number: '9', title: 'BELL', editor: 'digits', apart: true, target: { reach: 'set', setting: 'bell' } },
];

/** The mobile with a row of actions on each key; figures type themselves, `abc` gives its letters. */
function acting(rows: Rows, change: (raw: Raw) => void = () => undefined) {
  const figures = Object.fromEntries([...'0123456789'].map((char) => [`n${char}`, { char }]));
  const keys = {
    ...figures,
    abc: { letters: 'AB' },
    ...Object.fromEntries(Object.keys(rows).map((key) => [key, {}])),
  };
  return mobile((raw) => {
    raw.keys = Object.fromEntries(Object.keys(keys).map((key) => [key, key.toUpperCase()]));
    const on = Object.entries(rows).flatMap(([key, row]) =>
      (Array.isArray(row) && !('act' in row[0]) ? row : [{ do: Array.isArray(row) ? row : [row] }]).map(
        (one) => ({
          keys: [key],
          ...one,
        }),
      ),
    );
    raw.behaviour = {
      keys: { ...keys, abc: { letters: 'AB' } },
      frequencyEntry: { digits: 7, unitHz: 100 },
      letterWheel: ' ABCDE',
      start: 'all',
      startNumber: 11,
      items: structuredClone(items),
      modes: {
        all: {
          screen: ['{label}', '{entry}'],
          on: [
            ...on,
            { keys: 'chars', do: [{ act: 'typeChar', most: 7 }] },
            { keys: ['abc'], do: [{ act: 'tapLetter', withinMs: 1000 }] },
          ],
        },
      },
    };
    change(raw);
  });
}

const PLACES: Record<number, Record<string, string | number>> = {
  11: HELD,
  13: { ...HELD, rx: 462_725_000 },
};

/** A set that holds something in places 11 and 13, and a hand that presses its keys, one after another. */
function taken(rows: Rows, change?: (raw: Raw) => void, places: typeof PLACES = PLACES) {
  const set = acting(rows, change);
  const device = new VirtualDevice(set, holding(set, places));
  const press = (...keys: string[]) => {
    for (const key of keys) device.take({ kind: 'key', key, heldMs: 100 });
    const { entry, draft, cursor, item, heard, sent } = device.snapshot();
    return {
      entry,
      draft,
      cursor,
      item,
      heard,
      sent: sent.map(({ hz, tone }) => [hz, tone]),
      at: device.screen()[0],
    };
  };
  const type = (text: string) => press(...[...text].map((char) => `n${char}`));
  const values = (number: number) => device.memory().slots.get(number);
  return { device, press, type, values };
}

const open = (item: string) => ({ act: 'openItem', item });
const READ = { act: 'readDraft' };
const STORE = { act: 'storeDraft' };

describe('what is typed', () => {
  it('goes as far as there is room, and a key without a figure types none', () => {
    const { press, type } = taken({ plain: { act: 'typeChar', most: 7 }, clear: { act: 'clearEntry' } });
    expect(type('46270001')).toMatchObject({ entry: '4627000', heard: ['refused'] });
    expect(press('clear', 'plain')).toMatchObject({ entry: '', heard: ['refused', 'refused'] });
  });
  it('is a frequency that the set has, or is refused and leaves all as it was', () => {
    const { press, type } = taken({ take: { act: 'draftFromEntry' }, clear: { act: 'clearEntry' } });
    type('4627000');
    expect(press('take', 'clear')).toMatchObject({ draft: 462_700_000, heard: [] });
    type('99');
    expect(press('take')).toMatchObject({ draft: 462_700_000, heard: ['refused'] });
  });
  it('is how far from its own frequency a place sends, where there is such a shift', () => {
    const { press, type } = taken({
      shift: [open('2'), { act: 'draftOffsetFromEntry' }],
      clear: { act: 'clearEntry' },
    });
    type('4677000');
    expect(press('shift', 'clear')).toMatchObject({ draft: 1, heard: [] });
    type('4650000');
    expect(press('shift')).toMatchObject({ draft: 1, heard: ['refused'] }); // Its own frequency is looked for by what it is.
    const turned = taken({ shift: [open('2'), { act: 'draftOffsetFromEntry' }] }, (raw) =>
      raw.fields.reverse(),
    );
    turned.type('4677000');
    expect(turned.press('shift')).toMatchObject({ draft: 1, heard: [] });
  });
  it('is sent on where it is a frequency', () => {
    const { press, type } = taken({ talk: { act: 'transmitEntry' } });
    type('12');
    expect(press('talk').sent).toEqual([]);
    expect(taken({ talk: { act: 'transmitEntry' } }).type('4627000').sent).toEqual([]);
    const other = taken({ talk: { act: 'transmitEntry' } });
    other.type('4627000');
    expect(other.press('talk').sent).toEqual([[462_700_000, 'off']]);
  });
  it('decides what a key does', () => {
    const rows = [
      { when: [{ is: 'entryIsFrequency' }], do: [{ act: 'beep', tone: 'high' }] },
      { when: [{ is: 'hasFound' }], do: [{ act: 'beep', tone: 'low' }] },
    ];
    const { press, type } = taken({ ask: rows });
    type('12');
    expect(press('ask').heard).toEqual(['refused']);
    type('34567');
    expect(press('ask').heard).toEqual(['refused', 'refused']);
    const other = taken({ ask: rows });
    other.type('4627000');
    expect(other.press('ask').heard).toEqual(['high']);
  });
});

describe('where it goes', () => {
  it('a place that is not there is refused, and it stays', () => {
    const { press, type } = taken({ go: { act: 'pickSlot', to: 'entry' } });
    type('99');
    expect(press('go')).toMatchObject({ at: '11', heard: ['refused'] });
  });
  it('an empty place takes over what it stood on, one with something of its own and the factory’s do not', () => {
    for (const [typed, held] of [
      ['12', HELD],
      ['13', PLACES[13]],
    ] as const) {
      const { press, type, values } = taken({ begin: { act: 'beginSlot' } });
      type(typed);
      expect(press('begin').at).toBe(typed);
      expect(values(Number(typed))).toEqual(held);
    }
    const factory = taken({ begin: { act: 'beginSlot' } });
    const before = factory.values(1);
    factory.type('1');
    expect(factory.press('begin').at).toBe('F1');
    expect(factory.values(1)).toEqual(before);
  });
  it('of an empty place there is nothing to take over', () => {
    const { press, type, values } = taken({
      begin: { act: 'beginSlot' },
      go: { act: 'pickSlot', to: 'entry' },
      clear: { act: 'clearEntry' },
    });
    type('14');
    press('go', 'clear');
    type('15');
    expect(press('begin').at).toBe('15');
    expect(values(15)).toBeNull();
  });
  it('a place is emptied, but not one of the factory’s', () => {
    const { press, type, values } = taken({
      wipe: { act: 'eraseSlot' },
      go: { act: 'pickSlot', to: 'entry' },
    });
    expect(press('wipe').heard).toEqual([]);
    expect(values(11)).toBeNull();
    const before = values(1);
    type('1');
    expect(press('go', 'wipe')).toMatchObject({ at: 'F1', heard: ['refused'] });
    expect(values(1)).toEqual(before);
  });
});

describe('the list of items', () => {
  it('is gone through without those that have a key of their own, and begins with the first of the others', () => {
    const rows = Object.fromEntries(
      ['first', 'next', 'previous', 'entry'].map((to) => [to, { act: 'pickItem', to }]),
    );
    const moved = (raw: Raw) => raw.behaviour.items.unshift(raw.behaviour.items.pop());
    const { press, type } = taken(rows, moved);
    expect(press('first')).toMatchObject({ item: 1, heard: [] });
    expect(press('previous').item).toBe(4);
    expect(press('next').item).toBe(1);
    type('77');
    expect(press('entry')).toMatchObject({ item: 1, heard: ['refused'] });
  });
  it('stores what may be stored there', () => {
    const rows = {
      store: [open('1'), { act: 'draftFromEntry' }, STORE],
      go: { act: 'pickSlot', to: 'entry' },
    };
    const { press, type, values } = taken({ ...rows, clear: { act: 'clearEntry' } });
    type('4626500');
    expect(press('store', 'clear').heard).toEqual(['ok']);
    expect(values(11)).toEqual({ ...HELD, rx: 462_650_000 });
    const before = values(1);
    type('1');
    press('go', 'clear');
    type('4626500');
    expect(press('store').heard).toEqual(['ok', 'refused']);
    expect(values(1)).toEqual(before);
  });
  it('refuses an item that another one locks, and what an empty place has no use for', () => {
    const rows = { store: [open('4'), READ, { act: 'stepDraft', by: 1 }, STORE] };
    const free = taken(rows);
    expect(free.press('store').heard).toEqual(['ok']);
    expect(free.values(11)).toEqual({ ...HELD, enc: 2 });
    const locked = taken(rows, undefined, { 11: { ...HELD, mute: 1 } });
    expect(locked.press('store').heard).toEqual(['refused']);
    expect(locked.values(11)).toEqual({ ...HELD, mute: 1 });
    const empty = taken(rows, undefined, {});
    expect(empty.press('store').heard).toEqual(['refused']);
    expect(empty.values(11)).toBeNull();
  });
});

describe('letters', () => {
  it('one after another, no further than a name has', () => {
    const { press } = taken({ edit: [open('3'), READ, { act: 'firstLetter' }], next: { act: 'nextLetter' } });
    expect(press('edit')).toMatchObject({ draft: 'ABCD', cursor: 0 });
    expect(press('next', 'next', 'next', 'next', 'next')).toMatchObject({ cursor: 3 });
  });
  it('of a number as many as it has figures', () => {
    const bells = (raw: Raw) => {
      raw.lists.bells = [{ kind: 'numbers', from: 10, to: 13, shown: '{n}' }];
      raw.settings = [{ id: 'bell', title: 'Bell', list: 'bells', factory: 1 }];
    };
    const { press } = taken(
      { edit: [open('9'), READ, { act: 'firstLetter' }], next: { act: 'nextLetter' } },
      bells,
    );
    expect(press('edit')).toMatchObject({ draft: '11', cursor: 0 });
    expect(press('next', 'next', 'next')).toMatchObject({ cursor: 1 });
  });
  it('by taps: soon after the last one it is the next of the key, later a new one, and none where there is no room', () => {
    const { device, press } = taken({ edit: [open('3'), { act: 'blankDraft' }] });
    const wait = (ms: number) => device.take({ kind: 'wait', ms });
    press('edit');
    press('abc');
    // A tap lasts 100 ms and counts once the key is let go.
    wait(899);
    expect(press('abc').draft).toBe('B');
    wait(900);
    expect(press('abc').draft).toBe('BA');
    wait(1000);
    press('abc');
    wait(1000);
    expect(press('abc')).toMatchObject({ draft: 'BAAA', heard: [] });
    wait(1000);
    expect(press('abc')).toMatchObject({ draft: 'BAAA', heard: ['refused'] });
  });
});

describe('a set as a whole', () => {
  const modes = (more: object) => (raw: Raw) => Object.assign(raw.behaviour.modes, more);
  const GO = (to: string) => [{ go: to }];
  it('a key that is down stays down since it went down', () => {
    const { device } = taken({ hold: [{ heldMs: 500, do: [{ act: 'beep', tone: 'high' }] }, { do: [] }] });
    device.take({ kind: 'down', key: 'hold' });
    device.take({ kind: 'wait', ms: 300 });
    device.take({ kind: 'down', key: 'hold' });
    device.take({ kind: 'wait', ms: 300 });
    device.take({ kind: 'up', key: 'hold' });
    expect(device.snapshot().heard).toEqual(['high']);
  });
  it('takes another one’s copy while it waits for it, with its settings, and not before', () => {
    const { device, press } = taken(
      { wait: GO('waits') },
      modes({
        waits: { screen: ['COPY'], takesCopy: { go: 'all', do: [{ act: 'beep', tone: 'ok' }] }, on: [] },
      }),
    );
    const copy: Memory = { slots: new Map([[11, null]]), settings: { bell: 3, beep: 2 } };
    device.takeCopy(copy);
    expect(device.memory().settings).toEqual({ bell: 1, beep: 0 });
    press('wait');
    device.takeCopy(copy);
    expect(device.memory()).toEqual(copy);
    expect(device.snapshot().heard).toEqual(['ok']);
  });
  it('says nothing where a place is empty', () => {
    const { device, type, press } = taken({ go: { act: 'pickSlot', to: 'entry' } });
    device.receive([{ hz: 462_700_000, tone: 'off', fromMs: 0, toMs: 1_000_000 }]);
    expect(device.speaker()).toEqual({ number: 11, hz: 462_700_000 });
    type('12');
    press('go');
    expect(device.speaker()).toBeNull();
  });
  it('switched off and on it stands where it begins, if it is such a one; a lock of its keys stays', () => {
    const rows = { go: { act: 'pickSlot', to: 'entry' }, lock: GO('locked') };
    const locked = modes({ locked: { screen: ['LOCKED {label}'], staysOn: true, on: [] } });
    for (const [wakesAt, label] of [
      ['start', '12'],
      ['last', '13'],
    ]) {
      const { device, press, type } = taken(rows, (raw) => {
        locked(raw);
        raw.behaviour.wakesAt = wakesAt;
        raw.behaviour.startNumber = 12;
      });
      type('13');
      press('go');
      device.take({ kind: 'power' });
      expect(device.screen()).toEqual([label, '']);
      press('lock');
      device.take({ kind: 'power' });
      expect(device.screen()).toEqual([`LOCKED ${label}`]);
    }
  });
  it('a scan that is gone to again goes on as it was', () => {
    const { device, press } = taken({ scan: GO('scans') }, (raw) => {
      raw.scan = { everyMs: 100, decideMs: 50, resumeMs: 300, priority: 'none', search: 'none' };
      Object.assign(raw.behaviour.modes, {
        scans: { screen: ['{label}'], scans: 'places', on: [{ keys: ['scan'], go: 'scans' }] },
      });
    });
    press('scan');
    device.take({ kind: 'wait', ms: 150 });
    press('scan');
    // Looks at 200, 300 and 400 ms after it was begun at 100.
    device.take({ kind: 'wait', ms: 60 });
    expect(device.screen()).toEqual(['F2']);
  });
  it('goes through what a search found, either way', () => {
    const { device, press } = taken(
      {
        search: GO('search'),
        next: { act: 'pickFind', to: 'next' },
        back: { act: 'pickFind', to: 'previous' },
        ask: [{ when: [{ is: 'hasFound' }], do: [{ act: 'beep', tone: 'low' }] }],
      },
      (raw) => {
        raw.scan = {
          everyMs: 100,
          decideMs: 50,
          resumeMs: 100,
          priority: 'none',
          search: { everyMs: 20, finds: 3, bands: [{ fromHz: 462_000_000, toHz: 462_050_000 }] },
        };
        raw.behaviour.modes.all.screen = ['{found}', '{finds}'];
        Object.assign(raw.behaviour.modes, {
          search: { screen: ['SEARCH'], scans: 'bands', on: [{ keys: ['search'], go: 'all' }] },
        });
      },
    );
    press('search');
    for (const hz of [462_000_000, 462_025_000, 462_050_000]) {
      const from = device.nowMs();
      device.receive([{ hz, tone: 'off', fromMs: from, toMs: from + 300 }]);
      device.take({ kind: 'wait', ms: 1000 });
    }
    press('search');
    expect(device.screen()).toEqual(['462.0500', '3']);
    press('next');
    expect(device.screen()[0]).toBe('462.0250');
    press('back', 'back');
    expect(device.screen()[0]).toBe('462.0000');
    expect(press('ask').heard).toEqual(['low']);
  });
  it('is none without a behaviour, and none that stands on a place that is not there', () => {
    expect(() => new VirtualDevice(mobile())).toThrow(/^description little-mobile has no behaviour$/);
    const set = acting({});
    expect(() => new VirtualDevice(set, undefined, 0, { mode: 'all', number: 99 })).toThrow(
      /^stands on: 99$/,
    );
  });
});
