import type { Knex } from 'knex';
import * as licensed from './20261125_licensed';
import * as mode from './20261125_mode';
import * as trunk from './20261125_trunk';
import * as directory from './20261126_directory';
import * as accounts from './20261127_accounts';
import * as roster from './20261128_roster';
import * as numbering from './20261129_numbering';
import * as alerts from './20261130_alerts';
import * as networks from './20261201_networks';
import * as scan from './20261202_scan';
import * as naming from './20261203_naming';
import * as links from './20261204_links';
import * as documents from './20261205_documents';
import * as carried from './20261206_carried';
import * as moves from './20261207_moves';
import * as revisions from './20261208_revisions';
import * as bench from './20261209_bench';
import * as cards from './20261210_cards';
import * as heard from './20261211_heard';
import * as finds from './20261212_finds';
import * as proofs from './20261213_proofs';

// A hand-written list, so that tsx, Vite, Vitest and the production bundle see the same names.
const MIGRATIONS: readonly { name: string; migration: Knex.Migration }[] = [
  { name: '20261125_trunk', migration: trunk },
  { name: '20261125_trunk_licensed', migration: licensed },
  { name: '20261125_trunk_mode', migration: mode },
  { name: '20261126_directory', migration: directory },
  { name: '20261127_accounts', migration: accounts },
  { name: '20261128_roster', migration: roster },
  { name: '20261129_numbering', migration: numbering },
  { name: '20261130_alerts', migration: alerts },
  { name: '20261201_networks', migration: networks },
  { name: '20261202_scan', migration: scan },
  { name: '20261203_naming', migration: naming },
  { name: '20261204_links', migration: links },
  { name: '20261205_documents', migration: documents },
  { name: '20261206_carried', migration: carried },
  { name: '20261207_moves', migration: moves },
  { name: '20261208_revisions', migration: revisions },
  { name: '20261209_bench', migration: bench },
  { name: '20261210_cards', migration: cards },
  { name: '20261211_heard', migration: heard },
  { name: '20261212_finds', migration: finds },
  { name: '20261213_proofs', migration: proofs },
];
type Entry = (typeof MIGRATIONS)[number];

export const migrationSource: Knex.MigrationSource<Entry> = {
  getMigrations: async () => [...MIGRATIONS],
  getMigrationName: (entry) => entry.name,
  getMigration: async (entry) => entry.migration,
};
