import type { ThingKind } from '@umbrex/core/fields';

/** What goes out and comes in as a table; a plan with all that it says goes as a document of its own, and a bench day stays where it is. */
export type TableKind = Exclude<ThingKind, 'plan' | 'bench'>;

/** Under which name each kind comes in, and goes out. */
export const IMPORTED_AS = {
  person: 'people',
  unit: 'units',
  team: 'teams',
  station: 'stations',
  net: 'nets',
  channel: 'channels',
} as const satisfies Record<TableKind, string>;
export const TABLE_KINDS = Object.keys(IMPORTED_AS) as readonly TableKind[];
