import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { heldAfter, prepare } from '@umbrex/core/flow';
import { heldMemory } from '@umbrex/core/memory';
import { type Channel, DescriptionSchema, type Plan, type Unit, writtenLists } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan, unit, uuid } from '../support/plans';
import { runs } from '../support/runs';
import { told } from '../support/told';

const ZONED = shipped('zoned-mobile');
const PORTABLE = shipped('retired-portable');
const GROUPS = ['Repeaters', 'Direct', 'Boats', 'Far', 'More', 'Last'];

/** Tones that both sets can send. */
const tonesOf = (description: typeof ZONED) => {
  const field = description.fields.find(({ holds }) => holds === 'transmitTone');
  return writtenLists(description)[String(field?.list)]?.map(({ means }) => String(means)) ?? [];
};
const TONES = tonesOf(ZONED).filter((tone) => /^\d/.test(tone) && tonesOf(PORTABLE).includes(tone));

/** A plan whose groups have so many channels each; all are different, and to talk on. */
function grouped(sizes: readonly number[], more: (n: number) => Partial<Channel> = () => ({})): Plan {
  const channels = sizes.flatMap((size, g) =>
    Array.from({ length: size }, (_, i) => {
      // Sixteen a group at most: no two channels of a plan are the same.
      const n = g * 16 + i;
      // GMRS main channels, told apart by their tones.
      const mhz = 462.55 + (n % 8) * 0.025;
      return channel(`${GROUPS[g]} ${i}`, mhz, mhz, {
        id: uuid(5000 + n),
        groupId: uuid(100 + g),
        transmitTone: TONES[Math.floor(n / 8) % TONES.length] as string,
        receiveTone: TONES[Math.floor(n / 8) % TONES.length] as string,
        bandwidth: 'wide',
        ...more(n),
      });
    }),
  );
  return {
    ...plan(channels),
    groups: sizes.map((_, g) => ({ id: uuid(100 + g), name: GROUPS[g] ?? '', note: '' })),
  };
}
/** The zones in which the channels of each group are, in the plan's order of groups. */
const zonesIn = (of: Plan, cells: ReturnType<typeof fitPlan>['cells']) =>
  of.groups.map(({ id }) => [
    ...new Set(
      of.channels.flatMap((one, i) =>
        one.groupId === id ? [cells[i]?.slot?.label.split('-')[0] ?? 'none'] : [],
      ),
    ),
  ]);

