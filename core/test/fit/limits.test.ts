import { fitDevice, fitPlan, spellable } from '@umbrex/core/fit';
import { heldMemory } from '@umbrex/core/memory';
import { type Description, DescriptionSchema, type Region, waysWith, writtenLists } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { findTone } from '../../src/fit/tones';
import { shipped } from '../support/devices';
import { read } from '../support/memory';
import { channel, plan } from '../support/plans';

const first = (
  description: Description,
  one: ReturnType<typeof channel>,
  now = fitDevice(description).present,
) => {
  const { cells, image } = fitPlan(plan([one]), fitDevice(description, now));
  const [cell] = cells;
  return {
    verdict: cell?.verdict,
    codes: cell?.findings.map(({ code }) => code) ?? [],
    finding: cell?.findings[0],
    content: image.slots.get(cell?.slot?.number ?? -1)?.content,
  };
};

describe('a power that cannot be chosen (47 CFR 95.567: 0.5 W on the 467 MHz channels)', () => {
  const low = channel('Low', 467.5625, 467.5625, { service: 'frs' });
  /** The pocket radio with so many watts, on channels where it does not limit itself. */
  const fixed = (watts: number) => {
    const radio = shipped('pocket-radio');
    const regions = radio.regions.map((region) => {
      if (region.content.kind !== 'fixed') return region;
      const channels = region.content.channels.map(({ mostPowerW: _, ...row }) => row);
      return { ...region, content: { ...region.content, channels } };
    });
    if (radio.transmit === 'unknown') throw new Error('sends nowhere');
    return DescriptionSchema.parse({
      ...radio,
      regions,
      transmit: { ...radio.transmit, fixedPowerW: watts },
    });
  };
  it.each([
    [0.4, 'full'],
    [0.5, 'full'],
    [0.6, 'listen'],
    [2, 'listen'],
  ])('%f W: %s', (watts, verdict) => expect(first(fixed(watts), low).verdict).toBe(verdict));
  it('says how much it has and where the limit is written', () =>
    expect(first(fixed(2), low).finding).toMatchObject({ code: 'power-too-high', lowestW: 2, limitW: 0.5 }));

  /** The page hand-held with its power locked on the direct channels: what stands there counts. */
  const locked = (): Description => {
    const page = shipped('page-handheld');
    const regions = page.regions.map((region): Region => {
      if (region.content.kind !== 'fixed') return { ...region, ways: [] };
      const channels = region.content.channels.map(({ mostPowerW: _, ...row }) => row);
      return {
        ...region,
        ways: waysWith(region, (ids) => ids.filter((id) => id !== 'power')),
        content: { ...region.content, channels },
      };
    });
    return { ...page, regions };
  };
  it.each([
    ['HIGH', 'listen'],
    ['LOW', 'listen'],
  ])('locked at %s of a set whose lowest is above the limit: %s', (power, verdict) => {
    const device = locked();
    const { memory } = heldMemory(device, read([{ number: 16, values: { power } }]));
    expect(first(device, low, memory).verdict).toBe(verdict);
  });
  it('locked at exactly the limit is lawful, and says so in the content', () => {
    const device = locked();
    device.lists.power = [
      {
        kind: 'items',
        items: [
          { shown: 'HIGH', means: 5 },
          { shown: 'LOW', means: 0.5 },
        ],
      },
    ];
    for (const number of device.regions.flatMap(({ id, first: from, count }) =>
      id === 'direct' ? Array.from({ length: count }, (_, k) => from + k) : [],
    )) {
      const { memory } = heldMemory(device, read([{ number, values: { power: 'LOW' } }]));
      const { verdict, content, codes } = first(device, low, memory);
      if (verdict === 'full') {
        expect(content).toMatchObject({ kind: 'channel', powerW: 0.5 });
        expect(codes).not.toContain('power-too-high');
        return;
      }
    }
    throw new Error('nowhere lawful');
  });
});

