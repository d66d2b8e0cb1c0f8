import type { Knex } from 'knex';

/** Who made a link: it is good no longer than they may make one. Of older links nobody knows it, and they end. */
export async function up(db: Knex): Promise<void> {
  await db('link').where({ used_at: null }).delete();
  await db.schema.alterTable('link', (t) => {
    t.uuid('made_by').references('id').inTable('account').onDelete('CASCADE');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('link', (t) => {
    t.dropColumn('made_by');
  });
}
