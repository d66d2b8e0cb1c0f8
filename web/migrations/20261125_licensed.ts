import type { Knex } from 'knex';

/** The workspace's own business frequencies, kept with the plan that uses them. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('licensed').notNullable().defaultTo('[]');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('licensed');
  });
}
