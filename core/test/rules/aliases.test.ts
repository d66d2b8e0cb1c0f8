import { aliasesOf } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { channel } from '../support/plans';

describe('other names of a channel, for searching', () => {
  const of = (receiveMHz: number, transmitMHz: number | null, country = 'US') =>
    aliasesOf(channel('x', receiveMHz, transmitMHz), { country }).map((text) => text.toLowerCase());
  it('both services and the number', () =>
    expect(of(462.6375, 462.6375)).toEqual(expect.arrayContaining(['gmrs 4', 'frs 4'])));
  it('both weather numberings', () =>
    expect(of(162.425, null)).toEqual(expect.arrayContaining(['wx 2', 'wx4 in marine order'])));
  it('the older marine number, also where the plan only listens', () =>
    expect(of(157.1, null)).toEqual(expect.arrayContaining(['marine 22a', '1022'])));
  it('nothing in a country whose tables do not have it', () =>
    expect(of(462.6375, 462.6375, 'AU')).toEqual([]));
});
