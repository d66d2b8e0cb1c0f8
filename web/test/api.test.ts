import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { type Channel, headOf, type Plan } from '@umbrex/core/model';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoPlan, ensureWorkspace } from '../../demo/load';
import { getDb } from '../src/server/db';
import { listDescriptions } from '../src/server/repositories/descriptions';
import { firstWorkspace } from '../src/server/repositories/workspaces';
import { ROUTES, send } from './routes';

const db = getDb();
let planId = '';

beforeAll(async () => {
  await ensureWorkspace(db, true);
  planId = (await send('GET', '/api/plans', {})).body[0].id;
});
afterAll(() => db.destroy());

const load = async () =>
  (await send('GET', '/api/plans/[planId]', { planId })).body as {
    plan: Plan;
    version: number;
    channelVersions: Record<string, number>;
  };
const draft = (plan: Plan, name: string): Channel => ({
  ...(plan.channels[0] as Channel),
  id: randomUUID(),
  name,
});
const add = (channel: Channel) =>
  send('POST', '/api/plans/[planId]/channels', { planId }, { value: channel });
const put = (channel: Channel, version: number) =>
  send('PUT', '/api/channels/[channelId]', { channelId: channel.id }, { version, value: channel });

describe('a description that was kept with slips', () => {
  it('is one kind without keys, which says where, and can be marked by nobody; all others are as before', async () => {
    const workspace = await firstWorkspace(db);
    if (!workspace) throw new Error('no workspace');
    const at = { workspace_id: workspace.id, id: 'pocket-radio' };
    const { document } = await db('description').where(at).first();
    const spoilt = structuredClone(document);
    spoilt.recipes.startNumber = 99;
    spoilt.behaviour.modes.standby.screen.push('{nothing}');
    await db('description')
      .where(at)
      .update({ document: JSON.stringify(spoilt) });
    try {
      const kinds = await listDescriptions(db, workspace.id);
      const [broken, ...others] = kinds.toSorted((a, b) => b.slips.length - a.slips.length);
      expect(broken?.description).toMatchObject({ id: 'pocket-radio', title: 'Pocket radio' });
      expect(broken?.description.recipes).toBeUndefined();
      expect(broken?.slips.map(({ path }) => path)).toEqual([
        '/behaviour/modes/standby/screen/2',
        '/recipes/startNumber',
      ]);
      expect(others.every(({ slips }) => slips.length === 0)).toBe(true);
      const mark = { kind: 'confirmed', on: '2026-11-01', by: 'Ines', firmware: 'A', note: '' };
      const marked = await send(
        'POST',
        '/api/descriptions/[descriptionId]/marks',
        { descriptionId: 'pocket-radio' },
        { version: broken?.version, mark },
      );
      expect(marked.status).toBe(400);
      expect((await db('description').where(at).first()).document.recipes.startNumber).toBe(99);
    } finally {
      await db('description')
        .where(at)
        .update({ document: JSON.stringify(document) });
    }
  });
});

