import knex, { type Knex } from 'knex';
import pg from 'pg';
import { migrationSource } from '../../migrations/index';
import { getConfig } from './config';

// bigint → number: frequencies in hertz and counters stay far below 2^53
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.DATE, (value) => value);

export function createDb(url: string, max = 10): Knex {
  return knex({
    client: 'pg',
    connection: { connectionString: url, connectionTimeoutMillis: 3000 },
    pool: { min: 0, max },
    acquireConnectionTimeout: 4000,
    migrations: { migrationSource, tableName: 'knex_migrations' },
  });
}

// astro dev reloads modules: keep one pool on globalThis
const store = globalThis as typeof globalThis & { __umbrexDb?: Knex };

/** The process's connection pool. */
export function getDb(): Knex {
  store.__umbrexDb ??= createDb(getConfig().DATABASE_URL);
  return store.__umbrexDb;
}
