import { randomUUID } from 'node:crypto';
import type { Channel, Person, Plan } from '@umbrex/core/model';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { send } = await import('./routes');
const db = getDb();

beforeAll(async () => {
  await ensureWorkspace(db, true);
});
afterAll(() => db.destroy());

interface State {
  readonly plan: Plan;
  readonly version: number;
  readonly channelVersions: Readonly<Record<string, number>>;
}
const undo = (editId: string) => send('POST', '/api/edits/[editId]/undo', { editId }, {});
/** A plan of its own, beside the demo's. */
async function ownPlan(): Promise<string> {
  const { body } = await send('GET', '/api/plans');
  const { body: state } = await send('GET', '/api/plans/[planId]', { planId: body[0].id });
  const made = await send('POST', '/api/plans', {}, { ...state.plan, id: randomUUID(), name: 'Of its own' });
  expect(made.status).toBe(201);
  return made.body.id;
}
const stateOf = async (planId: string): Promise<State> =>
  (await send('GET', '/api/plans/[planId]', { planId })).body;
const saveHead = async (planId: string, change: (plan: Plan) => Partial<Plan>) => {
  const { plan, version } = await stateOf(planId);
  const { channels: _c, id: _i, format: _f, ...head } = plan;
  return send('PUT', '/api/plans/[planId]', { planId }, { version, value: { ...head, ...change(plan) } });
};
const addChannel = (planId: string, channel: Channel) =>
  send('POST', '/api/plans/[planId]/channels', { planId }, { value: channel });

describe('what is kept can be read again', () => {
  it('the 2,001st channel is refused, one by one, as a starter set, and brought back; the plan is there', async () => {
    const planId = await ownPlan();
    const { plan, channelVersions } = await stateOf(planId);
    const [first] = plan.channels as [Channel];
    const missing = 2000 - plan.channels.length;
    const row = await db('channel').where({ id: first.id }).first();
    const rows = Array.from({ length: missing }, (_, i) => {
      const { workspace_id, plan_id, document } = row;
      const id = randomUUID();
      return {
        id,
        workspace_id,
        plan_id,
        position: 1000 + i,
        document: JSON.stringify({ ...document, id }),
      };
    });
    await db.batchInsert('channel', rows, 500);
    const { body } = await send(
      'DELETE',
      '/api/channels/[channelId]',
      { channelId: first.id },
      { version: channelVersions[first.id] },
    );
    expect((await addChannel(planId, { ...first, id: randomUUID() })).status).toBe(201);
    expect(await addChannel(planId, { ...first, id: randomUUID() })).toMatchObject({
      status: 400,
      body: { findings: [{ path: '/channels' }] },
    });
    expect((await undo(body.editId)).status).toBe(400);
    const { version } = await stateOf(planId);
    expect(
      (await send('POST', '/api/plans/[planId]/sets', { planId }, { set: 'murs', version })).status,
    ).toBe(400);
    const after = await stateOf(planId);
    expect([after.plan.channels.length, after.plan.groups.length]).toEqual([2000, plan.groups.length]);
  });
  it('a starter set does not bring the 61st group', async () => {
    const planId = await ownPlan();
    const groups = Array.from({ length: 60 }, (_, i) => ({ id: randomUUID(), name: `G${i}`, note: '' }));
    expect(
      (await saveHead(planId, (plan) => ({ groups: [...plan.groups, ...groups].slice(0, 60) }))).status,
    ).toBe(200);
    const { version } = await stateOf(planId);
    expect(
      await send('POST', '/api/plans/[planId]/sets', { planId }, { set: 'murs', version }),
    ).toMatchObject({
      status: 400,
      body: { findings: [{ path: '/groups' }] },
    });
    expect((await stateOf(planId)).plan.groups).toHaveLength(60);
  });
  it('one change for many people does not go past what one may have', async () => {
    const teams = Array.from({ length: 60 }, (_, i) => ({ id: randomUUID(), name: `Team ${i}` }));
    for (const value of teams) await send('POST', '/api/teams', {}, { value });
    const value = { id: randomUUID(), name: 'Everywhere' };
    const { body } = await send('POST', '/api/people', {}, { value });
    let version: number = body.version;
    let refused = 0;
    for (const { id: teamId } of teams) {
      const join = { people: [{ id: value.id, version }], change: { do: 'join', teamId } };
      const { status } = await send('POST', '/api/roster/bulk', {}, join);
      if (status === 200) version++;
      else {
        expect(status).toBe(400);
        refused++;
      }
    }
    expect(refused).toBeGreaterThan(0);
    expect((await send('GET', '/api/roster/export', {}, undefined, '', '?what=people&as=csv')).status).toBe(
      200,
    );
  });
});

