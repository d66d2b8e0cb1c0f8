import type { Knex } from 'knex';

/** How a channel is modulated. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.text('mode').notNullable().defaultTo('FM');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('mode');
  });
}
