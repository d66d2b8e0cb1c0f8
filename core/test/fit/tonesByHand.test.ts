import { describe, expect, it } from 'vitest';
import type { FitDevice } from '../../src/fit/device';
import { chooseTones, listenTones, receiveSetting, toneSetting } from '../../src/fit/tones';
import { channel } from '../support/plans';

// How sets of every make send and await tones, each decided by hand: fields and lists as short as they can be.

type Lists = Readonly<Record<string, readonly string[] | 'unknown'>>;
/** A set with a field for each of these things; its list in the order given, shown as it means. */
const set = (lists: Lists) =>
  ({
    field: Object.fromEntries(
      Object.entries(lists).map(([holds, list]) => [
        holds,
        { id: `f-${holds}`, holds, list: list === 'unknown' ? 'unknown' : holds },
      ]),
    ),
    lists: Object.fromEntries(
      Object.entries(lists).map(([holds, list]) => [
        holds,
        list === 'unknown' ? [] : list.map((means) => ({ means, shown: means })),
      ]),
    ),
  }) as unknown as FitDevice;

/** A channel with these tones, through a repeater or direct. */
const pair = (transmitTone: string, receiveTone = transmitTone) =>
  channel('Pair', 462.55, 467.55, { transmitTone, receiveTone });
const direct = (transmitTone: string, receiveTone = transmitTone) =>
  channel('Direct', 462.55, 462.55, { transmitTone, receiveTone });

/** What is chosen, in a line: kind, sent, awaited, fields, findings. */
const line = (choice: ReturnType<typeof chooseTones> | ReturnType<typeof listenTones>) => {
  if (choice === 'unknown') return 'unknown';
  const said = choice.findings.map(({ code }) => code).join(' ');
  if (!('values' in choice)) return `${choice.kind}: ${said}`;
  const fields = Object.entries(choice.values)
    .map(([id, at]) => `${id.slice(2)}=${at}`)
    .sort()
    .join(' ');
  return `${choice.transmitTone}/${choice.receiveTone} ${fields}${said && `: ${said}`}`;
};

const TONES = ['off', '88.5', '131.8', 'D023N'];
const EACH = set({ transmitTone: TONES, receiveTone: TONES });
const KINDS = set({
  transmitCtcss: ['off', '88.5'],
  transmitDcs: ['off', 'D023N'],
  receiveCtcss: ['off', '88.5'],
  receiveDcs: ['off', 'D023N'],
});
/** Kinds of tones in lists without an off: one would stay beside the other. */
const STUCK = set({ transmitCtcss: ['88.5'], transmitDcs: ['D023N'] });
const BARE = set({ transmitTone: ['88.5'], receiveTone: ['88.5'] });
const LOOKED = set({ transmitTone: 'unknown', receiveTone: 'unknown' });
const HALF = set({ transmitTone: TONES, receiveTone: 'unknown' });
const SENDS = set({ transmitTone: TONES });
const WAITS = set({ receiveTone: TONES });
const NONE = set({});
const BOTH = set({ bothTones: TONES });
const BOTH_UNSEEN = set({ bothTones: 'unknown' });
const PARTNERS = set({ transmitTone: ['off', 'D047I'], receiveTone: ['off', 'D047I'] });

