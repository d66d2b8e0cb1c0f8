import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { areasOf, readArea, searchAreas } from '@umbrex/core/areas';
import { describe, expect, it } from 'vitest';

const require = createRequire(new URL('../../../web/package.json', import.meta.url));

const AREAS = areasOf(JSON.parse(readFileSync(require.resolve('us-atlas/counties-10m.json'), 'utf8')));

describe('area codes', () => {
  it('stand once each, in the order of their codes, and each in a state', () => {
    const codes = AREAS.map(({ code }) => code);
    expect(new Set(codes).size).toBe(codes.length);
    expect(codes).toEqual([...codes].sort());
    expect(AREAS.filter(({ code, state }) => state === '' || !/^0\d{5}$/.test(code))).toEqual([]);
  });
  it('3,142 counties in the 50 states and the District in 2017, 78 in Puerto Rico (US Census Bureau; from memory)', () => {
    const state = (area: { code: string }) => Number(area.code.slice(1, 3));
    expect(AREAS.filter((area) => state(area) <= 56)).toHaveLength(3142);
    expect(AREAS.filter((area) => state(area) === 72)).toHaveLength(78);
  });
  it('per state as the Census Bureau counts them: 254 in Texas, 159 in Georgia, 3 in Delaware, 1 District (from memory)', () => {
    const of = (state: string) => AREAS.filter((area) => area.state === state).length;
    expect(['Texas', 'Georgia', 'Delaware', 'District of Columbia'].map(of)).toEqual([254, 159, 3, 1]);
  });
  it('are found by county, by county and state, and by code with or without the part digit', () => {
    expect(searchAreas(AREAS, 'autauga').areas).toEqual([
      { code: '001001', county: 'Autauga', state: 'Alabama' },
    ]);
    expect(searchAreas(AREAS, 'lake, oh').areas.map(({ code }) => code)).toEqual(['039085']);
    for (const text of ['39085', '039085', '139085'])
      expect(searchAreas(AREAS, text).areas[0], text).toMatchObject({ county: 'Lake', state: 'Ohio' });
    expect(searchAreas(AREAS, 'washington', 5)).toMatchObject({ areas: { length: 5 }, total: 31 });
    expect(searchAreas(AREAS, '').total).toBe(0);
  });
});

describe('a written area code', () => {
  // The county beside each code: ANSI INCITS 38, typed from memory; the part by 47 CFR 11.31(c).
  it.each([
    ['039035', 'county', 'Cuyahoga, Ohio'],
    ['139035', 'county', 'northwest of Cuyahoga, Ohio'],
    ['539035', 'county', 'central of Cuyahoga, Ohio'],
    ['939035', 'county', 'southeast of Cuyahoga, Ohio'],
    ['006037', 'county', 'Los Angeles, California'],
    ['017031', 'county', 'Cook, Illinois'],
    ['011001', 'county', 'District of Columbia, District of Columbia'],
    ['048000', 'state', 'Texas'],
    ['000000', 'everywhere', ''],
    ['099001', 'unknown', ''],
    ['039999', 'unknown', ''],
    ['162475', 'slip', 'frequency'],
    ['162.550', 'slip', 'frequency'],
    ['39035', 'slip', 'no-part 039035'],
    ['99001', 'slip', 'no-part'],
    ['003706', 'slip', 'swapped 006037'],
    ['003106', 'slip', 'swapped 006031'],
    ['Cook', 'slip', 'shape'],
    ['0390355', 'slip', 'shape'],
    ['', 'slip', 'shape'],
  ])('%s: %s %s', (text, kind, words) => {
    const reading = readArea(text, AREAS);
    const said =
      reading.kind === 'county'
        ? `${reading.part ? `${reading.part} of ` : ''}${reading.county}, ${reading.state}`
        : reading.kind === 'state'
          ? reading.state
          : reading.kind === 'slip'
            ? [reading.of, reading.meant].filter(Boolean).join(' ')
            : '';
    expect([reading.kind, said]).toEqual([kind, words]);
  });
});
