import type { Knex } from 'knex';

/** One number for each channel across the fleet, and which of them are held fast. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('numbering');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('numbering');
  });
}
