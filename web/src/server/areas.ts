import { type Area, type Atlas, areasOf } from '@umbrex/core/areas';

let areas: Promise<readonly Area[]> | undefined;

/** The area codes of the United States, out of the us-atlas package; read when they are first asked for. */
export function usAreas(): Promise<readonly Area[]> {
  areas ??= import('us-atlas/counties-10m.json').then(({ default: atlas }) =>
    areasOf(atlas as unknown as Atlas),
  );
  return areas;
}
