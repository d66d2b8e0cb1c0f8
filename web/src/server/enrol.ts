import { randomUUID } from 'node:crypto';
import { readNumbers } from '@umbrex/core/fields';
import { describeOwn, ownId, QUESTIONS } from '@umbrex/core/interview';
import { type Unit, UnitSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import type { EnrolKind, Enrolment } from '../contract/roster';
import { licenceSaid } from '../messages/enrol';
import { looksText } from '../messages/looks';
import { BadInput } from './problem';
import { addDescription, listDescriptions } from './repositories/descriptions';

/** The kinds a holder can choose from. */
export async function enrolKinds(db: Knex, workspaceId: string): Promise<EnrolKind[]> {
  const kinds = await listDescriptions(db, workspaceId);
  return kinds.map(({ description }) => ({
    id: description.id,
    title: description.title,
    looks: looksText(description),
    questions: QUESTIONS.filter(({ asksOf }) => asksOf(description)).map(({ id }) => id),
  }));
}

/**
 * The set that a holder tells of, with a kind of its own where it is none of those that are there. What they say gives no right and is no
 * fact yet: it waits for a coordinator's word.
 * @throws BadInput where there is no such kind, or no such answer
 */
export async function enrolled(
  trx: Knex.Transaction,
  said: Enrolment,
  { workspaceId, personId, name }: { workspaceId: string; personId: string | null; name: string },
): Promise<Unit> {
  const { keeps, firmware, own, licence, descriptionId, ...rest } = said;
  const kind = own === null ? descriptionId : await ownKind(trx, workspaceId, descriptionId, own);
  const notes = [
    ...(keeps ? [`keeps, as they wrote: ${keeps}`] : []),
    ...(licence ? [licenceSaid(licence)] : []),
  ];
  return UnitSchema.parse({
    ...rest,
    id: randomUUID(),
    descriptionId: kind,
    holder: personId ? '' : name,
    personId,
    firmware: firmware || 'unknown',
    keeps: readNumbers(keeps),
    confirmed: false,
    note: notes.join('; '),
  });
}

/** Adds a kind made of what a holder knows of their set, and gives its id. */
async function ownKind(
  trx: Knex.Transaction,
  workspaceId: string,
  patternId: string,
  { title, answers }: NonNullable<Enrolment['own']>,
): Promise<string> {
  const all = await listDescriptions(trx, workspaceId);
  const pattern = all.find(({ description }) => description.id === patternId)?.description;
  if (!pattern) throw noSuch('/descriptionId', patternId);
  for (const [id, answer] of Object.entries(answers)) {
    const question = QUESTIONS.find((one) => one.id === id);
    if (!question?.asksOf(pattern) || !question.answers.includes(answer))
      throw noSuch(`/own/answers/${id}`, answer);
  }
  const taken = await trx('description').where({ workspace_id: workspaceId }).pluck('id');
  const base = ownId(title);
  const ids = [base, ...Array.from({ length: 99 }, (_, i) => `${base}-${i + 2}`)];
  const id = ids.find((one) => !taken.includes(one)) ?? `own-${randomUUID().slice(0, 8)}`;
  await addDescription(trx, workspaceId, describeOwn(pattern, { id, title }, answers));
  return id;
}

const noSuch = (path: string, said: string) =>
  new BadInput([{ code: 'document-shape', severity: 'error', path, detail: `is no answer here: ${said}` }]);
