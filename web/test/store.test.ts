import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { THINGS } from '@umbrex/core/fields';
import type { Description, Unit } from '@umbrex/core/model';
import { CHANNEL_STATES, type Channel, fieldsBy, headOf, type Plan, UnitSchema } from '@umbrex/core/model';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { anyThing, NAMES } from '../../core/test/support/things';
import { KINDS, type Kind, type Things } from '../src/contract/things';

const { demoPlan, ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { send } = await import('./routes');
const { addThing, brokenThings, listThings, revertThing, saveThing, takeThing, thingAt } = await import(
  '../src/server/store/store'
);
const { listDescriptions } = await import('../src/server/repositories/descriptions');
const { openEdits } = await import('../src/server/repositories/edits');
const { loadPlan } = await import('../src/server/repositories/plans');
const { loadDesk } = await import('../src/server/desk');
const { sheetOf } = await import('../src/server/sheetPage');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const db = getDb();
let workspaceId = '';
let planId = '';
const SEEDED = ['plan', 'channel', 'unit', 'person', 'team', 'station', 'net'] as const;

beforeAll(async () => {
  await ensureWorkspace(db, true);
  workspaceId = (await firstWorkspace(db))?.id ?? '';
  planId = demoPlan().id;
  const value = { id: randomUUID(), name: 'Second net', startsAt: '2026-12-01T19:00', timeZone: 'UTC' };
  await send('POST', '/api/nets', {}, { value });
});
afterAll(() => db.destroy());

/** Everything of the workspace that has versions, by kind. */
async function everything(): Promise<Record<string, unknown[]>> {
  const all: Record<string, unknown[]> = {};
  for (const kind of KINDS) all[kind] = await listThings(db, kind, workspaceId);
  all.whole = [(await loadPlan(db, workspaceId, planId)).plan];
  return all;
}

/** Takes migrations back until channels, plans and units are columns. */
async function beforeDocuments(): Promise<void> {
  while (await db.schema.hasColumn('channel', 'document')) await db.migrate.down();
}

describe('rows that were columns', () => {
  it('are documents, and back, without loss', async () => {
    const before = await everything();
    expect(before.channel?.length).toBeGreaterThan(10);
    await beforeDocuments();
    expect(await db.schema.hasColumn('channel', 'receive_hz')).toBe(true);
    await db.migrate.latest();
    // What came after the time of columns had none to go to.
    const ofThatTime = (all: unknown) =>
      JSON.parse(
        JSON.stringify(all, (key, value) =>
          key === 'areaNames' || (key === 'state' && CHANNEL_STATES.includes(value)) ? undefined : value,
        ),
      );
    expect(ofThatTime(await everything())).toEqual(ofThatTime(before));
  });
  it('an edit from the time of columns can be undone', async () => {
    const value = { id: randomUUID(), name: 'Old hand' };
    const { body } = await send(
      'POST',
      '/api/plans',
      {},
      { ...demoPlan(), id: randomUUID(), name: 'By file' },
    );
    await send('POST', '/api/people', {}, { value });
    await beforeDocuments();
    const edit = await db('edit').where({ kind: 'planDocument', aggregate_id: body.id }).first();
    await db('edit')
      .where({ id: edit.id })
      .update({ after: JSON.stringify({ name: 'By file' }) });
    await db.migrate.latest();
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: edit.id }, {})).status).toBe(200);
    expect((await send('GET', '/api/plans/[planId]', { planId: body.id })).status).toBe(404);
  });
  it('a description from the time when keys and cable had a list each is read as it is today', async () => {
    const before = await listThings(db, 'description', workspaceId);
    const at = { workspace_id: workspaceId, id: 'menu-alert' };
    const { document } = await db('description').where(at).first();
    const regions = (document as Description).regions.map(({ ways, ...region }) => ({
      ...region,
      keypad: fieldsBy({ ways }, 'keys'),
      cable: fieldsBy({ ways }, 'file'),
    }));
    await db('description')
      .where(at)
      .update({ document: JSON.stringify({ ...document, regions }) });
    try {
      expect(await listThings(db, 'description', workspaceId)).toEqual(before);
      expect(await brokenThings(db, workspaceId)).toEqual([]);
    } finally {
      await db('description')
        .where(at)
        .update({ document: JSON.stringify(document) });
    }
  });
});

