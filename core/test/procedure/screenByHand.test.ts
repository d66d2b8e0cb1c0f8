import { slotReader, slotsOf } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { fillScreen, type ScreenView, screenLine } from '../../src/procedure/screen';
import { talkTone } from '../../src/procedure/sending';
import { mobile } from '../support/mobile';

// What a virtual set shows, and which tone is under what it sends, decided by hand on the mobile.

const HELD = { rx: 462_700_000, off: 0, enc: 1, dec: 0, pow: 2, wid: 1, mute: 0, name: 'ABCDE' };

describe('what stands on its display', () => {
  const set = mobile();
  const slot = (number: number) => {
    const found = slotsOf(set).find((one) => one.number === number);
    if (!found) throw new Error(`no place ${number}`);
    return found;
  };
  const shown = (line: string, more: Partial<ScreenView> = {}) =>
    fillScreen(screenLine(line), {
      description: set,
      lists: {},
      slot: slot(11),
      values: HELD,
      item: undefined,
      itemValues: () => [{ shown: 'first', typed: undefined, means: 0 }],
      entry: '',
      draft: 0,
      cursor: 0,
      foundHz: undefined,
      finds: 0,
      ...more,
    });
  const item = (editor: 'frequency' | 'wheel' | 'letters') => ({
    item: { number: '1', title: 'ITEM', editor, target: { reach: 'channel', field: 'rx' } } as const,
  });
  it.each<[string, string, Partial<ScreenView>, string]>([
    ['a number of twelve figures', 'N{number:12}.', {}, 'N000000000011.'],
    ['what was typed, with room for more', '{entry:3}|', { entry: '4' }, '4__|'],
    ['a mark for a place that is used', '{used}{label}', {}, '•11'],
    ['and none for one that is not', '{used}{label}', { values: null }, ' 11'],
    ['a name, without what fills it up', '{name}', { values: { ...HELD, name: ' AB ' } }, 'AB'],
    ['a frequency where there is no name', '{name}', { values: { ...HELD, name: ' ' } }, '462.7000'],
    ['one of the factory’s', '{receive}', { slot: slot(1), values: HELD }, '462.5625'],
    ['none where a place is empty', '{receive}', { values: null }, '- - -'],
    [
      'a frequency that is being entered',
      '{draft}',
      { ...item('frequency'), draft: 462_650_000 },
      '462.6500',
    ],
    ['before it is', '{draft}', { ...item('frequency'), draft: 0 }, '- - -'],
    ['letters that are', '{draft}', { ...item('letters'), draft: 'AB' }, 'AB'],
    ['a value that is', '{draft}', { ...item('wheel'), draft: 0 }, 'first'],
  ])('%s', (_, line, view, text) => expect(shown(line, view)).toBe(text));
  it('a frequency is that of the field for it, wherever that stands', () => {
    const fields = [...set.fields].reverse();
    expect(shown('{receive}', { description: { ...set, fields } })).toBe('462.7000');
  });
});

describe('the tone under what is sent', () => {
  const read = slotReader(mobile());
  const place = slotsOf(mobile()).find(({ number }) => number === 11);
  const lists = {
    tones: [
      { shown: 'OFF', typed: undefined, means: 'off' },
      { shown: '77', typed: undefined, means: '77.0' },
    ],
  };
  const byHand = { operatorTone: { list: 'tones', sticky: false } } as Parameters<typeof talkTone>[0];
  it('is the one that was picked by hand, then that of the place, else none', () => {
    const content = place ? read(place, HELD) : null;
    expect(talkTone({ operatorTone: 'none' }, {}, content, 0)).toBe('67.0');
    expect(talkTone(byHand, lists, content, 0)).toBe('67.0');
    expect(talkTone(byHand, lists, content, 1)).toBe('77.0');
    expect(talkTone(byHand, lists, content, 7)).toBe('67.0');
    expect(talkTone({ operatorTone: 'none' }, {}, null, 0)).toBe('off');
  });
});
