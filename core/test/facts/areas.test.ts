import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { AREAS, searchAreas } from '@umbrex/core/areas';
import { describe, expect, it } from 'vitest';

const require = createRequire(new URL('../../../web/package.json', import.meta.url));

describe('area codes', () => {
  it('are those of the us-atlas package, all of them, once each', () => {
    const atlas = JSON.parse(readFileSync(require.resolve('us-atlas/counties-10m.json'), 'utf8'));
    const named = atlas.objects.counties.geometries.map(
      (county: { id: string; properties: { name: string } }) => `0${county.id} ${county.properties.name}`,
    );
    expect(AREAS.map(({ code, county }) => `${code} ${county}`)).toEqual(named.sort());
    expect(new Set(AREAS.map(({ code }) => code)).size).toBe(AREAS.length);
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
    expect(searchAreas('autauga').areas).toEqual([{ code: '001001', county: 'Autauga', state: 'Alabama' }]);
    expect(searchAreas('lake, oh').areas.map(({ code }) => code)).toEqual(['039085']);
    for (const text of ['39085', '039085', '139085'])
      expect(searchAreas(text).areas[0], text).toMatchObject({ county: 'Lake', state: 'Ohio' });
    expect(searchAreas('washington', 5)).toMatchObject({ areas: { length: 5 }, total: 31 });
    expect(searchAreas('').total).toBe(0);
  });
});
