import { randomUUID } from 'node:crypto';
import { awayOf, countThere } from '@umbrex/core/evidence';
import type { Channel, Plan, Unit } from '@umbrex/core/model';
import { toTryOf } from '@umbrex/core/verify';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { PublishView } from '../src/contract/revisions';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { loadDesk } = await import('../src/server/desk');
const { planFor } = await import('../src/server/planFor');
const { purgeDeleted } = await import('../src/server/repositories/edits');
const { contentOf, listRevisions, revisionPlan } = await import('../src/server/repositories/revisions');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { preparedFor } = await import('../src/server/sheetPage');
const { toTryFor } = await import('../src/server/verification');
const { compareView } = await import('../src/server/views/revisions');
const { rolloutView } = await import('../src/server/views/rollout');
const { todayView } = await import('../src/server/views/today');
const { benchView, waysOf } = await import('../src/server/views/bench');
const { publishView } = await import('../src/server/views/publish');
const { send, visitorAs } = await import('./routes');

const db = getDb();
const at = (more: object = {}) => ({ planId, ...more });
let planId = '';
let workspace: { id: string; name: string };
beforeAll(async () => {
  await ensureWorkspace(db, true);
  // A few sets are enough, of kinds that differ; one of them is the member's.
  await db('unit')
    .whereRaw(`document->>'nickname' not in ('Watch 1', 'Club 1', 'Neighbour 1', 'Truck 1', 'Hall alert')`)
    .delete();
  const first = await firstWorkspace(db);
  if (!first) throw new Error('no workspace');
  workspace = first;
  planId = (await send('GET', '/api/plans')).body[0].id;
});
afterAll(() => db.destroy());

const looked = async (): Promise<PublishView> =>
  (await send('GET', '/api/plans/[planId]/publishing', at())).body;
const overruledAll = (view: PublishView) =>
  view.blockers.map(({ mark }) => ({ mark, reason: 'known, and settled by hand' }));
const publishing = (view: PublishView, more: object = {}) => ({
  draft: view.draft,
  after: view.after,
  reason: 'A new tone',
  effectiveFrom: '2026-11-01',
  overruled: overruledAll(view),
  ...more,
});
const publish = async (more: object = {}) => {
  const view = await looked();
  return send('POST', '/api/plans/[planId]/revisions', at(), publishing(view, more));
};
const draft = async (): Promise<{ plan: Plan; version: number; channelVersions: Record<string, number> }> =>
  (await send('GET', '/api/plans/[planId]', at())).body;
const change = async (name: string, part: Partial<Channel>) => {
  const { plan, channelVersions } = await draft();
  const channel = plan.channels.find((one) => one.name === name);
  if (!channel) throw new Error(`no ${name}`);
  const body = { version: channelVersions[channel.id], value: { ...channel, ...part } };
  expect((await send('PUT', '/api/channels/[channelId]', { channelId: channel.id }, body)).status).toBe(200);
};
const revisions = async () => (await send('GET', '/api/plans/[planId]/revisions', at())).body;
const row = async (nickname: string): Promise<{ value: Unit; version: number }> => {
  const found = await db('unit').whereRaw(`document->>'nickname' = ?`, [nickname]).first();
  return { value: found.document, version: found.version };
};
const seenOf = async (nicknames: string[], seen: object, visitor?: { send: typeof send }) => {
  const sets = await Promise.all(
    nicknames.map(async (name) => {
      const { value, version } = await row(name);
      return { id: value.id, version };
    }),
  );
  return (visitor?.send.bind(visitor) ?? send)('POST', '/api/plans/[planId]/seen', at(), { sets, seen });
};
const undo = (editId: string) => send('POST', '/api/edits/[editId]/undo', { editId }, {});
const desk = (of: 'draft' | 'published' | number = 'published', role = 'coordinator') =>
  loadDesk(db, { accountId: null, name: 'Ines', role, personId: null, workspace } as never, planId, of);
const standings = async (of: 'published' | number = 'published') => {
  const view = await rolloutView(db, await desk(of));
  return Object.fromEntries(view?.rows.map(({ nickname, standing }) => [nickname, standing]) ?? []);
};

