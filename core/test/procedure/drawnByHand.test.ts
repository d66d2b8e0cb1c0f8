import type { Image } from '@umbrex/core/fit';
import type { Memory } from '@umbrex/core/model';
import { drawPlaces, readBackLines, type Sheet, valuesCard } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { type HeldPlace, holding } from '../support/memory';
import { mobile, type Raw, region } from '../support/mobile';

// What a set holds and shall hold as it is drawn, listed and read back: the mobile, line by line, by hand.

const HELD = { rx: 462_700_000, off: 0, enc: 1, dec: 0, pow: 2, wid: 1, mute: 0, name: 'ABE' };
const CONTENT = { kind: 'channel', receiveHz: 462_700_000, transmitHz: 462_700_000, name: 'ABE' } as const;

const image = (places: Record<number, Record<string, string | number>>): Image => ({
  slots: new Map(
    Object.entries(places).map(([number, values]) => [
      Number(number),
      { channelIds: [`of ${number}`], values, content: CONTENT },
    ]),
  ),
  settings: {},
});

describe('the card of values', () => {
  const own = mobile((raw) => {
    raw.fields.splice(1, 0, { id: 'tx', title: 'Sends on', holds: 'transmitHz', factory: 0 });
    region(raw, 'free').ways[0].fields.push('tx');
  });
  const now = holding(own, { 11: { ...HELD, tx: 0 }, 12: 'unseen' });
  const lines = (places: Parameters<typeof image>[0]) =>
    valuesCard(own, image(places), now).map(({ label, channelIds, values }) => [
      label,
      ...channelIds,
      ...values.map(({ title, shown, isThere }) => `${title} ${shown}${isThere ? ' (there)' : ''}`),
    ]);
  it('has what can be set there and is wanted, in the set’s words and order, and says what is there', () =>
    expect(
      lines({
        12: { rx: 462_650_000, tx: 467_650_000, off: 1, enc: 0, name: '' },
        11: { ...HELD, tx: 0, pow: 0 },
        1: { rx: 462_562_500, enc: 2, wid: 0, pow: 1 },
      }),
    ).toEqual([
      ['F1', 'of 1', 'Tone sent 71.9', 'Power MID'],
      [
        '11',
        'of 11',
        'Frequency 462.7000 MHz (there)',
        'Sends on as it hears (there)',
        'Offset SIMP (there)',
        'Tone sent 67.0 (there)',
        'Tone awaited OFF (there)',
        'Power LOW',
        'Width WIDE (there)',
        'Talk SENDS (there)',
        'Name ABE (there)',
      ],
      [
        '12',
        'of 12',
        'Frequency 462.6500 MHz',
        'Sends on 467.6500 MHz',
        'Offset +5',
        'Tone sent OFF',
        'Name ',
      ],
    ]));
  it('a frequency of nothing is one all the same, where it is the one that is heard', () =>
    expect(lines({ 12: { rx: 0 } })).toEqual([['12', 'of 12', 'Frequency 0.0000 MHz']]));
});

describe('what is read back', () => {
  const set = mobile();
  const steps = [{ slotNumber: 12 }] as unknown as Sheet['steps'];
  const lines = (now: Memory, places: Parameters<typeof image>[0]) =>
    readBackLines(set, image(places), { steps } as Sheet, now);
  it('is each place in the set’s own words, what was there where that is known, and whether the sheet changes it', () =>
    expect(
      lines(holding(set, { 11: HELD, 12: 'unseen', 13: { rx: 462_700_000 } }), {
        13: HELD,
        12: { ...HELD, enc: 0, dec: 2, pow: 0, wid: 0 },
        11: HELD,
        1: { enc: 0, dec: 1, pow: 1 },
      }).map(({ number, label, channelIds, before, changes, shown }) => [
        number,
        label,
        channelIds,
        before === null || before === 'unknown' ? before : before.kind,
        changes,
        shown,
      ]),
    ).toEqual([
      [1, 'F1', ['of 1'], 'channel', false, { transmitTone: 'OFF', receiveTone: '67.0', powerW: 'MID' }],
      [
        11,
        '11',
        ['of 11'],
        'channel',
        false,
        { transmitTone: '67.0', receiveTone: 'OFF', powerW: 'HIGH', bandwidth: 'WIDE' },
      ],
      [
        12,
        '12',
        ['of 12'],
        'unknown',
        true,
        { transmitTone: 'OFF', receiveTone: '71.9', powerW: 'LOW', bandwidth: 'NARROW' },
      ],
      [
        13,
        '13',
        ['of 13'],
        'unknown',
        false,
        { transmitTone: '67.0', receiveTone: 'OFF', powerW: 'HIGH', bandwidth: 'WIDE' },
      ],
    ]));
});

describe('the drawing', () => {
  const NOTHING = { keeps: [], wrote: [], overwrites: [], erases: [] };
  const drawn = (
    places: Record<number, HeldPlace>,
    wanted: Parameters<typeof image>[0],
    facts: Partial<typeof NOTHING> | Record<string, number[]> = {},
    set = mobile(),
  ) => drawPlaces(set, image(wanted), holding(set, places), { ...NOTHING, ...facts });
  const free = (...args: Parameters<typeof drawn>) =>
    drawn(...args)[1]?.blocks[0]?.places.map(({ label, state, run, now, shall, channelIds }) =>
      [label, state, run > 1 && `and ${run - 1} more`, now && 'now', shall && 'shall', ...channelIds]
        .filter(Boolean)
        .join(' '),
    );
  it('says of each place what is there and what comes', () => {
    expect(
      free(
        { 11: HELD, 12: HELD, 13: 'unseen', 14: { rx: 462_700_000 } },
        { 11: HELD, 12: HELD, 13: HELD, 14: HELD, 15: HELD },
        { overwrites: [12] },
      ),
    ).toEqual([
      '11 there now shall of 11',
      '12 goes now shall of 12',
      '13 changed shall of 13',
      '14 changed shall of 14',
      '15 filled shall of 15',
    ]);
    expect(free({ 11: HELD, 12: HELD, 13: 'unseen', 14: { rx: 462_700_000 } }, {}, { wrote: [12] })).toEqual([
      '11 own now',
      '12 earlier now',
      '13 unseen and 1 more',
      '15 empty',
    ]);
    expect(free({ 11: HELD, 12: HELD }, { 12: HELD }, { keeps: [12], erases: [11] })).toEqual([
      '11 emptied now',
      '12 kept now shall of 12',
      '13 empty and 2 more',
    ]);
  });
  it('what a plan put there and changes again is changed, and not the holder’s that goes', () =>
    expect(free({ 11: HELD }, { 11: HELD }, { overwrites: [11], wrote: [11] })?.[0]).toBe(
      '11 changed now shall of 11',
    ));
  it('names each region by what it is for, and says where nothing can be set', () => {
    const kinds = (change: (raw: Raw) => void = () => undefined) =>
      drawn({}, {}, {}, mobile(change)).map(({ title, kind, locked }) => [title, kind, locked]);
    expect(kinds()).toEqual([
      ['Factory', 'fixed', false],
      ['Free', 'free', false],
    ]);
    expect(
      kinds((raw) => {
        region(raw, 'free').content.receiveOnly = true;
        region(raw, 'factory').ways = [];
      }),
    ).toEqual([
      ['Factory', 'fixed', true],
      ['Free', 'receive-only', false],
    ]);
  });
});
