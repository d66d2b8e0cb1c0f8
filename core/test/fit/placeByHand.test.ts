import { fitDevice, fitPlan, pickedToneEffects, sendsBy, talkers } from '@umbrex/core/fit';
import { describe, expect, it } from 'vitest';
import { type PowerLimit, placeTalk } from '../../src/fit/place';
import { listenTones } from '../../src/fit/tones';
import { item, items, mobile, type Raw, region, without } from '../support/mobile';
import { channel, plan, uuid } from '../support/plans';

// One channel in one place of the mobile, and what becomes of its group and of the whole set, decided by hand.

const TONES = { values: {}, transmitTone: 'off', receiveTone: 'off', findings: [] };
const NO_LIMIT: PowerLimit = { limitW: null, bandwidthHz: 25_000, source: '', findings: [] };
const placed = (
  set: ReturnType<typeof mobile>,
  number: number,
  one = channel('ABE', 462.7, 462.7),
  rule = NO_LIMIT,
) => {
  const device = fitDevice(set);
  const slot = device.slotAt.get(number);
  if (!slot) throw new Error(`no place ${number}`);
  const result = placeTalk(device, one, slot, TONES, rule);
  return result.ok ? { ok: true, findings: result.placement.findings } : result;
};

describe('a channel in a place', () => {
  it('of the factory’s that sends elsewhere: the frequency that it cannot send on is told', () =>
    expect(placed(mobile(), 1, channel('ABE', 462.5625, 467.5625))).toEqual({
      ok: false,
      findings: [{ code: 'cannot-transmit-here', severity: 'error', transmitHz: 467_562_500 }],
    }));
  it('that nobody sends on is not asked', () =>
    expect(() => placed(mobile(), 11, channel('ABE', 462.7, null, { id: 'abe' }))).toThrow(
      /^channel abe does not transmit$/,
    ));
  it('that cannot be set by keys is told by its number and label', () =>
    expect(
      placed(
        mobile((raw) => {
          region(raw, 'free').ways = [];
        }),
        12,
      ),
    ).toEqual({
      ok: false,
      findings: [{ code: 'locked-from-keypad', severity: 'warning', number: 12, label: '12' }],
    }));
  it('in a mode of which nobody knows how the set has it', () =>
    expect(
      placed(
        mobile((raw) => {
          raw.fields.push({ id: 'mod', title: 'Mode', holds: 'modulation', list: 'unknown', factory: 0 });
          region(raw, 'free').ways[0].fields.push('mod');
        }),
        11,
      ),
    ).toEqual({ ok: false, findings: [{ code: 'mode-not-here', severity: 'error', mode: 'FM' }] }));
  it('with a power that nobody knows: said where there is a limit to it', () => {
    const unknown = mobile((raw) => without(raw, 'pow'));
    expect(placed(unknown, 11)).toEqual({ ok: true, findings: [] });
    expect(placed(unknown, 11, undefined, { ...NO_LIMIT, limitW: 5, source: 'a rule' })).toEqual({
      ok: true,
      findings: [{ code: 'power-unknown', severity: 'warning', limitW: 5, source: 'a rule' }],
    });
  });
  it('that always shifts is heard, and says where its talk key sends', () => {
    const shifted = mobile((raw) => {
      without(raw, 'mute');
      raw.lists.offsets = items(item('+5', 5_000_000));
    });
    const [cell] = fitPlan(plan([channel('ABE', 462.7, null)]), fitDevice(shifted)).cells;
    expect(cell?.findings).toContainEqual({
      code: 'talk-goes-out-on-output',
      severity: 'warning',
      transmitHz: 467_700_000,
    });
  });
});

describe('who can talk', () => {
  it('a set on which something has to give, too', () =>
    expect(talkers(channel('A long name', 462.7, 462.7), plan([]), [mobile()]).map(({ id }) => id)).toEqual([
      'little-mobile',
    ]));
  it('is told by what becomes of a channel', () =>
    expect((['full', 'adapted', 'listen', 'no', 'apart', 'unknown'] as const).map(sendsBy)).toEqual([
      true,
      true,
      false,
      false,
      false,
      'unknown',
    ]));
  it('a tone picked by hand shuts nobody out where nobody talks', () => {
    const heard = channel('ABE', 462.7, null, { transmitTone: '67.0' });
    expect(pickedToneEffects('71.9', 'both', [heard]).shut).toEqual([]);
  });
  it('a set with one tone for both ways waits for none where it only listens, and says so where one is wanted', () => {
    const both = mobile((raw: Raw) => {
      without(raw, 'enc', 'dec');
      raw.fields.push({ id: 'code', title: 'Code', holds: 'bothTones', list: 'tones', factory: 0 });
      region(raw, 'free').ways[0].fields.push('code');
    });
    const open = { values: { code: 0 }, transmitTone: 'off', receiveTone: 'off' };
    expect(listenTones(fitDevice(both), 'unknown')).toEqual({ ...open, findings: [] });
    expect(listenTones(fitDevice(both), '67.0')).toEqual({
      ...open,
      findings: [{ code: 'receive-tone-left-off', severity: 'note', tone: '67.0' }],
    });
  });
});

describe('a group that is in only in part', () => {
  const [one, two] = [uuid(901), uuid(902)];
  const at = (name: string, mhz: number, groupId: string) => channel(name, mhz, mhz, { groupId });
  /** Two free places and no other; names that fit, so that nothing is said of what is in. */
  const small = mobile((raw) => {
    Object.assign(region(raw, 'free'), { count: 2, size: 2, stride: 2 });
  });
  const split = (channels: Parameters<typeof plan>[0]) =>
    fitPlan({ ...plan(channels), licensed: [] }, fitDevice(small)).cells.map(({ findings }) =>
      findings.flatMap((finding) => (finding.code === 'group-split' ? [finding.left] : [])),
    );
  it('says so on each channel that was left out, with how many they are', () =>
    expect(
      split([
        at('ABE', 462.65, one),
        at('BEA', 462.675, one),
        at('CAD', 462.7, one),
        at('DAB', 462.725, one),
      ]),
    ).toEqual([[], [], [2], [2]]));
  it('not where all of it was left out, whatever else the set cannot have of it', () =>
    expect(
      split([at('ABE', 462.65, one), at('BEA', 462.675, one), at('CAD', 462.7, two), at('DAB', 154.25, two)]),
    ).toEqual([[], [], [], []]));
});

describe('the settings of a whole set', () => {
  it('are left where nobody wants any, by its role or for all', () => {
    const { setup: _, roleSetup: __, ...bare } = plan([]);
    const settings = (roleId: string | null, more: object = {}) =>
      fitPlan({ ...bare, ...more }, fitDevice(mobile(), undefined, { roleId })).image.settings;
    expect(settings(null)).toEqual({});
    expect(settings(uuid(7))).toEqual({});
    expect(settings(uuid(7), { setup: { 'little-mobile': { bell: 2, beep: 9 } } })).toEqual({ bell: 2 });
    expect(settings(uuid(7), { roleSetup: { [uuid(7)]: { 'little-mobile': { bell: 3 } } } })).toEqual({
      bell: 3,
    });
    expect(settings(null, { roleSetup: { [uuid(7)]: { 'little-mobile': { bell: 3 } } } })).toEqual({});
  });
});