describe.each(SEEDED)('every field of a %s', (kind) => {
  it('survives a change, its undoing, and the undoing of that', async () => {
    const own = { plan: randomUUID() };
    await db.transaction(async (trx) => {
      for (const [named, table] of [
        ['person', 'person'],
        ['team', 'team'],
      ] as const)
        for (const { id, name } of NAMES[named]) await addThing(trx, table, workspaceId, id, { id, name });
      const groups = NAMES.group.map((group) => ({ ...group, note: '' }));
      await addThing(trx, 'plan', workspaceId, own.plan, { ...headOf(demoPlan()), name: 'Own', groups });
    });
    try {
      await fc.assert(
        fc.asyncProperty(anyThing(kind), anyThing(kind), async (first, second) => {
          const id = randomUUID();
          await roundTrip(kind, id, asKept(kind, first), asKept(kind, second), own.plan);
          await db(kind).where({ id }).delete();
        }),
        { numRuns: 25, endOnFailure: true },
      );
    } finally {
      await db('unit')
        .whereIn(
          'person_id',
          NAMES.person.map(({ id }) => id),
        )
        .delete();
      await db('channel').where({ plan_id: own.plan }).delete();
      await db('plan').where({ id: own.plan }).delete();
      for (const table of ['person', 'team'] as const)
        await db(table)
          .whereIn(
            'id',
            NAMES[table].map(({ id }) => id),
          )
          .delete();
    }
  });
});

/** As its schema leaves it: a unit that holds something else knows no places. */
const asKept = <K extends (typeof SEEDED)[number]>(kind: K, thing: Things[K]): Things[K] =>
  THINGS[kind].schema.parse(thing) as Things[K];

async function roundTrip<K extends (typeof SEEDED)[number]>(
  kind: K,
  id: string,
  a: Things[K],
  b: Things[K],
  plan: string,
) {
  const mine = <T extends object>(thing: T) => (kind === 'plan' ? thing : { ...thing, id });
  const columns = kind === 'channel' ? { plan_id: plan } : {};
  const there = async () => (await thingAt(db, kind, workspaceId, id)).value;
  const undo = (editId: string | null) =>
    db.transaction(async (trx) => {
      const [edit] = await openEdits(trx, workspaceId, editId ?? randomUUID());
      if (!edit) throw new Error('no edit');
      await revertThing(trx, workspaceId, { ...edit, kind });
    });
  const latest = async () =>
    (await db('edit').where({ aggregate_id: id }).orderBy('serial', 'desc').first()).id;

  await db.transaction((trx) => addThing(trx, kind, workspaceId, id, mine(a), columns));
  expect(await there()).toEqual(mine(a));
  const { editId } = await db.transaction((trx) => saveThing(trx, kind, workspaceId, id, 1, mine(b)));
  const saved = await there();
  // Of a set that is said to hold something else an entry says so, where none came with it.
  if (kind === 'unit') expectWord(mine(a) as Unit, mine(b) as Unit, saved as Unit);
  else expect(saved).toEqual(mine(b));
  if (editId === null) return;
  await undo(editId);
  expect(await there()).toEqual(mine(a));
  await undo(await latest());
  expect(await there()).toEqual(saved);
  const { version } = await thingAt(db, kind, workspaceId, id);
  await db.transaction((trx) => takeThing(trx, kind, workspaceId, id, version));
  await undo(await latest());
  expect(await there()).toEqual(saved);
}

