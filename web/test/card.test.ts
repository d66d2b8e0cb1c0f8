import { randomUUID } from 'node:crypto';
import { type Card, type CardSteps, reachWhom, screenShows } from '@umbrex/core/card';
import { addForeign } from '@umbrex/core/foreign';
import { readLine } from '@umbrex/core/listing';
import { chanceOf, completed } from '@umbrex/core/memory';
import type { Description, Unit } from '@umbrex/core/model';
import { replay } from '@umbrex/core/procedure';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { ForeignWork, ReportAnswer } from '../src/contract/card';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { loadDesk } = await import('../src/server/desk');
const { purgeDeleted } = await import('../src/server/repositories/edits');
const { loadPlan } = await import('../src/server/repositories/plans');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { progressOf } = await import('../src/server/reports');
const { listThings } = await import('../src/server/store/store');
const { sheetOf } = await import('../src/server/sheetPage');
const { rolloutView } = await import('../src/server/views/rollout');
const { send, Visitor, visitorAs } = await import('./routes');

const db = getDb();
let planId = '';
let workspace: { id: string; name: string };
let person: { id: string; name: string };
const nobody = new Visitor('192.0.2.80');

beforeAll(async () => {
  await ensureWorkspace(db, true);
  await db('unit')
    .whereRaw(`document->>'nickname' not in ('Watch 1', 'Club 1', 'Neighbour 1', 'Truck 1', 'Hall alert')`)
    .delete();
  const first = await firstWorkspace(db);
  if (!first) throw new Error('no workspace');
  workspace = first;
  planId = (await send('GET', '/api/plans')).body[0].id;
  const account = await db('membership').where({ role: 'member' }).first();
  const found = await db('person').where({ id: account.person_id }).first();
  person = { id: found.id, name: found.document.name };
  await give('Club 1', person.id);
});
beforeEach(() => db('attempt').delete());
afterAll(() => db.destroy());

/** Whether a text stands anywhere on a card. */
const says = (card: unknown, text: string) => JSON.stringify(card).includes(text);

const row = async (nickname: string): Promise<{ value: Unit; version: number }> => {
  const found = await db('unit').whereRaw(`document->>'nickname' = ?`, [nickname]).first();
  return { value: found.document, version: found.version };
};
const give = async (nickname: string, personId: string | null, more: Partial<Unit> = {}) => {
  const { value, version } = await row(nickname);
  const saved = await send(
    'PUT',
    '/api/units/[unitId]',
    { unitId: value.id },
    { version, value: { ...value, personId, ...more } },
  );
  expect(saved.status).toBe(200);
};
const inDays = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
const link = async (more: object = {}): Promise<{ token: string; svg: string }> => {
  const made = await send(
    'POST',
    '/api/team/links',
    {},
    { kind: 'card', personId: person.id, planId, until: inDays(30), hidesTones: false, ...more },
  );
  expect(made.status).toBe(201);
  return { token: made.body.path.replace('/my/', ''), svg: made.body.svg };
};
const cardBy = (token: string) => nobody.send('GET', '/api/my/[token]', { token });
const stepsBy = (token: string, unitId: string) =>
  nobody.send('GET', '/api/my/[token]/sets/[unitId]', { token, unitId });
const reportBy = async (token: string, reports: object[]): Promise<ReportAnswer[]> => {
  const answer = await nobody.send('POST', '/api/my/[token]/reports', { token }, { planId, reports });
  expect(answer.status).toBe(200);
  return answer.body.answers;
};
const publish = async () => {
  const view = (await send('GET', '/api/plans/[planId]/publishing', { planId })).body;
  const made = await send(
    'POST',
    '/api/plans/[planId]/revisions',
    { planId },
    {
      draft: view.draft,
      after: view.after,
      reason: 'A new tone',
      effectiveFrom: '2026-11-01',
      overruled: view.blockers.map(({ mark }: { mark: string }) => ({ mark, reason: 'settled' })),
    },
  );
  expect(made.status).toBe(201);
};
const now = () => new Date().toISOString();

