import { describe, expect, it } from 'vitest';
import { notReadyLines } from '../src/messages/readiness';

describe('why a sheet is not ready', () => {
  it('is said for each stop once, with how many places are meant', () => {
    expect(notReadyLines([], 0)).toEqual([]);
    expect(notReadyLines(['own-places'], 1)).toEqual([
      'One place holds something of the holder’s own that the plan would overwrite. Look at it first.',
    ]);
    expect(notReadyLines(['not-proven', 'own-places', 'no-areas'], 12)).toEqual([
      'Its steps do not come to what it shall hold.',
      '12 places hold something of the holder’s own that the plan would overwrite. Look at them first.',
      'The plan has no areas for alert radios: write them in the plan first.',
    ]);
  });
});
