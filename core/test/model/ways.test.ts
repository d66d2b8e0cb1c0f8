import { DescriptionSchema, fieldsBy, hasField, RegionSchema, waysWith } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { runs } from '../support/runs';

/** A region as files wrote it while keys and cable had a list each. */
const inTwoLists = <R extends { ways: { by: ('keys' | 'file')[]; fields: string[] }[] }>({
  ways,
  ...rest
}: R) => ({
  ...rest,
  keypad: [...fieldsBy({ ways }, 'keys')],
  cable: [...fieldsBy({ ways }, 'file')],
});

const someFields = fc.array(fc.constantFrom<string[]>('rx', 'tx', 'tone', 'title', 'power', 'scan'));

describe('the ways in which fields can be set', () => {
  it('are read as they were written before, for every shipped kind', () => {
    for (const description of SHIPPED) {
      const before = { ...description, regions: description.regions.map(inTwoLists) };
      expect(DescriptionSchema.parse(JSON.parse(JSON.stringify(before)))).toEqual(description);
    }
  });
  it('two lists come to one in which each field stands once, and no way gains or loses one', () =>
    fc.assert(
      fc.property(someFields, someFields, (keypad, cable) => {
        const [at] = shipped('pocket-radio').regions;
        const { ways: _, ...region } = { ...at };
        const read = RegionSchema.parse({ ...region, keypad, cable });
        expect(new Set(fieldsBy(read, 'keys'))).toEqual(new Set(keypad));
        expect(new Set(fieldsBy(read, 'file'))).toEqual(new Set(cable));
        const all = read.ways.flatMap(({ fields }) => fields);
        expect(new Set(all).size).toBe(all.length);
        for (const field of ['rx', 'tx', 'none'])
          expect(hasField(read, field)).toBe(keypad.includes(field) || cable.includes(field));
      }),
      { numRuns: runs(100) },
    ));
  it('a field can be taken from one way alone', () => {
    const region = { ways: [{ by: ['keys' as const, 'file' as const], fields: ['rx', 'title'] }] };
    const less = waysWith(region, (fields, way) => fields.filter((id) => way === 'keys' || id !== 'title'));
    expect(less).toEqual([
      { by: ['keys', 'file'], fields: ['rx'] },
      { by: ['keys'], fields: ['title'] },
    ]);
  });
  it.each([
    ['both forms at once', { keypad: ['rx'], ways: [] }],
    ['no form', {}],
    ['a word for a list', { keypad: 'rx' }],
    ['a way without a name', { ways: [{ by: [], fields: ['rx'] }] }],
    ['a way that nobody knows', { ways: [{ by: ['app'], fields: ['rx'] }] }],
  ])('%s is refused', (_, own) => {
    const [at] = shipped('pocket-radio').regions;
    const { ways: _ways, ...region } = { ...at };
    expect(RegionSchema.safeParse({ ...region, ...own }).success).toBe(false);
  });
  it('a field in two entries is a slip, with its path', () => {
    const base = shipped('pocket-radio');
    const twice = {
      ...base,
      regions: base.regions.map((region) => ({ ...region, ways: [...region.ways, ...region.ways] })),
    };
    expect(DescriptionSchema.safeParse(twice).error?.issues.map(({ path }) => path.join('/'))).toContain(
      'regions/0/ways/1',
    );
  });
});