describe('a wrong description is put right', () => {
  const descriptionId = 'bank-handheld';
  const at = { workspace_id: '', id: descriptionId };
  let workspace: { id: string };
  const kept = async () =>
    (await db('description').where(at).first()) as { document: object; version: number };
  const put = (version: number, description: unknown, id = descriptionId) =>
    send('PUT', '/api/descriptions/[descriptionId]', { descriptionId: id }, { version, description });
  const undo = (editId: string) => send('POST', '/api/edits/[editId]/undo', { editId }, {});
  const seen = async () =>
    (await listDescriptions(db, workspace.id)).find(({ description }) => description.id === descriptionId);
  beforeAll(async () => {
    workspace = await db('workspace').orderBy('created_at').first();
    at.workspace_id = workspace.id;
  });

  it('while sets of it exist; undone, the old one is back to the letter', async () => {
    const { document, version } = await kept();
    const right = { ...document, title: 'Bank hand-held, mended', marks: [] };
    const { status, body } = await put(version, right);
    expect([status, body.version]).toEqual([200, version + 1]);
    expect((await seen())?.description.title).toBe('Bank hand-held, mended');
    expect((await put(version, right)).status).toBe(409);
    expect((await undo(body.editId)).status).toBe(200);
    expect((await kept()).document).toEqual(document);
  });
  it('never by one of another kind, or by none', async () => {
    const { document, version } = await kept();
    expect(await put(version, { ...document, id: 'another-radio' })).toMatchObject({
      status: 400,
      body: { findings: [{ path: '/id' }] },
    });
    expect((await put(version, { nothing: true })).status).toBe(400);
    expect((await put(1, document, 'nobody-has-this')).status).toBe(400);
    expect((await put(1, { ...document, id: 'nobody-has-this' }, 'nobody-has-this')).status).toBe(404);
    expect(await kept()).toEqual({ ...(await kept()), document, version });
  });
  it('people’s word on the old one does not go over', async () => {
    const { document, version } = await kept();
    const mark = { kind: 'confirmed', on: '2026-11-20', by: 'Ines', firmware: 'A', note: '' };
    const { body } = await put(version, { ...document, marks: [mark] });
    expect((await seen())?.description.marks).toEqual([]);
    await undo(body.editId);
  });
  it.each([
    ['nothing of it can be read', { anything: 'else' }],
    ['it is no document at all', 'text'],
    ['a list has the name of what every object has', { title: 'Odd', lists: { constructor: [] } }],
  ])('also where %s: a kind of which nobody knows anything, and every page is there', async (_, wrong) => {
    const { document, version } = await kept();
    await db('description')
      .where(at)
      .update({ document: JSON.stringify(wrong) });
    try {
      const broken = await seen();
      expect(broken?.slips.length).toBeGreaterThan(0);
      expect(broken?.description).toMatchObject({
        id: descriptionId,
        transmit: 'unknown',
        regions: [{ count: 1 }],
      });
      expect((await send('GET', '/api/plans')).status).toBe(200);
      // Nobody can say anything of it, or record it, before it is replaced.
      const { body, status } = await put(version, document);
      expect(status).toBe(200);
      expect((await seen())?.slips).toEqual([]);
      // Nothing is put back that could not be read again.
      expect((await undo(body.editId)).status).toBe(400);
      expect((await seen())?.slips).toEqual([]);
    } finally {
      await db('description')
        .where(at)
        .update({ document: JSON.stringify(document) });
    }
  });
});

describe('the demo in the database', () => {
  it('comes out as its file, and loading it twice changes nothing', async () => {
    await ensureWorkspace(db, true);
    expect((await load()).plan).toEqual(demoPlan());
    const exported = await send('GET', '/api/plans/[planId]/export', { planId });
    const file = readFileSync(new URL('../../demo/ostrel-plan.json', import.meta.url), 'utf8');
    expect(exported.body).toEqual(JSON.parse(file));
  });
});

describe('a channel', () => {
  it('is added once, however often it is sent', async () => {
    const { plan } = await load();
    const channel = draft(plan, 'Sent twice');
    expect((await add(channel)).status).toBe(201);
    expect(await add(channel)).toMatchObject({ status: 201, body: { version: 1, editId: null } });
    expect(await add({ ...channel, name: 'Other' })).toMatchObject({ status: 409 });
    expect((await load()).plan.channels.filter((c) => c.id === channel.id)).toEqual([channel]);
  });
  it('refuses a stale version and shows the newer state', async () => {
    const { plan } = await load();
    const channel = draft(plan, 'Rivals');
    await add(channel);
    expect(await put({ ...channel, name: 'First' }, 1)).toMatchObject({ status: 200, body: { version: 2 } });
    expect(await put({ ...channel, name: 'Second' }, 1)).toMatchObject({
      status: 409,
      body: { error: 'changed-meanwhile', current: { version: 2, value: { name: 'First' } } },
    });
    expect((await load()).plan.channels.find((c) => c.id === channel.id)?.name).toBe('First');
  });
  it('of 20 rival edits of one version, one is kept', async () => {
    const { plan } = await load();
    const channel = draft(plan, 'Twenty');
    await add(channel);
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => put({ ...channel, note: `by ${i}` }, 1)),
    );
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(1);
    expect(answers.filter((answer) => answer.status === 409)).toHaveLength(19);
  });
  it('goes and comes back where it stood, and an undone edit is not undone twice', async () => {
    const before = (await load()).plan.channels;
    const gone = before[4] as Channel;
    const { version } = await load().then((s) => ({ version: s.channelVersions[gone.id] ?? 0 }));
    const { body } = await send('DELETE', '/api/channels/[channelId]', { channelId: gone.id }, { version });
    expect((await load()).plan.channels).not.toContainEqual(gone);
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: body.editId }, {})).status).toBe(200);
    expect((await load()).plan.channels).toEqual(before);
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: body.editId }, {})).status).toBe(404);
  });
  it('is not undone over somebody’s later work', async () => {
    const { plan } = await load();
    const channel = draft(plan, 'Undo me');
    await add(channel);
    const first = await put({ ...channel, note: 'mine' }, 1);
    await put({ ...channel, note: 'theirs' }, 2);
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: first.body.editId }, {})).status).toBe(
      409,
    );
    expect((await load()).plan.channels.find((c) => c.id === channel.id)?.note).toBe('theirs');
  });
  it('must stand in a group of its plan', async () => {
    const { plan } = await load();
    expect(await add({ ...draft(plan, 'Nowhere'), groupId: randomUUID() })).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'dangling-reference', path: '/value/groupId' }] },
    });
  });
});

