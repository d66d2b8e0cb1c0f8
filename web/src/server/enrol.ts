import type { Description } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { listDescriptions } from './repositories/descriptions';

/** The kinds a holder can choose from. */
export async function enrolKinds(
  db: Knex,
  workspaceId: string,
): Promise<Pick<Description, 'id' | 'title' | 'pattern'>[]> {
  const kinds = await listDescriptions(db, workspaceId);
  return kinds.map(({ description: { id, title, pattern } }) => ({
    id,
    title,
    pattern,
  }));
}