describe('publishing', () => {
  it('is stopped by what Check, permissions and sheets say, until it is mended or overruled with a reason', async () => {
    const view = await looked();
    expect(view.after).toBe(0);
    expect(view.cost).toMatchObject({ sets: 5, touched: 5 });
    expect(view.blockers.map(({ code }) => code)).toContain('permission-open');
    const [first, ...others] = overruledAll(view);
    const refused = await send(
      'POST',
      '/api/plans/[planId]/revisions',
      at(),
      publishing(view, { overruled: others }),
    );
    expect(refused.status).toBe(400);
    expect(refused.body.findings).toEqual([
      expect.objectContaining({
        code: 'publish-stopped',
        words: expect.stringMatching(/nobody has settled/),
      }),
    ]);
    expect(first).toBeDefined();
    for (const bad of [
      { reason: '' },
      { reason: '  ' },
      { effectiveFrom: 'soon' },
      { effectiveFrom: '2026-02-30' },
      { overruled: [{ mark: first?.mark, reason: ' ' }] },
      { decided: ['weather'] },
      { draft: 'x' },
      { after: -1 },
    ])
      expect(
        (await send('POST', '/api/plans/[planId]/revisions', at(), publishing(view, bad))).status,
        JSON.stringify(bad),
      ).toBe(400);
    expect(await revisions()).toEqual([]);
  });
  it('freezes the plan, its numbering, the descriptions, who, when, why and what was overruled', async () => {
    const made = await publish({ decided: ['tones'] });
    expect([made.status, made.body.number]).toEqual([201, 1]);
    const { plan } = await draft();
    expect(await revisionPlan(db, workspace.id, planId, 1)).toEqual(plan);
    const [head] = await revisions();
    expect(head).toMatchObject({
      number: 1,
      by: 'Ines Korvald',
      reason: 'A new tone',
      effectiveFrom: '2026-11-01',
      withdrawn: null,
    });
    expect(head.overruled[0]).toMatchObject({
      reason: 'known, and settled by hand',
      words: expect.stringMatching(/nobody has settled/),
    });
    expect(head.decided).toEqual([
      expect.objectContaining({ choice: 'tones', value: plan.receivePolicy, by: 'Ines Korvald' }),
    ]);
    const kinds = await db('description').where({ workspace_id: workspace.id }).select('id', 'document');
    expect(Object.keys(head.descriptions).sort()).toEqual(kinds.map(({ id }) => id).sort());
    for (const { id, document } of kinds)
      expect(await contentOf(db, head.descriptions[id])).toEqual(document);
    const file = await send('GET', '/api/plans/[planId]/revisions/[number]', at({ number: '1' }));
    expect(file.body).toMatchObject({ format: 'umbrex/revision@1', number: 1, plan: { id: planId } });
  });
  it('is for good: the database itself refuses to change, delete or empty what was published', async () => {
    for (const statement of [
      `update revision set number = 9`,
      `update revision set document = document || '{"reason": "another"}'`,
      `delete from revision`,
      `truncate revision cascade`,
      `update content set document = '{}'`,
      `delete from content`,
      `delete from plan where id = '${planId}'`,
    ])
      await expect(db.raw(statement), statement).rejects.toThrow(/never changes|violates foreign key/);
    expect((await revisions()).length).toBe(1);
    await change('Kelp Stairs', { transmitTone: '141.3' });
    expect(
      (await revisionPlan(db, workspace.id, planId, 1)).channels.find(({ name }) => name === 'Kelp Stairs')
        ?.transmitTone,
    ).toBe('131.8');
  });
  it('of two at once one wins, and the other sees what happened', async () => {
    const view = await looked();
    const editor = await visitorAs('coordinator');
    const [a, b] = await Promise.all([
      send('POST', '/api/plans/[planId]/revisions', at(), publishing(view, { reason: 'Mine' })),
      editor.send('POST', '/api/plans/[planId]/revisions', at(), publishing(view, { reason: 'Theirs' })),
    ]);
    expect([a.status, b.status].sort()).toEqual([201, 409]);
    const lost = a.status === 409 ? a : b;
    const won = a.status === 409 ? 'Theirs' : 'Mine';
    expect(lost.body.current.newest).toMatchObject({ number: 2, reason: won });
    expect((await revisions()).map(({ number }: { number: number }) => number)).toEqual([2, 1]);
  });
  it('is of the draft that was looked at: one that changed meanwhile is looked at again', async () => {
    const view = await looked();
    await change('Kelp Stairs', { transmitTone: '146.2' });
    const late = await send('POST', '/api/plans/[planId]/revisions', at(), publishing(view));
    expect([late.status, late.body.current.newest.number]).toEqual([409, 2]);
    expect((await publish({ reason: 'Kelp again' })).body.number).toBe(3);
  });
  it('is a coordinator’s; what was published is nothing for observers, and secret tones stay hidden from them', async () => {
    const view = await looked();
    for (const role of ['editor', 'member', 'observer'] as const)
      expect(
        (await (await visitorAs(role)).send('POST', '/api/plans/[planId]/revisions', at(), publishing(view)))
          .status,
      ).toBe(403);
    expect(
      (await (await visitorAs('observer')).send('GET', '/api/plans/[planId]/revisions', at())).status,
    ).toBe(403);
    await change('Kelp Stairs', { tonesSecret: true });
    expect((await publish({ reason: 'Secret' })).body.number).toBe(4);
    const seen = (role: string) => planFor(db, { workspace, role } as never, planId, 4);
    const tone = async (role: string) =>
      (await seen(role)).plan.channels.find(({ name }) => name === 'Kelp Stairs')?.transmitTone;
    expect([await tone('member'), await tone('observer')]).toEqual(['146.2', 'unknown']);
  });
  it('of a plan that is deleted keeps the plan: nothing that was published is ever purged', async () => {
    await db('plan')
      .where({ id: planId })
      .update({ deleted_at: db.raw(`now() - interval '60 days'`) });
    await db.transaction(purgeDeleted);
    await db('plan').where({ id: planId }).update({ deleted_at: null });
    expect((await revisions()).length).toBe(4);
    expect((await draft()).plan.channels.length).toBeGreaterThan(40);
  });
  it('a number that is nowhere, and words for a number, are not found', async () => {
    for (const number of ['77', '0', 'x', '-1', '1e3', '99999999'])
      expect(
        (await send('GET', '/api/plans/[planId]/revisions/[number]', at({ number }))).status,
        number,
      ).toBe(404);
  });
});

