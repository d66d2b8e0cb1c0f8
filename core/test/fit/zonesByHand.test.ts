import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Description, factoryMemory } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mobile, type Raw, region } from '../support/mobile';
import { channel, plan, uuid } from '../support/plans';
import { runs } from '../support/runs';

// Groups that go into zones whole where they fit, laid out by hand.

/** A set with so many zones of so many places each, numbered on from 1, and a name for each zone from 901 on. */
function zoned(zones: number, size: number, change: (raw: Raw) => void = () => undefined): Description {
  return mobile((raw: Raw) => {
    const free = region(raw, 'free');
    raw.names = { length: 9, characters: 'ABCDEFGHIJ /' };
    raw.regions = [
      {
        ...free,
        first: 1,
        count: zones * size,
        size,
        stride: size,
        banks: Array.from({ length: zones }, (_, i) => 'STUV'[i]),
        label: '{bank}{position}',
      },
      {
        id: 'names',
        title: 'Zone names',
        first: 901,
        count: zones,
        size: zones,
        stride: zones,
        banks: [],
        label: 'Z{position}',
        content: { kind: 'zones', of: 'free' },
        ways: [{ by: ['keys'], fields: ['name'] }],
      },
    ];
    change(raw);
  });
}

const group = (g: number) => uuid(700 + g);

/** A plan of groups with so many channels each, in their order; the channels of a group one after another. */
function grouped(...sizes: readonly number[]) {
  const channels = sizes.flatMap((size, g) =>
    Array.from({ length: size }, (_, i) => {
      const mhz = 462.55 + 0.025 * g + 0.5 * i;
      return channel(`${'ABCDEFGH'[g]}${'ABCDEFGH'[i]}`, mhz, null, {
        id: uuid(800 + 20 * g + i),
        groupId: group(g),
      });
    }),
  );
  const groups = sizes.map((_, g) => ({ id: group(g), name: `${'ABCDEFGH'[g]}HIJ`, note: '' }));
  return { ...plan(channels), groups };
}

type Held = Readonly<Record<number, number>>;

/** By group, the labels of its places; with what stands at some places now, by frequency. */
function places(set: Description, sizes: readonly number[], held: Held = {}) {
  const fresh = factoryMemory(set);
  const slots = new Map(fresh.slots);
  for (const [number, rx] of Object.entries(held))
    slots.set(Number(number), { rx, off: 0, enc: 0, dec: 0, pow: 0, wid: 1, mute: 1, name: '' });
  const { cells, image } = fitPlan(grouped(...sizes), fitDevice(set, { slots, settings: fresh.settings }));
  const labels = cells.map(({ slot }) => slot?.label ?? '-');
  const byGroup = sizes.map((size, g) => {
    const before = sizes.slice(0, g).reduce((sum, n) => sum + n, 0);
    return labels.slice(before, before + size).join(' ');
  });
  const names = [901, 902, 903].map((number) => image.slots.get(number)?.values.name);
  return { byGroup, names };
}

describe('groups of a plan', () => {
  it('each has a zone of its own where there are enough, and the zone its name', () => {
    expect(places(zoned(2, 3), [2, 3])).toEqual({
      byGroup: ['S1 S2', 'T1 T2 T3'],
      names: ['AHIJ', 'BHIJ', undefined],
    });
  });
  it('three of different sizes, in the order of the plan', () =>
    expect(places(zoned(3, 3), [1, 3, 2]).byGroup).toEqual(['S1', 'T1 T2 T3', 'U1 U2']));
  it('several share one where there are too few, in their order', () => {
    expect(places(zoned(2, 3), [1, 2, 3])).toEqual({
      byGroup: ['S1', 'S2 S3', 'T1 T2 T3'],
      names: ['AHIJ BHIJ', 'CHIJ', undefined],
    });
  });
  it('the largest first, where that brings more of them in whole', () =>
    expect(places(zoned(2, 6), [2, 2, 4, 4]).byGroup).toEqual([
      'S1 S2',
      'T1 T2',
      'S3 S4 S5 S6',
      'T3 T4 T5 T6',
    ]));
  it('one that fits into none goes where there is room', () => {
    expect(places(zoned(2, 3), [2, 2, 2]).byGroup).toEqual(['S1 S2', 'T1 T2', 'S3 T3']);
  });
  it('one that fits into none leaves to the others what they need for theirs', () => {
    expect(places(zoned(2, 3), [5, 1]).byGroup).toEqual(['S2 S3 T1 T2 T3', 'S1']);
    expect(places(zoned(3, 4), [5, 4, 3]).byGroup).toEqual(['T4 U1 U2 U3 U4', 'S1 S2 S3 S4', 'T1 T2 T3']);
    // Where nothing else is left it takes even that: what is in counts before what is together.
    expect(places(zoned(2, 3), [6, 2]).byGroup).toEqual(['S1 S2 S3 T1 T2 T3', '- -']);
    // Not a place where somebody has something of their own before an empty one.
    expect(places(zoned(2, 3), [4, 1], { 6: 467_000_000 }).byGroup).toEqual(['S2 S3 T1 T2', 'S1']);
  });
  it('one goes where most of it is already', () => {
    const held = { 4: 462_550_000, 5: 463_050_000 };
    expect(places(zoned(2, 3), [3, 1], held).byGroup).toEqual(['T1 T2 T3', 'S1']);
    expect(places(zoned(2, 3), [3, 1], { 4: 462_550_000 }).byGroup).toEqual(['T1 T2 T3', 'S1']);
    // What stands there and is none of it leaves less room.
    expect(places(zoned(2, 3), [3, 1], { 1: 467_000_000 }).byGroup).toEqual(['T1 T2 T3', 'S2']);
  });
});

