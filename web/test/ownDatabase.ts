import pg from 'pg';
import { readConfig } from '../src/server/config';
import { createDb } from '../src/server/db';

/**
 * Makes a database of its own for one test file, beside the shared one, and points this process to it. To be called before any
 * part of the application is loaded, which reads the environment once.
 */
export async function ownDatabase(name: string): Promise<void> {
  const url = new URL(readConfig(process.env).DATABASE_URL);
  const admin = new pg.Client({ connectionString: url.href });
  await admin.connect();
  try {
    await admin.query(`drop database if exists ${name}`);
    await admin.query(`create database ${name}`);
  } finally {
    await admin.end();
  }
  url.pathname = `/${name}`;
  process.env.DATABASE_URL = url.href;
  const db = createDb(url.href, 2);
  try {
    await db.migrate.latest();
  } finally {
    await db.destroy();
  }
}
