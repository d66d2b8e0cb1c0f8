// npm run backup [-- FILE]            all of the database into one file
// npm run restore -- FILE --replace   that file in place of what is there, which is kept in a file of its own first
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { databaseHome, ensurePostgres, fail, pg, ROOT, run, say } from './lib.mjs';

const [what, ...words] = process.argv.slice(2);
const stray = words.find((word) => word.startsWith('--') && word !== '--replace');
if (stray) fail(`npm run ${what} does not know ${stray}`);
const [file, more] = words.filter((word) => !word.startsWith('--'));
if (more) fail('One file at a time.');

ensurePostgres();
// Names, licences and passwords stand in it: for nobody else on this machine.
process.umask(0o077);
/** The newest installed version of one of PostgreSQL's programs; a newer one reads what an older server wrote. */
function program(name) {
  const root = '/usr/lib/postgresql';
  const versions = readdirSync(root)
    .filter((version) => existsSync(join(root, version, 'bin', name)))
    .sort((a, b) => Number(b) - Number(a));
  return versions[0] ? join(root, versions[0], 'bin', name) : fail(`PostgreSQL’s ${name} is missing.`);
}

const url = process.env.DATABASE_URL ?? pg('start', databaseHome());
const stamp = new Date().toISOString().slice(0, 19).replace(/[-:]/g, '').replace('T', '-');
const named = (prefix) => join(ROOT, '.data/backups', `${prefix}-${stamp}.dump`);

function backup(to) {
  mkdirSync(dirname(to), { recursive: true });
  // Whole or not at all: under its name only once it is complete.
  const part = `${to}.part`;
  if (run(program('pg_dump'), ['--format=custom', '--no-owner', `--file=${part}`, url]) !== 0)
    fail('The backup failed; nothing was kept.');
  renameSync(part, to);
  say(`Everything is in ${to}`);
}

if (what === 'backup') backup(file ? resolve(file) : named('umbrex'));
else if (what === 'restore') {
  if (!file || !existsSync(file)) fail('Name the file: npm run restore -- FILE --replace');
  if (!words.includes('--replace'))
    fail('This puts the file in place of all that is there. Stop the application, then say --replace.');
  if (run(program('pg_restore'), ['--list', file], { stdio: 'ignore' }) !== 0)
    fail(`${file} is no backup; nothing was changed.`);
  backup(named('before-restore'));
  // In one transaction, the old schema going first: when anything fails, what was there is still there.
  const sql = `${named('restore')}.sql`;
  if (run(program('pg_restore'), ['--no-owner', `--file=${sql}`, file]) !== 0)
    fail(`${file} could not be read; nothing was changed.`);
  const first = 'drop schema public cascade; create schema public';
  const how = ['-q', '--single-transaction', '--set=ON_ERROR_STOP=1', '--output=/dev/null'];
  const status = run(program('psql'), [...how, `--dbname=${url}`, '-c', first, '-f', sql]);
  rmSync(sql);
  if (status !== 0) fail('The restore failed; what was there is still there.');
  say('Restored. The next start brings an older backup to the newest shape.');
} else fail('backup or restore');