describe('a card before anything is published', () => {
  it('says so, and offers no steps', async () => {
    const { token } = await link();
    const card: Card = (await cardBy(token)).body;
    expect(card.revision).toBeNull();
    expect(
      card.sets.map(({ nickname, standing: { state }, hasSteps }) => [nickname, state, hasSteps]),
    ).toEqual([['Club 1', 'blocked', false]]);
    const { value } = await row('Club 1');
    expect((await stepsBy(token, value.id)).status).toBe(404);
  });
});

describe('a link to a card', () => {
  beforeAll(publish);
  it('shows the card of one person, by the same function as somebody who signed in', async () => {
    const { token, svg } = await link();
    expect(svg).toMatch(/^<svg/);
    const member = await visitorAs('member');
    const [byLink, signedIn] = [await cardBy(token), await member.send('GET', '/api/my')];
    expect([byLink.status, signedIn.status]).toEqual([200, 200]);
    const { made: _a, until, ...one } = byLink.body as Card;
    const { made: _b, until: never, ...other } = signedIn.body as Card;
    expect(one).toEqual(other);
    expect(never).toBeNull();
    expect(until?.slice(0, 10) ?? '').toMatch(/^\d{4}-/);
    expect(one.person).toEqual(person);
    expect(one.revision).toBe(1);
  });
  it('says of each set what the rollout and the sheet say', async () => {
    const card: Card = (await cardBy((await link()).token)).body;
    const desk = await loadDesk(
      db,
      { accountId: null, name: 'Ines', role: 'coordinator', personId: null, workspace },
      planId,
      'published',
    );
    const rollout = await rolloutView(db, desk);
    for (const set of card.sets) {
      const there = rollout?.rows.find(({ unitId }) => unitId === set.id);
      expect(set.standing.state).toBe(there?.standing?.state);
      expect(set.standing.minutes).toBe(there?.minutes);
      const data = sheetOf(desk, set.id);
      const cells = data?.fit.cells.filter(({ slot }) => slot) ?? [];
      expect(card.kinds[set.kind]?.places.map(({ slot, label }) => [slot, label])).toEqual(
        cells.map(({ slot }) => [slot?.number, slot?.label]),
      );
      // What its screen shows is found by what stands on it.
      for (const place of card.kinds[set.kind]?.places ?? [])
        expect(screenShows(card, place.label, set.kind)[0]).toMatchObject({
          is: 'place',
          place: { label: place.label },
        });
    }
  });
  it('lets one reach others on what both have, and says nothing else of them', async () => {
    const [other] = (await db('person').whereNot({ id: person.id }).limit(1)) as {
      id: string;
      document: { name: string };
    }[];
    await give('Neighbour 1', other?.id ?? null);
    await give('Watch 1', other?.id ?? null);
    const answer = await cardBy((await link()).token);
    const card: Card = answer.body;
    expect(card.people.map(({ name }) => name)).toEqual([other?.document.name]);
    expect(reachWhom(card, other?.id ?? '').length).toBeGreaterThan(0);
    expect(Object.keys(card.people[0] ?? {}).sort()).toEqual(['id', 'name', 'sets']);
    // Why somebody else may not talk is theirs, and what their columns are called on the board.
    const own = new Set(card.sets.map(({ kind }) => kind));
    card.kinds.forEach(({ title, places }, kind) => {
      expect(title).not.toMatch(/,/);
      if (!own.has(kind)) expect(places.every(({ why }) => why === '')).toBe(true);
    });
    const roster = await db('person').select('document');
    for (const { document } of roster) {
      if (document.contact) expect(JSON.stringify(card)).not.toContain(document.contact);
      for (const { callSign } of document.licences ?? [])
        if (callSign) expect(JSON.stringify(card)).not.toContain(callSign);
    }
  });
  it('a set that is lost or lent reaches nobody, and one’s own says so', async () => {
    const { value, version } = await row('Watch 1');
    const said = async (seen: object) => {
      const { version: now } = await row('Watch 1');
      const sets = [{ id: value.id, version: now }];
      expect((await send('POST', '/api/plans/[planId]/seen', { planId }, { sets, seen })).status).toBe(201);
    };
    const names = async () =>
      ((await cardBy((await link()).token)).body as Card).people.flatMap(({ sets }) =>
        sets.map(({ nickname }) => nickname),
      );
    expect(await names()).toContain('Watch 1');
    const day = inDays(0);
    await said({ what: 'condition', is: 'lost', day });
    expect(await names()).not.toContain('Watch 1');
    await said({ what: 'condition', is: 'well', day });
    expect(await names()).toContain('Watch 1');
    await said({ what: 'lent', to: 'somebody', day });
    expect(await names()).not.toContain('Watch 1');
    await said({ what: 'returned', day });
    expect((await row('Watch 1')).version).toBeGreaterThan(version);
  });
  it('is for one plan and one person: steps of others are nowhere', async () => {
    const { token } = await link();
    const { value } = await row('Truck 1');
    expect((await stepsBy(token, value.id)).status).toBe(404);
    expect((await stepsBy(token, randomUUID())).status).toBe(404);
    const [answer] = await reportBy(token, [
      { what: 'cells', id: randomUUID(), at: now(), unitId: value.id },
    ]);
    expect(answer).toMatchObject({ taken: false, why: expect.stringMatching(/not yours/) });
    expect((await row('Truck 1')).value.batteryChanged).toBe(value.batteryChanged);
    const elsewhere = await nobody.send(
      'POST',
      '/api/my/[token]/reports',
      { token },
      { planId: randomUUID(), reports: [{ what: 'cells', id: randomUUID(), at: now(), unitId: value.id }] },
    );
    expect(elsewhere.status).toBe(404);
  });
  it('ends on its day, when it is taken back, when its person is gone, and when whoever made it makes no links any more', async () => {
    const { token } = await link();
    expect((await cardBy(token)).status).toBe(200);
    await db('link')
      .where({ kind: 'card' })
      .update({ expires_at: db.raw(`now() - interval '1 minute'`) });
    expect((await cardBy(token)).status).toBe(404);
    const next = (await link()).token;
    const [{ id }] = await db('link').where({ kind: 'card' }).orderBy('created_at', 'desc').limit(1);
    expect((await (await visitorAs('editor')).send('DELETE', '/api/team/links/[id]', { id })).status).toBe(
      403,
    );
    expect((await send('DELETE', '/api/team/links/[id]', { id })).status).toBe(200);
    expect((await cardBy(next)).status).toBe(404);
    expect(
      (
        await nobody.send(
          'POST',
          '/api/my/[token]/reports',
          { token: next },
          { planId, reports: [{ what: 'cells', id: randomUUID(), at: now(), unitId: randomUUID() }] },
        )
      ).status,
    ).toBe(404);
    expect((await send('DELETE', '/api/team/links/[id]', { id: randomUUID() })).status).toBe(404);
    const third = (await link()).token;
    const made = await db('link').where({ kind: 'card' }).orderBy('created_at', 'desc').first('made_by');
    const maker = { account_id: made.made_by };
    await db('membership').where(maker).update({ role: 'editor' });
    expect((await cardBy(third)).status).toBe(404);
    await db('membership').where(maker).update({ role: 'coordinator' });
    expect((await cardBy(third)).status).toBe(200);
    await db('person').where({ id: person.id }).update({ deleted_at: db.fn.now() });
    expect((await cardBy(third)).status).toBe(404);
    await db('person').where({ id: person.id }).update({ deleted_at: null });
    // Its token stands nowhere.
    expect(JSON.stringify(await db('link').select('*'))).not.toContain(third);
  });
  it('is no link that lets anybody in, and those are none to a card', async () => {
    const { token } = await link();
    expect(
      (
        await nobody.send(
          'POST',
          '/api/links/[token]',
          { token },
          { login: 'new-one', name: 'New', password: 'wind over the fell' },
        )
      ).status,
    ).toBe(404);
    const invite = await send(
      'POST',
      '/api/team/links',
      {},
      { kind: 'invite', name: 'Tove', role: 'member' },
    );
    expect((await cardBy(invite.body.path.replace('/link/', ''))).status).toBe(404);
    for (const token of ['x', '../../etc/passwd', 'a'.repeat(43), ' ', 'a'.repeat(5000)])
      expect((await cardBy(token)).status).toBe(404);
  });
  it('of a plan that is gone for good goes with it, and holds nothing up', async () => {
    const { plan } = (await send('GET', '/api/plans/[planId]', { planId })).body;
    const made = await send('POST', '/api/plans', {}, { ...plan, id: randomUUID(), name: 'Another plan' });
    expect(made.status).toBe(201);
    const { token } = await link({ planId: made.body.id });
    expect((await cardBy(token)).status).toBe(200);
    await db('plan')
      .where({ id: made.body.id })
      .update({ deleted_at: db.raw(`now() - interval '40 days'`) });
    await db.transaction(purgeDeleted);
    expect(await db('plan').where({ id: made.body.id })).toEqual([]);
    expect((await cardBy(token)).status).toBe(404);
  });
  it('is made for a day to come, a person and a plan that are there, by a coordinator', async () => {
    const body = { kind: 'card', personId: person.id, planId, until: inDays(30), hidesTones: false };
    for (const [more, status] of [
      [{ until: inDays(-2) }, 400],
      [{ until: inDays(5 * 366) }, 400],
      [{ until: 'soon' }, 400],
      [{ personId: randomUUID() }, 404],
      [{ planId: randomUUID() }, 404],
    ] as const)
      expect(
        (await send('POST', '/api/team/links', {}, { ...body, ...more })).status,
        JSON.stringify(more),
      ).toBe(status);
    expect((await (await visitorAs('editor')).send('POST', '/api/team/links', {}, body)).status).toBe(403);
  });
  it('hides the tones that the group keeps to itself, where its coordinator says so, and then offers no steps that show them', async () => {
    const { plan, channelVersions } = (await send('GET', '/api/plans/[planId]', { planId })).body;
    const channel = plan.channels.find((one: { name: string }) => one.name === 'Kelp Stairs');
    const secret = { ...channel, transmitTone: '146.2', receiveTone: '146.2', tonesSecret: true };
    const body = { version: channelVersions[channel.id], value: secret };
    expect((await send('PUT', '/api/channels/[channelId]', { channelId: channel.id }, body)).status).toBe(
      200,
    );
    await publish();
    const [open, masked] = [await link(), await link({ hidesTones: true })];
    const of = (card: Card) => card.channels.find(({ id }) => id === channel.id);
    const [shown, hidden] = [(await cardBy(open.token)).body, (await cardBy(masked.token)).body] as Card[];
    expect(shown && of(shown)).toMatchObject({ transmitTone: '146.2' });
    expect(hidden && of(hidden)).toMatchObject({ transmitTone: 'hidden', receiveTone: 'hidden' });
    expect(says(hidden, '146.2')).toBe(false);
    const { value } = await row('Club 1');
    expect((await stepsBy(open.token, value.id)).status).toBe(200);
    expect(hidden?.sets[0]?.hasSteps).toBe(false);
    expect((await stepsBy(masked.token, value.id)).status).toBe(404);
    // On paper no more than on the phone.
    const printed = async (token: string, search: string) =>
      (await nobody.send('GET', '/api/my/[token]/print', { token }, undefined, undefined, search)).status;
    expect(await printed(open.token, `?what=sheet&unit=${value.id}&form=short&size=LETTER`)).toBe(200);
    expect(await printed(masked.token, `?what=sheet&unit=${value.id}`)).toBe(404);
    expect(await printed(masked.token, '')).toBe(200);
    const strange = await row('Watch 1');
    for (const bad of [`?what=sheet&unit=${strange.value.id}`, '?what=sheet', '?what=wall', '?size=A9'])
      expect(await printed(open.token, bad), bad).toBe(404);
  });
});

