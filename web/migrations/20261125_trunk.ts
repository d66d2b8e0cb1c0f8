import type { Knex } from 'knex';

/** Workspace, plan, channel, description, unit, and the edits that made them. Every table stands under a workspace. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('workspace', (t) => {
    t.uuid('id').primary();
    t.text('name').notNullable();
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
  });
  await db.schema.createTable('plan', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('name').notNullable();
    t.text('country').notNullable();
    t.text('receive_policy').notNullable();
    t.jsonb('groups').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    t.timestamp('deleted_at');
  });
  await db.schema.createTable('channel', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.uuid('plan_id').notNullable().references('plan.id');
    t.uuid('group_id').notNullable();
    t.integer('position').notNullable();
    t.text('name').notNullable();
    t.bigInteger('receive_hz').notNullable();
    t.bigInteger('transmit_hz');
    t.text('transmit_tone').notNullable();
    t.text('receive_tone').notNullable();
    t.text('receive_policy').notNullable();
    t.text('bandwidth').notNullable();
    t.text('service').notNullable();
    t.text('access').notNullable();
    t.text('tier').notNullable();
    t.text('note').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.timestamp('deleted_at');
    t.index(['plan_id', 'position']);
  });
  await db.schema.createTable('description', (t) => {
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('id').notNullable();
    t.jsonb('document').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.primary(['workspace_id', 'id']);
  });
  await db.schema.createTable('unit', (t) => {
    t.uuid('id').primary();
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('description_id').notNullable();
    t.foreign(['workspace_id', 'description_id']).references(['workspace_id', 'id']).inTable('description');
    t.text('nickname').notNullable();
    t.text('holder').notNullable();
    t.text('serial').notNullable();
    t.text('firmware').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.timestamp('deleted_at');
  });
  await db.schema.createTable('edit', (t) => {
    t.uuid('id').primary();
    t.bigIncrements('serial', { primaryKey: false });
    t.uuid('workspace_id').notNullable().references('workspace.id');
    t.text('kind').notNullable();
    t.text('aggregate_id').notNullable();
    t.jsonb('before');
    t.jsonb('after');
    t.uuid('undoes');
    t.timestamp('made_at').notNullable().defaultTo(db.fn.now());
    t.index(['workspace_id', 'serial']);
  });
}

export async function down(db: Knex): Promise<void> {
  for (const table of ['edit', 'unit', 'description', 'channel', 'plan', 'workspace'])
    await db.schema.dropTable(table);
}