describe('groups in zones', () => {
  it('each has one of its own, whole', () => {
    expect(TONES.length).toBeGreaterThan(10);
    const three = grouped([5, 16, 3]);
    expect(zonesIn(three, fitPlan(three, fitDevice(ZONED)).cells)).toEqual([['1'], ['2'], ['3']]);
  });
  it('share zones where there are more groups than zones, and stay whole', () => {
    const six = grouped([9, 9, 9, 7, 7, 7]);
    const zones = zonesIn(six, fitPlan(six, fitDevice(ZONED)).cells);
    expect(zones.every((in_) => in_.length === 1)).toBe(true);
    expect(new Set(zones.flat()).size).toBeLessThanOrEqual(5);
  });
  it('one that is larger than a zone is spread, and the others stay whole', () => {
    const large = grouped([20, 4].slice(0, 2));
    const [first, second] = zonesIn(large, fitPlan(large, fitDevice(ZONED)).cells);
    expect(first?.length).toBeGreaterThan(1);
    expect(second).toHaveLength(1);
  });
  it('what is only heard goes where the set never sends, apart from its group', () => {
    const mixed = grouped([4], (n) => (n < 2 ? {} : { transmitHz: null, transmitTone: 'off' }));
    expect(fitPlan(mixed, fitDevice(ZONED)).cells.map(({ slot }) => slot?.label)).toEqual([
      '1-1',
      '1-2',
      '6-1',
      '6-2',
    ]);
  });
  const inPortable = (of: Plan, memory = fitDevice(PORTABLE).present) =>
    zonesIn(of, fitPlan(of, fitDevice(PORTABLE, memory)).cells);
  it('the largest first where the plan’s order leaves one without, else in the plan’s order', () => {
    // 6 and 5 in one zone leave no room for the last 16.
    const tight = inPortable(grouped([6, 5, 10, 11, 16, 16]));
    expect(tight.map(({ length }) => length)).toEqual([1, 1, 1, 1, 1, 1]);
    expect(inPortable(grouped([5, 9, 9, 9, 9, 5]))).toEqual([['A'], ['A'], ['B'], ['C'], ['D'], ['B']]);
  });
  it('stay in the zone where they are when a group before them goes', () => {
    const three = grouped([5, 6, 3]);
    const one: Unit = unit(1, 'retired-portable');
    const holds = heldAfter(PORTABLE, prepare(three, PORTABLE, one), one.holds, 1, '2026-11-01');
    const { memory } = heldMemory(PORTABLE, holds);
    const [gone] = three.groups;
    const two = {
      ...three,
      channels: three.channels.filter(({ groupId }) => groupId !== gone?.id),
      groups: three.groups.slice(1),
    };
    expect(inPortable(two, memory)).toEqual([['B'], ['C']]);
    expect(inPortable(two)).toEqual([['A'], ['B']]);
  });
  it('any that fit are whole, and a set that is loaded keeps them there when one more comes', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 4 }),
        fc.nat({ max: 3 }),
        (sizes, grows) => {
          const first = grouped(sizes);
          const one: Unit = unit(1, 'retired-portable');
          const prepared = prepare(first, PORTABLE, one);
          const zones = zonesIn(first, prepared.fit.cells);
          expect(zones.every((in_) => in_.length === 1)).toBe(true);
          expect(new Set(zones.flat()).size).toBe(sizes.length);
          const g = grows % sizes.length;
          const more = grouped(sizes.map((size, i) => size + (i === g ? 1 : 0)));
          const holds = heldAfter(PORTABLE, prepared, one.holds, 1, '2026-11-01');
          const { memory } = heldMemory(PORTABLE, holds);
          expect(zonesIn(more, fitPlan(more, fitDevice(PORTABLE, memory)).cells)).toEqual(zones);
        },
      ),
      { numRuns: runs(40) },
    ));
});

describe('names of zones', () => {
  const named = (of: Plan) => {
    const { fit, proof } = prepare(of, PORTABLE, unit(1, 'retired-portable'));
    expect(proof.proven).toBe(true);
    return [1201, 1202, 1203, 1204].map((number) => told(fit.image.slots.get(number)?.content).name ?? null);
  };
  it('are those of the groups in them, as the set can spell them; a zone without a channel stays as it is', () => {
    const [a, b, ...rest] = named(grouped([3, 4]));
    expect([a?.toUpperCase().slice(0, 3), b?.toUpperCase()]).toEqual(['REP', 'DIRECT']);
    expect(rest).toEqual([null, null]);
  });
  it('of two groups in one zone name both, as far as there is room', () => {
    const shared = named(grouped([9, 9, 9, 9, 5, 5]));
    expect(shared.every((name) => name !== null && name !== '')).toBe(true);
  });
  it('a region of them names a region that has zones', () => {
    const at = (of: string, count = 4) => ({
      ...PORTABLE,
      regions: PORTABLE.regions.map((region) =>
        region.content.kind === 'zones'
          ? { ...region, count, size: count, stride: count, content: { kind: 'zones', of } }
          : region,
      ),
    });
    expect(DescriptionSchema.safeParse(at('zones')).success).toBe(true);
    expect(DescriptionSchema.safeParse(at('nowhere')).error?.issues[0]?.path).toEqual([
      'regions',
      1,
      'content',
      'of',
    ]);
    expect(DescriptionSchema.safeParse(at('zones', 5)).error?.issues[0]?.path).toEqual([
      'regions',
      1,
      'count',
    ]);
  });
});
