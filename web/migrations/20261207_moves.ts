import type { Knex } from 'knex';

/*
 * What was changed in one go is one move, whatever it touched, and can be taken back as one. Each transaction names its move; of the edits
 * before nobody knows more than that each was one.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table edit add column move uuid default nullif(current_setting('umbrex.move', true), '')::uuid;
    create index edit_move on edit (move);
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`alter table edit drop column move`);
}
