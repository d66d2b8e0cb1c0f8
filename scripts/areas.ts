// Writes core/src/facts/areas/counties.ts from the us-atlas package. Run when the package is newer: npx tsx scripts/areas.ts
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

interface Atlas {
  objects: Record<'states' | 'counties', { geometries: { id: string; properties: { name: string } }[] }>;
}
const require = createRequire(new URL('../web/package.json', import.meta.url));
const atlas: Atlas = JSON.parse(readFileSync(require.resolve('us-atlas/counties-10m.json'), 'utf8'));
const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1);
const states = [...atlas.objects.states.geometries].sort(byId);
const counties = [...atlas.objects.counties.geometries].sort(byId);
const rows = states.map(({ id, properties }) => {
  const own = counties.filter((county) => county.id.startsWith(id));
  const list = own.map((county) => `${county.id.slice(2)} ${county.properties.name}`).join(';');
  return `  [${JSON.stringify(id)}, ${JSON.stringify(properties.name)}, ${JSON.stringify(list)}],`;
});
const text = `/*
 * States and counties with their codes, as the us-atlas package 3.0.1 has them (US Census Bureau cartographic boundaries, edition
 * of 2017, codes of ANSI INCITS 31 and 38). Written by scripts/areas.ts, not by hand. Some have changed since: Alaska in 2019,
 * Connecticut in 2022. Marine areas are absent.
 * Columns: state code, state, counties as code and name.
 */
// biome-ignore format: one row a state
export const STATES: readonly (readonly [string, string, string])[] = [
${rows.join('\n')}
];
`;
writeFileSync(fileURLToPath(new URL('../core/src/facts/areas/counties.ts', import.meta.url)), text);
