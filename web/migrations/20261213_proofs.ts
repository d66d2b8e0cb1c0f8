import type { Knex } from 'knex';

/**
 * What came of replaying sheets, by what was tried and by which build: the one table of no workspace, since it holds nothing but what the
 * same content gives again. It may be emptied at any time.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('kept_proof', (t) => {
    t.text('build').notNullable();
    t.text('mark').notNullable();
    t.jsonb('proof').notNullable();
    t.timestamp('made_at', { useTz: true }).notNullable().defaultTo(knex.fn.now());
    t.primary(['build', 'mark']);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('kept_proof');
}
