import type { ThingKind } from '@umbrex/core/fields';
import { z } from 'zod';

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
  heard: 'calls',
  find: 'finds',
} as const satisfies Record<TableKind, string>;
/** Those that belong to one plan: it is named when they go out. */
export const OF_PLAN: readonly TableKind[] = ['channel', 'heard'];
export const TABLE_KINDS = Object.keys(IMPORTED_AS) as readonly TableKind[];

/** A table as a JSON file (`umbrex/table@1`): its titles, and the cells of each row; what is besides is of no matter here. */
export const TableFileSchema = z.object({
  format: z.literal('umbrex/table@1'),
  what: z.string().max(40),
  columns: z.array(z.string().max(100)).min(1).max(100),
  rows: z.array(z.array(z.union([z.string().max(200_000), z.number()])).max(100)).max(10_000),
});