describe('the order', () => {
  const order = (version: number, channels: readonly Channel[]) =>
    send(
      'PUT',
      '/api/plans/[planId]/order',
      { planId },
      { version, order: channels.map(({ id, groupId }) => ({ id, groupId })) },
    );
  it('is changed, undone, and refused from an old version or with channels missing', async () => {
    const { plan, version } = await load();
    const turned = plan.channels.toReversed();
    const saved = await order(version, turned);
    expect(saved.status).toBe(200);
    expect((await load()).plan.channels.map((c) => c.id)).toEqual(turned.map((c) => c.id));
    expect((await order(version, plan.channels)).status).toBe(409);
    expect((await order(version + 1, plan.channels.slice(1))).status).toBe(409);
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: saved.body.editId }, {})).status).toBe(
      200,
    );
    expect((await load()).plan.channels).toEqual(plan.channels);
  });
});

describe('the plan itself', () => {
  it('changes its groups, but a group with channels stays', async () => {
    const { plan, version } = await load();
    const { name, country, receivePolicy, groups, licensed } = plan;
    const head = (next: Plan['groups']) => ({
      version,
      value: { name, country, receivePolicy, groups: next, licensed },
    });
    const change = (body: unknown) => send('PUT', '/api/plans/[planId]', { planId }, body);
    expect(await change(head(groups.slice(1)))).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'group-has-channels' }] },
    });
    expect((await change(head([...groups, { id: randomUUID(), name: 'New', note: '' }]))).status).toBe(200);
    expect((await change(head(groups))).status).toBe(409);
    const { version: newer } = await load();
    const renamed = await change({
      version: newer,
      value: { name: 'Renamed', country, receivePolicy, groups, licensed },
    });
    const undo = () => send('POST', '/api/edits/[editId]/undo', { editId: renamed.body.editId }, {});
    expect([(await undo()).status, (await undo()).status]).toEqual([200, 404]);
    expect((await load()).plan.name).toBe(name);
  });
  it('keeps what it says of scans and fleet radios, to the letter, and every part of a channel', async () => {
    const { plan, version } = await load();
    const head = {
      ...headOf(plan),
      resumeDelay: 'off' as const,
      fleet: { statuses: ['At berth', 'Need help'], calls: [{ name: 'All ferries', fleetId: '199' }] },
    };
    const saved = await send('PUT', '/api/plans/[planId]', { planId }, { version, value: head });
    expect(saved.status).toBe(200);
    expect(headOf((await load()).plan)).toEqual(head);
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: saved.body.editId }, {})).status).toBe(
      200,
    );
    expect(headOf((await load()).plan)).toEqual(headOf(plan));
    const channel = {
      ...draft(plan, 'Scanned'),
      scan: 'priority' as const,
      resumeDelay: 'off' as const,
      shortNames: ['SCN'],
    };
    expect((await add(channel)).status).toBe(201);
    expect((await load()).plan.channels.at(-1)).toEqual(channel);
  });
  it.each([
    ['a status text that is too long', { statuses: ['A text that is much too long'], calls: [] }],
    ['a call without an ID', { statuses: [], calls: [{ name: 'All', fleetId: '' }] }],
    ['a call with letters for an ID', { statuses: [], calls: [{ name: 'All', fleetId: 'ABC' }] }],
  ])('refuses %s at its path, and keeps what was there', async (_, fleet) => {
    const { plan, version } = await load();
    const answer = await send(
      'PUT',
      '/api/plans/[planId]',
      { planId },
      {
        version,
        value: { ...headOf(plan), fleet },
      },
    );
    expect(answer.status).toBe(400);
    expect(answer.body.findings[0].path).toMatch(/^\/value\/fleet\/(statuses|calls)\/0/);
    expect((await load()).version).toBe(version);
  });
  it('what other numbers take to load is worked out from the sheets of the fleet, and nothing is kept', async () => {
    const effort = (body: unknown) => send('POST', '/api/plans/[planId]/effort', { planId }, body);
    const { plan, version } = await load();
    const [one, two] = plan.channels.filter(({ transmitHz }) => transmitHz !== null).map(({ id }) => id);
    const numbers = { [String(one)]: 60, [String(two)]: 61 };
    const { status, body } = await effort({ numbers, others: [numbers, {}] });
    expect(status).toBe(200);
    expect(body.left).toBe(0);
    expect(body.effort[0]).toEqual({ presses: 0, minutes: 0 });
    expect(typeof body.effort[1].presses).toBe('number');
    expect((await load()).version).toBe(version);
    expect((await effort({ numbers, others: [] })).status).toBe(400);
    expect((await effort({ numbers: { nobody: 1 }, others: [numbers] })).status).toBe(400);
    const elsewhere = await send(
      'POST',
      '/api/plans/[planId]/effort',
      { planId: randomUUID() },
      { numbers, others: [numbers] },
    );
    expect(elsewhere.status).toBe(404);
  });
  it('takes a starter set whole, or not at all from an old version', async () => {
    const before = await load();
    const add = (set: string, version: number) =>
      send('POST', '/api/plans/[planId]/sets', { planId }, { set, version });
    expect((await add('murs', before.version - 1)).status).toBe(409);
    expect(await add('nothing', before.version)).toMatchObject({
      status: 400,
      body: { findings: [{ path: '/set' }] },
    });
    expect((await load()).plan).toEqual(before.plan);
    expect(await add('murs', before.version)).toMatchObject({ status: 201, body: { channels: 5 } });
    const { plan } = await load();
    expect(plan.channels.slice(-5).map((c) => c.name)).toEqual([
      'MURS 1',
      'MURS 2',
      'MURS 3',
      'MURS 4',
      'MURS 5',
    ]);
    expect(plan.groups).toHaveLength(before.plan.groups.length + 1);
  });
  it('taken in as a file becomes a plan of its own, whole or not at all', async () => {
    const count = async () => Number((await db('plan').count('id as n').first())?.n);
    const before = await count();
    const bad = structuredClone(demoPlan());
    Object.assign(bad.channels[7] ?? {}, { receiveTone: '12.3' });
    expect(await send('POST', '/api/plans', {}, bad)).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'document-shape', path: '/channels/7/receiveTone' }] },
    });
    expect(await count()).toBe(before);
    const { status, body } = await send('POST', '/api/plans', {}, demoPlan());
    expect([status, await count()]).toEqual([201, before + 1]);
    expect(body.id).not.toBe(planId);
    const taken = (await send('GET', '/api/plans/[planId]', { planId: body.id })).body.plan as Plan;
    expect(taken.channels.map((c) => c.name)).toEqual(demoPlan().channels.map((c) => c.name));
  });
});

