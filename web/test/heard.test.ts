import { randomUUID } from 'node:crypto';
import { readTable, THINGS, tableOf } from '@umbrex/core/fields';
import { heardOtherwise, heardPairs, loggedCalls, notBroken } from '@umbrex/core/heard';
import type { Heard } from '@umbrex/core/model';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ReportAnswer } from '../src/contract/card';
import type { Desk } from '../src/server/desk';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { loadDesk } = await import('../src/server/desk');
const { namesIn } = await import('../src/server/names');
const { listThings } = await import('../src/server/store/store');
const { heardOn } = await import('../src/server/heardOn');
const { findsView } = await import('../src/server/views/finds');
const { heardView } = await import('../src/server/views/heard');
const { send, visitorAs } = await import('./routes');

const db = getDb();
let desk: Desk;
let planId = '';
const channel = (name: string) => desk.state.plan.channels.find((one) => one.name === name)?.id ?? '';
const unit = (name: string) => desk.units.find((one) => one.unit.nickname === name)?.unit.id ?? '';
beforeAll(async () => {
  await ensureWorkspace(db, true, true);
  planId = (await send('GET', '/api/plans')).body[0].id;
  const workspace = await db('workspace').first('id', 'name');
  const session = { accountId: null, name: 'Ines', role: 'coordinator' as const, personId: null, workspace };
  desk = await loadDesk(db, session, planId, 'published');
}, 60_000);
afterAll(() => db.destroy());

const call = (more: Partial<Heard> = {}): Heard => ({
  id: randomUUID(),
  at: '2026-11-28T10:00:00.000Z',
  planId,
  channelId: channel('Gannet Top'),
  way: 'repeater',
  from: 'Boat 1',
  fromId: unit('Boat 1'),
  to: 'Boat 2',
  toId: null,
  heard: true,
  readability: 5,
  strength: 'unknown',
  fromWhere: '',
  toWhere: '',
  settled: 'open',
  by: '',
  note: '',
  ...more,
});
const sent = async (calls: object[], plan = planId) => {
  const answer = await send('POST', '/api/plans/[planId]/heard', { planId: plan }, { calls });
  return { status: answer.status, answers: answer.body.answers as ReportAnswer[] };
};
const there = async (id: string): Promise<Heard | undefined> =>
  (await db('heard').where({ id, deleted_at: null }).first())?.document;

