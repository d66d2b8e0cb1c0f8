import { isDeepStrictEqual } from 'node:util';
import type { Finding } from '@umbrex/core/findings';
import { shapeFindings } from '@umbrex/core/formats';
import {
  DESCRIPTION_FORMAT,
  type Description,
  DescriptionSchema,
  type Mark,
  type Recording,
  RecordingSchema,
} from '@umbrex/core/model';
import { withoutSteps, withRecordedSteps } from '@umbrex/core/record';
import type { Knex } from 'knex';
import { z } from 'zod';
import { BadInput, ChangedMeanwhile, NotHere } from '../problem';
import { type Edit, recordEdit } from './edits';

export interface HeldDescription {
  readonly description: Description;
  readonly version: number;
}
/** A description as it is read; where its keys and steps have slips it comes without them, and they are named. */
export interface ReadDescription extends HeldDescription {
  readonly slips: readonly Finding[];
}
export interface SavedDescription extends HeldDescription {
  readonly editId: string;
}

export async function listDescriptions(db: Knex, workspaceId: string): Promise<ReadDescription[]> {
  const rows = await db('description').where({ workspace_id: workspaceId }).orderBy('id');
  return rows.map(({ id, document, version }) => ({ ...readDescription(id, document), version }));
}

/**
 * Reads a kept document. One whose keys or steps do not pass is a kind of set whose keys nobody described, and one of which nothing passes
 * is a kind of which nobody knows anything: neither is the end of every page.
 */
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
        keypad: [],
        cable: [],
      },
    ],
    keys: {},
    marks: [],
  };
}

/** Adds a description; one whose id is taken is refused with the one that is there. */
export async function addDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  description: Description,
): Promise<SavedDescription> {
  const there = await trx('description')
    .where({ workspace_id: workspaceId, id: description.id })
    .forUpdate()
    .first();
  if (there)
    throw new ChangedMeanwhile({
      description: readDescription(description.id, there.document).description,
      version: there.version,
    });
  await trx('description').insert({
    workspace_id: workspaceId,
    id: description.id,
    document: JSON.stringify(description),
  });
  const editId = await recordEdit(trx, workspaceId, {
    kind: 'description',
    aggregateId: description.id,
    before: null,
    after: { title: description.title },
  });
  return { description, version: 1, editId };
}

/** A description as it is, held until the transaction ends. @throws ChangedMeanwhile when it is no longer the version it was */
async function lockDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
): Promise<Description> {
  const row = await trx('description').where({ workspace_id: workspaceId, id }).forUpdate().first();
  if (!row) throw new NotHere();
  const { description, slips } = readDescription(id, row.document);
  // Kept again it would lose its keys: first it is to be replaced by a corrected one.
  if (slips.length > 0) throw new BadInput(slips);
  if (row.version !== version) throw new ChangedMeanwhile({ description, version: row.version });
  return description;
}

/** Keeps a changed description as its next version, and what the edit was. */
async function storeDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  description: Description,
  version: number,
  edit: { before: object; after: object },
): Promise<SavedDescription> {
  const { id } = description;
  await trx('description')
    .where({ workspace_id: workspaceId, id })
    .update({ document: JSON.stringify(description), version: version + 1 });
  const editId = await recordEdit(trx, workspaceId, { kind: 'description', aggregateId: id, ...edit });
  return { description, version: version + 1, editId };
}

/** Adds a person's mark, confirmed or contradicted, from a version of the description. */
export async function addMark(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  mark: Mark,
): Promise<SavedDescription> {
  const before = await lockDescription(trx, workspaceId, id, version);
  const description: Description = { ...before, marks: [...before.marks, mark] };
  return storeDescription(trx, workspaceId, description, version, {
    before: { marks: before.marks },
    after: { marks: description.marks },
  });
}

/**
 * Puts a corrected description in place of the one that is there, also of one that cannot be read. People's word was on the old one: it stays
 * in the history and does not go over.
 */
