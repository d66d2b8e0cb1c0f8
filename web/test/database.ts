import { readConfig } from '../src/server/config';
import { createDb } from '../src/server/db';

/**
 * Brings the throw-away database to the newest shape, down to nothing and up again, so that `down` is tried too; each test file then
 * copies it (`ownDatabase.ts`).
 */
export async function setup(): Promise<void> {
  if (!process.env.DATABASE_URL)
    throw new Error('Server tests need a database: scripts/pg.sh run npx vitest run');
  process.env.LOG_LEVEL ??= 'silent';
  const db = createDb(readConfig(process.env).DATABASE_URL, 2);
  try {
    await db.migrate.latest();
    await db.migrate.rollback(undefined, true);
    await db.migrate.latest();
  } finally {
    await db.destroy();
  }
}