function expectWord(before: Unit, given: Unit, saved: Unit) {
  const told = saved.timeline.slice(given.timeline.length);
  expect(saved).toEqual({ ...given, timeline: [...given.timeline, ...told] });
  const numbers = given.accepts.filter((number) => !before.accepts.includes(number));
  const gone = told.filter(({ what }) => what === 'let-go');
  expect(gone).toMatchObject(numbers.length > 0 ? [{ numbers }] : []);
  const words = told.filter(({ what }) => what !== 'let-go');
  if (isDeepStrictEqual(before.holds, given.holds)) expect(words).toEqual([]);
  for (const { day } of words) expect(day).toBe(given.holds.on);
}

describe('a row that nobody can read', () => {
  const spoil = async (kind: Kind, id: string) => {
    const { document } = await db(kind).where({ id, workspace_id: workspaceId }).first();
    await db(kind)
      .where({ id, workspace_id: workspaceId })
      .update({ document: JSON.stringify({ ...document, note: 7, name: 8, title: 9 }) });
    return document;
  };
  it.each(['channel', 'unit', 'person', 'team', 'station', 'net'] as const)(
    'a %s: the others are there, it is named, and can be mended or taken away',
    async (kind) => {
      const before = await listThings(db, kind, workspaceId);
      const [first, second] = before as unknown as [{ value: { id: string } }, { value: { id: string } }];
      const documents = [await spoil(kind, first.value.id), await spoil(kind, second.value.id)];
      expect(await listThings(db, kind, workspaceId)).toHaveLength(before.length - 2);
      expect((await send('GET', '/api/plans/[planId]', { planId })).status).toBe(200);
      const broken = await brokenThings(db, workspaceId);
      expect(broken.map(({ id }) => id).sort()).toEqual([first.value.id, second.value.id].sort());
      for (const { findings } of broken) expect(findings.length).toBeGreaterThan(0);
      const [one, other] = [
        broken.find(({ id }) => id === first.value.id),
        broken.find(({ id }) => id === second.value.id),
      ];
      await db.transaction((trx) =>
        saveThing(trx, kind, workspaceId, first.value.id, one?.version ?? 0, documents[0]),
      );
      const { editId } = await db.transaction((trx) =>
        takeThing(trx, kind, workspaceId, second.value.id, other?.version ?? 0),
      );
      expect(await brokenThings(db, workspaceId)).toEqual([]);
      // It is not put back as it was: that nobody could read.
      expect((await send('POST', '/api/edits/[editId]/undo', { editId }, {})).status).toBe(400);
      await db(kind)
        .where({ id: second.value.id })
        .update({ deleted_at: null, document: JSON.stringify(documents[1]) });
      expect(await listThings(db, kind, workspaceId)).toHaveLength(before.length);
    },
  );
  it('a plan: a refusal that says where, and the others are there', async () => {
    const { body } = await send(
      'POST',
      '/api/plans',
      {},
      { ...demoPlan(), id: randomUUID(), name: 'Spoilt' },
    );
    const document = await spoil('plan', body.id);
    expect(await send('GET', '/api/plans/[planId]', { planId: body.id })).toMatchObject({
      status: 400,
      body: { findings: expect.arrayContaining([expect.objectContaining({ path: '/name' })]) },
    });
    expect((await send('GET', '/api/plans')).body).toHaveLength(2);
    expect((await brokenThings(db, workspaceId)).map(({ kind, id }) => [kind, id])).toEqual([
      ['plan', body.id],
    ]);
    await db('plan')
      .where({ id: body.id })
      .update({ document: JSON.stringify(document), deleted_at: new Date() });
  });
});

