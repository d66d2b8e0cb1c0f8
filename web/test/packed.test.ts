import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pack, unpack } from '../src/islands/desk/packed';

describe('what a page hands to its island', () => {
  it('comes out as it went in, whatever letters it has', () =>
    fc.assert(
      fc.property(fc.jsonValue(), fc.string({ unit: 'binary' }), (value, text) => {
        const whole = { value, text };
        expect(unpack(pack(whole))).toEqual(JSON.parse(JSON.stringify(whole)));
      }),
    ));
  it('holds nothing that an attribute would have to write out', () =>
    expect(pack({ quotes: '"&<>\'', umlaut: 'ü—😀' })).toMatch(/^[A-Za-z0-9+/=]+$/));
});
