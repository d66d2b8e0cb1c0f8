import type { Knex } from 'knex';

/** What the group's alert radios shall do: areas, reach, transmitter; short names of channels, written by hand. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('alerts');
  });
  await db.schema.alterTable('channel', (t) => {
    t.jsonb('short_names').notNullable().defaultTo('[]');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('alerts');
  });
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('short_names');
  });
}
