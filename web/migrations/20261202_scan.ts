import type { Knex } from 'knex';

/** How sets scan a channel, and whether scans stay for the answer; what fleet radios tell each other. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.text('scan').notNullable().defaultTo('usual');
    t.text('resume_delay').notNullable().defaultTo('plan');
  });
  await db.schema.alterTable('plan', (t) => {
    t.text('resume_delay').notNullable().defaultTo('on');
    t.jsonb('fleet').notNullable().defaultTo('{"statuses":[],"calls":[]}');
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('channel', (t) => {
    t.dropColumn('scan');
    t.dropColumn('resume_delay');
  });
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('resume_delay');
    t.dropColumn('fleet');
  });
}
