import { frozen, markOf } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

describe('what is kept between two requests', () => {
  it('nobody can change, at any depth, and it is what it was', () =>
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const before = JSON.stringify(value);
        const kept = frozen(value);
        expect(JSON.stringify(kept)).toBe(before);
        const isFrozen = (one: unknown): boolean =>
          typeof one !== 'object' ||
          one === null ||
          (Object.isFrozen(one) && Object.values(one).every(isFrozen));
        expect(isFrozen(kept)).toBe(true);
      }),
    ));
  it('has a mark of its own, the same each time; what is not frozen is marked by what it says', () => {
    const one = frozen({ a: [1, { b: 2 }] });
    const other = frozen({ a: [1, { b: 2 }] });
    expect(markOf(one)).toBe(markOf(one));
    expect(markOf(one)).not.toBe(markOf(other));
    const loose = { a: 1 };
    const before = markOf(loose);
    loose.a = 2;
    expect(markOf(loose)).not.toBe(before);
  });
});
