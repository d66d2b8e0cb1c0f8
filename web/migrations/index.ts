import type { Knex } from 'knex';
import * as licensed from './20261125_licensed';
import * as mode from './20261125_mode';
import * as trunk from './20261125_trunk';

// A hand-written list, so that tsx, Vite, Vitest and the production bundle see the same names.
const MIGRATIONS: readonly { name: string; migration: Knex.Migration }[] = [
  { name: '20261125_trunk', migration: trunk },
  { name: '20261125_trunk_licensed', migration: licensed },
  { name: '20261125_trunk_mode', migration: mode },
];
type Entry = (typeof MIGRATIONS)[number];

export const migrationSource: Knex.MigrationSource<Entry> = {
  getMigrations: async () => [...MIGRATIONS],
  getMigrationName: (entry) => entry.name,
  getMigration: async (entry) => entry.migration,
};
