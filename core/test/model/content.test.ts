import { describe, expect, it } from 'vitest';
import {
  type ChannelContent,
  DescriptionSchema,
  type NetworkContent,
  sameContent,
  slotReader,
  slotsOf,
} from '../../src/model/index';
import { shipped } from '../support/devices';

const place = (id: string, label: RegExp) => {
  const description = shipped(id);
  const slot = slotsOf(description).find((one) => label.test(one.label));
  if (!slot) throw new RangeError(`no place ${label}`);
  const read = slotReader(description);
  return (values: Parameters<typeof read>[1]) => read(slot, values);
};

describe('what a place holds, by what it is for', () => {
  const amateur = place('amateur-handheld', /./);
  it('nothing', () => expect(amateur(null)).toBeNull());
  it('is not guessed where its frequency, or where it sends, is not known', () => {
    const { fields } = shipped('amateur-handheld');
    const id = (holds: string) => fields.find((field) => field.holds === holds)?.id ?? '';
    const known = { [id('receiveHz')]: 146_520_000, [id('offsetHz')]: 0 };
    expect(amateur(known)).toMatchObject({ kind: 'channel', receiveHz: 146_520_000 });
    const { [id('offsetHz')]: _o, ...where } = known;
    const { [id('receiveHz')]: _r, ...shift } = known;
    expect(amateur(where)).toEqual({ kind: 'unseen', receiveHz: 146_520_000 });
    expect(amateur(shift)).toEqual({ kind: 'unseen' });
  });
  it('an area, an ID, a text and a tower have no frequency to talk on', () => {
    expect(place('slot-alert', /SLOT 1/)({ area: '099001' })).toEqual({ kind: 'area', areaCode: '099001' });
    expect(place('slot-alert', /SLOT 1/)({})).toEqual({ kind: 'unseen' });
    const own = place('fleet-mobile', /OWN/)({ fid: '100', title: 'Bridge' });
    expect(own).toEqual({ kind: 'id', fleetId: '100', name: 'Bridge' });
    expect(place('fleet-mobile', /STATUS 1/)({ title: 'At berth' })).toEqual({
      kind: 'text',
      name: 'At berth',
    });
    const tower = place('network-scanner', /B-1/)({ control: 852_000_000 });
    expect(tower).toEqual({ kind: 'network', receiveHz: 852_000_000 });
  });
  it('towers are places that never send: a description that says otherwise is refused by its path', () => {
    const { regions, ...rest } = shipped('network-scanner');
    const loud = regions.map((region) =>
      region.id === 'own' ? { ...region, content: { kind: 'free' } } : region,
    );
    expect(DescriptionSchema.safeParse({ ...rest, regions: loud }).error?.issues).toMatchObject([
      { path: ['regions', 1, 'towers'], message: 'a place for towers never sends' },
    ]);
  });
});

describe('two places do the same', () => {
  const channel: ChannelContent = { kind: 'channel', receiveHz: 1, transmitHz: 2, transmitTone: '100.0' };
  const tower: NetworkContent = { kind: 'network', receiveHz: 1 };
  it('whatever they are called and a scan makes of them', () =>
    expect(sameContent(channel, { ...channel, name: 'KELP', inScan: true })).toBe(true));
  for (const [title, other] of [
    ['not where one listens elsewhere', { receiveHz: 3 }],
    ['not where one sends elsewhere', { transmitHz: null }],
    ['not with another tone', { transmitTone: 'off' }],
    ['not where one waits for a tone', { receiveTone: '100.0' }],
    ['not with other power', { powerW: 5 }],
    ['not with another width', { bandwidth: 'narrow' }],
    ['not modulated otherwise', { modulation: 'AM' }],
  ] as const)
    it(title, () => expect(sameContent(channel, { ...channel, ...other })).toBe(false));
  it('not a channel and a tower', () => {
    expect(sameContent(tower, { ...channel, transmitHz: null })).toBe(false);
    expect(sameContent(tower, tower)).toBe(true);
  });
});
