import type { Knex } from 'knex';

/** The trunked network that a channel belongs to. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.jsonb('trunk_network');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('trunk_network');
  });
}
