import { randomUUID } from 'node:crypto';
import { type Channel, headOf, NetSchema, type Unit } from '@umbrex/core/model';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { anyThing, NAMES } from '../../core/test/support/things';
import type { PublishView } from '../src/contract/revisions';

/* What the schemas let in shows on every page: a workspace full of things that nobody made up with care. */

const { demoPlan, ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { loadDesk } = await import('../src/server/desk');
const { deskProps } = await import('../src/server/page');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { addThing, brokenThings, listThings } = await import('../src/server/store/store');
const views = {
  air: await import('../src/server/views/air'),
  bench: await import('../src/server/views/bench'),
  check: await import('../src/server/views/check'),
  common: await import('../src/server/views/common'),
  device: await import('../src/server/views/device'),
  devices: await import('../src/server/views/devices'),
  finds: await import('../src/server/views/finds'),
  heard: await import('../src/server/views/heard'),
  history: await import('../src/server/views/history'),
  list: await import('../src/server/views/list'),
  people: await import('../src/server/views/people'),
  plan: await import('../src/server/views/plan'),
  publish: await import('../src/server/views/publish'),
  revisions: await import('../src/server/views/revisions'),
  rollout: await import('../src/server/views/rollout'),
  scan: await import('../src/server/views/scan'),
  sheet: await import('../src/server/views/sheet'),
  sheets: await import('../src/server/views/sheets'),
  stations: await import('../src/server/views/stations'),
  tables: await import('../src/server/views/tables'),
  today: await import('../src/server/views/today'),
  trouble: await import('../src/server/views/trouble'),
};
const { send } = await import('./routes');
const db = getDb();
const planId = randomUUID();
let workspace: { id: string; name: string };
const EACH = 24;
const sample = <K extends Parameters<typeof anyThing>[0]>(kind: K) =>
  fc.sample(anyThing(kind), { numRuns: EACH, seed: 20261130 });

beforeAll(async () => {
  await ensureWorkspace(db, true);
  const first = await firstWorkspace(db);
  if (!first) throw new Error('no workspace');
  workspace = first;
  const kinds = (await listThings(db, 'description', workspace.id)).map(({ value }) => value.id);
  const own = (i: number) => kinds[i % kinds.length] ?? '';
  await db.transaction(async (trx) => {
    const add = (kind: Parameters<typeof addThing>[1], id: string, value: object, columns = {}) =>
      addThing(trx, kind, workspace.id, id, value as never, columns);
    for (const { id, name } of NAMES.person) await add('person', id, { id, name });
    for (const { id, name } of NAMES.team) await add('team', id, { id, name });
    const [head] = sample('plan');
    const groups = NAMES.group.map((group) => ({ ...group, note: '' }));
    await add('plan', planId, { ...headOf(demoPlan()), ...head, name: 'Anything', groups });
    const channels = sample('channel').map(
      (one, i): Channel => ({ ...one, id: NAMES.channel[i]?.id ?? one.id }),
    );
    for (const one of channels) await add('channel', one.id, one, { plan_id: planId });
    const channelOf = (i: number) => channels[i % channels.length]?.id ?? null;
    // A set of every kind, and two of some.
    const units = sample('unit').map(
      (one, i): Unit => ({ ...one, descriptionId: own(i), carries: i % 3 === 0 ? channelOf(i) : null }),
    );
    for (const one of units) await add('unit', one.id, one);
    for (const one of sample('person')) await add('person', one.id, one);
    for (const one of sample('station')) await add('station', one.id, one);
    for (const [i, one] of sample('net').entries())
      await add('net', one.id, { ...one, channelId: channelOf(i), fallbackId: channelOf(i + 1) });
    for (const one of sample('bench')) await add('bench', one.id, { ...one, planId });
    for (const [i, one] of sample('heard').entries())
      await add('heard', one.id, { ...one, planId, channelId: channelOf(i) }, { plan_id: planId });
    for (const [i, one] of sample('find').entries())
      await add('find', one.id, { ...one, unitId: units[i % units.length]?.id ?? null });
    // The ends of the days that are taken.
    for (const repeats of ['once', 'daily', 'weekly', 'monthly'] as const)
      for (const startsAt of ['1900-01-31T00:00', '2199-12-31T23:59'])
        for (const timeZone of ['UTC', 'Pacific/Kiritimati', 'America/St_Johns']) {
          const net = NetSchema.parse({ id: randomUUID(), name: 'At an end', startsAt, timeZone, repeats });
          await add('net', net.id, net);
        }
    for (const day of ['1900-01-01', '2199-12-31']) {
      const id = randomUUID();
      await add('unit', id, {
        ...units[0],
        id,
        batteryChanged: day,
        memoryCellChanged: day,
        testHeard: day,
        nickname: day,
      });
    }
  });
}, 120_000);
afterAll(() => db.destroy());

/** Publishes it as it is, whatever stands against it. */
async function publish() {
  const view = (await send('GET', '/api/plans/[planId]/publishing', { planId })).body as PublishView;
  const overruled = view.blockers.map(({ mark }) => ({ mark, reason: 'known, and settled by hand' }));
  return send(
    'POST',
    '/api/plans/[planId]/revisions',
    { planId },
    {
      draft: view.draft,
      after: view.after,
      reason: 'Anything',
      effectiveFrom: '2026-11-01',
      overruled,
    },
  );
}

const deskOf = async (role: 'coordinator' | 'member' | 'observer', of: 'draft' | 'published' = 'draft') => {
  const session = { accountId: null, name: 'x', role, personId: NAMES.person[0]?.id ?? null, workspace };
  const desk = await loadDesk(db, session as never, planId, of);
  if (!desk) throw new Error('no desk');
  return desk;
};

describe('a workspace full of anything that the schemas let in', () => {
  it('has no broken row', async () => expect(await brokenThings(db, workspace.id)).toEqual([]));
  const states = [
    ['published', 'coordinator'],
    ['published', 'member'],
    ['published', 'observer'],
  ] as const;
  it('can be published', async () => expect((await publish()).status).toBe(201));
  it.each(states)('shows every page of the %s plan to a %s', async (of, role) => {
    const desk = await deskOf(role, of);
    const { channels } = desk.state.plan;
    const pages: Record<string, unknown> = {
      desk: deskProps(desk),
      list: await views.list.listView(desk, true),
      people: await views.people.peopleView(desk),
      nets: await views.people.netsView(desk),
      team: await views.people.teamView(desk),
      stations: await views.stations.stationsView(desk),
      map: await views.stations.mapView(desk),
      devices: await views.devices.devicesView(desk),
      plan: await views.plan.planView(desk),
      check: views.check.checkView(desk),
      today: await views.today.todayView(desk),
      history: await views.history.historyView(desk, 1),
      finds: await views.finds.findsView(db, desk),
      scan: views.scan.scanView(desk, null, null),
      revisions: await views.revisions.revisionsView(db, desk),
      rollout: await views.rollout.rolloutView(db, desk),
      bench: await views.bench.benchView(db, desk),
      fit: views.tables.fitTable(desk),
      numbers: views.tables.numbersTable(desk),
      rolloutTable: await views.tables.rolloutTable(db, desk),
    };
    for (const { id } of channels.slice(0, 2)) {
      pages[`air ${id}`] = await views.air.airView(db, desk, { channelId: id, as: 'planned', from: null });
      pages[`heard ${id}`] = await views.heard.heardView(db, desk, id);
    }
    for (const [name, page] of Object.entries(pages)) {
      expect(page, name).toBeDefined();
      // A page is sent as text: nothing in it may be a number that none is.
      expect(
        JSON.stringify(page, (_, value) => (Number.isNaN(value) ? 'no number' : value)),
        name,
      ).not.toContain('"no number"');
    }
  });
  it('has a page and a sheet of the draft for each set', async () => {
    const desk = await deskOf('coordinator', 'draft');
    await views.sheets.sheetsView(desk);
    for (const { unit } of desk.units) {
      expect(views.device.deviceView(desk, unit.id)?.unit.id).toBe(unit.id);
      expect((await views.sheet.sheetView(desk, unit.id))?.data.unit.id).toBe(unit.id);
    }
    const sets = desk.units.slice(0, 6).map(({ unit }) => unit.id);
    await views.common.commonView(db, desk, sets);
    for (const unitId of sets)
      await views.trouble.troubleView(db, desk, {
        symptom: null,
        unitId,
        channelId: desk.state.plan.channels[0]?.id ?? null,
        withId: sets[0] ?? null,
        answers: {},
      });
    await views.publish.publishView(db, desk);
  });
  it('has its files: the calendar, the plan, and the tables', async () => {
    for (const [path, params] of [
      ['/api/plans/[planId]/calendar', { planId }],
      ['/api/plans/[planId]/export', { planId }],
      ['/api/plans/[planId]', { planId }],
      ['/api/stations/geojson', {}],
    ] as const)
      expect([path, (await send('GET', path, params)).status]).toEqual([path, 200]);
    const calendar = (await send('GET', '/api/plans/[planId]/calendar', { planId })).body as string;
    for (const line of calendar.split('\r\n'))
      if (/^DT(START|END)/.test(line)) expect(line).toMatch(/:\d{8}(T\d{6}Z?)?$/);
  });
});
