import { randomUUID } from 'node:crypto';
import { columnsOf, guessMapping, readTable } from '@umbrex/core/fields';
import { type Channel, type Person, PersonSchema, type Plan } from '@umbrex/core/model';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { purgeDeleted } = await import('../src/server/repositories/edits');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { TableFileSchema } = await import('../src/contract/tables');
const { historyView } = await import('../src/server/views/history');
const { send, visitorAs } = await import('./routes');

import type { Visitor } from './routes';

const db = getDb();
const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

let planId = '';
beforeAll(async () => {
  await ensureWorkspace(db, true);
  planId = (await send('GET', '/api/plans')).body[0].id;
});
afterAll(() => db.destroy());

const person = (name: string, more: object = {}) => ({ id: randomUUID(), name, ...more });
const addPerson = (value: object) => send('POST', '/api/people', {}, { value });
const count = async (table: string) => Number((await db(table).count('* as n').first())?.n);
const undo = (editId: string) => send('POST', '/api/edits/[editId]/undo', { editId }, {});

describe('what was done in one go', () => {
  const several = (move: string, names: readonly string[], more: object = {}) =>
    plannedChannel().then(({ channel }) =>
      send(
        'POST',
        '/api/plans/[planId]/channels/several',
        { planId },
        { move, values: names.map((name) => ({ ...channel, id: randomUUID(), name, ...more })) },
      ),
    );
  const plannedChannel = async () => {
    const { body } = await send('GET', '/api/plans/[planId]', { planId });
    return {
      channel: body.plan.channels[0] as Channel,
      names: body.plan.channels.map((c: Channel) => c.name),
    };
  };
  const newest = async () => {
    const workspace = await firstWorkspace(db);
    if (!workspace) throw new Error('no workspace');
    return (await historyView({ workspace }, 0)).entries;
  };

  it('is taken back in one go, in however many parts it came, and can come back', async () => {
    const before = (await plannedChannel()).names;
    const move = randomUUID();
    const first = Array.from({ length: 15 }, (_, i) => `Pasted ${i}`);
    expect((await several(move, first)).body).toEqual({ editId: move, added: 15 });
    expect((await several(move, ['Pasted 15', 'Pasted 16'])).status).toBe(201);
    expect((await plannedChannel()).names).toEqual([...before, ...first, 'Pasted 15', 'Pasted 16']);
    const [entry] = await newest();
    expect(entry).toMatchObject({ id: move, what: 'added 17 channels', undone: 'none', back: 'Undo' });
    expect([entry?.changes.length, entry?.changes.at(-1)]).toEqual([13, 'and 5 more']);
    expect([(await undo(move)).status, (await undo(move)).status]).toEqual([200, 404]);
    expect((await plannedChannel()).names).toEqual(before);
    const [back, done] = await newest();
    expect(done).toMatchObject({ id: move, undone: 'all', back: null });
    expect(back).toMatchObject({ what: 'deleted 17 channels', undoes: true, back: 'Bring back' });
    expect((await undo(back?.id ?? '')).status).toBe(200);
    expect((await plannedChannel()).names.length).toBe(before.length + 17);
  });
  it('is refused whole where one of it was changed since, and where one of it cannot be', async () => {
    const before = (await plannedChannel()).names;
    const move = randomUUID();
    await several(move, ['Left', 'Right']);
    const { body } = await send('GET', '/api/plans/[planId]', { planId });
    const left: Channel = body.plan.channels.find((c: Channel) => c.name === 'Left');
    const at = { channelId: left.id };
    const changed = await send('PUT', '/api/channels/[channelId]', at, {
      version: 1,
      value: { ...left, name: 'Mine' },
    });
    expect((await undo(move)).status).toBe(409);
    expect((await plannedChannel()).names).toEqual([...before, 'Mine', 'Right']);
    await undo(changed.body.editId);
    // What was undone of it alone does not stand in the way of the rest.
    expect((await undo(move)).status).toBe(200);
    expect((await plannedChannel()).names).toEqual(before);
    expect((await several(randomUUID(), ['Fine'], { groupId: randomUUID() })).status).toBe(400);
    expect(
      (
        await several(
          randomUUID(),
          Array.from({ length: 51 }, () => 'Many'),
        )
      ).status,
    ).toBe(400);
    expect((await plannedChannel()).names).toEqual(before);
  });
  it('a starter set, a table and a change of many people are one move each', async () => {
    const { body } = await send('GET', '/api/plans/[planId]', { planId });
    const set = { version: body.version, set: 'murs' };
    const added = await send('POST', '/api/plans/[planId]/sets', { planId }, set);
    expect((await newest())[0]?.what).toBe('changed 1 plan, added 5 channels');
    expect((await undo(added.body.editId)).status).toBe(200);
    const after = (await send('GET', '/api/plans/[planId]', { planId })).body;
    expect(after.plan.groups).toEqual(body.plan.groups);
    expect(after.plan.channels).toEqual(body.plan.channels);
    const people = [person('Row one'), person('Row two')];
    const table = await send('POST', '/api/roster/import', {}, { people });
    const ids = people.map(({ id }) => ({ id, version: 1 }));
    const gone = await send('POST', '/api/roster/bulk', {}, { people: ids, change: { do: 'delete' } });
    expect((await newest())[0]).toMatchObject({ what: 'deleted 2 people', back: 'Bring back' });
    expect((await undo(table.body.editId)).status).toBe(409);
    expect((await undo(gone.body.editId)).status).toBe(200);
    expect((await undo(table.body.editId)).status).toBe(200);
  });
});

