import type { Knex } from 'knex';

/*
 * Published states of plans, the descriptions they were fitted with (by content), and which of them were withdrawn. What was published never
 * changes: the database refuses it, whoever asks.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table content (
      mark text primary key check (mark ~ '^[0-9a-f]{64}$'),
      document jsonb not null
    );
    create table revision (
      id uuid primary key,
      workspace_id uuid not null references workspace (id),
      plan_id uuid not null references plan (id),
      number integer not null check (number >= 1),
      document jsonb not null,
      published_at timestamptz not null default now(),
      account_id uuid references account (id),
      unique (plan_id, number)
    );
    create index revision_workspace on revision (workspace_id);
    create table withdrawal (
      revision_id uuid primary key references revision (id),
      at timestamptz not null default now(),
      by text not null,
      reason text not null
    );
    create function published_stays() returns trigger language plpgsql as $$
    begin
      raise exception 'what was published never changes' using errcode = 'restrict_violation';
    end $$;
  `);
  for (const table of ['content', 'revision', 'withdrawal'])
    await db.raw(`
      create trigger ${table}_stays before update or delete on ${table} for each row execute function published_stays();
      create trigger ${table}_is_not_emptied before truncate on ${table} for each statement execute function published_stays();
    `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    drop table withdrawal;
    drop table revision;
    drop table content;
    drop function published_stays;
  `);
}
