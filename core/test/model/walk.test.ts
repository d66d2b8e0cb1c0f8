import { fromUnknown, prepare } from '@umbrex/core/flow';
import { readDescription } from '@umbrex/core/formats';
import { describe, expect, it } from 'vitest';
import { channel, plan } from '../support/plans';

/** The radio that docs/devices.md builds from nothing, step by step, as its words say. */
const FROM_NOTHING = {
  format: 'umbrex/description@1',
  id: 'ten-channels',
  title: 'Ten channels',
  pattern: 'A radio with ten channels and one code',
  kind: 'frs',
  station: 'hand-held',
  certifiedFor: ['frs'],
  firmware: ['1'],
  receive: { bands: [{ fromHz: 462_550_000, toHz: 467_725_000 }], stepHz: 12_500 },
  transmit: { bands: [{ fromHz: 462_550_000, toHz: 467_725_000 }], fixedPowerW: 2 },
  names: 'none',
  scan: 'none',
  identity: 'none',
  operatorTone: 'none',
  lists: {
    codes: [
      { kind: 'items', items: [{ shown: '0', means: 'off' }] },
      { kind: 'ctcss', tenthsHz: 'consumer-38', shown: '{index}' },
    ],
  },
  fields: [{ id: 'code', title: 'Code', holds: 'bothTones', list: 'codes', factory: 0 }],
  settings: [],
  regions: [
    {
      id: 'channels',
      title: 'Channels',
      first: 1,
      count: 10,
      size: 10,
      stride: 10,
      banks: [],
      label: '{number}',
      content: {
        kind: 'fixed',
        channels: Array.from({ length: 10 }, (_, k) => ({
          receiveHz: 462_550_000 + 12_500 * k,
          transmitHz: 462_550_000 + 12_500 * k,
          bandwidth: 'narrow',
        })),
      },
      ways: [{ by: ['keys'], fields: ['code'] }],
    },
  ],
  keys: { plus: '+', minus: '−', set: 'SET' },
  behaviour: {
    keys: { plus: {}, minus: {}, set: {} },
    start: 'rest',
    startNumber: 1,
    items: [{ number: '1', title: 'CODE', editor: 'wheel', target: { reach: 'channel', field: 'code' } }],
    modes: {
      rest: {
        screen: ['CH {number}', 'CODE {code}'],
        on: [
          { keys: ['plus'], do: [{ act: 'pickSlot', to: 'next' }] },
          { keys: ['minus'], do: [{ act: 'pickSlot', to: 'previous' }] },
          { keys: ['set'], do: [{ act: 'pickItem', to: 'first' }, { act: 'readDraft' }], go: 'code' },
        ],
      },
      code: {
        screen: ['CH {number}', 'CODE >{draft}<'],
        timeout: { ms: 20_000, go: 'rest' },
        on: [
          { keys: ['plus'], do: [{ act: 'stepDraft', by: 1 }] },
          { keys: ['minus'], do: [{ act: 'stepDraft', by: -1 }] },
          { keys: ['set'], do: [{ act: 'storeDraft' }], go: 'rest' },
        ],
      },
    },
  },
  recipes: {
    before: [],
    hazards: [],
    items: { code: { number: '1', title: 'CODE', place: 0 } },
    itemCount: 0,
    startNumber: 1,
    start: { steps: [{ do: 'power', says: 'Switch it off and on.' }], atStart: false },
    bankStep: [],
    slotStep: [
      {
        do: 'turn',
        what: 'slot',
        up: 'plus',
        down: 'minus',
        says: 'Go to channel {number}.',
        shows: 'CH {number}',
      },
    ],
    open: [{ do: 'press', key: 'set', says: 'Make the code flash.', shows: 'CODE >' }],
    item: [],
    set: {
      code: [
        {
          do: 'turn',
          what: 'value',
          up: 'plus',
          down: 'minus',
          says: 'Turn to {value}.',
          shows: 'CODE >{value}<',
        },
        { do: 'press', key: 'set', says: 'Keep it.', shows: 'CODE {value}' },
      ],
    },
    close: [],
    order: ['code'],
    readBack: [],
  },
  marks: [],
};

describe('the walk from nothing in docs/devices.md', () => {
  const read = readDescription(JSON.stringify(FROM_NOTHING));
  const wanted = plan([
    channel('Boat', 462.5625, 462.5625, { transmitTone: '82.5', receiveTone: '82.5', service: 'frs' }),
    channel('Quay', 462.6125, 462.6125, { transmitTone: '131.8', receiveTone: '131.8', service: 'frs' }),
  ]);
  it('is a description that passes', () => expect(read.ok ? [] : read.findings).toEqual([]));
  it('proves from the factory state: code 6 on channel 2 and code 20 on channel 6, by hand 4.5 + 1 + 6 + 1 + 4 + 1 + 19 + 1', () => {
    if (!read.ok) return;
    const { sheet, proof } = prepare(wanted, read.value);
    expect(proof).toMatchObject({ proven: true, slowToo: true });
    // 131.8 is code 20 of 39 (0 to 38): down from 0 it is 19 presses, up it would be 20.
    expect([sheet.presses, sheet.mostPresses]).toEqual([Math.round(4.5 + 1 + 6 + 1 + 4 + 1 + 19 + 1), 42]);
  });
  it('and from a set that nobody looked at', () => {
    if (!read.ok) return;
    expect(fromUnknown(wanted, read.value)).toMatchObject({ way: 'absolute', proven: true, tried: 20 });
  });
});
