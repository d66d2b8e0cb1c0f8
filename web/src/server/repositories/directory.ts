import { type DirectoryEntry, DirectoryEntrySchema } from '@umbrex/core/model';
import type { Knex } from 'knex';

/** A station that a directory named, as it stood when somebody last asked. */
export interface HeardEntry {
  readonly entry: DirectoryEntry;
  readonly source: string;
  readonly distanceM: number;
}

/** Keeps what a directory said, so that tones can be chosen beside it when it does not answer; the newer word replaces the older. */
export async function keepEntries(
  trx: Knex.Transaction,
  workspaceId: string,
  source: string,
  entries: readonly { entry: DirectoryEntry; distanceM: number }[],
): Promise<void> {
  if (entries.length === 0) return;
  await trx('directory_entry')
    .insert(
      entries.map(({ entry, distanceM }) => ({
        workspace_id: workspaceId,
        source,
        id: entry.id,
        document: JSON.stringify(entry),
        distance_m: distanceM,
        taken_at: trx.fn.now(),
      })),
    )
    .onConflict(['workspace_id', 'source', 'id'])
    .merge();
}

/** Everything directories said so far, nearest first. */
export async function heardEntries(db: Knex, workspaceId: string): Promise<HeardEntry[]> {
  const rows = await db('directory_entry')
    .where({ workspace_id: workspaceId })
    .orderBy('distance_m')
    .orderBy('id');
  return rows.map((row) => ({
    entry: DirectoryEntrySchema.parse(row.document),
    source: row.source,
    distanceM: row.distance_m,
  }));
}
