import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import type { Mail } from '../../contract/team';
import { notify } from './edits';

const fromRow = ({ id, recipient, subject, body, created_at }: Record<string, unknown>): Mail =>
  ({ id, recipient, subject, body, createdAt: (created_at as Date).toISOString() }) as Mail;

/** Keeps a mail that a mail server would send; answers it as it is kept. */
export async function putInOutbox(
  trx: Knex.Transaction,
  workspaceId: string,
  mail: Pick<Mail, 'recipient' | 'subject' | 'body'>,
): Promise<Mail> {
  const [row] = await trx('outbox')
    .insert({ id: randomUUID(), workspace_id: workspaceId, ...mail })
    .returning('*');
  await notify(trx, workspaceId, { kind: 'outbox', id: '' });
  return fromRow(row);
}

/** The latest mails, newest first. */
export async function listOutbox(db: Knex, workspaceId: string): Promise<Mail[]> {
  const rows = await db('outbox')
    .where({ workspace_id: workspaceId })
    .orderBy('created_at', 'desc')
    .limit(50);
  return rows.map(fromRow);
}
