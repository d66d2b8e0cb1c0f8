import { THINGS } from '@umbrex/core/fields';
import { allows } from '../../contract/roles';
import type { Session } from '../auth/session';
import { getDb } from '../db';
import { listPlans } from '../repositories/plans';
import { brokenThings } from '../store/store';

/** What cannot be read, with what is wrong with it; its contents for those who may mend it. And the plans that can be read. */
export async function mendView({ workspace, role }: Session) {
  const db = getDb();
  const [rows, plans] = await Promise.all([brokenThings(db, workspace.id), listPlans(db, workspace.id)]);
  const broken = rows.map((row) => ({
    ...row,
    what: row.kind === 'description' ? 'kind of device' : THINGS[row.kind].one,
    document: allows(role, 'editor') ? row.document : null,
    findings: allows(role, 'editor') ? row.findings : [],
  }));
  const unread = new Set(rows.map(({ id }) => id));
  return { broken, plans: plans.filter(({ id }) => !unread.has(id)) };
}