describe('calls that are sent', () => {
  it('count once however often they are sent, and one that was changed since is not put back', async () => {
    const calls = [call(), call({ heard: false, readability: 'unknown' })];
    for (let n = 0; n < 3; n++)
      expect((await sent(calls)).answers.map(({ taken }) => taken)).toEqual([true, true]);
    const [first] = calls;
    const { body } = await send(
      'PUT',
      '/api/heard/[id]',
      { id: first?.id ?? '' },
      { version: 1, value: { ...first, readability: 2 } },
    );
    expect(body.version).toBe(2);
    expect((await sent(calls)).answers.map(({ taken }) => taken)).toEqual([true, true]);
    expect((await there(first?.id ?? ''))?.readability).toBe(2);
    await send('DELETE', '/api/heard/[id]', { id: first?.id ?? '' }, { version: 2 });
    const again = (await sent(calls)).answers;
    expect(again.map(({ taken }) => taken)).toEqual([false, true]);
    expect(again[0]?.why).toMatch(/taken out/);
  });
  it('two who send the same at once, and many others: each is there once', async () => {
    const calls = Array.from({ length: 6 }, () => call());
    const all = await Promise.all([sent(calls), sent(calls), ...calls.map((one) => sent([one]))]);
    expect(all.flatMap(({ answers }) => answers).every(({ taken }) => taken)).toBe(true);
    for (const { id } of calls) expect(await db('heard').where({ id })).toHaveLength(1);
  });
  it('one that cannot be taken says why, and the others are', async () => {
    const bad = [
      [call({ planId: randomUUID() }), /another plan/],
      [call({ channelId: randomUUID() }), /channel/],
      [call({ at: new Date(Date.now() + 3 * 86_400_000).toISOString() }), /ahead/],
    ] as const;
    const good = call();
    const { answers } = await sent([...bad.map(([one]) => one), good]);
    for (const [{ id }, why] of bad) {
      expect(answers.find((one) => one.id === id)).toMatchObject({
        taken: false,
        why: expect.stringMatching(why),
      });
      expect(await there(id)).toBeUndefined();
    }
    expect(answers.find((one) => one.id === good.id)?.taken).toBe(true);
  });
  it.each([
    [{ from: '' }],
    [{ at: 'noon' }],
    [{ readability: 6 }],
    [{ strength: 'huge' }],
    [{ way: 'by post' }],
    [{ note: 'a'.repeat(300) }],
    [{ heard: 'yes' }],
  ])('%j is refused, and nothing of the batch is kept', async (more) => {
    const good = call();
    expect((await sent([good, { ...call(), ...more }])).status).toBe(400);
    expect(await there(good.id)).toBeUndefined();
  });
  it('bounds the batch, and knows no plan that is not there', async () => {
    expect((await sent([])).status).toBe(400);
    expect((await sent(Array.from({ length: 101 }, () => call()))).status).toBe(400);
    expect((await sent([call()], randomUUID())).status).toBe(404);
  });
  it('of a set that is gone keeps the words', async () => {
    const one = call({ fromId: randomUUID() });
    expect((await sent([one])).answers[0]?.taken).toBe(true);
    expect(await there(one.id)).toMatchObject({ from: 'Boat 1', fromId: null });
  });
  it('is undone and brought back like everything', async () => {
    const one = call();
    await sent([one]);
    const { body } = await send('DELETE', '/api/heard/[id]', { id: one.id }, { version: 1 });
    expect(await there(one.id)).toBeUndefined();
    await send('POST', '/api/edits/[editId]/undo', { editId: body.editId }, {});
    expect(await there(one.id)).toEqual(one);
  });
  it('is written by editors, and by nobody below', async () => {
    const member = await visitorAs('member');
    expect(
      (await member.send('POST', '/api/plans/[planId]/heard', { planId }, { calls: [call()] })).status,
    ).toBe(403);
    const editor = await visitorAs('editor');
    expect(
      (await editor.send('POST', '/api/plans/[planId]/heard', { planId }, { calls: [call()] })).status,
    ).toBe(200);
  });
});

