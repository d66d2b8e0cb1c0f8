import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWorkbook, writeWorkbook } from '../src/server/workbook';

const through = async (rows: readonly string[][]) =>
  readWorkbook((await writeWorkbook('things', rows)).buffer as ArrayBuffer);

describe('a table in a workbook', () => {
  it('comes back cell by cell, whatever it holds', () =>
    fc.assert(
      fc.asyncProperty(
        // What no cell of a workbook can hold: lone halves of a sign and control signs. (Our lines have none.)
        fc.array(
          fc.tuple(fc.stringMatching(/^[\w =+@'"<>&;æø-]{0,20}$/), fc.string({ unit: 'grapheme-ascii' })),
          {
            minLength: 1,
            maxLength: 5,
          },
        ),
        async (cells) => {
          const rows = [['Name', 'Note (2)'], ...cells.map(([a, b]) => [`n${a}`, `n${b}`])];
          expect(await through(rows)).toEqual(rows);
        },
      ),
      { numRuns: 40 },
    ));
  it('also a text that is longer than a cell, beside another that is not', async () => {
    const long = Array.from({ length: 90_001 }, (_, i) => String.fromCharCode(97 + (i % 26))).join('');
    const rows = [
      ['Nickname', 'Holds now', 'Note'],
      ['One', long, 'n'],
      ['Two', 'short', ''],
    ];
    expect(await through(rows)).toEqual(rows);
  });
});
