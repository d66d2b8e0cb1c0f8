import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { readConfig } from '../src/server/config';

/*
 * Gives each test file an empty database of its own, a copy of the shared one, and points this process to it before any part of the
 * application is loaded, which reads the environment once. So test files can run side by side, alone and in any order.
 */
const url = new URL(readConfig(process.env).DATABASE_URL);
const admin = new URL(url);
admin.pathname = '/postgres';
const name = `file_${randomUUID().replaceAll('-', '')}`;
const client = new pg.Client({ connectionString: admin.href });
await client.connect();
try {
  // Two files may ask at the same moment: a database is copied by one at a time.
  await client.query('select pg_advisory_lock(4711)');
  await client.query(`create database ${name} template ${url.pathname.slice(1)}`);
} finally {
  await client.end();
}
url.pathname = `/${name}`;
process.env.DATABASE_URL = url.href;
