import type { Knex } from 'knex';

/** Whether sheets write channel names, by plan and kind; a set follows the plan unless it says otherwise. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.jsonb('naming').notNullable().defaultTo('{"all":"now","kinds":{}}');
  });
  // Until now every set said "now" of its own, and nobody chose that.
  await db.raw(`update unit set details = details - 'names' where details->>'names' = 'now'`);
  // What was edited before is compared with what is there when it is undone.
  for (const side of ['before', 'after'])
    await db.raw(`update edit set ?? = ?? - 'names' where kind = 'unit' and ??->>'names' = 'now'`, [
      side,
      side,
      side,
    ]);
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('plan', (t) => {
    t.dropColumn('naming');
  });
  await db.raw(
    `update unit set details = jsonb_set(details, '{names}', to_jsonb(case when details->>'names' = 'later' then 'later' else 'now' end))`,
  );
}
