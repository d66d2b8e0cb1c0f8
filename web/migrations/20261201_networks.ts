import type { Knex } from 'knex';

/** The trunked network that a channel belongs to; settings of whole sets by role. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.jsonb('trunk_network');
  });
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('role_setup').notNullable().defaultTo('{}');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('trunk_network');
  });
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('role_setup');
  });
}
