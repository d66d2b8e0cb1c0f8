import type { Knex } from 'knex';

/** The roster and what it works with: people, teams, stations, nets, each a document with a version; more of each device. */
const DOCUMENTS = ['person', 'team', 'station', 'net'] as const;

export async function up(db: Knex): Promise<void> {
  for (const table of DOCUMENTS)
    await db.schema.createTable(table, (t) => {
      t.uuid('id').primary();
      t.uuid('workspace_id').notNullable().references('workspace.id').index();
      t.jsonb('document').notNullable();
      t.integer('version').notNullable().defaultTo(1);
      t.timestamp('deleted_at');
    });
  await db.schema.alterTable('unit', (t) => {
    t.uuid('person_id').references('person.id');
    t.jsonb('details').notNullable().defaultTo('{}');
  });
  await db.schema.alterTable('membership', (t) => {
    t.foreign('person_id').references('person.id');
  });
  await db.schema.alterTable('link', (t) => {
    t.foreign('person_id').references('person.id');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('link', (t) => {
    t.dropForeign('person_id');
  });
  await db.schema.alterTable('membership', (t) => {
    t.dropForeign('person_id');
  });
  await db.schema.alterTable('unit', (t) => {
    t.dropColumns('person_id', 'details');
  });
  for (const table of DOCUMENTS) await db.schema.dropTable(table);
}
