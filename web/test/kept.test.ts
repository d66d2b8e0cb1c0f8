import { describe, expect, it } from 'vitest';
import { Kept } from '../src/server/kept';

describe('what was computed last', () => {
  it('is not computed again, and the one that was asked for longest ago goes first', () => {
    const kept = new Kept<string>(2);
    const made: string[] = [];
    const ask = (key: string) =>
      kept.of(key, () => {
        made.push(key);
        return key.toUpperCase();
      });
    expect(['a', 'b', 'a', 'c', 'a', 'b'].map(ask)).toEqual(['A', 'B', 'A', 'C', 'A', 'B']);
    expect(made).toEqual(['a', 'b', 'c', 'b']);
  });
});