describe('the day of loading', () => {
  it('is the day for which rights are judged, as the plan says it; members learn of their own sets only', async () => {
    const grounds = async (who?: Visitor) =>
      (await (who ?? { send }).send('GET', '/api/plans/[planId]/grounds', { planId })).body;
    const { plan, version } = (await send('GET', '/api/plans/[planId]', { planId })).body;
    const today = (await grounds()).day;
    const { id: _i, format: _f, channels: _c, ...head } = plan;
    const saved = await send(
      'PUT',
      '/api/plans/[planId]',
      { planId },
      { version, value: { ...head, loadOn: '2099-01-31' } },
    );
    expect(saved.status).toBe(200);
    expect((await grounds()).day).toBe('2099-01-31');
    await undo(saved.body.editId);
    expect((await grounds()).day).toBe(today);
    const all = Object.keys((await grounds()).each);
    const own = Object.keys((await grounds(await visitorAs('member'))).each);
    expect([all.length > own.length, own.every((id) => all.includes(id))]).toEqual([true, true]);
    expect((await grounds(await visitorAs('observer'))).each).toEqual({});
    const wrong = { version: version + 2, value: { ...head, loadOn: '2099-02-31' } };
    expect((await send('PUT', '/api/plans/[planId]', { planId }, wrong)).body.findings[0].path).toBe(
      '/value/loadOn',
    );
  });
});

