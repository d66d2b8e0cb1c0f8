import type { DrawnKeys } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { keyPieces, spelled, spokenKeys } from '../src/messages/keys';

const key = (legend: string, more: object = {}): DrawnKeys => ({ kind: 'key', legend, times: 1, ...more });

describe('keys, read aloud', () => {
  it.each([
    [[key('LIST')], 'key LIST'],
    [[key('UP', { times: 3 })], 'key UP 3 times'],
    [[key('LIST', { heldMs: 2500 })], 'key LIST hold 2.5 seconds'],
    [[key('1'), key('6')], 'key 1, then key 6'],
    [[key('SET', { with: ['SIDE'] })], 'key SIDE held, with key SET'],
    [[key('LIST', { when: 'KEYS LOCKED' })], 'key LIST only if K E Y S , L O C K E D'],
    [[{ kind: 'pause', ms: 1000 }], 'wait 1 seconds'],
    [[{ kind: 'power' }], 'off, then on'],
    [
      [{ kind: 'until', legend: 'UP', shows: ['131.8'], mean: 4, most: 50 }],
      'key UP until 1 3 1 point 8 at most 50 times',
    ],
  ] as [DrawnKeys[], string][])('%j', (keys, said) => expect(spokenKeys(keys)).toBe(said));
  it('a display is spelled letter by letter', () => {
    expect(spelled('D-023N')).toBe('D dash 0 2 3 N');
    expect(spelled(' 462.5500  ')).toBe('4 6 2 point 5 5 0 0');
  });
  it('is the same as what is drawn: every key and every display is in it', () => {
    for (const drawn of [key('A', { times: 2, heldMs: 700 }), key('B', { when: 'ON' })])
      for (const piece of keyPieces(drawn))
        if (piece.is === 'key') expect(spokenKeys([drawn])).toContain(`key ${piece.legend}`);
        else if (piece.is === 'display') expect(spokenKeys([drawn])).toContain(spelled(piece.text));
  });
});