describe('a code that a list has under a number (common practice 39 to 121)', () => {
  const lists = writtenLists({
    lists: {
      named: [{ kind: 'dcs', codes: 'common-104', polarity: 'N', shown: 'D{code}' }],
      counted: [
        {
          kind: 'items',
          items: [
            { shown: '39', means: 'D023N' },
            { shown: '1', means: '67.0' },
          ],
        },
      ],
    },
  });
  const codes = (list: string, tone: string) =>
    findTone(lists[list] ?? [], tone)?.findings.map(({ code }) => code);
  it('is said where the number does not tell the code', () => {
    expect(codes('counted', 'D023N')).toEqual(['tone-by-number']);
    expect(codes('counted', '67.0')).toEqual(['tone-by-number']);
    expect(codes('named', 'D023N')).toEqual([]);
    expect(codes('counted', 'D025N')).toBeUndefined();
  });
});

describe('letters that no key spells', () => {
  it('leave a set without names', () => {
    const { recipes, ...page } = shipped('page-handheld');
    if (!recipes) throw new Error('no steps');
    const spelt = (letterKeys: Record<string, string>) =>
      spellable({ ...page, recipes: { ...recipes, letterKeys } });
    expect(spelt({ d2: 'ABC' })).toMatchObject({ characters: 'ABC' });
    expect(spelt({ d2: 'äöü' })).toBe('none');
  });
});

describe('a set that has places for towers beside places for channels', () => {
  const SCANNER = shipped('network-scanner');
  const mixed = DescriptionSchema.parse({
    ...SCANNER,
    behaviour: undefined,
    recipes: undefined,
    keyMap: undefined,
    keys: {},
    receive: { bands: [{ fromHz: 150_000_000, toHz: 900_000_000 }], stepHz: 6250, modes: ['FM', 'digital'] },
    regions: [
      ...SCANNER.regions,
      {
        id: 'plain',
        title: 'Channels',
        first: 101,
        count: 1,
        size: 1,
        stride: 1,
        banks: [],
        label: 'P{position}',
        content: { kind: 'free', receiveOnly: true },
        ways: [{ by: ['keys'], fields: ['control', 'title', 'mark'] }],
      },
    ],
  });
  const tower = channel('County south', 771.1, null, {
    mode: 'digital',
    service: 'other',
    trunk: { network: 'County', carries: 'control', isLocal: true },
  });
  const heard = (mhz: number) => channel(`C${mhz}`, mhz, null, { service: 'other' });
  it('each goes to its own, and never to the other’s, also when its own are full', () => {
    const { cells, image } = fitPlan(plan([heard(155.1), heard(155.2), tower]), fitDevice(mixed));
    expect(cells.map(({ slot }) => slot?.label ?? null)).toEqual(['P1', null, 'B-1']);
    expect([...image.slots].map(([number, { content }]) => [number, content.kind])).toEqual([
      [101, 'channel'],
      [11, 'network'],
    ]);
  });
});

describe('how weighty a finding is', () => {
  it('what leaves a set without something is a note or a warning, and what stops it an error', () => {
    const severity = (device: Description, one: ReturnType<typeof channel>) =>
      Object.fromEntries(
        fitPlan(plan([one]), fitDevice(device)).cells.flatMap(({ findings }) =>
          findings.map(({ code, severity: how }) => [code, how]),
        ),
      );
    const page = shipped('page-handheld');
    expect(severity(page, channel('Watch', 155.34, null, { scan: 'priority' }))).toMatchObject({
      'listen-only-by-plan': 'note',
    });
    expect(
      severity(
        shipped('pocket-radio'),
        channel('Odd', 462.625, 462.625, { transmitTone: '199.5', scan: 'priority' }),
      ),
    ).toMatchObject({
      'transmit-tone-missing': 'error',
    });
  });
});

describe('a power that is lowered to what the rule gives (47 CFR 95.1767: 5 W on the 462 MHz interstitial channels)', () => {
  const fleet = shipped('fleet-mobile');
  it('is said with both figures, and is no full channel any more', () => {
    const { verdict, codes, finding, content } = first(
      fleet,
      channel('Between', 462.5625, 462.5625, { service: 'gmrs' }),
    );
    expect(verdict).toBe('adapted');
    expect(codes).toEqual(['power-lowered', 'licence-needed']);
    expect(finding).toMatchObject({ severity: 'note', limitW: 5, usedW: 5 });
    expect(content).toMatchObject({ powerW: 5 });
  });
  it('is not said where the set may send with all it has', () => {
    const { verdict, codes, content } = first(fleet, channel('Main', 462.55, 462.55, { service: 'gmrs' }));
    expect([verdict, codes]).toEqual(['full', ['licence-needed']]);
    expect(content).toMatchObject({ powerW: 25 });
  });
});

