import type { Knex } from 'knex';

/** Nicknames and origin of channels, the services a plan works with, picked tones, and what a directory said last. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.jsonb('aliases').notNullable().defaultTo('[]');
    t.jsonb('listed');
  });
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('services').notNullable().defaultTo('[]');
  });
  await db.schema.alterTable('unit', (t) => {
    t.text('picked_tone').notNullable().defaultTo('unknown');
  });
  await db.schema.createTable('directory_entry', (t) => {
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('source').notNullable();
    t.text('id').notNullable();
    t.jsonb('document').notNullable();
    t.double('distance_m').notNullable();
    t.timestamp('taken_at').notNullable().defaultTo(db.fn.now());
    t.primary(['workspace_id', 'source', 'id']);
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('directory_entry');
  await db.schema.alterTable('unit', (t) => {
    t.dropColumn('picked_tone');
  });
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('services');
  });
  await db.schema.alterTable('channel', (t) => {
    t.dropColumns('aliases', 'listed');
  });
}
