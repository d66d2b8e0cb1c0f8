import { type Description, DescriptionSchema } from '@umbrex/core/model';

/*
 * A mobile that exists only here: two places of the factory's and five free ones, with a frequency, a shift, two tones, a power, a width, a
 * lock of the talk key and a name of four letters.
 */

export const item = (shown: string, means: string | number | boolean) => ({ shown, means });
/** A list of values, each as it is shown and what it means. */
export const items = (...all: ReturnType<typeof item>[]) => [{ kind: 'items', items: all }];

const MOBILE = {
  format: 'umbrex/description@1',
  id: 'little-mobile',
  title: 'Little mobile',
  pattern: 'Test set',
  kind: 'gmrs',
  station: 'mobile',
  certifiedFor: ['gmrs'],
  firmware: ['A'],
  receive: { bands: [{ fromHz: 462_000_000, toHz: 468_000_000 }], stepHz: 12_500 },
  transmit: { bands: [{ fromHz: 462_550_000, toHz: 467_725_000 }] },
  names: { length: 4, characters: 'ABCDE ' },
  operatorTone: 'none',
  identity: 'none',
  scan: 'none',
  lists: {
    offsets: items(item('SIMP', 0), item('+5', 5_000_000)),
    tones: [...items(item('OFF', 'off')), { kind: 'ctcss', tenthsHz: [670, 719, 770], shown: '{hz}' }],
    powers: items(item('LOW', 0.5), item('MID', 5), item('HIGH', 40)),
    widths: items(item('NARROW', 'narrow'), item('WIDE', 'wide')),
    locks: items(item('SENDS', false), item('MUTE', true)),
    bells: [{ kind: 'numbers', from: 0, to: 3, shown: '{n}' }],
  },
  fields: [
    { id: 'rx', title: 'Frequency', holds: 'receiveHz', factory: 0 },
    { id: 'off', title: 'Offset', holds: 'offsetHz', list: 'offsets', factory: 0 },
    { id: 'enc', title: 'Tone sent', holds: 'transmitTone', list: 'tones', factory: 0 },
    { id: 'dec', title: 'Tone awaited', holds: 'receiveTone', list: 'tones', factory: 0 },
    { id: 'pow', title: 'Power', holds: 'powerW', list: 'powers', factory: 2 },
    { id: 'wid', title: 'Width', holds: 'bandwidth', list: 'widths', factory: 1 },
    { id: 'mute', title: 'Talk', holds: 'transmitForbidden', list: 'locks', factory: 0 },
    { id: 'name', title: 'Name', holds: 'name', factory: '' },
  ],
  settings: [
    { id: 'bell', title: 'Bell', list: 'bells', factory: 1 },
    { id: 'beep', title: 'Beep', list: 'bells', factory: 0 },
  ],
  regions: [
    {
      id: 'factory',
      title: 'Factory',
      first: 1,
      count: 2,
      size: 2,
      stride: 2,
      banks: [],
      label: 'F{number}',
      content: {
        kind: 'fixed',
        channels: [
          { receiveHz: 462_562_500, transmitHz: 462_562_500, bandwidth: 'narrow', mostPowerW: 5 },
          { receiveHz: 462_600_000, transmitHz: null, bandwidth: 'wide' },
        ],
      },
      ways: [{ by: ['keys'], fields: ['enc', 'dec', 'name', 'pow'] }],
    },
    {
      id: 'free',
      title: 'Free',
      first: 11,
      count: 5,
      size: 5,
      stride: 5,
      banks: [],
      label: '{number}',
      content: { kind: 'free' },
      ways: [{ by: ['keys'], fields: ['rx', 'off', 'enc', 'dec', 'pow', 'wid', 'mute', 'name'] }],
    },
  ],
  keys: {},
  marks: [],
};

// biome-ignore lint/suspicious/noExplicitAny: a document from outside
export type Raw = any;

/** The mobile, with whatever is changed in it before it is read. */
export function mobile(change: (raw: Raw) => void = () => undefined): Description {
  const raw = structuredClone(MOBILE) as Raw;
  change(raw);
  return DescriptionSchema.parse(raw);
}

export const fieldOf = (raw: Raw, id: string) => raw.fields.find((field: Raw) => field.id === id);
export const region = (raw: Raw, id: string) => raw.regions.find((one: Raw) => one.id === id);
/** Takes a field away altogether. */
export const without = (raw: Raw, ...ids: string[]) => {
  raw.fields = raw.fields.filter(({ id }: Raw) => !ids.includes(id));
  for (const { ways } of raw.regions)
    for (const way of ways) way.fields = way.fields.filter((id: string) => !ids.includes(id));
};
