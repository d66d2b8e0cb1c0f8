import { airNotes, areNear, type Between, type SetOnAir, showsCodes } from '@umbrex/core/air';
import type { ChannelContent } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';

const [OUT, IN] = [462_650_000, 467_650_000];
const set = (more: Partial<ChannelContent> | null = {}, other: Partial<SetOnAir> = {}): SetOnAir => ({
  isOn: true,
  place: more && {
    kind: 'channel',
    receiveHz: OUT,
    transmitHz: IN,
    transmitTone: '131.8',
    receiveTone: 'off',
    ...more,
  },
  maySend: true,
  picked: 'off',
  mode: 'FM',
  ...other,
});
const tower = (inputTone: string): Between => ({
  inputHz: IN,
  outputHz: OUT,
  inputTone,
  outputTone: 'off',
  answer: 'tail',
  talkLimitS: 'unknown',
  status: 'on-air',
});
const noted = (one: SetOnAir, kind = 'page-handheld') => ({ set: one, description: shipped(kind) });

describe('what is said of a channel as a whole', () => {
  it('nothing where all is as it should be', () =>
    expect(airNotes([noted(set()), noted(set())], [tower('131.8')])).toEqual([]));
  it('a tone picked by hand, and only where somebody said which', () =>
    expect(
      airNotes(
        [
          noted(set({}, { picked: { tone: '88.5', reach: 'transmit' } })),
          noted(set({}, { picked: { tone: 'unknown', reach: 'both' } })),
          noted(set({}, { picked: { tone: 'off', reach: 'both' } })),
        ],
        [tower('131.8')],
      ),
    ).toEqual([{ is: 'picked-left', sets: [0] }]));
  it('a pocket set on the output covers it; one that may not send does not', () =>
    expect(
      airNotes(
        [noted(set()), noted(set({ transmitHz: OUT })), noted(set({ transmitHz: OUT }, { maySend: false }))],
        [tower('131.8')],
      ),
    ).toEqual([{ is: 'covers-output', sets: [1], repeaters: [0] }]));
  it('two towers on one pair: which of the sets open which', () => {
    const sets = [noted(set()), noted(set({ transmitTone: '82.5' })), noted(set({ transmitTone: 'off' }))];
    expect(airNotes(sets, [tower('131.8'), tower('82.5')])).toEqual([
      {
        is: 'several-repeaters',
        opens: [
          { repeater: 0, sets: [0] },
          { repeater: 1, sets: [1] },
        ],
        several: [],
      },
    ]);
    // One that asks for no tone is opened by all.
    expect(airNotes(sets, [tower('131.8'), tower('off')])).toMatchObject([
      { opens: [{ sets: [0] }, { sets: [0, 1, 2] }], several: [0] },
    ]);
  });
  it('a tone that lies next to one that is waited for', () => {
    const near = airNotes([noted(set({ transmitTone: '127.3' })), noted(set({ receiveTone: '131.8' }))], []);
    expect(near).toEqual([{ is: 'tones-near', sent: '127.3', awaited: '131.8', sets: [1] }]);
    // EIA/TIA-603: 123.0, 127.3, 131.8 and 136.5 Hz stand in this order.
    expect([
      areNear('127.3', '131.8'),
      areNear('131.8', '136.5'),
      areNear('127.3', '136.5'),
      areNear('131.8', '131.8'),
      areNear('D023N', 'D025N'),
      areNear('off', '67.0'),
    ]).toEqual([true, true, false, false, false, false]);
  });
  it('code numbers of a kind beside others are not known to match; alone with its kind, or with the code off, they are', () => {
    const [coded, other] = [noted(set({ receiveTone: '131.8' }), 'pocket-radio'), noted(set())];
    expect(airNotes([coded, other], [])).toContainEqual({ is: 'codes-untried', sets: [0] });
    expect(airNotes([coded, coded], [])).toEqual([]);
    const off = noted(set({ transmitTone: 'off', receiveTone: 'off' }), 'pocket-radio');
    expect(airNotes([off, other], [])).toEqual([]);
  });
  it('the kinds that show codes are those whose lists number their tones', () =>
    expect(SHIPPED.filter(showsCodes).map(({ id }) => id)).toEqual([
      'counting-handheld',
      'pocket-radio',
      'preset-radio',
    ]));
});
