import type { Knex } from 'knex';

/** What the group's alert radios shall do: areas, reach, transmitter. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('alerts');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('alerts');
  });
}