describe('a list of tones in which nobody wrote how the set has none', () => {
  /** The page hand-held, with the list that one side uses without its off. */
  const without = (side: 'transmitTone' | 'receiveTone'): Description => {
    const radio = shipped('page-handheld');
    const own = radio.fields.map((field) => (field.holds === side ? { ...field, list: 'bare' } : field));
    const list = radio.fields.find(({ holds }) => holds === side)?.list ?? '';
    const bare = radio.lists[list]?.filter(({ kind }) => kind !== 'items') ?? [];
    return DescriptionSchema.parse({ ...radio, fields: own, lists: { ...radio.lists, bare } });
  };
  const direct = channel('Direct', 462.5625, 462.5625);
  const toned = channel('Toned', 462.55, 467.55, { transmitTone: '131.8', receiveTone: '131.8' });
  it.each([
    ['transmitTone', 'none', direct, 'unknown'],
    ['transmitTone', 'one', toned, 'full'],
    ['receiveTone', 'none', direct, 'unknown'],
    ['receiveTone', 'one', toned, 'full'],
  ] as const)('%s, and %s is wanted', (side, _, one, verdict) => {
    const found = first(without(side), one);
    expect(found.verdict).toBe(verdict);
    expect(found.codes.includes('tone-list-unknown')).toBe(verdict === 'unknown');
  });
});

describe('a set whose steps of power nobody wrote down', () => {
  const watts = (mostPowerW: number): Description => {
    const radio = shipped('page-handheld');
    const fields = radio.fields.map((field) =>
      field.holds === 'powerW' ? { ...field, list: 'unknown', factory: 0 } : field,
    );
    if (radio.transmit === 'unknown') throw new Error('sends nowhere');
    const bands = radio.transmit.bands.map((band) => ({ ...band, mostPowerW }));
    const regions = radio.regions.map((region) =>
      region.content.kind === 'fixed'
        ? {
            ...region,
            content: {
              ...region.content,
              channels: region.content.channels.map(({ mostPowerW: _, ...row }) => row),
            },
          }
        : region,
    );
    return DescriptionSchema.parse({
      ...radio,
      regions,
      fields,
      recipes: undefined,
      behaviour: undefined,
      transmit: { ...radio.transmit, bands },
    });
  };
  const main = channel('Main', 462.55, 462.55);
  // 47 CFR 95.1767: 50 W on the main channels.
  it.each([
    [5, false],
    [50, false],
    [51, true],
  ])('with %i W at most: whether it is too much is not known: %s', (most, isAsked) => {
    const found = first(watts(most), main);
    expect(found.codes.includes('power-unknown')).toBe(isAsked);
    expect(['full', 'adapted']).toContain(found.verdict);
  });
});

it('a set that has nothing to send a tone with sends none, and nothing is said of that', () => {
  const radio = shipped('page-handheld');
  const isGone = ({ holds }: { holds: string }) => holds === 'transmitTone';
  const gone = radio.fields.find(isGone)?.id;
  const bare = DescriptionSchema.parse({
    ...radio,
    fields: radio.fields.filter((field) => !isGone(field)),
    regions: radio.regions.map((region) => ({
      ...region,
      ways: waysWith(region, (ids) => ids.filter((id) => id !== gone)),
    })),
    recipes: undefined,
    behaviour: undefined,
  });
  const { cells } = fitPlan(plan([channel('Direct', 462.5625, 462.5625)]), fitDevice(bare));
  // What is said of every such channel on this set, and nothing else.
  expect(cells[0]?.findings.map(({ code }) => code)).toEqual(['licence-needed', 'no-names']);
  expect(cells[0]?.verdict).toBe('full');
  const toned = channel('Toned', 462.5625, 462.5625, { transmitTone: '131.8', receiveTone: '131.8' });
  expect(first(bare, toned)).toMatchObject({ verdict: 'listen', codes: ['transmit-tone-missing'] });
});