describe('to talk', () => {
  it.each([
    // Each way by itself.
    [EACH, pair('88.5', '131.8'), '131.8', '88.5/131.8 receiveTone=2 transmitTone=1'],
    [EACH, pair('off'), 'off', 'off/off receiveTone=0 transmitTone=0'],
    [EACH, pair('unknown'), 'off', 'unknown: channel-tone-unknown'],
    [EACH, pair('88.5', 'unknown'), 'unknown', '88.5/off receiveTone=0 transmitTone=1: channel-tone-unknown'],
    [EACH, pair('100.0'), '100.0', 'listen: transmit-tone-missing'],
    [EACH, pair('88.5', '100.0'), '100.0', '88.5/off receiveTone=0 transmitTone=1: receive-tone-left-off'],
    [
      PARTNERS,
      pair('D023N', 'D023N'),
      'D023N',
      'D047I/D047I receiveTone=1 transmitTone=1: tone-by-partner tone-by-partner',
    ],
    // A field for each kind of tone: the other is off.
    [
      KINDS,
      pair('88.5', 'D023N'),
      'D023N',
      '88.5/D023N receiveCtcss=0 receiveDcs=1 transmitCtcss=1 transmitDcs=0',
    ],
    [KINDS, pair('off'), 'off', 'off/off receiveCtcss=0 receiveDcs=0 transmitCtcss=0 transmitDcs=0'],
    [KINDS, pair('131.8'), 'off', 'listen: transmit-tone-missing'],
    [STUCK, pair('88.5'), 'off', 'listen: transmit-tone-missing'],
    [STUCK, pair('off'), 'off', 'unknown: tone-list-unknown'],
    // Lists without an off.
    [BARE, pair('88.5'), '88.5', '88.5/88.5 receiveTone=0 transmitTone=0'],
    [BARE, pair('off'), 'off', 'unknown: tone-list-unknown'],
    [BARE, pair('88.5', 'off'), 'off', 'unknown: tone-list-unknown'],
    [BARE, pair('88.5', 'unknown'), 'unknown', 'unknown: tone-list-unknown'],
    [LOOKED, pair('88.5'), '88.5', 'unknown: tone-list-unknown'],
    [HALF, pair('88.5'), '88.5', 'unknown: tone-list-unknown'],
    [SENDS, pair('88.5'), '88.5', '88.5/undefined transmitTone=1: receive-tone-left-off'],
    [SENDS, pair('88.5', 'off'), 'off', '88.5/undefined transmitTone=1'],
    [SENDS, pair('88.5', 'unknown'), 'unknown', '88.5/undefined transmitTone=1: channel-tone-unknown'],
    [WAITS, pair('88.5'), '88.5', 'listen: transmit-tone-missing'],
    [WAITS, pair('off', '88.5'), '88.5', 'undefined/88.5 receiveTone=1'],
    [NONE, pair('off'), 'off', 'undefined/undefined '],
    [NONE, pair('88.5'), '88.5', 'listen: transmit-tone-missing'],
    // One for both ways.
    [BOTH, pair('88.5'), '88.5', '88.5/88.5 bothTones=1'],
    [BOTH, pair('88.5'), 'off', '88.5/88.5 bothTones=1: tone-both-ways'],
    [BOTH, pair('off'), 'off', 'off/off bothTones=0'],
    [BOTH, pair('off', '88.5'), '88.5', 'off/off bothTones=0: receive-tone-left-off'],
    [BOTH, pair('off', 'unknown'), 'unknown', 'off/off bothTones=0: channel-tone-unknown'],
    [BOTH, pair('100.0'), '100.0', 'listen: transmit-tone-missing'],
    [BOTH, pair('88.5', '131.8'), '131.8', 'listen: paired-stays-deaf'],
    [BOTH, pair('88.5', 'off'), 'off', 'listen: paired-stays-deaf'],
    [BOTH, pair('88.5', 'unknown'), 'unknown', 'unknown: channel-tone-unknown'],
    [BOTH, pair('D023N', 'D047I'), 'D047I', 'D023N/D023N bothTones=3: tone-both-ways'],
    [BOTH, direct('88.5', '131.8'), '131.8', 'listen: tones-differ-paired'],
    [BOTH, direct('88.5', 'off'), 'off', '88.5/88.5 bothTones=1: tone-both-ways'],
    [BOTH, direct('88.5', 'unknown'), 'unknown', '88.5/88.5 bothTones=1: tone-both-ways'],
    [BOTH, direct('off', '88.5'), '88.5', 'off/off bothTones=0: receive-tone-left-off'],
    [BOTH, direct('D023N', 'D047I'), 'D047I', 'D023N/D023N bothTones=3: tone-both-ways'],
    [BOTH, direct('88.5'), '88.5', '88.5/88.5 bothTones=1'],
    [BOTH_UNSEEN, pair('88.5'), '88.5', 'unknown: tone-list-unknown'],
  ] as const)('%#', (device, one, wanted, said) => expect(line(chooseTones(device, one, wanted))).toBe(said));
});

