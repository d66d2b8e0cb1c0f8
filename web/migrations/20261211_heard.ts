import type { Knex } from 'knex';

/** What was heard on the air, call by call: documents with versions, as everything that is edited; of one plan, newest first. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('heard', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.uuid('plan_id').notNullable().references('plan.id');
    t.jsonb('document').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.timestamp('deleted_at');
  });
  await db.raw(`create index heard_newest on heard (workspace_id, plan_id, (document->>'at') desc)`);
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('heard');
}