describe('people, teams, stations and nets', () => {
  const samples = {
    people: person('Greta Vinter'),
    teams: person('Night watch'),
    stations: { ...person('Heron Bank'), kind: 'repeater' },
    nets: { ...person('Harbour net'), startsAt: '2026-12-06T19:00', timeZone: 'America/New_York' },
  };
  it.each(Object.entries(samples))(
    '%s: added once, changed, refused when stale, deleted, brought back',
    async (kind, value) => {
      const at = { id: value.id };
      const put = (version: number, name: string) =>
        send('PUT', `/api/${kind}/[id]`, at, { version, value: { ...value, name } });
      expect((await send('POST', `/api/${kind}`, {}, { value })).status).toBe(201);
      expect(await send('POST', `/api/${kind}`, {}, { value })).toMatchObject({
        status: 201,
        body: { version: 1, editId: null },
      });
      expect((await put(1, 'Second name')).body.version).toBe(2);
      expect(await put(1, 'Third name')).toMatchObject({
        status: 409,
        body: { current: { version: 2, value: { name: 'Second name' } } },
      });
      expect((await put(2, '')).body.findings[0].path).toBe('/value/name');
      const { body } = await send('DELETE', `/api/${kind}/[id]`, at, { version: 2 });
      expect((await put(3, 'Fourth name')).status).toBe(404);
      expect([(await undo(body.editId)).status, (await undo(body.editId)).status]).toEqual([200, 404]);
      expect((await put(4, 'Fifth name')).status).toBe(200);
      // Saving what is there already is no edit.
      expect((await put(5, 'Fifth name')).body).toMatchObject({ version: 5, editId: null });
    },
  );
  it('keep a usual place coarse, whatever is sent (a grid of two hundredths of a degree)', async () => {
    const { body } = await addPerson(
      person('Coarse', { place: { latitudeDeg: 41.28734, longitudeDeg: -38.50419 } }),
    );
    expect(body.value.place).toEqual({ latitudeDeg: 41.28, longitudeDeg: -38.5 });
    expect(JSON.stringify(await db('edit').where({ aggregate_id: body.value.id }))).not.toContain('28734');
  });
});

describe('many at once: all or none', () => {
  const unit = (nickname: string, descriptionId = 'pocket-radio') => ({
    id: randomUUID(),
    descriptionId,
    nickname,
    holder: '',
    serial: '',
    firmware: 'unknown',
  });
  const everything = async () => [
    await count('person'),
    await count('unit'),
    await count('station'),
    await count('edit'),
  ];
  it.each([
    ['a person without a name', { people: [person('Good'), person('')] }, 400, '/people/1/name'],
    [
      'a set of a kind nobody described',
      { people: [person('Good')], units: [unit('A'), unit('B', 'no-such-kind')] },
      400,
      undefined,
    ],
    [
      'a set of a person who is not here',
      { units: [unit('A'), { ...unit('B'), personId: randomUUID() }] },
      400,
      undefined,
    ],
    [
      'a station of no kind',
      { people: [person('Good')], stations: [person('Fell')] },
      400,
      '/stations/0/kind',
    ],
  ])('%s leaves nothing behind', async (_, body, status, path) => {
    const before = await everything();
    const answer = await send('POST', '/api/roster/import', {}, body);
    expect(answer.status).toBe(status);
    if (path) expect(answer.body.findings[0].path).toBe(path);
    expect(await everything()).toEqual(before);
  });
  it('an id that is another’s refuses the whole', async () => {
    const there = person('There already');
    await addPerson(there);
    const before = await everything();
    expect(
      (
        await send(
          'POST',
          '/api/roster/import',
          {},
          { people: [person('Good'), { ...there, name: 'Other' }] },
        )
      ).status,
    ).toBe(409);
    expect(await everything()).toEqual(before);
  });
  it('one change for many goes through for all, or for none when one was changed meanwhile', async () => {
    const many = [person('Bulk 1'), person('Bulk 2'), person('Bulk 3')];
    expect((await send('POST', '/api/roster/import', {}, { people: many })).body).toMatchObject({
      added: 3,
    });
    const { id: teamId } = (await send('POST', '/api/teams', {}, { value: person('Bulk team') })).body.value;
    const bulk = (versions: readonly number[], change: object) =>
      send(
        'POST',
        '/api/roster/bulk',
        {},
        { people: many.map(({ id }, i) => ({ id, version: versions[i] })), change },
      );
    const inTeam = async () =>
      Number(
        (
          await db('person')
            .whereRaw('document::text like ?', [`%${teamId}%`])
            .count('* as n')
            .first()
        )?.n,
      );
    expect((await bulk([1, 1, 2], { do: 'join', teamId })).status).toBe(409);
    expect(await inTeam()).toBe(0);
    expect((await bulk([1, 1, 1], { do: 'join', teamId })).status).toBe(200);
    expect(await inTeam()).toBe(3);
    const licence = { service: 'gmrs', holds: 'own', expires: '2033-01-01', callSign: '', class: '' };
    expect((await bulk([2, 2, 2], { do: 'licence', licence })).status).toBe(200);
    expect((await bulk([3, 3, 3], { do: 'delete' })).body).toMatchObject({ changed: 3 });
    expect(
      await db('person')
        .whereIn(
          'id',
          many.map(({ id }) => id),
        )
        .andWhere({ deleted_at: null }),
    ).toEqual([]);
  });
});