describe('the log as a table', () => {
  it('goes out as CSV and comes in as it was; what is there already is left out', async () => {
    const { body } = await send(
      'GET',
      '/api/roster/export',
      {},
      undefined,
      undefined,
      `?what=calls&as=csv&plan=${planId}`,
    );
    const text = typeof body === 'string' ? body : new TextDecoder().decode(body);
    const [header = [], ...rows] = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trim()).data;
    const names = await namesIn(db, desk.workspace.id);
    const own = (await listThings(db, 'heard', desk.workspace.id, { plan_id: planId })).map(
      ({ value }) => value,
    );
    expect(rows).toHaveLength(own.length);
    const input = { rows, mapping: header, firstLine: 2, newId: randomUUID, names };
    const read = readTable('heard', { ...input, present: [] });
    const key = ({ id: _, ...rest }: Heard) => JSON.stringify(rest);
    const fresh = read.flatMap(({ value, twice }) => (value ? [key(value)] : twice ? ['twice'] : []));
    const once = new Set(own.map(THINGS.heard.marks).map(String));
    expect(new Set(fresh.filter((one) => one !== 'twice'))).toEqual(
      new Set(own.map(key).filter((one) => fresh.includes(one))),
    );
    expect(fresh.filter((one) => one !== 'twice')).toHaveLength(once.size);
    expect(readTable('heard', { ...input, present: own }).every(({ twice }) => twice)).toBe(true);
    const value = call({ at: '2026-10-01T10:00:00.000Z' });
    const answer = await send('POST', '/api/roster/import', {}, { planId, calls: [value] });
    expect([answer.status, answer.body.added]).toEqual([201, 1]);
    expect(await there(value.id)).toEqual(value);
  });
  it('takes a table of others: who, whom, when and on which channel; what is not said is asked', () => {
    const names = {
      plan: [{ id: planId, name: 'Ostrel plan' }],
      channel: [{ id: channel('Gannet Top'), name: 'Gannet Top' }],
    };
    const header = ['Who', 'Whom', 'When', 'Channel', 'Heard', 'R'];
    const mapping = ['From', 'To', 'Time', 'Channel', 'Heard', 'Readability'];
    const rows = [
      ['Boat 1', 'Clinic', '2026-11-02T10:00:00Z', 'Gannet Top', 'yes', '4'],
      ['Boat 1', 'Clinic', '2026-11-02T10:01:00Z', 'Gannet Top', '', ''],
      ['Boat 1', 'Clinic', 'last Monday', 'Gannet Top', 'no', ''],
      ['Boat 1', 'Clinic', '2026-11-02T10:02:00Z', 'Hill', 'no', '9'],
    ];
    expect(header).toHaveLength(mapping.length);
    const read = readTable('heard', { rows, mapping, firstLine: 2, newId: randomUUID, present: [], names });
    expect(read[0]?.value).toMatchObject({
      from: 'Boat 1',
      fromId: null,
      heard: true,
      readability: 4,
      planId,
    });
    expect(read.slice(1).map(({ findings }) => findings.map((f) => 'column' in f && f.column))).toEqual([
      ['Heard'],
      ['Time'],
      ['Channel', 'Readability'],
    ]);
  });
  it('of a workspace goes out by its plan only', async () => {
    const { status } = await send(
      'GET',
      '/api/roster/export',
      {},
      undefined,
      undefined,
      '?what=calls&as=csv',
    );
    expect(status).toBe(404);
    const [row] = tableOf('heard', [], {});
    expect(row?.slice(0, 3)).toEqual(['Time', 'Plan', 'Channel']);
  });
});

describe('a radio check on the day of the load', () => {
  it('counts in full once it was said that the set is loaded, and less before', async () => {
    const nickname = 'Club 6';
    const row = await db('unit')
      .where({ id: unit(nickname) })
      .first('version');
    const day = new Date().toLocaleDateString('sv');
    const seen = { what: 'loaded', of: 3, way: 'keys', day };
    const sets = [{ id: unit(nickname), version: row.version }];
    const before = new Date(Date.now() - 1000).toISOString();
    expect((await send('POST', '/api/plans/[planId]/seen', { planId }, { sets, seen })).status).toBe(201);
    const after = new Date(Date.now() + 1000).toISOString();
    const calls = [before, after].map((at) =>
      call({ at, from: 'Ridge 3', fromId: unit('Ridge 3'), to: nickname, toId: unit(nickname), by: '' }),
    );
    await sent(calls);
    const workspace = await db('workspace').first('id', 'name');
    const session = {
      accountId: null,
      name: 'Ines',
      role: 'coordinator' as const,
      personId: null,
      workspace,
    };
    const pairs = await heardOn(db, await loadDesk(db, session, planId, 'published'), channel('Gannet Top'));
    const pair = pairs.find((one) => one.fromId === unit('Ridge 3') && one.toId === unit(nickname));
    // Loaded just now: nobody has heard what it holds before that.
    expect(pair?.calls.map(({ weighs }) => weighs)).toEqual(['full', 'day-of-load']);
    expect(pair?.hears).toBe(true);
  });
});