describe('what is reported', () => {
  let token = '';
  let steps: CardSteps;
  beforeAll(async () => {
    token = (await link()).token;
    const { value } = await row('Club 1');
    steps = (await stepsBy(token, value.id)).body;
  });
  const of = () => ({ unitId: steps.setId, of: steps.revision, sheet: steps.sheet });

  it('the steps are those of the sheet, and come on a virtual set to what it shall hold', async () => {
    const { device, steps: all, blocks } = steps;
    expect(all.map(({ n }) => n)).toEqual(all.map((_, i) => i + 1));
    expect(all.every(({ block }) => blocks[block])).toBe(true);
    // From whatever it may hold, by what is known of it: at the end each place holds what it shall.
    const desk = await loadDesk(
      db,
      { accountId: null, name: 'Ines', role: 'coordinator', personId: null, workspace },
      planId,
      'published',
    );
    const wanted = sheetOf(desk, steps.setId)?.wanted;
    const description = device.description as Description;
    for (const seed of [1, 2, 3]) {
      const now = { slots: new Map(device.slots), settings: device.settings };
      const memory = completed(description, now, chanceOf(seed));
      const runs = all.map((step) => ({ runs: step.runs, promises: undefined }));
      const pace = { name: 'calm', betweenKeysMs: 300, betweenStepsMs: 1500 } as const;
      const done = replay(description, runs, pace, { memory });
      for (const [number, values] of wanted?.slots ?? [])
        expect(done.memory.slots.get(number), `number ${number}`).toMatchObject(values ?? {});
      expect(wanted?.slots.size).toBeGreaterThan(20);
    }
  });
  it('ten steps arrive once, in order, with their times, however often they are sent', async () => {
    const ticks = Array.from({ length: 10 }, (_, i) => ({
      what: 'step',
      id: randomUUID(),
      at: new Date(Date.parse('2026-11-28T10:00:00Z') + i * 61_000).toISOString(),
      ...of(),
      step: i + 1,
      steps: steps.steps.length,
    }));
    const first = await reportBy(token, ticks.slice(0, 7).reverse());
    const again = await reportBy(token, ticks);
    expect([...first, ...again].every(({ taken }) => taken)).toBe(true);
    const rows = await db('report').where({ unit_id: steps.setId, what: 'step' }).orderBy('at');
    expect(rows.map(({ document }) => document.step)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(rows.map(({ at }) => new Date(at).toISOString())).toEqual(ticks.map(({ at }) => at));
    expect(await progressOf(db, workspace.id, steps.setId)).toMatchObject({ step: 10, by: person.name });
    // A step says nothing yet of what the set holds.
    expect((await row('Club 1')).value.timeline).toEqual([]);
  });
  it('done is an entry of the timeline with the phone’s own id, once; the set then holds it', async () => {
    const report = { what: 'done', id: randomUUID(), at: now(), ...of(), way: 'keys' };
    expect((await reportBy(token, [report]))[0]).toMatchObject({ taken: true });
    expect((await reportBy(token, [report]))[0]).toMatchObject({ taken: true });
    const { timeline } = (await row('Club 1')).value;
    expect(timeline).toEqual([
      expect.objectContaining({
        what: 'loaded',
        id: report.id,
        revision: steps.revision,
        by: person.name,
        planId,
      }),
    ]);
    const card: Card = (await cardBy(token)).body;
    expect(card.sets[0]).toMatchObject({
      standing: { state: 'held', minutes: 0 },
      toLoad: [],
      hasSteps: false,
    });
  });
  it('done by steps that are others by now is not taken, and says why', async () => {
    const wrong = { what: 'done', id: randomUUID(), at: now(), ...of(), sheet: 'f'.repeat(64) };
    expect((await reportBy(token, [wrong]))[0]).toMatchObject({
      taken: false,
      why: expect.stringMatching(/changed since/),
    });
    expect((await row('Club 1')).value.timeline).toHaveLength(1);
    expect(await db('report').where({ id: wrong.id })).toEqual([]);
  });
  it('what is older than the desk’s last word on the memory is not taken', async () => {
    const late = {
      what: 'showed',
      id: randomUUID(),
      at: '2026-01-02T10:00:00.000Z',
      ...of(),
      step: 3,
      showed: 'ERR',
    };
    expect((await reportBy(token, [late]))[0]).toMatchObject({
      taken: false,
      why: expect.stringMatching(/newer/),
    });
  });
  it('something else was shown: what it holds is not known any more', async () => {
    const report = { what: 'showed', id: randomUUID(), at: now(), ...of(), step: 3, showed: 'ERR 4' };
    expect((await reportBy(token, [report]))[0]).toMatchObject({ taken: true });
    const { timeline, holds } = (await row('Club 1')).value;
    expect(timeline.at(-1)).toMatchObject({ what: 'contradicted', note: 'step 3 showed ERR 4' });
    expect(holds.what).toBe('unknown');
  });
  it('lost, broken, well; cells; a test that was heard; somebody who was heard', async () => {
    const unitId = steps.setId;
    const each = (more: object) => ({ id: randomUUID(), at: now(), unitId, ...more });
    const answers = await reportBy(token, [
      each({ what: 'condition', is: 'lost', note: 'on the ferry' }),
      each({ what: 'condition', is: 'well' }),
      each({ what: 'cells' }),
      each({ what: 'test-heard' }),
      each({ what: 'heard', number: 3, check: 'two-way', whom: 'Tomas' }),
    ]);
    expect(answers.map(({ taken }) => taken)).toEqual([true, true, true, true, true]);
    const { value } = await row('Club 1');
    expect(value.timeline.slice(-4)).toEqual([
      expect.objectContaining({ what: 'condition', is: 'lost', note: 'on the ferry' }),
      expect.objectContaining({ what: 'condition', is: 'well' }),
      expect.objectContaining({ what: 'checked', check: 'area-filter-proven', result: 'pass' }),
      expect.objectContaining({ what: 'checked', check: 'two-way', number: 3, note: 'Tomas' }),
    ]);
    expect(value.batteryChanged).toBe(value.testHeard);
    expect(value.batteryChanged).toMatch(/^\d{4}-\d{2}-\d{2}$/);
  });
  it('what was heard on a channel of the plan stands in the log too, both ways as two calls', async () => {
    const channel = (await loadPlan(db, workspace.id, planId)).plan.channels.find(
      ({ name }) => name === 'Gannet Top',
    );
    const channelId = channel?.id ?? null;
    const each = (more: object) => ({
      what: 'heard',
      id: randomUUID(),
      at: now(),
      unitId: steps.setId,
      number: 3,
      channelId,
      ...more,
    });
    const reports = [
      each({ check: 'two-way', whom: 'Boat 1', readability: 4 }),
      each({ check: 'not-heard', whom: 'Boat 2', at: new Date(Date.now() + 9e8).toISOString() }),
      each({ check: 'heard', whom: 'Boat 3', channelId: randomUUID() }),
    ];
    const before = (await row('Club 1')).value.timeline.length;
    expect((await reportBy(token, reports)).map(({ taken }) => taken)).toEqual([true, true, true]);
    expect((await reportBy(token, reports)).map(({ taken }) => taken)).toEqual([true, true, true]);
    // Silence is no evidence of the set.
    expect((await row('Club 1')).value.timeline.length).toBe(before + 2);
    const ids = reports.map(({ id }) => id);
    const log = await listThings(db, 'heard', workspace.id, { plan_id: planId });
    const mine = log.map(({ value }) => value).filter(({ by }) => by !== 'Ines Korvald');
    const said = mine.map(({ from, to, toId, fromId, heard, readability, way }) => [
      from,
      to,
      (fromId ?? toId) === steps.setId,
      heard,
      readability,
      way,
    ]);
    expect(said).toHaveLength(3);
    expect(said).toContainEqual(['Boat 1', 'Club 1', true, true, 4, 'repeater']);
    expect(said).toContainEqual(['Club 1', 'Boat 1', true, true, 'unknown', 'repeater']);
    expect(said).toContainEqual(['Boat 2', 'Club 1', true, false, 'unknown', 'repeater']);
    expect(mine.every(({ at }) => Date.parse(at) <= Date.now())).toBe(true);
    expect(mine.filter(({ id }) => ids.some((one) => one === id))).toHaveLength(2);
  });
  it('a clock that is ahead gives no day to come', async () => {
    const at = new Date(Date.now() + 40 * 86_400_000).toISOString();
    await reportBy(token, [{ what: 'condition', is: 'well', id: randomUUID(), at, unitId: steps.setId }]);
    const last = (await row('Club 1')).value.timeline.at(-1);
    expect(last && last.day <= inDays(1)).toBe(true);
  });
  it.each([
    [{ what: 'step' }],
    [{ what: 'cells', at: 'noon' }],
    [{ what: 'cells', id: 'mine' }],
    [{ what: 'condition', is: 'gone' }],
    [{ what: 'nothing' }],
    [{ what: 'heard', number: -1, check: 'two-way' }],
    [{ what: 'condition', is: 'lost', note: 'a'.repeat(500) }],
    [{ what: 'condition', is: 'lost', note: 'line\nbreak' }],
  ])('%j is refused, and nothing of the batch is kept', async (more) => {
    const good = { id: randomUUID(), at: now(), unitId: steps.setId, what: 'cells' };
    const bad = { id: randomUUID(), at: now(), unitId: steps.setId, ...more };
    const answer = await nobody.send(
      'POST',
      '/api/my/[token]/reports',
      { token },
      { planId, reports: [good, bad] },
    );
    expect(answer.status).toBe(400);
    expect(await db('report').where({ id: good.id })).toEqual([]);
  });
  it('two phones at once: each report counts', async () => {
    const each = () => ({ what: 'condition', is: 'well', id: randomUUID(), at: now(), unitId: steps.setId });
    const all = Array.from({ length: 6 }, each);
    const answers = await Promise.all(all.map((report) => reportBy(token, [report])));
    const lost = answers.flat().filter(({ taken }) => !taken);
    const ids = (await row('Club 1')).value.timeline.map(({ id }) => id);
    expect(lost).toEqual([]);
    for (const { id } of all) expect(ids).toContain(id);
  });
});

describe('one more channel', () => {
  it('is fitted to a set of one’s own by what the server gives, and by nothing of anybody else', async () => {
    const { token } = await link();
    const { value } = await row('Club 1');
    const answer = await nobody.send('GET', '/api/my/[token]/sets/[unitId]/foreign', {
      token,
      unitId: value.id,
    });
    expect(answer.status).toBe(200);
    const work: ForeignWork = answer.body;
    expect(work.plan.channels).toEqual([]);
    const { channel } = readLine('Far Ness 462.700 rpt in 141.3', work.plan.country);
    if (!channel) throw new Error('not read');
    const found = addForeign(
      work.plan,
      work.description,
      work.unit,
      { ...channel, id: randomUUID(), groupId: randomUUID() },
      work.used,
    );
    expect(found?.prepared.proof.proven).toBe(true);
    expect(work.used[found?.cell.slot?.number ?? -1]).toBeUndefined();
    const other = await row('Truck 1');
    expect(
      (await nobody.send('GET', '/api/my/[token]/sets/[unitId]/foreign', { token, unitId: other.value.id }))
        .status,
    ).toBe(404);
    const masked = (await link({ hidesTones: true })).token;
    expect(
      (await nobody.send('GET', '/api/my/[token]/sets/[unitId]/foreign', { token: masked, unitId: value.id }))
        .status,
    ).toBe(404);
  });
});