describe('spreadsheets', () => {
  const FORMULAS = ['=1+1', '+1+1', '-2+3', '@SUM(A1)', '=HYPERLINK("x")', '\t=1'];
  const get = (what: string, as: string) =>
    send('GET', '/api/roster/export', {}, undefined, undefined, `?what=${what}&as=${as}`);
  it('CSV and TSV carry no formula, and are read back as the same people', async () => {
    for (const [i, formula] of FORMULAS.entries())
      await addPerson(person(`Formula ${i}`, { note: formula.trim(), contact: formula.trim() }));
    for (const [as, delimiter] of [
      ['csv', ','],
      ['tsv', '\t'],
    ] as const) {
      const { status, body, headers } = await get('people', as);
      expect(status).toBe(200);
      expect(headers.get('content-disposition')).toBe(`attachment; filename="people.${as}"`);
      const [header = [], ...rows] = Papa.parse<string[]>(body, { delimiter }).data;
      for (const cell of rows.flat()) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      const read = readTable('person', {
        rows,
        firstLine: 2,
        mapping: guessMapping(header, columnsOf('person')),
        newId: randomUUID,
        present: [],
        names: { team: (await db('team').where({ deleted_at: null })).map((row) => row.document) },
      });
      const kept = (await db('person').where({ deleted_at: null })).map((row) =>
        PersonSchema.parse(row.document),
      );
      const plain = ({ name, contact, licences, note }: Person) =>
        JSON.stringify([name, contact, licences, note]);
      expect(read.flatMap(({ value }) => (value ? [plain(value)] : [])).sort()).toEqual(
        kept.map(plain).sort(),
      );
    }
  });
  it('JSON has the very cells of the CSV, with none of its guards', async () => {
    const { body } = await get('people', 'json');
    const table = TableFileSchema.parse(typeof body === 'string' ? JSON.parse(body) : body);
    const csv = Papa.parse<string[]>((await get('people', 'csv')).body).data;
    const meant = csv.map((row) => row.map((cell) => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)));
    expect([table.columns, ...table.rows]).toEqual(meant);
    expect(table.what).toBe('people');
  });
  it('a workbook holds texts alone, and its first sheet is read back as the same cells', async () => {
    const { body: csv } = await get('devices', 'csv');
    const route = await fetchBytes('devices');
    const book = new ExcelJS.Workbook();
    await book.xlsx.load(route.buffer as ArrayBuffer);
    book.eachSheet((sheet) =>
      sheet.eachRow((row) => row.eachCell((cell) => expect(cell.type).toBe(ExcelJS.ValueType.String))),
    );
    const { status, body } = await send('POST', '/api/roster/workbook', {}, route, XLSX);
    expect(status).toBe(200);
    expect(body.rows).toEqual(Papa.parse<string[]>(csv).data);
  });
  it('what is no workbook is said, and a formula in one is only its text', async () => {
    expect(await send('POST', '/api/roster/workbook', {}, 'PK no zip', XLSX)).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'file-unreadable' }] },
    });
    expect((await send('POST', '/api/roster/workbook', {}, 'a,b', 'text/csv')).status).toBe(415);
    const book = new ExcelJS.Workbook();
    book
      .addWorksheet('x')
      .addRow(['Name', { formula: '1+1', result: 2 }, new Date('2026-05-02T00:00:00Z'), 7]);
    const bytes = new Uint8Array(await book.xlsx.writeBuffer());
    expect((await send('POST', '/api/roster/workbook', {}, bytes, XLSX)).body.rows).toEqual([
      ['Name', '2', '2026-05-02', '7'],
    ]);
  });
  it('a workbook that is too long is refused whole, never cut', async () => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('x').getCell('A10001').value = 'last';
    const bytes = new Uint8Array(await book.xlsx.writeBuffer());
    const answer = await send('POST', '/api/roster/workbook', {}, bytes, XLSX);
    expect(answer).toMatchObject({
      status: 400,
      body: { findings: [{ detail: expect.stringContaining('10001 rows') }] },
    });
  });
  it('another what or as is nowhere', async () => {
    expect((await get('secrets', 'csv')).status).toBe(404);
    expect((await get('people', 'pdf')).status).toBe(404);
  });

  /** The bytes of a workbook, which the plain helper would take for text. */
  async function fetchBytes(what: string): Promise<Uint8Array> {
    const { ROUTES } = await import('./routes');
    const visitor = await visitorAs('coordinator');
    const route = ROUTES.find(({ method, path }) => method === 'GET' && path === '/api/roster/export');
    const request = new Request(`http://127.0.0.1/api/roster/export?what=${what}&as=xlsx`);
    const answer = await route?.handler(visitor.context(request, '/api/roster/export', {}));
    return new Uint8Array((await answer?.arrayBuffer()) ?? new ArrayBuffer(0));
  }
});

