import type { Area } from './area';

export type { Area } from './area';
export { type AreaReading, readArea } from './read';

/** The lines that an outline is made of, by their numbers; one that is followed backwards has its number's complement. */
type Lines = readonly (number | Lines)[];

interface Named {
  readonly arcs?: Lines;
  readonly id?: string | number | undefined;
  readonly properties: { readonly name: string };
}

/**
 * The states and counties of a topology with the codes of ANSI INCITS 31 and 38, such as the us-atlas package has (US Census Bureau
 * cartographic boundaries, edition of 2017; some have changed since: Alaska in 2019, Connecticut in 2022; marine areas are absent).
 */
export interface Atlas {
  readonly objects: {
    readonly states: { readonly geometries: readonly Named[] };
    readonly counties: { readonly geometries: readonly Named[] };
  };
}

/** Every county of the states, the District, Puerto Rico and the islands, in the order of their codes. */
export function areasOf({ objects: { states, counties } }: Atlas): Area[] {
  const beside = besideOf(counties.geometries);
  const state = new Map(states.geometries.map(({ id, properties }) => [String(id), properties.name]));
  return counties.geometries
    .map(({ id, properties }) => ({
      code: `0${id}`,
      county: properties.name,
      state: state.get(String(id).slice(0, 2)) ?? '',
      beside: [...(beside.get(String(id)) ?? [])].sort(),
    }))
    .sort((a, b) => (a.code < b.code ? -1 : 1));
}

/** The codes of what has a line of its outline in common with each: a border on land, since the outlines end at the shore. */
function besideOf(geometries: readonly Named[]): ReadonlyMap<string, ReadonlySet<string>> {
  const sharing = new Map<number, string[]>();
  for (const { id, arcs = [] } of geometries)
    for (const line of new Set(linesOf(arcs))) sharing.set(line, [...(sharing.get(line) ?? []), String(id)]);
  const beside = new Map<string, Set<string>>();
  for (const ids of sharing.values())
    for (const id of ids)
      for (const other of ids)
        if (other !== id) beside.set(id, (beside.get(id) ?? new Set()).add(`0${other}`));
  return beside;
}

const linesOf = (arcs: Lines): number[] =>
  arcs.flatMap((one) => (typeof one === 'number' ? [one < 0 ? ~one : one] : linesOf(one)));

/**
 * Searches areas by county, by county and state (`lake, ohio`), or by their code with or without the part digit.
 * @returns the first `most` in the order of their codes, and how many there are in all
 */
export function searchAreas(
  all: readonly Area[],
  text: string,
  most = 30,
): { areas: readonly Area[]; total: number } {
  const words = text.trim().toLowerCase();
  if (words === '') return { areas: [], total: 0 };
  const [county = '', state = ''] = words.split(',').map((part) => part.trim());
  const digits = /^\d{5,6}$/.test(words) ? words.padStart(6, '0') : undefined;
  const found = all.filter((area) =>
    digits
      ? area.code.slice(1) === digits.slice(1)
      : area.county.toLowerCase().startsWith(county) && area.state.toLowerCase().startsWith(state),
  );
  return { areas: found.slice(0, most), total: found.length };
}
