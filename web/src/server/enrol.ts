import { type Description, LineSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { z } from 'zod';
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

/** What a holder says of their own set: its kind, the serial from the label, and at most four answers. */
export const EnrolmentSchema = z.strictObject({
  descriptionId: z.string().regex(/^[a-z0-9][a-z0-9-]{1,40}$/),
  serial: LineSchema.trim().min(1).max(40),
  nickname: LineSchema.trim().min(1).max(40),
  firmware: LineSchema.trim().max(20),
  batteryChanged: z.union([z.iso.date(), z.literal('unknown')]),
  /** What they keep for themselves, in their own words; numbers are read from it. */
  keeps: LineSchema.trim().max(120),
});