describe('words that would be more than words have no effect', () => {
  const NASTY = [
    "'; drop table person; --",
    "' or '1'='1",
    '<script>alert(1)</script>',
    '"><img src=x onerror=alert(1)>',
    '{{7*7}} <%= 7*7 %>',
    '../../etc/passwd',
    'a%00b',
    '𝕏'.repeat(20),
  ];
  it('signs that turn the reading direction unseen come off (Unicode, UAX 9)', async () => {
    const saved = await addPerson(person('Sig\u202ene\u2066 Al\u200fdane', { note: '\u202eevil' }));
    expect(saved.body.value).toMatchObject({ name: 'Signe Aldane', note: 'evil' });
  });
  it.each(NASTY)('%s stands as it was written, in every field that takes words', async (words) => {
    const people = await count('person');
    const saved = await addPerson(
      person(words, {
        contact: words,
        note: words,
        licences: [{ service: 'gmrs', holds: 'own', expires: 'unknown', callSign: '', class: '' }],
      }),
    );
    if (saved.status === 201)
      expect(saved.body.value).toMatchObject({ name: words, contact: words, note: words });
    else expect(saved.body.findings[0].path).toMatch(/^\/value\//);
    expect(await count('person')).toBe(people + (saved.status === 201 ? 1 : 0));
    const { plan } = (await send('GET', '/api/plans/[planId]', { planId })).body as { plan: Plan };
    const channel = {
      ...(plan.channels[0] as Channel),
      id: randomUUID(),
      name: words.slice(0, 40),
      note: words,
    };
    const added = await send('POST', '/api/plans/[planId]/channels', { planId }, { value: channel });
    expect([201, 400]).toContain(added.status);
    for (const search of [
      `?what=${encodeURIComponent(words)}&as=csv`,
      `?what=people&as=${encodeURIComponent(words)}`,
    ])
      expect((await send('GET', '/api/roster/export', {}, undefined, undefined, search)).status).toBe(404);
    expect((await send('POST', '/api/session', {}, { login: words, password: words })).status).toBe(401);
    expect(await count('person')).toBeGreaterThan(0);
  });
  it('control characters and line ends in a line are refused at their field', async () => {
    for (const words of ['a\nb', 'a\u0000b', 'a\u001bb'])
      expect(await addPerson(person(words))).toMatchObject({
        status: 400,
        body: { findings: [{ path: '/value/name' }] },
      });
  });
});

describe('who sees what', () => {
  it('tones for members only are masked for observers and in the public file, and there for members', async () => {
    const state = (await send('GET', '/api/plans/[planId]', { planId })).body;
    const channel = (state.plan as Plan).channels.find((c) => c.transmitTone === '131.8') as Channel;
    const at = { channelId: channel.id };
    const secret = {
      ...channel,
      name: 'Secret',
      transmitTone: '254.1',
      receiveTone: 'D754I',
      tonesSecret: true,
    };
    await send('PUT', '/api/channels/[channelId]', at, {
      version: state.channelVersions[channel.id],
      value: secret,
    });
    const [member, observer] = [await visitorAs('member'), await visitorAs('observer')];
    for (const path of ['/api/plans/[planId]', '/api/plans/[planId]/export']) {
      expect(JSON.stringify((await member.send('GET', path, { planId })).body)).toMatch(/254\.1/);
      expect(JSON.stringify((await observer.send('GET', path, { planId })).body)).not.toMatch(/254\.1|D754I/);
    }
    const open = await member.send(
      'GET',
      '/api/plans/[planId]/export',
      { planId },
      undefined,
      undefined,
      '?public',
    );
    expect(JSON.stringify(open.body)).not.toMatch(/254\.1|D754I/);
    expect(JSON.stringify((await observer.send('GET', '/api/stations/geojson')).body)).not.toMatch(
      /inputTone|outputTone/,
    );
    expect(JSON.stringify((await member.send('GET', '/api/stations/geojson')).body)).toMatch(/inputTone/);
  });
});

describe('history', () => {
  it('says who made an edit, and what it was before', async () => {
    const editor = await visitorAs('editor');
    const { body } = await editor.send('POST', '/api/people', {}, { value: person('By Tomas') });
    const row = await db('edit')
      .join('account', 'account.id', 'edit.account_id')
      .where({ 'edit.id': body.editId })
      .first();
    expect(row).toMatchObject({
      name: 'Tomas Ekrem',
      kind: 'person',
      before: null,
      after: { name: 'By Tomas' },
    });
    expect(
      (
        await (
          await visitorAs('member')
        ).send('POST', '/api/edits/[editId]/undo', { editId: body.editId }, {})
      ).status,
    ).toBe(403);
  });
  it('brings back what was deleted for 30 days, and then it is gone for good', async () => {
    const deleted = async (days: number) => {
      const value = person(`Gone for ${days} days`);
      await addPerson(value);
      const { body } = await send('DELETE', '/api/people/[id]', { id: value.id }, { version: 1 });
      const ago = db.raw(`now() - interval '${days} days'`);
      await db('person').where({ id: value.id }).update({ deleted_at: ago });
      await db('edit').where({ id: body.editId }).update({ made_at: ago });
      return { id: value.id, editId: body.editId };
    };
    const [recent, old] = [await deleted(29), await deleted(31)];
    expect((await undo(old.editId)).status).toBe(404);
    await db.transaction(purgeDeleted);
    expect(await db('person').where({ id: old.id })).toEqual([]);
    expect((await undo(recent.editId)).status).toBe(200);
    expect((await db('person').where({ id: recent.id }).first()).deleted_at).toBeNull();
  });
  it('a plan goes and comes back with its channels; the last one stays', async () => {
    const { body } = await send('POST', '/api/example', {}, {});
    const at = { planId: body.id };
    const before = (await send('GET', '/api/plans/[planId]', at)).body;
    const gone = await send('DELETE', '/api/plans/[planId]', at, { version: before.version });
    expect((await send('GET', '/api/plans/[planId]', at)).status).toBe(404);
    expect((await undo(gone.body.editId)).status).toBe(200);
    expect((await send('GET', '/api/plans/[planId]', at)).body.plan).toEqual(before.plan);
  });
});