describe('comparing', () => {
  it('says by channel what a member would do otherwise, and by set and person what it takes', async () => {
    const view = await compareView(db, await desk('draft'), 1, 3);
    expect(view?.lines).toEqual([
      expect.objectContaining({
        what: 'changed',
        name: 'Kelp Stairs',
        words: ['you send 146.2 Hz, was 131.8 Hz'],
      }),
    ]);
    const sets = new Map(view?.sets.map((set) => [set.nickname, set]));
    expect(sets.get('Watch 1')).toMatchObject({ way: 'keys', labels: [expect.any(String)] });
    expect(sets.get('Watch 1')?.presses).toBeLessThan(40);
    expect(sets.has('Hall alert')).toBe(false);
    expect(view?.people.every(({ sets: theirs, of, minutes }) => theirs <= of && minutes > 0)).toBe(true);
    const back = await compareView(db, await desk('draft'), 3, 3);
    expect([back?.lines, back?.sets, back?.people]).toEqual([[], [], []]);
  });
  it('shows a member their own sets and nobody’s name', async () => {
    const mine = await compareView(db, await desk('draft', 'member'), 1, 3);
    expect([mine?.sets, mine?.people]).toEqual([[], []]);
  });
});

describe('a revision that was withdrawn', () => {
  it('stays, marked with who and why; sets should hold the one before, and it cannot be withdrawn twice', async () => {
    const body = { reason: 'The repeater went back' };
    const withdraw = (number: string, why: object = body) =>
      send('POST', '/api/plans/[planId]/revisions/[number]/withdraw', at({ number }), why);
    expect((await withdraw('4', { reason: ' ' })).status).toBe(400);
    expect((await withdraw('9')).status).toBe(404);
    expect((await withdraw('4')).status).toBe(200);
    expect((await withdraw('4')).status).toBe(409);
    const [head] = await listRevisions(db, workspace.id, planId);
    expect(head).toMatchObject({
      number: 4,
      withdrawn: { by: 'Ines Korvald', reason: 'The repeater went back' },
    });
    expect((await desk()).shown).toBe(3);
    // It can be looked at all the same.
    expect((await desk(4)).shown).toBe(4);
    await expect(db.raw(`delete from withdrawal`)).rejects.toThrow(/never changes/);
  });
  it('does not count for a day before it is in force', async () => {
    expect((await publish({ reason: 'From next year on', effectiveFrom: '2199-01-01' })).body.number).toBe(5);
    expect((await desk()).shown).toBe(3);
  });
});