describe('devices and descriptions', () => {
  const unit = () => ({
    id: randomUUID(),
    descriptionId: 'pocket-radio',
    nickname: 'Test set',
    holder: '',
    serial: '',
    firmware: 'A',
  });
  it('a device is added, changed, refused when stale, deleted and brought back', async () => {
    const mine = unit();
    const at = { unitId: mine.id };
    expect((await send('POST', '/api/units', {}, { value: mine })).status).toBe(201);
    expect(
      (await send('PUT', '/api/units/[unitId]', at, { version: 1, value: { ...mine, holder: 'Ada' } })).body
        .version,
    ).toBe(2);
    expect(await send('PUT', '/api/units/[unitId]', at, { version: 1, value: mine })).toMatchObject({
      status: 409,
      body: { current: { version: 2, value: { holder: 'Ada' } } },
    });
    const { body } = await send('DELETE', '/api/units/[unitId]', at, { version: 2 });
    expect((await send('POST', '/api/edits/[editId]/undo', { editId: body.editId }, {})).status).toBe(200);
    expect((await db('unit').where({ id: mine.id }).first()).deleted_at).toBeNull();
  });
  it('a device needs a description that is there', async () =>
    expect(
      await send('POST', '/api/units', {}, { value: { ...unit(), descriptionId: 'nobody' } }),
    ).toMatchObject({
      status: 400,
      body: { findings: [{ path: '/value/descriptionId' }] },
    }));
  it('every kind goes out as the document that comes in again', async () => {
    const get = (descriptionId: string) =>
      send('GET', '/api/descriptions/[descriptionId]', { descriptionId });
    const { status, body } = await get('bank-scanner');
    expect(status).toBe(200);
    const copy = { ...body, id: 'my-scanner', title: 'My scanner' };
    expect((await send('POST', '/api/descriptions', {}, copy)).status).toBe(201);
    expect((await get('my-scanner')).body).toEqual(copy);
    expect((await get('nobody-has-this')).status).toBe(404);
  });
  it('a new kind needs no code; its id is taken once; a mark stays with it', async () => {
    const file = JSON.parse(
      readFileSync(new URL('../../devices/pocket-radio.json', import.meta.url), 'utf8'),
    );
    const own = { ...file, id: 'my-own-radio', title: 'My own radio' };
    expect(await send('POST', '/api/descriptions', {}, own)).toMatchObject({
      status: 201,
      body: { findings: [] },
    });
    expect((await send('POST', '/api/descriptions', {}, own)).status).toBe(409);
    // Words that say another hold than the keys have are said, and keep nobody from using it.
    const slip = structuredClone({ ...own, id: 'my-hasty-radio' });
    slip.recipes.reset.steps[0].says = 'Press it: everything goes.';
    expect(await send('POST', '/api/descriptions', {}, slip)).toMatchObject({
      status: 201,
      body: { findings: [{ code: 'step-slip', slip: 'says-other-hold', path: '/recipes/reset/steps/0' }] },
    });
    const mark = { kind: 'confirmed', on: '2026-11-20', by: 'Ines Korvald', firmware: 'A', note: '' };
    const at = { descriptionId: 'my-own-radio' };
    const post = (body: unknown) => send('POST', '/api/descriptions/[descriptionId]/marks', at, body);
    expect(await post({ version: 1, mark })).toMatchObject({
      status: 201,
      body: { marks: [mark], version: 2 },
    });
    expect((await post({ version: 1, mark })).status).toBe(409);
    expect(await post({ version: 2, mark: { ...mark, on: 'last week' } })).toMatchObject({
      status: 400,
      body: { findings: [{ path: '/mark/on' }] },
    });
  });
});

