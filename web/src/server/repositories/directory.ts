import { type DirectoryEntry, DirectoryEntrySchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { log } from '../log';

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

/** Everything directories said so far, nearest first. One that cannot be read is left out until the directory is asked again. */
export async function heardEntries(db: Knex, workspaceId: string): Promise<HeardEntry[]> {
  const rows = await db('directory_entry')
    .where({ workspace_id: workspaceId })
    .orderBy('distance_m')
    .orderBy('id');
  return rows.flatMap((row) => {
    const entry = DirectoryEntrySchema.safeParse(row.document).data;
    if (entry) return [{ entry, source: row.source, distanceM: row.distance_m }];
    log.error({ source: row.source, id: row.id }, 'an entry of a directory cannot be read');
    return [];
  });
}