describe('any groups', () => {
  const set = zoned(3, 4);
  const few = fc.array(fc.integer({ min: 1, max: 4 }), { maxLength: 2 });
  it('a large one never splits those that fit, and nobody stays out while there is room', () => {
    fc.assert(
      fc.property(few, fc.integer({ min: 5, max: 10 }), few, (before, large, behind) => {
        const sizes = [...before, large, ...behind];
        const small = before.length + behind.length;
        fc.pre(small <= 2 && sizes.reduce((sum, n) => sum + n, 0) <= 12);
        const { byGroup } = places(set, sizes);
        const all = byGroup.flatMap((labels) => labels.split(' '));
        expect(all).not.toContain('-');
        expect(new Set(all).size).toBe(all.length);
        byGroup.forEach((labels, g) => {
          if (g !== before.length) expect(new Set(labels.split(' ').map((label) => label[0])).size).toBe(1);
        });
      }),
      { numRuns: runs(100), seed: 7 },
    );
  });
  it('what is only heard stays where the set never sends, whatever the zones', () => {
    const quiet = zoned(2, 3, (raw) => {
      raw.regions.push({
        ...raw.regions[0],
        id: 'quiet',
        first: 51,
        banks: ['Q', 'R'],
        content: { kind: 'free', receiveOnly: true },
      });
    });
    // Six places that never send, for five that are too many for a zone and one that has its own.
    expect(places(quiet, [5, 1]).byGroup).toEqual(['Q2 Q3 R1 R2 R3', 'Q1']);
    expect(places(quiet, [6, 1]).byGroup).toEqual(['Q2 Q3 R1 R2 R3 Q1', 'S1']);
  });
});

describe('places that are no zones', () => {
  const numbers = (change?: (raw: Raw) => void) =>
    fitPlan(grouped(2, 3), fitDevice(zoned(2, 3, change))).cells.map(({ slot }) => slot?.number);
  it('have one name for all, or labels that do not say which', () => {
    expect(numbers()).toEqual([1, 2, 4, 5, 6]);
    const bare = numbers((raw) => {
      raw.regions[0].label = '{number}';
    });
    expect(bare).toEqual([1, 2, 3, 4, 5]);
    const one = numbers((raw) => {
      raw.regions[0].banks = ['S'];
    });
    expect(one).toEqual([1, 2, 3, 4, 5]);
  });
});

describe('names of zones', () => {
  it('none where the set has no names, or nothing to hold them', () => {
    const none = zoned(2, 3, (raw) => {
      raw.names = 'none';
    });
    expect(places(none, [2, 3]).names).toEqual([undefined, undefined, undefined]);
    const unknown = zoned(2, 3, (raw) => {
      raw.names = 'unknown';
    });
    expect(places(unknown, [2, 3]).names).toEqual([undefined, undefined, undefined]);
    const noPlaces = zoned(2, 3, (raw) => {
      raw.regions.pop();
    });
    expect(places(noPlaces, [2, 3]).names).toEqual([undefined, undefined, undefined]);
  });
  it('a zone without a channel keeps its own', () =>
    expect(places(zoned(3, 3), [2]).names).toEqual(['AHIJ', undefined, undefined]));
  it('is short where the display is', () =>
    expect(
      places(
        zoned(2, 3, (raw) => {
          raw.names.length = 3;
        }),
        [2],
      ).names[0],
    ).toHaveLength(3));
});