describe('steps that somebody recorded', () => {
  const recording = {
    by: 'Signe Aldane',
    on: '2026-11-20',
    firmware: '2.00',
    startNumber: 1,
    number: 45,
    place: [{ keys: '045', shows: '045' }],
    fields: [
      {
        field: 'power',
        from: 'HIGH',
        to: 'LOW',
        steps: [
          { keys: 'LIST' },
          { keys: '25' },
          { keys: 'KEEP' },
          { keys: '▲', shows: 'LOW' },
          { keys: 'KEEP' },
        ],
      },
    ],
  };
  const put = (descriptionId: string, body: unknown) =>
    send('PUT', '/api/descriptions/[descriptionId]/steps', { descriptionId }, body);
  const get = (descriptionId: string) => send('GET', '/api/descriptions/[descriptionId]', { descriptionId });
  it('become the keys of their kind, each line checked again here; taken back, the kind is as it was', async () => {
    const { behaviour: _b, recipes: _r, keyMap: _k, ...rest } = (await get('page-handheld')).body;
    const bare = { ...rest, id: 'page-unkeyed', title: 'Page, unkeyed', keys: {}, settings: [] };
    expect((await send('POST', '/api/descriptions', {}, bare)).status).toBe(201);
    const before = (await get('page-unkeyed')).body;
    const wrong = { ...recording, place: [{ keys: '046' }] };
    expect(await put('page-unkeyed', { version: 1, recording: wrong })).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'record-not-spelled', path: '/place' }] },
    });
    const saved = await put('page-unkeyed', { version: 1, recording });
    expect(saved).toMatchObject({ status: 200, body: { version: 2 } });
    const learnt = (await get('page-unkeyed')).body;
    expect(learnt.recipes.order).toEqual(['power']);
    expect(learnt.firmware).toContain('2.00');
    expect((await put('page-unkeyed', { version: 1, recording })).status).toBe(409);
    const { editId } = saved.body;
    expect((await send('POST', '/api/edits/[editId]/undo', { editId }, {})).status).toBe(200);
    expect((await get('page-unkeyed')).body).toEqual(before);
  });
  it('are refused for a kind whose keys are described, and for one that is not there', async () => {
    expect(await put('pocket-radio', { version: 1, recording })).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'record-has-keys' }] },
    });
    expect((await put('nobody-has-this', { version: 1, recording })).status).toBe(404);
  });
});

