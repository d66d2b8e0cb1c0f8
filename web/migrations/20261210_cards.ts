import type { Knex } from 'knex';

/** Links to a member's card, which are used more than once and can be taken back; and what phones reported, each once. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('link', (t) => {
    t.uuid('id').notNullable().unique().defaultTo(db.raw('gen_random_uuid()'));
    t.uuid('plan_id').references('id').inTable('plan');
    t.boolean('hides_tones').notNullable().defaultTo(false);
    t.timestamp('revoked_at');
    t.timestamp('seen_at');
  });
  await db.schema.createTable('report', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.uuid('unit_id').notNullable().index();
    t.text('what').notNullable();
    t.jsonb('document').notNullable();
    t.text('by').notNullable();
    t.timestamp('at').notNullable();
    t.timestamp('received_at').notNullable().defaultTo(db.fn.now());
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('report');
  await db('link').where({ kind: 'card' }).delete();
  await db.schema.alterTable('link', (t) => {
    t.dropColumns('id', 'plan_id', 'hides_tones', 'revoked_at', 'seen_at');
  });
}
