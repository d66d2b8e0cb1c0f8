import { ensureWorkspace } from '../demo/load';
import { readConfig } from '../web/src/server/config';
import { createDb } from '../web/src/server/db';
import { purgeDeleted } from '../web/src/server/repositories/edits';

/** Brings the database of DATABASE_URL to the newest shape, and makes the first workspace when there is none. */
const db = createDb(readConfig(process.env).DATABASE_URL, 2);
try {
  // The demo begins again: everything goes, then comes anew.
  if (process.argv.includes('--fresh')) await db.raw('drop schema public cascade; create schema public');
  const [, applied] = await db.migrate.latest();
  await db.transaction(purgeDeleted);
  await ensureWorkspace(db, process.argv.includes('--demo'), true);
  console.error(applied.length > 0 ? `migrated: ${applied.join(', ')}` : 'database is up to date');
} finally {
  await db.destroy();
}