describe('bad input at every endpoint: 4xx with findings, never 500, nothing half saved', () => {
  const ids = () => ({
    planId,
    channelId: randomUUID(),
    unitId: randomUUID(),
    editId: randomUUID(),
    descriptionId: 'nobody-has-this',
    id: randomUUID(),
    accountId: randomUUID(),
    token: 'nobody-was-given-this-link',
  });
  // Routes that read no body have none that could be wrong.
  const BODILESS = [
    'DELETE /api/session',
    'DELETE /api/session/all',
    'DELETE /api/team/[accountId]',
    'DELETE /api/team/links/[id]',
  ];
  const writing = ROUTES.filter(
    ({ method, path }) => method !== 'GET' && !BODILESS.includes(`${method} ${path}`),
  );
  const typeOf = (path: string) =>
    path === '/api/roster/workbook'
      ? 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
      : 'application/json';
  const everything = async () =>
    JSON.stringify(
      await Promise.all(
        [
          'plan',
          'channel',
          'unit',
          'description',
          'person',
          'station',
          'heard',
          'account',
          'link',
          'edit',
        ].map((t) => db(t).count('* as n').first()),
      ),
    );

  it.each(writing.map((route) => [`${route.method} ${route.path}`, route] as const))(
    '%s',
    async (_, { method, path }) => {
      const before = await everything();
      for (const body of [
        '{',
        '',
        '[]',
        'null',
        '"x"',
        '{"version":"new"}',
        '{"__proto__":{"x":1}}',
        '[[[[[[',
        `{"a":"${'\\u0000'}"}`,
      ]) {
        const answer = await send(method, path, ids(), body, typeOf(path));
        expect([400, 404], `${method} ${path} with ${body}`).toContain(answer.status);
        if (answer.status === 400) expect(answer.body.findings.length).toBeGreaterThan(0);
      }
      expect((await send(method, path, ids(), '{}', 'text/plain')).status).toBe(415);
      expect((await send(method, path, ids(), `"${'x'.repeat(4_000_001)}"`, typeOf(path))).status).toBe(413);
      expect(await everything()).toBe(before);
    },
  );
  it('ids that are no ids are nowhere', async () => {
    for (const planId of ['1', '../x', "'; drop table plan; --", ''])
      expect((await send('GET', '/api/plans/[planId]', { planId })).status).toBe(404);
    expect((await send('GET', '/api/plans/[planId]', { planId: randomUUID() })).status).toBe(404);
  });
  it('any JSON at all as a channel is refused at a path or taken whole', async () => {
    const { plan } = await load();
    const base = draft(plan, 'Fuzz');
    const keys = Object.keys(base);
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...keys), fc.jsonValue(), async (key, value) => {
        const answer = await add({ ...base, id: randomUUID(), [key]: value } as Channel);
        expect([201, 400, 409]).toContain(answer.status);
        if (answer.status === 400)
          expect(answer.body.findings[0].path).toContain(`/value/${key === 'transmitHz' ? 'transmit' : key}`);
      }),
      { numRuns: 150, seed: 17 },
    );
  });
});

describe('health', () => {
  it('says that the database answers', async () =>
    expect(await send('GET', '/api/health', {})).toMatchObject({
      status: 200,
      body: { ok: true, database: 'answers' },
    }));
});
