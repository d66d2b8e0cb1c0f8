import type { Knex } from 'knex';

/** Accounts, who is what in which workspace, sessions, links that let in, counted attempts, mails that would have been sent. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('account', (t) => {
    t.uuid('id').primary();
    t.text('login').notNullable();
    t.text('name').notNullable();
    t.text('password_hash').notNullable();
    t.text('second_factor');
    t.bigInteger('second_factor_step').notNullable().defaultTo(0);
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
  });
  await db.raw('create unique index account_login on account (lower(login))');
  await db.schema.createTable('membership', (t) => {
    t.uuid('account_id').notNullable().references('account.id');
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('role').notNullable();
    t.uuid('person_id');
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    t.primary(['account_id', 'workspace_id']);
  });
  await db.schema.createTable('session', (t) => {
    t.text('token_hash').primary();
    t.text('previous_hash').index();
    t.timestamp('previous_until');
    t.uuid('account_id').notNullable().references('account.id').onDelete('cascade').index();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.timestamp('rotated_at').notNullable().defaultTo(db.fn.now());
    t.timestamp('seen_at').notNullable().defaultTo(db.fn.now());
    t.timestamp('expires_at').notNullable();
  });
  await db.schema.createTable('link', (t) => {
    t.text('token_hash').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('kind').notNullable();
    t.text('role');
    t.uuid('account_id').references('account.id');
    t.uuid('person_id');
    t.text('name').notNullable();
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    t.timestamp('expires_at').notNullable();
    t.timestamp('used_at');
    t.index(['workspace_id', 'kind']);
  });
  await db.schema.createTable('attempt', (t) => {
    t.text('key').notNullable();
    t.timestamp('at').notNullable().defaultTo(db.fn.now());
    t.index(['key', 'at']);
  });
  await db.schema.createTable('outbox', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('recipient').notNullable();
    t.text('subject').notNullable();
    t.text('body').notNullable();
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
  });
  // Whoever writes says who it is once a transaction; every edit made in it carries that.
  await db.raw(
    `alter table edit add column account_id uuid default nullif(current_setting('umbrex.account', true), '')::uuid`,
  );
  await db.schema.alterTable('edit', (t) => {
    t.index(['workspace_id', 'aggregate_id', 'serial']);
    t.index(['undoes']);
  });
  await db.schema.alterTable('channel', (t) => {
    t.boolean('tones_secret').notNullable().defaultTo(false);
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('tones_secret');
  });
  await db.schema.alterTable('edit', (t) => {
    t.dropIndex(['workspace_id', 'aggregate_id', 'serial']);
    t.dropIndex(['undoes']);
    t.dropColumn('account_id');
  });
  for (const table of ['outbox', 'attempt', 'link', 'session', 'membership', 'account'])
    await db.schema.dropTable(table);
}
