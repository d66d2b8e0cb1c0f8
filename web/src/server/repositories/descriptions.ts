import type { Finding } from '@umbrex/core/findings';
import { shapeFindings } from '@umbrex/core/formats';
import {
  DESCRIPTION_FORMAT,
  type Description,
  DescriptionSchema,
  frozen,
  type Mark,
  type Recording,
} from '@umbrex/core/model';
import { withoutSteps, withRecordedSteps } from '@umbrex/core/record';
import type { Knex } from 'knex';
import type { Saved, Versioned } from '../../contract/things';
import { Kept } from '../kept';
import { BadInput, ChangedMeanwhile } from '../problem';
import { STANDS } from '../store/document';
import { addThing, saveThing, thingAt } from '../store/store';

/** A description as it is read; where its keys and steps have slips it comes without them, and they are named. */
export interface ReadDescription {
  readonly description: Description;
  readonly version: number;
  readonly slips: readonly Finding[];
}

/** What was read of kinds, by the mark of their row. */
const known = new Kept<ReadDescription>(500);

/** All kinds of a workspace, each read once as long as nobody writes it. One that cannot be read is one kind of which nothing is known, not the end of every page. */
export async function listDescriptions(db: Knex, workspaceId: string): Promise<ReadDescription[]> {
  const all = () => db('description').where({ workspace_id: workspaceId, deleted_at: null });
  const rows: Stands[] = await all().select('id', 'version', db.raw(STANDS)).orderBy('id');
  const keyOf = ({ id, version, stands }: Stands) => `${workspaceId} ${id} ${version} ${stands}`;
  const there = new Map(rows.map((row) => [row.id, known.at(keyOf(row))]));
  const missing = rows.filter(({ id }) => !there.get(id)).map(({ id }) => id);
  const read: (Stands & { document: unknown })[] =
    missing.length > 0 ? await all().select('*', db.raw(STANDS)).whereIn('id', missing) : [];
  for (const row of read)
    there.set(
      row.id,
      known.of(keyOf(row), () => frozen({ ...readDescription(row.id, row.document), version: row.version })),
    );
  // One that was let go of between the two is not there.
  return rows.flatMap(({ id }) => there.get(id) ?? []);
}

interface Stands {
  readonly id: string;
  readonly version: number;
  readonly stands: string;
}

/** Reads a kept document. One whose keys or steps do not pass is a kind of set whose keys nobody described. */
function readDescription(id: string, document: unknown): Omit<ReadDescription, 'version'> {
  const whole = DescriptionSchema.safeParse(document);
  if (whole.success) return { description: whole.data, slips: [] };
  const { behaviour: _b, recipes: _r, keyMap: _k, recording: _g, ...rest } = document as Description;
  const slips = shapeFindings(whole.error);
  const bare = DescriptionSchema.safeParse({ ...rest, keys: {} });
  return { description: bare.success ? bare.data : nobodyKnows(id, document), slips };
}

/** A kind of which nothing could be read but who it is: until it is replaced by a corrected one everything about it is unknown. */
function nobodyKnows(id: string, document: unknown): Description {
  const { title } = (document ?? {}) as { title?: unknown };
  return {
    format: DESCRIPTION_FORMAT,
    id,
    title: typeof title === 'string' && title !== '' ? title.slice(0, 40) : id,
    pattern: 'cannot be read',
    kind: 'receiver',
    station: 'hand-held',
    antenna: 'unknown',
    certifiedFor: 'unknown',
    firmware: [],
    receive: 'unknown',
    transmit: 'unknown',
    names: 'unknown',
    operatorTone: 'unknown',
    identity: 'unknown',
    scan: 'unknown',
    lists: {},
    fields: [],
    settings: [],
    regions: [
      {
        id: 'unknown',
        title: 'Unknown',
        first: 1,
        count: 1,
        size: 1,
        stride: 1,
        banks: [],
        label: '?',
        content: { kind: 'free', receiveOnly: true },
        ways: [],
      },
    ],
    keys: {},
    marks: [],
  };
}

/** Adds a description; one whose id is taken is refused with the one that is there, also when it is the same. */
export async function addDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  description: Description,
): Promise<Saved<Description>> {
  const saved = await addThing(trx, 'description', workspaceId, description.id, description);
  if (saved.editId === null) throw new ChangedMeanwhile({ value: saved.value, version: saved.version });
  return saved;
}

/** A description as it is, from the version that somebody saw. @throws BadInput where it cannot be read: first it is to be replaced */
async function from(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
): Promise<Description> {
  const there: Versioned<Description> = await thingAt(trx, 'description', workspaceId, id);
  if (there.version !== version) throw new ChangedMeanwhile(there);
  return there.value;
}

/** Adds a person's mark, confirmed or contradicted, from a version of the description. */
export async function addMark(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  mark: Mark,
): Promise<Saved<Description>> {
  const before = await from(trx, workspaceId, id, version);
  const marks = [...before.marks, mark];
  return saveThing(trx, 'description', workspaceId, id, version, { ...before, marks });
}

/**
 * Puts a corrected description in place of the one that is there, also of one that cannot be read. People's word was on the old one: it stays
 * in the history and does not go over.
 */
export function replaceDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  version: number,
  description: Description,
): Promise<Saved<Description>> {
  const { id } = description;
  return saveThing(trx, 'description', workspaceId, id, version, { ...description, marks: [] });
}

/** Learns a kind's keys from steps that somebody recorded, from a version of the description. */
export async function saveSteps(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  recording: Recording,
): Promise<Saved<Description>> {
  const before = await from(trx, workspaceId, id, version);
  if (before.behaviour && !before.recording)
    throw new BadInput([{ code: 'record-has-keys', severity: 'error', path: '/recording' }]);
  const result = withRecordedSteps(withoutSteps(before), recording);
  if (!result.ok) throw new BadInput(result.findings);
  return saveThing(trx, 'description', workspaceId, id, version, result.value);
}
