import type { Knex } from 'knex';

/** What the group's alert radios shall do: areas, reach, transmitter; settings of whole sets; short names of channels, written by hand. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('alerts');
    t.jsonb('setup').notNullable().defaultTo('{}');
  });
  await db.schema.alterTable('channel', (t) => {
    t.jsonb('short_names').notNullable().defaultTo('[]');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.dropColumns('alerts', 'setup');
  });
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('short_names');
  });
}