describe('to listen: nothing is sent', () => {
  it.each([
    [EACH, '88.5', 'off/88.5 receiveTone=1 transmitTone=0'],
    [EACH, 'unknown', 'off/off receiveTone=0 transmitTone=0: channel-tone-unknown'],
    [EACH, '100.0', 'off/off receiveTone=0 transmitTone=0: receive-tone-left-off'],
    [EACH, 'off', 'off/off receiveTone=0 transmitTone=0'],
    [KINDS, 'D023N', 'off/D023N receiveCtcss=0 receiveDcs=1 transmitCtcss=0 transmitDcs=0'],
    // What it sends when talk is pressed is not known where its list has no off.
    [BARE, '88.5', 'undefined/88.5 receiveTone=0'],
    [BARE, '100.0', 'unknown'],
    [LOOKED, '88.5', 'unknown'],
    [HALF, '88.5', 'unknown'],
    [SENDS, '88.5', 'off/undefined transmitTone=0: receive-tone-left-off'],
    [WAITS, '88.5', 'undefined/88.5 receiveTone=1'],
    [NONE, '88.5', 'undefined/undefined : receive-tone-left-off'],
    [NONE, 'off', 'undefined/undefined '],
    [BOTH, '88.5', 'off/off bothTones=0: receive-tone-left-off'],
    [BOTH, 'off', 'off/off bothTones=0'],
    [BOTH, 'unknown', 'off/off bothTones=0'],
    [BOTH_UNSEEN, '88.5', 'unknown'],
  ] as const)('%#', (device, wanted, said) => expect(line(listenTones(device, wanted))).toBe(said));
});

describe('where one item decides which tone is in force', () => {
  const MODES = ['off/off', 'transmitTone/off', 'off/receiveTone', 'transmitTone/receiveTone', 'nonsense'];
  const ALL = set({ toneMode: MODES, transmitTone: TONES, receiveTone: TONES });
  const OPEN = set({ toneMode: ['off/off', 'transmitTone/off'], transmitTone: TONES });
  const ONE = set({ toneMode: ['off/off', 'transmitTone/transmitTone'], transmitTone: TONES });
  const ALWAYS = set({ toneMode: ['transmitTone/off'], transmitTone: TONES });
  const UNSEEN = set({ toneMode: 'unknown', transmitTone: TONES });
  const NO_LIST = set({ toneMode: MODES, transmitTone: 'unknown', receiveTone: TONES });
  const PARTNER = set({ toneMode: ['transmitTone/transmitTone', 'off/off'], transmitTone: ['D047I'] });
  it.each([
    [ALL, pair('88.5', '131.8'), '131.8', '88.5/131.8 receiveTone=2 toneMode=3 transmitTone=1'],
    [ALL, pair('88.5', '131.8'), 'off', '88.5/off toneMode=1 transmitTone=1'],
    [ALL, pair('off', '131.8'), '131.8', 'off/131.8 receiveTone=2 toneMode=2'],
    [ALL, pair('off'), 'off', 'off/off toneMode=0'],
    [ALL, pair('off', 'unknown'), 'unknown', 'off/off toneMode=0: channel-tone-unknown'],
    [ALL, pair('88.5', '100.0'), '100.0', '88.5/off toneMode=1 transmitTone=1: receive-tone-left-off'],
    [ALL, pair('100.0'), '100.0', 'listen: transmit-tone-missing'],
    [OPEN, pair('88.5'), '88.5', '88.5/off toneMode=1 transmitTone=1: receive-tone-left-off'],
    [ONE, pair('88.5'), '88.5', '88.5/88.5 toneMode=1 transmitTone=1'],
    [ONE, pair('88.5'), 'off', '88.5/88.5 toneMode=1 transmitTone=1: tone-both-ways'],
    [ONE, pair('88.5', '131.8'), '131.8', 'listen: paired-stays-deaf'],
    [ONE, direct('88.5', '131.8'), '131.8', 'listen: tones-differ-paired'],
    [ONE, pair('off', '88.5'), '88.5', 'off/off toneMode=0: receive-tone-left-off'],
    [ALWAYS, pair('off'), 'off', 'listen: transmit-tone-missing'],
    [UNSEEN, pair('88.5'), '88.5', 'unknown: tone-list-unknown'],
    [NO_LIST, pair('88.5'), 'off', 'listen: transmit-tone-missing'],
    [PARTNER, pair('D023N', 'D047I'), 'D047I', 'D047I/D047I toneMode=0 transmitTone=0: tone-by-partner'],
  ] as const)('to talk: %#', (device, one, wanted, said) =>
    expect(line(chooseTones(device, one, wanted))).toBe(said),
  );
  it.each([
    [ALL, '88.5', 'off/88.5 receiveTone=1 toneMode=2'],
    [ALL, 'off', 'off/off toneMode=0'],
    [ALL, 'unknown', 'off/off toneMode=0: channel-tone-unknown'],
    [ALL, '100.0', 'off/off toneMode=0: receive-tone-left-off'],
    [OPEN, '88.5', 'off/off toneMode=0: receive-tone-left-off'],
    [ALWAYS, '88.5', 'unknown'],
    [ALWAYS, 'unknown', 'unknown'],
    [UNSEEN, '88.5', 'unknown'],
    [UNSEEN, 'unknown', 'unknown'],
  ] as const)('to listen: %#', (device, wanted, said) =>
    expect(line(listenTones(device, wanted))).toBe(said),
  );
});

