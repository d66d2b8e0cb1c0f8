import type { Knex } from 'knex';

/** What searches stopped at: documents with versions, as everything that is edited. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('find', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id').index();
    t.jsonb('document').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.timestamp('deleted_at');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('find');
}