describe('what was read once', () => {
  const named = async (trx = db) => {
    const [first] = await listThings(trx, 'unit', workspaceId);
    if (!first) throw new Error('no unit');
    return first.value;
  };
  const rename = (trx: typeof db, id: string, nickname: string) =>
    trx('unit')
      .where({ id })
      .update({ document: trx.raw(`jsonb_set(document, '{nickname}', to_jsonb(?::text))`, [nickname]) });

  it('is handed out again as long as nobody writes it, and nobody can change it on the way', async () => {
    const one = await named();
    expect(await named()).toBe(one);
    expect(() => {
      (one as { nickname: string }).nickname = 'Other';
    }).toThrow(TypeError);
  });
  it('is read anew when somebody writes it by hand, without another version, and as often as they do', async () => {
    const before = await named();
    await db.transaction(async (trx) => {
      for (const nickname of ['AA by hand', 'AA by hand again']) {
        await rename(trx as never, before.id, nickname);
        expect((await listThings(trx, 'unit', workspaceId)).map(({ value }) => value.nickname)).toContain(
          nickname,
        );
      }
    });
    await rename(db, before.id, before.nickname);
    expect((await named()).nickname).toBe(before.nickname);
  });
  it('does not outlive a change that was taken back in the middle', async () => {
    const before = await named();
    const halfway = db.transaction(async (trx) => {
      await rename(trx as never, before.id, 'AA halfway');
      expect((await listThings(trx, 'unit', workspaceId)).map(({ value }) => value.nickname)).toContain(
        'AA halfway',
      );
      throw new Error('taken back');
    });
    await expect(halfway).rejects.toThrow('taken back');
    expect((await named()).nickname).toBe(before.nickname);
    await rename(db, before.id, 'AA after it');
    expect((await listThings(db, 'unit', workspaceId)).map(({ value }) => value.nickname)).toContain(
      'AA after it',
    );
    await rename(db, before.id, before.nickname);
  });
  it('kinds of sets too: one that is written by hand or let go of is as it is now', async () => {
    const kinds = () => listDescriptions(db, workspaceId);
    const [first, second] = await kinds();
    if (!first || !second) throw new Error('no kinds');
    expect((await kinds())[0]).toBe(first);
    const { id, title } = first.description;
    const row = () => db('description').where({ workspace_id: workspaceId, id });
    const called = (to: string) =>
      row().update({ document: db.raw(`jsonb_set(document, '{title}', to_jsonb(?::text))`, [to]) });
    await called('Another title');
    const now = await kinds();
    expect(now[0]?.description.title).toBe('Another title');
    expect(now[1]).toBe(second);
    await called(title);
    await row().update({ deleted_at: db.fn.now() });
    expect((await kinds())[0]).toBe(second);
    await row().update({ deleted_at: null });
    expect((await kinds())[0]).toEqual(first);
  });
});

describe('a set that nobody can read', () => {
  it('does not keep its holder in the roster; mended, it is nobody’s', async () => {
    const person = { id: randomUUID(), name: 'Leaves' };
    const unit = UnitSchema.parse({
      id: randomUUID(),
      descriptionId: 'pocket-radio',
      nickname: 'Spoilt',
      holder: '',
      personId: person.id,
      serial: '',
      firmware: 'A',
    });
    await send('POST', '/api/people', {}, { value: person });
    await send('POST', '/api/units', {}, { value: unit });
    await db('unit')
      .where({ id: unit.id })
      .update({ document: JSON.stringify({ ...unit, nickname: 7 }) });
    expect((await send('DELETE', '/api/people/[id]', { id: person.id }, { version: 1 })).status).toBe(200);
    const mended = await send('PUT', '/api/units/[unitId]', { unitId: unit.id }, { version: 1, value: unit });
    expect(mended).toMatchObject({ status: 200, body: { value: { personId: null } } });
    await db('unit').where({ id: unit.id }).delete();
  });
});

describe('text that no database takes', () => {
  it.each([
    ['half of a sign in a name', { name: 'x\ud83d' }],
    ['NUL in a name', { name: 'x\u0000' }],
  ])('%s: refused at its path', async (_, said) => {
    const answer = await send('POST', '/api/people', {}, { value: { id: randomUUID(), ...said } });
    expect(answer).toMatchObject({ status: 400, body: { findings: [{ path: '/value/name' }] } });
  });
  it.each(['a\ud83d', '\u0000'])('as a key inside of a plan: refused', async (key) => {
    const { body: state } = await send('GET', '/api/plans/[planId]', { planId });
    const value = { ...headOf(state.plan), setup: { [key]: { x: 1 } } };
    const answer = await send('PUT', '/api/plans/[planId]', { planId }, { version: state.version, value });
    expect(answer.status).toBe(400);
  });
});