it('a tone for one direction: what is missing, what nobody looked up, and what there is not', () => {
  expect(toneSetting(NONE, 'transmit', '88.5')).toBeUndefined();
  expect(toneSetting(LOOKED, 'transmit', '88.5')).toBe('unknown');
  expect(toneSetting(EACH, 'transmit', '100.0')).toBe('missing');
  expect(toneSetting(STUCK, 'transmit', '88.5')).toBe('missing');
  expect(toneSetting(BARE, 'transmit', 'off')).toBe('missing');
  expect(toneSetting(KINDS, 'receive', 'D023N')).toMatchObject({
    tone: 'D023N',
    index: 1,
    values: { 'f-receiveCtcss': 0, 'f-receiveDcs': 1 },
  });
  expect(receiveSetting(NONE, 'off')).toEqual({ values: {}, receiveTone: undefined, findings: [] });
  expect(receiveSetting(BARE, '100.0')).toBe('unknown');
});

it('what is said names the tone and the way', () => {
  expect(chooseTones(BOTH, pair('88.5', '131.8'), '131.8').findings).toEqual([
    { code: 'paired-stays-deaf', severity: 'error', inputTone: '88.5', outputTone: '131.8' },
  ]);
  expect(chooseTones(BOTH, direct('88.5', '131.8'), '131.8').findings).toEqual([
    { code: 'tones-differ-paired', severity: 'error', transmitTone: '88.5', receiveTone: '131.8' },
  ]);
  expect(chooseTones(BOTH, pair('88.5', 'unknown'), 'unknown').findings).toEqual([
    { code: 'channel-tone-unknown', severity: 'warning', direction: 'receive' },
  ]);
  expect(chooseTones(EACH, pair('unknown'), 'off').findings).toEqual([
    { code: 'channel-tone-unknown', severity: 'warning', direction: 'transmit' },
  ]);
  expect(chooseTones(EACH, pair('88.5', '100.0'), '100.0').findings).toEqual([
    { code: 'receive-tone-left-off', severity: 'note', tone: '100.0' },
  ]);
  expect(chooseTones(EACH, pair('88.5', 'unknown'), 'unknown').findings).toEqual([
    { code: 'channel-tone-unknown', severity: 'note', direction: 'receive' },
  ]);
  expect(chooseTones(EACH, pair('100.0'), '100.0').findings).toEqual([
    { code: 'transmit-tone-missing', severity: 'error', tone: '100.0' },
  ]);
  expect(chooseTones(LOOKED, pair('100.0'), '100.0').findings).toEqual([
    { code: 'tone-list-unknown', severity: 'warning' },
  ]);
});
