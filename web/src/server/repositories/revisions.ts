import { randomUUID } from 'node:crypto';
import { shapeFindings } from '@umbrex/core/formats';
import {
  type Description,
  DescriptionSchema,
  type Plan,
  REVISION_FORMAT,
  type Revision,
  RevisionSchema,
} from '@umbrex/core/model';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import { type RevisionHead, RevisionHeadSchema } from '../../contract/revisions';
import { contentMark } from '../contentMark';
import { Kept } from '../kept';
import { log } from '../log';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';
import { notify } from './edits';
import { loadPlan } from './plans';

/** Published plans as they are read; they never change. */
const plans = new Kept<Plan>(40);

/** The published states of a plan, newest first, without the plans themselves. One that cannot be read stands aside, and is logged. */
export async function listRevisions(db: Knex, workspaceId: string, planId: string): Promise<RevisionHead[]> {
  const rows = await db('revision')
    .leftJoin('withdrawal', 'withdrawal.revision_id', 'revision.id')
    .where({ workspace_id: workspaceId, plan_id: planId })
    .orderBy('number', 'desc')
    .select(
      'revision.id',
      db.raw(`document - 'plan' as document`),
      'withdrawal.at as withdrawn_at',
      'withdrawal.by as withdrawn_by',
      'withdrawal.reason as withdrawn_reason',
    );
  return rows.flatMap((row): RevisionHead[] => {
    const head = RevisionHeadSchema.safeParse(row.document);
    if (!head.success) {
      log.error({ kind: 'revision', id: row.id }, 'a row cannot be read');
      return [];
    }
    const { withdrawn_at: at, withdrawn_by: by, withdrawn_reason: reason } = row;
    return [{ ...head.data, withdrawn: at ? { on: format(at, 'yyyy-MM-dd'), by, reason } : null }];
  });
}

/** A revision as it was published. @throws NotHere */
export async function revisionDocument(
  db: Knex,
  workspaceId: string,
  planId: string,
  number: number,
): Promise<unknown> {
  const row = await db('revision').where({ workspace_id: workspaceId, plan_id: planId, number }).first();
  if (!row) throw new NotHere();
  return row.document;
}

/** The plan as one revision has it. @throws NotHere; BadInput where it cannot be read any more */
export async function revisionPlan(
  db: Knex,
  workspaceId: string,
  planId: string,
  number: number,
): Promise<Plan> {
  const row = await db('revision').where({ workspace_id: workspaceId, plan_id: planId, number }).first();
  if (!row) throw new NotHere();
  const parsed = RevisionSchema.safeParse(row.document);
  if (!parsed.success) throw new BadInput(shapeFindings(parsed.error));
  return plans.of(row.id, () => parsed.data.plan);
}

/** What is published of a draft, but what the database knows. */
export type Publication = Pick<
  Revision,
  'by' | 'reason' | 'effectiveFrom' | 'overruled' | 'decided' | 'cost'
> & {
  /** The newest number when the draft was looked at; 0 where there was none. */
  readonly after: number;
  /** The draft by its content, as it was judged. */
  readonly draft: string;
  readonly descriptions: readonly Description[];
  readonly accountId: string | null;
};

/**
 * Publishes a plan's draft: whole, or not at all. Refused where somebody published, or changed the draft, since it was looked at.
 * @throws ChangedMeanwhile with the newest revision's head, or with `null` where it is the draft that changed
 */
export async function publish(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  { after, draft, descriptions, accountId, ...rest }: Publication,
): Promise<Revision> {
  // Held, so that of two who publish at once one comes after the other, and no channel comes or goes meanwhile.
  const held = await trx('plan')
    .where({ id: planId, workspace_id: workspaceId, deleted_at: null })
    .forUpdate()
    .first('id');
  if (!held) throw new NotHere();
  const [newest] = await listRevisions(trx, workspaceId, planId);
  const last = await trx('revision').where({ plan_id: planId }).max('number as number').first();
  const number = Number(last?.number ?? 0);
  if (number !== after) throw new ChangedMeanwhile({ newest: newest ?? null });
  const { plan } = await loadPlan(trx, workspaceId, planId);
  if (contentMark(plan) !== draft) throw new ChangedMeanwhile({ newest: newest ?? null });
  const marks = descriptions.map((description) => [description.id, contentMark(description)] as const);
  const revision = RevisionSchema.parse({
    format: REVISION_FORMAT,
    id: randomUUID(),
    number: number + 1,
    publishedAt: new Date().toISOString(),
    plan,
    descriptions: Object.fromEntries(marks),
    ...rest,
  });
  await insertRevision(trx, workspaceId, revision, descriptions, accountId);
  await notify(trx, workspaceId, { kind: 'revision', id: revision.id });
  return revision;
}

/** Puts a revision in, with the descriptions it was fitted with. */
export async function insertRevision(
  trx: Knex.Transaction,
  workspaceId: string,
  revision: Revision,
  descriptions: readonly Description[],
  accountId: string | null,
): Promise<void> {
  for (const description of descriptions) {
    const document = JSON.stringify(DescriptionSchema.parse(description));
    await trx('content')
      .insert({ mark: contentMark(description), document })
      .onConflict('mark')
      .ignore();
  }
  await trx('revision').insert({
    id: revision.id,
    workspace_id: workspaceId,
    plan_id: revision.plan.id,
    number: revision.number,
    document: JSON.stringify(revision),
    published_at: revision.publishedAt,
    account_id: accountId,
  });
}

/** Marks a revision as withdrawn: it stays, and sets should not hold it any more. @throws NotHere, ChangedMeanwhile where it was already */
export async function withdraw(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  number: number,
  { by, reason }: { by: string; reason: string },
): Promise<void> {
  const row = await trx('revision').where({ workspace_id: workspaceId, plan_id: planId, number }).first('id');
  if (!row) throw new NotHere();
  const made = await trx('withdrawal')
    .insert({ revision_id: row.id, by, reason })
    .onConflict('revision_id')
    .ignore()
    .returning('revision_id');
  if (made.length === 0) throw new ChangedMeanwhile({ withdrawn: number });
  await notify(trx, workspaceId, { kind: 'revision', id: row.id });
}

/** A description by its content, as it was when something was published with it. */
export async function contentOf(db: Knex, mark: string): Promise<Description | undefined> {
  const row = await db('content').where({ mark }).first('document');
  return row && DescriptionSchema.safeParse(row.document).data;
}