export async function replaceDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  version: number,
  description: Description,
): Promise<SavedDescription> {
  const { id } = description;
  const row = await trx('description').where({ workspace_id: workspaceId, id }).forUpdate().first();
  if (!row) throw new NotHere();
  if (row.version !== version)
    throw new ChangedMeanwhile({
      description: readDescription(id, row.document).description,
      version: row.version,
    });
  return storeDescription(trx, workspaceId, { ...description, marks: [] }, version, {
    before: { document: row.document },
    after: { document: { ...description, marks: [] } },
  });
}

/** Learns a kind's keys from steps that somebody recorded, from a version of the description. */
export async function saveSteps(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  recording: Recording,
): Promise<SavedDescription> {
  const before = await lockDescription(trx, workspaceId, id, version);
  if (before.behaviour && !before.recording)
    throw new BadInput([{ code: 'record-has-keys', severity: 'error', path: '/recording' }]);
  const result = withRecordedSteps(withoutSteps(before), recording);
  if (!result.ok) throw new BadInput(result.findings);
  const description = result.value;
  return storeDescription(trx, workspaceId, description, version, {
    before: { recording: before.recording ?? null, firmware: before.firmware },
    after: { recording, firmware: description.firmware },
  });
}

/** A description with the steps of an earlier recording, or with none. */
function withStepsOf(description: Description, part: { recording: unknown; firmware: unknown }): Description {
  const firmware = DescriptionSchema.shape.firmware.parse(part.firmware);
  const bare = { ...withoutSteps(description), firmware };
  if (part.recording === null) return bare;
  const result = withRecordedSteps(bare, RecordingSchema.parse(part.recording));
  if (!result.ok) throw new BadInput(result.findings);
  return result.value;
}

/** Takes a mark back, or recorded steps, or a replacement, or a description that came in by file and that no device is of. */
export async function revertDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  edit: Edit,
): Promise<void> {
  const at = { workspace_id: workspaceId, id: edit.aggregateId };
  const row = await trx('description').where(at).forUpdate().first();
  if (!row) throw new NotHere();
  const replaced = z.object({ document: z.unknown() });
  const asReplaced = [edit.before, edit.after].map((part) => replaced.safeParse(part).data?.document);
  const now = readDescription(edit.aggregateId, row.document).description;
  const state = { description: now, version: row.version };
  if (asReplaced[0] !== undefined) {
    // What was replaced comes back as it was, whether it can be read or not.
    if (!isDeepStrictEqual(row.document, asReplaced[1])) throw new ChangedMeanwhile(state);
    await trx('description')
      .where(at)
      .update({ document: JSON.stringify(asReplaced[0]), version: row.version + 1 });
  } else if (edit.before === null) {
    const used = await trx('unit')
      .where({ workspace_id: workspaceId, description_id: edit.aggregateId })
      .first('id');
    if (used || row.version !== 1) throw new ChangedMeanwhile(state);
    await trx('description').where(at).delete();
  } else if ('recording' in (edit.before as object)) {
    const part = (one: unknown) => one as { recording: unknown; firmware: unknown };
    // A database gives keys back in an order of its own; the schema puts both in one.
    const after = RecordingSchema.nullable().parse(part(edit.after).recording);
    if (JSON.stringify(now.recording ?? null) !== JSON.stringify(after)) throw new ChangedMeanwhile(state);
    await trx('description')
      .where(at)
      .update({ document: JSON.stringify(withStepsOf(now, part(edit.before))), version: row.version + 1 });
  } else {
    const Marks = DescriptionSchema.shape.marks;
    const [before, after] = [edit.before, edit.after].map((part) =>
      Marks.parse((part as { marks: unknown }).marks),
    );
    if (JSON.stringify(now.marks) !== JSON.stringify(after)) throw new ChangedMeanwhile(state);
    await trx('description')
      .where(at)
      .update({ document: JSON.stringify({ ...now, marks: before }), version: row.version + 1 });
  }
  const { kind, aggregateId, before, after } = edit;
  await recordEdit(trx, workspaceId, { kind, aggregateId, before: after, after: before }, edit.id);
}
