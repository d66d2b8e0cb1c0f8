import { readListing } from '@umbrex/core/listing';
import { describe, expect, it } from 'vitest';

describe('a pasted listing', () => {
  const sheet = [
    'Name\tFrequency\tTone\tAccess',
    'Kelp Stairs\t462.650\trpt 131.8\topen',
    '',
    'Gannet Top\t467.575\tD251\task first',
    'Boat crews\t462.625\tdirect 82.5\topen',
  ].join('\r\n');
  it('passes over titles and empty lines, keeps line numbers, and asks where it must', () => {
    const { lines, beyond } = readListing(sheet);
    expect(lines.map(({ line, reading }) => [line, reading.ok])).toEqual([
      [2, true],
      [4, false],
      [5, true],
    ]);
    expect(lines[1]?.reading.questions.map((q) => q.code)).toContain('frequency-is-input');
    expect(lines[0]?.reading.channel).toMatchObject({
      name: 'Kelp Stairs',
      access: 'open',
      transmitTone: '131.8',
    });
    expect(beyond).toBe(0);
  });
  it('reads 500 lines at once and says how many are left', () =>
    expect(readListing('ch 4\n'.repeat(510))).toMatchObject({ lines: { length: 500 }, beyond: 10 }));
});