describe('a draft that begins again', () => {
  it('is what the revision was: channels back, gone and as they were, in their order, in one move', async () => {
    const { plan, channelVersions } = await draft();
    const [first, second] = plan.channels as [Channel, Channel];
    await send(
      'DELETE',
      '/api/channels/[channelId]',
      { channelId: first.id },
      { version: channelVersions[first.id] },
    );
    const extra = { ...second, id: randomUUID(), name: 'Extra' };
    await send('POST', '/api/plans/[planId]/channels', at(), { value: extra });
    const changed = await draft();
    const order = changed.plan.channels.map(({ id, groupId }) => ({ id, groupId })).reverse();
    expect(
      (await send('PUT', '/api/plans/[planId]/order', at(), { version: changed.version, order })).status,
    ).toBe(200);
    const before = await draft();
    const path = '/api/plans/[planId]/revisions/[number]/draft';
    expect((await send('POST', path, at({ number: '1' }), { version: before.version - 1 })).status).toBe(409);
    expect((await send('POST', path, at({ number: '88' }), { version: before.version })).status).toBe(404);
    const done = await send('POST', path, at({ number: '1' }), { version: before.version });
    expect(done.status).toBe(200);
    expect((await draft()).plan).toEqual(await revisionPlan(db, workspace.id, planId, 1));
    expect((await undo(done.body.editId)).status).toBe(200);
    expect((await draft()).plan).toEqual(before.plan);
  });
});