describe('the demo’s month', () => {
  const said = async (name: string) => {
    const view = await heardView(db, desk, channel(name));
    if (!view) throw new Error('no view');
    expect(JSON.parse(JSON.stringify(view))).toEqual(view);
    const names = new Map(view.known.roster.units.map(({ id, nickname }) => [id, nickname]));
    // What other tests wrote has nobody as its writer.
    const shipped = view.calls.map(({ value }) => value).filter(({ by }) => by !== '');
    const calls = [...loggedCalls(shipped, [], view.known.roster), ...view.ofNets];
    const day = (at: string) => at.slice(0, 10);
    const pairs = heardPairs(calls, view.air.channel.id, (id) => view.writtenOn[id] ?? null, day);
    const on = {
      sets: view.air.sets.map(({ unitId, set }) => ({ unitId, set })),
      repeaters: view.air.repeaters.map(({ between }) => between),
    };
    return {
      pairs,
      differ: heardOtherwise(pairs, on).map(({ pair, likely }) => [
        names.get(pair.fromId),
        names.get(pair.toId),
        likely,
      ]),
      broken: notBroken(pairs, on).map(({ unitId, side, stop }) => [names.get(unitId), side, stop.gate]),
    };
  };
  it('has a set that nobody hears and that is not broken, and one that holds another thing than is written', async () => {
    const { differ, broken, pairs } = await said('Gannet Top');
    expect(broken).toEqual([['Club 8', 'from', 'input-tone']]);
    expect(differ.toSorted()).toEqual([
      ['Watch 7', 'Boat 1', 'from-set'],
      ['Watch 7', 'Watch 5', 'from-set'],
    ]);
    // Before a set was loaded a call counts less, and says so.
    expect(pairs.filter(({ hears }) => hears === 'old').length).toBeGreaterThan(0);
  });
  it('has a signal that does not get there', async () => {
    expect((await said('Market day')).differ).toEqual([['Boat 1', 'Ridge 3', 'reach']]);
  });
  it('takes the check-ins of its net', async () => {
    const { pairs } = await said('Kelp Stairs');
    expect(pairs).toHaveLength(3);
    expect(pairs.every(({ hears, calls }) => hears !== false && calls[0]?.call.source === 'net')).toBe(true);
  });
});

describe('finds', () => {
  const find = (more: object = {}) => ({
    id: randomUUID(),
    at: '2026-11-28T10:00:00.000Z',
    receiveHz: 154_265_000,
    tone: 'unknown',
    heard: 'pumps and hose talk',
    where: 'the quay',
    unitId: null,
    state: 'open',
    by: 'Ines',
    ...more,
  });
  it('are looked up in the plan, and say where a scan leaves them out', async () => {
    const [own, other] = [find(), find({ receiveHz: 301_000_000 })];
    for (const value of [own, other])
      expect((await send('POST', '/api/finds', {}, { value })).status).toBe(201);
    const view = await findsView(db, desk);
    expect(JSON.parse(JSON.stringify(view))).toEqual(view);
    expect(view.known[own.id]).toMatchObject({ isInPlan: true });
    expect(view.known[own.id]?.may[0]).toMatch(/Fire ground of the plan/);
    expect(view.known[other.id]).toMatchObject({ isInPlan: false, may: [], leftOut: [] });
    expect(view.sets.length).toBeGreaterThan(2);
    const version = view.finds.find(({ value }) => value.id === own.id)?.version ?? 0;
    const saved = await send(
      'PUT',
      '/api/finds/[id]',
      { id: own.id },
      { version, value: { ...own, state: 'remark' } },
    );
    expect(saved.body.value.state).toBe('remark');
    const gone = await send('DELETE', '/api/finds/[id]', { id: own.id }, { version: version + 1 });
    await send('POST', '/api/edits/[editId]/undo', { editId: gone.body.editId }, {});
    expect((await findsView(db, desk)).finds.map(({ value }) => value.id)).toContain(own.id);
  });
  it.each([
    { receiveHz: 1 },
    { tone: 'loud' },
    { state: 'sold' },
    { at: 'noon' },
    { heard: 'a'.repeat(300) },
  ])('%j is refused', async (more) => {
    expect((await send('POST', '/api/finds', {}, { value: find(more) })).status).toBe(400);
  });
});
