import type { Knex } from 'knex';

/** Who made a link: it is good no longer than they may make one; of older links nobody knows it, and they end. No set is of somebody who is gone. */
export async function up(db: Knex): Promise<void> {
  await db('link').where({ used_at: null }).delete();
  await db.schema.alterTable('link', (t) => {
    t.uuid('made_by').references('id').inTable('account').onDelete('CASCADE');
  });
  // Sets whose holder is gone are nobody's.
  await db.raw(
    `update unit set person_id = null where person_id is not null and not exists
      (select 1 from person where person.id = unit.person_id and person.deleted_at is null)`,
  );
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('link', (t) => {
    t.dropColumn('made_by');
  });
}