describe('a whole plan that is taken in', () => {
  it.each([
    ['half of a sign in a name', { name: 'x\ud83d' }],
    ['NUL in a note', { note: 'x\u0000' }],
    ['no mode', { mode: 'morse' }],
  ])('with %s in one of its channels: refused at its path, and nothing of it is there', async (_, said) => {
    const { body: state } = await send('GET', '/api/plans/[planId]', { planId });
    const before = (await send('GET', '/api/plans')).body.length;
    const channels = (state.plan as Plan).channels.map((one, i) => (i === 1 ? { ...one, ...said } : one));
    const { status, body } = await send('POST', '/api/plans', {}, { ...state.plan, channels });
    expect(status).toBe(400);
    expect(body.findings[0].path).toMatch(/^\/channels\/1\//);
    expect((await send('GET', '/api/plans')).body).toHaveLength(before);
  });
  it('with such text as a key, where no schema looks: refused', async () => {
    const { body: state } = await send('GET', '/api/plans/[planId]', { planId });
    const setup = { '\u0000': { x: 1 } };
    expect((await send('POST', '/api/plans', {}, { ...state.plan, setup })).status).toBe(400);
  });
});

describe('the order of channels', () => {
  it('that brings one into another group makes it newer: an edit of the older one does not bring it back', async () => {
    const { body: state } = await send('GET', '/api/plans/[planId]', { planId });
    const plan = state.plan as Plan;
    const [first] = plan.channels as [Channel];
    const other = plan.groups.find(({ id }) => id !== first.groupId)?.id ?? '';
    const order = plan.channels.map(({ id, groupId }) => ({
      id,
      groupId: id === first.id ? other : groupId,
    }));
    const put = await send('PUT', '/api/plans/[planId]/order', { planId }, { version: state.version, order });
    expect(put.status).toBe(200);
    const at = { channelId: first.id };
    const version = state.channelVersions[first.id];
    expect(
      await send('PUT', '/api/channels/[channelId]', at, { version, value: { ...first, note: 'Older' } }),
    ).toMatchObject({ status: 409, body: { current: { value: { groupId: other } } } });
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: put.body.editId }, {})).status).toBe(
      200,
    );
    expect((await loadPlan(db, workspaceId, planId)).plan.channels).toEqual(plan.channels);
  });
});

describe('what a sheet depends on does not depend on who asks', () => {
  it('a member’s own fleet set has every call that the coordinator’s sheet has', async () => {
    const workspace = await firstWorkspace(db);
    if (!workspace) throw new Error('no workspace');
    const coordinator = {
      accountId: null,
      name: 'C',
      role: 'coordinator' as const,
      personId: null,
      workspace,
    };
    const whole = await loadDesk(db, coordinator as never, planId);
    const fleetKinds = new Set(
      whole.descriptions.flatMap(({ description }) =>
        description.regions.some(({ content }) => content.kind === 'calls') ? [description.id] : [],
      ),
    );
    const set = whole.units.find(({ unit }) => fleetKinds.has(unit.descriptionId));
    if (!set) throw new Error('no fleet set in the demo');
    const [holder] = await listThings(db, 'person', workspaceId);
    const personId = holder?.value.id ?? '';
    const unit = UnitSchema.parse({ ...set.unit, personId, holder: '' });
    await db.transaction((trx) => saveThing(trx, 'unit', workspaceId, unit.id, set.version, unit));
    const member = { ...coordinator, role: 'member' as const, personId };
    const [theirs, ours] = [
      await loadDesk(db, member as never, planId),
      await loadDesk(db, coordinator as never, planId),
    ];
    expect(theirs.units.length).toBeLessThan(ours.units.length);
    const [one, other] = [sheetOf(theirs, unit.id), sheetOf(ours, unit.id)];
    expect([...(one?.wanted.slots ?? [])]).toEqual([...(other?.wanted.slots ?? [])]);
    expect(theirs.board.unitFindings[unit.id]).toEqual(ours.board.unitFindings[unit.id]);
  });
});