describe('what was seen of sets', () => {
  const loaded = { what: 'loaded', of: 3, way: 'keys', day: '2026-11-20' };
  it('is on record: one that was loaded holds what its sheet gives, and that can be taken back', async () => {
    expect(await standings()).toMatchObject({
      'Watch 1': { state: 'unknown' },
      'Truck 1': { state: 'unknown' },
    });
    const done = await seenOf(['Watch 1', 'Truck 1'], loaded);
    expect(done.status).toBe(201);
    const { value } = await row('Watch 1');
    expect(value.timeline).toEqual([
      expect.objectContaining({
        what: 'loaded',
        planId,
        revision: 3,
        way: 'keys',
        day: '2026-11-20',
        by: 'Ines Korvald',
        described: expect.stringMatching(/^[0-9a-f]{64}$/),
      }),
    ]);
    expect(value.holds).toMatchObject({ what: 'plan', on: '2026-11-20' });
    const held = { state: 'held', number: 3, loadedAs: null, checked: 'unchecked', kindChanged: false };
    expect(await standings()).toMatchObject({ 'Watch 1': held, 'Truck 1': held });
    expect((await undo(done.body.editId)).status).toBe(200);
    expect((await row('Watch 1')).value.timeline).toEqual([]);
    expect(await standings()).toMatchObject({
      'Watch 1': { state: 'unknown' },
      'Truck 1': { state: 'unknown' },
    });
  });
  it('is decided by what it holds: loaded with 1 and up to date with 3 where that changes nothing in it', async () => {
    expect((await seenOf(['Watch 1', 'Neighbour 1'], { ...loaded, of: 1 })).status).toBe(201);
    expect(await standings()).toMatchObject({
      'Watch 1': { state: 'late', at: 1 },
      // Direct channels alone: the repeater's tone is nothing to it.
      'Neighbour 1': { state: 'held', number: 3, loadedAs: 1 },
    });
    // Its change sheet is small at once, with nothing to let go.
    const view = await rolloutView(db, await desk());
    const late = view?.rows.find(({ nickname }) => nickname === 'Watch 1');
    expect(late?.presses).toBeGreaterThan(0);
    expect(late?.presses).toBeLessThan(40);
    expect(view?.coverage.find(({ name }) => name === 'Kelp Stairs')).toMatchObject({ held: 0 });
    expect(view?.coverage.find(({ name }) => name === 'Gannet Top')?.held).toBe(1);
    const due = (await todayView(await desk('draft'))).due.find(({ code }) => code === 'units-to-change');
    expect(due?.items.map(({ name }) => name)).toEqual(['Watch 1']);
  });
  it('is checked, found otherwise, lent: each an entry with its word', async () => {
    const tried = { what: 'checked', check: 'read-back', result: 'pass', day: '2026-11-21', note: '' };
    expect((await seenOf(['Neighbour 1'], tried)).status).toBe(201);
    // Read back as a whole; not spoken with, not switched off and on.
    expect((await standings())['Neighbour 1']).toMatchObject({ state: 'held', checked: 'partly' });
    const now = await desk();
    const { value: unit } = await row('Neighbour 1');
    const kind = now.descriptions.find(({ description: { id } }) => id === unit.descriptionId);
    if (!kind) throw new Error('no kind');
    const { description } = kind;
    const { found } = toTryFor(now)({ unit, description, prepared: preparedFor(now)(kind, unit) });
    const left = toTryOf(found).filter(({ check }) => check !== 'read-back');
    expect(left.length).toBeGreaterThan(1);
    for (const one of left) {
      expect((await standings())['Neighbour 1']).toMatchObject({ checked: 'partly' });
      expect((await seenOf(['Neighbour 1'], { ...tried, ...one })).status).toBe(201);
    }
    expect((await standings())['Neighbour 1']).toMatchObject({ state: 'held', checked: 'checked' });
    expect((await seenOf(['Neighbour 1'], { what: 'lent', to: 'School', day: '2026-11-22' })).status).toBe(
      201,
    );
    expect(
      (await rolloutView(db, await desk()))?.rows.find(({ nickname }) => nickname === 'Neighbour 1'),
    ).toMatchObject({ lentTo: 'School' });
    expect(
      (await seenOf(['Neighbour 1'], { what: 'contradicted', day: '2026-11-23', note: 'no tone' })).status,
    ).toBe(201);
    expect((await standings())['Neighbour 1']).toMatchObject({ state: 'unknown' });
    expect((await row('Neighbour 1')).value.timeline.map(({ what }) => what)).toEqual([
      'loaded',
      'checked',
      ...left.map(() => 'checked'),
      'lent',
      'contradicted',
    ]);
  });
  it('is lost and found: nothing is asked of it meanwhile, on the rollout, on Today, on a bench day, before publishing and between two states', async () => {
    const word = (is: string) => ({ what: 'condition', is, day: '2026-11-24', note: '' });
    const named = ({ nickname }: { nickname: string }) => nickname === 'Watch 1';
    const seen = async () => {
      const now = await desk();
      const draft = await desk('draft');
      const [rollout, bench, publish, compare, { due }] = await Promise.all([
        rolloutView(db, now),
        benchView(db, now),
        publishView(db, draft),
        compareView(db, draft, 1, 'draft'),
        todayView(draft),
      ]);
      const unitId = bench.sets.find(named)?.id ?? '';
      const dealt = await waysOf(now, { setIds: [unitId], masterIds: [], standMin: 5 });
      const one = rollout?.rows.find(named);
      const kind = draft.board.kinds.find(({ unitIds }) => unitIds.includes(unitId));
      const column = countThere(kind?.unitIds ?? [], awayOf(draft.units.map(({ unit }) => unit)));
      return {
        column: [column.there, column.away],
        standing: one?.standing,
        minutes: one?.minutes,
        of: rollout?.coverage.find(({ name }) => name === 'Kelp Stairs')?.of,
        bench: bench.sets.find(named)?.standing,
        dealt: [dealt.sets.length, dealt.left.map(({ why }) => why)],
        counted: publish.cost.sets,
        costs: publish.sheets.some((sheet) => sheet.unitId === unitId),
        between: compare?.sets.some(named),
        away: [publish.away.length, compare?.away],
        due: due.flatMap(({ code, items }) => (items.some(({ name }) => name === 'Watch 1') ? [code] : [])),
      };
    };
    const before = await seen();
    const [there = 0] = before.column;
    expect(before).toMatchObject({
      column: [there, 0],
      bench: 'late',
      between: true,
      dealt: [1, []],
      costs: true,
      away: [0, 0],
    });
    expect((await seenOf(['Watch 1'], word('lost'))).status).toBe(201);
    const lost = await seen();
    expect(there).toBeGreaterThan(0);
    expect(lost).toEqual({
      column: [there - 1, 1],
      standing: { state: 'away', is: 'lost' },
      minutes: 0,
      of: (before.of ?? 0) - 1,
      bench: 'away',
      dealt: [0, ['away']],
      counted: before.counted - 1,
      costs: false,
      between: false,
      away: [1, 1],
      due: ['units-lost'],
    });
    expect((await seenOf(['Watch 1'], word('well'))).status).toBe(201);
    expect(await seen()).toEqual(before);
  });
  it('says of a right that ended since that it did: a notice and a change sheet, no other revision', async () => {
    const held = await row('Watch 1');
    const people = await db('person').whereRaw(`document->>'name' = 'Ines Korvald'`);
    const [ines] = people;
    const unitId = held.value.id;
    const given = { ...held.value, personId: ines.id };
    expect(
      (await send('PUT', '/api/units/[unitId]', { unitId }, { version: held.version, value: given })).status,
    ).toBe(200);
    expect((await seenOf(['Watch 1'], loaded)).status).toBe(201);
    expect((await standings())['Watch 1']).toMatchObject({ state: 'held' });
    const due = async (code: string) =>
      (await todayView(await desk('draft'))).due
        .find((one) => one.code === code)
        ?.items.map(({ name }) => name) ?? [];
    expect(await due('rights-ended')).toEqual([]);
    const licences = ines.document.licences.map((one: object) => ({ ...one, expires: '2026-11-25' }));
    const over = await send(
      'PUT',
      '/api/people/[id]',
      { id: ines.id },
      { version: ines.version, value: { ...ines.document, licences } },
    );
    expect(over.status).toBe(200);
    expect((await standings())['Watch 1']).toMatchObject({ state: 'late', rightEnded: true });
    expect(await due('rights-ended')).toEqual(['Watch 1']);
    expect(await due('units-to-change')).not.toContain('Watch 1');
    // A renewal takes notice and sheet back.
    expect((await undo(over.body.editId)).status).toBe(200);
    expect((await standings())['Watch 1']).toMatchObject({ state: 'held' });
    expect(await due('rights-ended')).toEqual([]);
  });
  it('marks what was loaded by a description that was corrected since', async () => {
    await seenOf(['Truck 1'], loaded);
    const found = await db('description').where({ id: 'zoned-mobile' }).first();
    const body = {
      version: found.version,
      description: { ...found.document, title: 'Zoned mobile, corrected' },
    };
    expect(
      (await send('PUT', '/api/descriptions/[descriptionId]', { descriptionId: 'zoned-mobile' }, body))
        .status,
    ).toBe(200);
    expect((await standings())['Truck 1']).toMatchObject({ state: 'held', kindChanged: true });
  });
  it('is refused whole where one of the sets was changed meanwhile, is not there, or has no sheet that is ready', async () => {
    const { value, version } = await row('Club 1');
    const other = await row('Watch 1');
    const say = (sets: object[], seen: object = loaded) =>
      send('POST', '/api/plans/[planId]/seen', at(), { sets, seen });
    expect(
      (
        await say([
          { id: value.id, version },
          { id: other.value.id, version: other.version - 1 },
        ])
      ).status,
    ).toBe(409);
    expect(
      (
        await say([
          { id: value.id, version },
          { id: randomUUID(), version: 1 },
        ])
      ).status,
    ).toBe(404);
    // Somebody's own stands in its places, and nobody let it go.
    const own = {
      what: 'read',
      on: '2026-11-01',
      rest: 'factory',
      places: [{ number: 45, values: { rx: 462_700_000 } }],
    };
    await send(
      'PUT',
      '/api/units/[unitId]',
      { unitId: other.value.id },
      { version: other.version, value: { ...other.value, holds: own } },
    );
    const refused = await seenOf(['Club 1', 'Watch 1'], loaded);
    if (refused.status !== 201)
      expect(refused.body.findings[0]).toMatchObject({ code: 'sheet-not-ready', nickname: 'Watch 1' });
    expect((await row('Club 1')).version).toBe(refused.status === 201 ? version + 1 : version);
    for (const seen of [
      { what: 'read', day: '2026-11-01' },
      { ...loaded, of: 99 },
      { ...loaded, of: 'soon' },
      { ...loaded, day: 'Friday' },
      { what: 'checked', check: 'read-back', result: 'silence', day: '2026-11-01', note: '' },
      { what: 'lent', to: '', day: '2026-11-01' },
    ])
      expect([400, 404]).toContain((await seenOf(['Club 1'], seen)).status);
  });
  it('is written down also where somebody says in a form what a set holds', async () => {
    const { value, version } = await row('Hall alert');
    const holds = { ...value.holds, what: 'factory', on: '2026-11-02', rest: 'factory' };
    const saved = await send(
      'PUT',
      '/api/units/[unitId]',
      { unitId: value.id },
      { version, value: { ...value, holds } },
    );
    expect(saved.body.value.timeline).toEqual([
      expect.objectContaining({ what: 'factory', day: '2026-11-02', by: 'Ines Korvald' }),
    ]);
    expect((await undo(saved.body.editId)).status).toBe(200);
    expect((await row('Hall alert')).value.timeline).toEqual([]);
  });
  it('has whoever let go of places of their own, and which', async () => {
    const { value, version } = await row('Hall alert');
    const path = { unitId: value.id };
    const saved = await send('PUT', '/api/units/[unitId]', path, {
      version,
      value: { ...value, accepts: [3, 4] },
    });
    const entry = { what: 'let-go', numbers: [3, 4], by: 'Ines Korvald' };
    expect(saved.body.value.timeline).toEqual([expect.objectContaining(entry)]);
    // More of them is an entry more, of those alone; fewer is none.
    const next = (accepts: number[], of: { value: Unit; version: number }) =>
      send('PUT', '/api/units/[unitId]', path, { version: of.version, value: { ...of.value, accepts } });
    const more = await next([3, 4, 9], saved.body);
    expect(more.body.value.timeline.at(-1)).toMatchObject({ what: 'let-go', numbers: [9] });
    const fewer = await next([3], more.body);
    expect(fewer.body.value.timeline).toHaveLength(2);
    for (const { editId } of [fewer.body, more.body, saved.body])
      expect((await undo(editId)).status).toBe(200);
    expect((await row('Hall alert')).value.timeline).toEqual([]);
  });
  it('of their own sets members say it too, of no others', async () => {
    const member = await visitorAs('member');
    const account = await db('membership').where({ role: 'member' }).first();
    const { value, version } = await row('Club 1');
    await send(
      'PUT',
      '/api/units/[unitId]',
      { unitId: value.id },
      { version, value: { ...value, personId: account.person_id } },
    );
    const tried = { what: 'checked', check: 'heard', result: 'pass', day: '2026-11-21', note: '' };
    expect((await seenOf(['Club 1'], tried, member)).status).toBe(201);
    expect((await row('Club 1')).value.timeline.at(-1)).toMatchObject({ by: 'Ada Brunlow' });
    expect((await seenOf(['Truck 1'], tried, member)).status).toBe(404);
    expect((await seenOf(['Club 1'], tried, await visitorAs('observer'))).status).toBe(403);
  });
});

describe('the ways of a bench day', () => {
  it('are those that prove; of sets that are gone, hold it already or wait it is said why', async () => {
    const sets = await db('unit').select('id', db.raw(`document->>'nickname' as nickname`));
    const setIds = [...sets.map(({ id }) => id), randomUUID()];
    const body = { of: 3, setIds, masterIds: [randomUUID()], standMin: 5 };
    const { status, body: found } = await send('POST', '/api/plans/[planId]/ways', at(), body);
    expect(status).toBe(200);
    const named = [...found.sets, ...found.left].map(({ id }: { id: string }) => id);
    expect(named.sort()).toEqual([...setIds].sort());
    expect(found.left).toContainEqual({ id: setIds.at(-1), why: 'no-way' });
    // A master that is not there is nobody's.
    for (const { ways } of found.sets)
      for (const { way, minutes, masterIds } of ways)
        expect([way !== 'copy', minutes >= 1, masterIds]).toEqual([true, true, []]);
  });
});
