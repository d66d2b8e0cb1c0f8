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
    expect(searchAreas(AREAS, 'autauga').areas).toMatchObject([
      { code: '001001', county: 'Autauga', state: 'Alabama' },
    ]);
    expect(searchAreas(AREAS, 'lake, oh').areas.map(({ code }) => code)).toEqual(['039085']);
    for (const text of ['39085', '039085', '139085'])
      expect(searchAreas(AREAS, text).areas[0], text).toMatchObject({ county: 'Lake', state: 'Ohio' });
    expect(searchAreas(AREAS, 'washington', 5)).toMatchObject({ areas: { length: 5 }, total: 31 });
    expect(searchAreas(AREAS, '').total).toBe(0);
  });
});

describe('the counties next to one', () => {
  // Borders by any map of the states, typed from memory; a border that crosses water is none, since the outlines end at the shore.
  it.each([
    ['006037', ['006029', '006059', '006071', '006111']], // Los Angeles: Kern, Orange, San Bernardino, Ventura
    ['039035', ['039055', '039085', '039093', '039103', '039153']], // Cuyahoga: Geauga, Lake, Lorain, Medina, Summit
    ['010001', ['010003', '010005', '024011', '024029', '024035']], // Kent, Delaware: New Castle, Sussex; Caroline, Kent, Queen Anne's
    ['011001', ['024031', '024033', '051013', '051510']], // the District: Montgomery, Prince George's; Arlington, Alexandria
  ])('of %s', (code, those) => {
    expect(AREAS.find((area) => area.code === code)?.beside).toEqual(those);
  });
  it('an island county has none', () => {
    for (const code of ['015003', '025019', '053055']) // Honolulu, Nantucket, San Juan
      expect([code, AREAS.find((area) => area.code === code)?.beside]).toEqual([code, []]);
  });
  it('are so both ways, never itself, and a county has six of them in the middle', () => {
    const of = new Map(AREAS.map(({ code, beside }) => [code, beside]));
    for (const { code, beside } of AREAS)
      for (const other of beside) expect(other !== code && of.get(other)?.includes(code)).toBe(true);
    const counts = AREAS.map(({ beside }) => beside.length).sort((a, b) => a - b);
    expect(counts[Math.floor(counts.length / 2)]).toBe(6);
  });
  it('are read with the code, whatever its part', () =>
    expect(readArea('539035', AREAS)).toMatchObject({
      beside: expect.arrayContaining([{ code: '039093', county: 'Lorain', state: 'Ohio' }]),
    }));
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
