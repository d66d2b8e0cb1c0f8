import { SERVICES, servicesOf } from '@umbrex/core/facts';
import { leftOutAt, lineOfFind, matchesOf, scanningKind } from '@umbrex/core/found';
import { readLine } from '@umbrex/core/listing';
import { DirectoryEntrySchema } from '@umbrex/core/model';
import { loadedWith, scanByTheme, scanOfMemory } from '@umbrex/core/scanned';
import { mhzText } from '@umbrex/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from './support/devices';
import { channel, plan, uuid } from './support/plans';

const entry = DirectoryEntrySchema.parse({
  id: 'e1',
  title: 'Kelp Stairs',
  latitudeDeg: 41,
  longitudeDeg: -38,
  outputHz: 462_650_000,
  inputHz: 467_650_000,
  inputTone: null,
  outputTone: null,
  mode: null,
  access: null,
  status: 'off-air',
  rangeM: null,
  changed: null,
});
const directory = [{ entry, source: 'Island list' }];
const said = (hz: number, channels = [] as ReturnType<typeof channel>[]) =>
  matchesOf(hz, channels, servicesOf('US'), directory).map(({ is, side, offHz, ...more }) => [
    is,
    side,
    offHz,
    'name' in more ? more.name : more.title,
  ]);

describe('what a find may be', () => {
  // 47 CFR 95.1763 for the GMRS pair, 95.1763(b) for its input; a search in 5 kHz steps stops at 462.650 itself.
  it('is looked up in plan, services and directory, either side of a pair, what lies nearest first', () => {
    const own = channel('Stairs', 462.65, 467.65);
    expect(said(462_650_000, [own])).toEqual([
      ['channel', 'output', 0, 'Stairs'],
      ...SERVICES.gmrs.channels
        .filter(({ receiveHz }) => receiveHz === 462_650_000)
        .map(({ name }) => ['service', 'output', 0, name]),
      ...SERVICES.frs.channels
        .filter(({ receiveHz }) => receiveHz === 462_650_000)
        .map(({ name }) => ['service', 'output', 0, name]),
      ['directory', 'output', 0, 'Kelp Stairs'],
    ]);
    expect(said(467_650_000, [own])).toContainEqual(['channel', 'input', 0, 'Stairs']);
    expect(said(467_652_500)).toContainEqual(['directory', 'input', 2500, 'Kelp Stairs']);
    expect(said(467_655_000)).not.toContainEqual(expect.arrayContaining(['Kelp Stairs']));
    expect(said(301_000_000)).toEqual([]);
  });
  it('finds every row of every service by its own frequency, and nothing further than a half step', () => {
    for (const service of servicesOf('US'))
      for (const { receiveHz, name } of service.channels)
        expect(said(receiveHz)).toContainEqual(['service', 'output', 0, name]);
    fc.assert(
      fc.property(fc.integer({ min: 25_000_000, max: 1_300_000_000 }), (hz) => {
        for (const [, , off] of said(hz)) expect(Math.abs(Number(off))).toBeLessThanOrEqual(3125);
      }),
    );
  });
  it('becomes a channel that is listened to, whatever was heard', () => {
    const words = fc.oneof(
      fc.string({ maxLength: 60 }),
      fc.constantFrom('', 'pumps', '"x" 131.8 rpt', '462.675'),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(154_265_000, 301_000_000, 462_650_000, 156_800_000),
        words,
        (receiveHz, heard) => {
          const line = lineOfFind(
            { receiveHz, heard },
            matchesOf(receiveHz, [], servicesOf('US'), directory),
            mhzText(receiveHz),
          );
          const { ok, channel: draft } = readLine(line, 'US');
          expect([line, ok, draft?.receiveHz, draft?.transmitHz]).toEqual([line, true, receiveHz, null]);
        },
      ),
    );
  });
});

describe('a find in a place that is skipped', () => {
  const groups = [
    { id: uuid(51), name: 'Fire', note: '' },
    { id: uuid(52), name: 'Rail', note: '' },
  ];
  const listen = (n: number, groupId: string, more: object = {}) =>
    channel(`Find ${n}`, 154 + n * 0.015, null, { id: uuid(n), groupId, ...more });
  const of = {
    ...plan([listen(1, uuid(51)), listen(2, uuid(51), { scan: 'out' }), listen(3, uuid(52))]),
    groups,
  };
  it('is warned of on each kind that scans, and on none that does not', () => {
    const kinds = ['bank-scanner', 'page-handheld', 'pocket-radio'].map((id) =>
      scanningKind(of, shipped(id)),
    );
    const scanning = kinds.flatMap((kind) => kind ?? []);
    expect(leftOutAt(of, scanning, 154_015_000)).toEqual([]);
    const left = leftOutAt(of, scanning, 154_030_000);
    expect(left.map(({ channel: name }) => name)).toEqual(left.map(() => 'Find 2'));
    expect(left.map(({ kind }) => kind)).toContain(shipped('page-handheld').title);
    expect(leftOutAt(of, scanning, 999_000_000)).toEqual([]);
  });
  it('banks for a theme: all of its places are scanned, no bank is on without one, and fewer places take less time', () => {
    const description = shipped('bank-scanner');
    const loaded = loadedWith(of, description);
    const all = scanOfMemory(of, description, loaded.fit, loaded.memory, 3000);
    const themes = scanByTheme(of, description, loaded, all?.stops ?? [], 3000);
    for (const theme of themes) {
      expect(theme.banks.length).toBeGreaterThan(0);
      expect(theme.own).toBe(
        all?.channels.filter(
          ({ channelId, place }) =>
            place !== null && of.channels.find(({ id }) => id === channelId)?.groupId === theme.groupId,
        ).length,
      );
      expect(theme.count).toBeLessThanOrEqual(all?.stops.length ?? 0);
      expect(theme.roundMs).toBeLessThanOrEqual((all?.roundMs ?? 0) + 1);
    }
  });
});