describe('equal requests at once', () => {
  it('have one answer for all: what is there', async () => {
    const planId = await ownPlan();
    const { plan } = await stateOf(planId);
    const channel = { ...(plan.channels[0] as Channel), id: randomUUID() };
    const unit = {
      id: randomUUID(),
      descriptionId: 'pocket-radio',
      nickname: 'Once',
      holder: '',
      serial: '',
      firmware: 'A',
    };
    const value = { id: randomUUID(), name: 'Only once' };
    const calls = {
      channel: () => addChannel(planId, channel),
      unit: () => send('POST', '/api/units', {}, { value: unit }),
      person: () => send('POST', '/api/people', {}, { value }),
      station: () =>
        send('POST', '/api/stations', {}, { value: { ...value, id: channel.id, kind: 'repeater' } }),
    };
    for (const [what, call] of Object.entries(calls)) {
      const answers = await Promise.all(Array.from({ length: 8 }, call));
      expect(
        answers.map(({ status }) => status),
        what,
      ).toEqual(Array(8).fill(201));
      // One made it, the others found it there.
      expect(
        answers.filter(({ body }) => body.editId !== null),
        what,
      ).toHaveLength(1);
    }
  });
  it('of two descriptions with one id at once one is refused', async () => {
    const { body } = await send('GET', '/api/descriptions/[descriptionId]', {
      descriptionId: 'pocket-radio',
    });
    const answers = await Promise.all(
      ['One', 'Two', 'Three'].map((title) =>
        send('POST', '/api/descriptions', {}, { ...body, id: 'at-once', title }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
  });
});

describe('groups come and go', () => {
  const alone = async () => {
    const planId = await ownPlan();
    const group = { id: randomUUID(), name: 'Passing', note: '' };
    expect((await saveHead(planId, (plan) => ({ groups: [...plan.groups, group] }))).status).toBe(200);
    const { plan } = await stateOf(planId);
    const channel = { ...(plan.channels[0] as Channel), id: randomUUID(), groupId: group.id };
    expect((await addChannel(planId, channel)).status).toBe(201);
    return { planId, group, channel };
  };
  const withoutGroup = (planId: string, id: string) =>
    saveHead(planId, (plan) => ({ groups: plan.groups.filter((one) => one.id !== id) }));

  it('a channel whose group went while it was away comes back into the first one, and the plan goes on', async () => {
    const { planId, group, channel } = await alone();
    const { body } = await send(
      'DELETE',
      '/api/channels/[channelId]',
      { channelId: channel.id },
      { version: 1 },
    );
    expect((await withoutGroup(planId, group.id)).status).toBe(200);
    expect((await undo(body.editId)).status).toBe(200);
    const { plan } = await stateOf(planId);
    expect(plan.channels.find(({ id }) => id === channel.id)?.groupId).toBe(plan.groups[0]?.id);
    expect((await saveHead(planId, () => ({ name: 'Goes on' }))).status).toBe(200);
  });
  it('a channel that comes into a group while it goes, twenty times: never into one that is not there, and no 500', async () => {
    const { planId, group, channel } = await alone();
    await send('DELETE', '/api/channels/[channelId]', { channelId: channel.id }, { version: 1 });
    for (let round = 0; round < 20; round++) {
      const { plan, channelVersions } = await stateOf(planId);
      const other = plan.channels[round % plan.channels.length] as Channel;
      const moved = { version: channelVersions[other.id], value: { ...other, groupId: group.id } };
      const [into, gone] = await Promise.all([
        send('PUT', '/api/channels/[channelId]', { channelId: other.id }, moved),
        withoutGroup(planId, group.id),
      ]);
      expect([200, 400, 409]).toContain(into.status);
      expect([200, 400, 409]).toContain(gone.status);
      const after = (await stateOf(planId)).plan;
      const there = new Set(after.groups.map(({ id }) => id));
      for (const { groupId } of after.channels) expect(there.has(groupId)).toBe(true);
      // As it was, for the next round.
      if (!there.has(group.id)) await saveHead(planId, (now) => ({ groups: [...now.groups, group] }));
      const back = await stateOf(planId);
      const version = back.channelVersions[other.id];
      await send('PUT', '/api/channels/[channelId]', { channelId: other.id }, { version, value: other });
    }
  });
  it('channels that are saved and taken out at once come to no stop', async () => {
    const planId = await ownPlan();
    const { plan, channelVersions } = await stateOf(planId);
    const calls = plan.channels.slice(0, 12).flatMap((channel) => {
      const at = { channelId: channel.id };
      const version = channelVersions[channel.id];
      return [
        send('PUT', '/api/channels/[channelId]', at, { version, value: { ...channel, note: 'At once' } }),
        send('DELETE', '/api/channels/[channelId]', at, { version }),
        send('PUT', '/api/channels/[channelId]', at, { version, value: { ...channel, note: 'Too' } }),
      ];
    });
    for (const { status } of await Promise.all(calls)) expect([200, 404, 409]).toContain(status);
  });
});

describe('plans, people and teams', () => {
  it('of two plans that are deleted at once one stays', async () => {
    const { body: all } = await send('GET', '/api/plans');
    // Two are left.
    for (const { id } of all.slice(2)) {
      const { version } = await stateOf(id);
      await send('DELETE', '/api/plans/[planId]', { planId: id }, { version });
    }
    const { body: two } = await send('GET', '/api/plans');
    if (two.length < 2) await ownPlan();
    const { body: left } = await send('GET', '/api/plans');
    const versions = await Promise.all(
      left.map(async ({ id }: { id: string }) => (await stateOf(id)).version),
    );
    const answers = await Promise.all(
      left.map(({ id }: { id: string }, i: number) =>
        send('DELETE', '/api/plans/[planId]', { planId: id }, { version: versions[i] }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await send('GET', '/api/plans')).body).toHaveLength(1);
  });
  it('the last plan is not undone away', async () => {
    const { body } = await send('GET', '/api/plans');
    const only = body[0].id;
    const planId = await ownPlan();
    const edit = await db('edit').where({ kind: 'plan', aggregate_id: planId }).first('id');
    const { version } = await stateOf(only);
    expect((await send('DELETE', '/api/plans/[planId]', { planId: only }, { version })).status).toBe(200);
    expect((await undo(edit.id)).status).toBe(409);
    expect((await send('GET', '/api/plans')).body).toHaveLength(1);
  });
  it('the sets of somebody who goes are nobody’s, and can be changed; undone, they come back without a dead name', async () => {
    const value = { id: randomUUID(), name: 'Leaving soon' } as Person;
    await send('POST', '/api/people', {}, { value });
    const unit = {
      id: randomUUID(),
      descriptionId: 'pocket-radio',
      nickname: 'Left behind',
      holder: '',
      serial: '',
      firmware: 'A',
      personId: value.id,
    };
    expect((await send('POST', '/api/units', {}, { value: unit })).status).toBe(201);
    const handed = await send(
      'PUT',
      '/api/units/[unitId]',
      { unitId: unit.id },
      { version: 1, value: { ...unit, serial: '7' } },
    );
    expect(handed.status).toBe(200);
    expect((await send('DELETE', '/api/people/[id]', { id: value.id }, { version: 1 })).status).toBe(200);
    const row = await db('unit').where({ id: unit.id }).first();
    expect([row.person_id, row.version]).toEqual([null, 3]);
    const saved = await send(
      'PUT',
      '/api/units/[unitId]',
      { unitId: unit.id },
      { version: 3, value: { ...unit, personId: null, serial: '8' } },
    );
    expect(saved.status).toBe(200);
    // Back to when somebody held it who is gone: held by nobody.
    const edits = await db('edit').where({ aggregate_id: unit.id }).orderBy('serial', 'desc');
    for (const { id } of edits.slice(0, 2)) await undo(id);
    expect((await db('unit').where({ id: unit.id }).first()).person_id).toBeNull();
  });
  it('nobody comes into a team that is not there; who was in one that went meanwhile can still be changed', async () => {
    const team = { id: randomUUID(), name: 'Short-lived' };
    await send('POST', '/api/teams', {}, { value: team });
    const value = { id: randomUUID(), name: 'In a team', teamIds: [team.id] };
    expect((await send('POST', '/api/people', {}, { value })).status).toBe(201);
    await send('DELETE', '/api/teams/[id]', { id: team.id }, { version: 1 });
    const put = (version: number, more: object) =>
      send('PUT', '/api/people/[id]', { id: value.id }, { version, value: { ...value, ...more } });
    expect((await put(1, { name: 'Still here' })).status).toBe(200);
    expect(await put(2, { teamIds: [team.id, randomUUID()] })).toMatchObject({
      status: 400,
      body: { findings: [{ code: 'dangling-reference', path: '/value/teamIds/1', what: 'team' }] },
    });
    const join = { people: [{ id: value.id, version: 2 }], change: { do: 'join', teamId: randomUUID() } };
    expect((await send('POST', '/api/roster/bulk', {}, join)).status).toBe(400);
  });
});
