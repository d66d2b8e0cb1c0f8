import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { type APIRequestContext, type APIResponse, request as browsers } from '@playwright/test';
import { expect, test } from './support';

type Role = 'coordinator' | 'editor' | 'member' | 'observer';
const ROLES: readonly Role[] = ['coordinator', 'editor', 'member', 'observer'];

/** Who may open what, typed by hand: the first role that may, from the one that may most; `all` needs nobody signed in. */
const PAGES: Readonly<Record<string, Role | 'all'>> = {
  '/404': 'all',
  '/500': 'all',
  '/unreachable': 'all',
  '/forbidden': 'all',
  '/sign-in': 'all',
  '/first': 'all',
  '/link/[token]': 'all',
  '/my': 'member',
  '/my/[token]': 'all',
  '/': 'observer',
  '/mend': 'observer',
  '/kit': 'observer',
  '/plans/[planId]': 'observer',
  '/plans/[planId]/today': 'observer',
  '/plans/[planId]/plans': 'observer',
  '/plans/[planId]/people': 'editor',
  '/plans/[planId]/devices': 'member',
  '/plans/[planId]/devices/[unitId]': 'member',
  '/plans/[planId]/describe': 'editor',
  '/plans/[planId]/steps/[descriptionId]': 'editor',
  '/plans/[planId]/stations': 'observer',
  '/plans/[planId]/map': 'observer',
  '/plans/[planId]/list': 'observer',
  '/plans/[planId]/directory': 'editor',
  '/plans/[planId]/check': 'observer',
  '/plans/[planId]/fit': 'member',
  '/plans/[planId]/numbers': 'editor',
  '/plans/[planId]/revisions': 'member',
  '/plans/[planId]/revisions/compare': 'member',
  '/plans/[planId]/rollout': 'member',
  '/plans/[planId]/air': 'editor',
  '/plans/[planId]/air/log': 'editor',
  '/plans/[planId]/air/common': 'editor',
  '/plans/[planId]/air/scan': 'editor',
  '/plans/[planId]/air/trouble': 'editor',
  '/plans/[planId]/bench': 'editor',
  '/plans/[planId]/bench/[dayId]': 'editor',
  '/plans/[planId]/sheets': 'member',
  '/plans/[planId]/sheets/[unitId]': 'member',
  '/plans/[planId]/nets': 'observer',
  '/plans/[planId]/reference': 'observer',
  '/plans/[planId]/team': 'coordinator',
  '/plans/[planId]/history': 'editor',
  '/plans/[planId]/account': 'observer',
};
/** What the pages that anyone may open answer: most of them say that something is not so. */
const OPEN_PAGES: Readonly<Record<string, number>> = {
  '/404': 404,
  '/500': 500,
  '/unreachable': 503,
  '/forbidden': 403,
  '/sign-in': 200,
  // Somebody has an account: it leads to signing in.
  '/first': 302,
  '/link/[token]': 404,
  // The page of every card is the same, and holds nothing of anybody; what it asks for is refused.
  '/my/[token]': 200,
};
const ENDPOINTS: Readonly<Record<string, Role | 'all'>> = {
  'GET /health': 'all',
  'POST /stops': 'all',
  'POST /session': 'all',
  'POST /session/demo': 'all',
  'POST /accounts/first': 'all',
  'POST /links/[token]': 'all',
  'POST /enrol/[token]': 'all',
  'GET /plans/[planId]/calendar': 'member',
  'GET /plans/[planId]/print': 'observer',
  'GET /plans/[planId]/table': 'member',
  'GET /my/[token]/calendar': 'all',
  'GET /my/[token]/print': 'all',
  'GET /calendar/[token]': 'all',
  'GET /my': 'member',
  'GET /my/[token]': 'all',
  'GET /my/sets/[unitId]': 'member',
  'GET /my/[token]/sets/[unitId]': 'all',
  'GET /my/sets/[unitId]/foreign': 'member',
  'GET /my/[token]/sets/[unitId]/foreign': 'all',
  'POST /my/reports': 'member',
  'POST /my/[token]/reports': 'all',
  'GET /events': 'observer',
  'POST /areas': 'observer',
  'PUT /session/workspace': 'observer',
  'PUT /account/password': 'observer',
  'POST /account/second-factor': 'observer',
  'PUT /account/second-factor': 'observer',
  'DELETE /account/second-factor': 'observer',
  'POST /team/links': 'coordinator',
  'DELETE /team/links/[id]': 'coordinator',
  'PUT /team/[accountId]': 'coordinator',
  'DELETE /team/[accountId]': 'coordinator',
  'POST /workspaces': 'coordinator',
  'GET /plans': 'observer',
  'POST /plans': 'editor',
  'GET /plans/[planId]': 'observer',
  'PUT /plans/[planId]': 'editor',
  'DELETE /plans/[planId]': 'editor',
  'GET /plans/[planId]/export': 'observer',
  'GET /plans/[planId]/grounds': 'observer',
  'GET /plans/[planId]/revisions': 'member',
  'POST /plans/[planId]/revisions': 'coordinator',
  'GET /plans/[planId]/publishing': 'editor',
  'GET /plans/[planId]/revisions/[number]': 'member',
  'POST /plans/[planId]/revisions/[number]/withdraw': 'coordinator',
  'POST /plans/[planId]/revisions/[number]/draft': 'editor',
  'POST /plans/[planId]/seen': 'member',
  'POST /plans/[planId]/ways': 'editor',
  'POST /plans/[planId]/channels': 'editor',
  'POST /plans/[planId]/channels/several': 'editor',
  'PUT /plans/[planId]/order': 'editor',
  'POST /plans/[planId]/sets': 'editor',
  'POST /plans/[planId]/effort': 'editor',
  'PUT /channels/[channelId]': 'editor',
  'DELETE /channels/[channelId]': 'editor',
  'POST /units': 'editor',
  'PUT /units/[unitId]': 'editor',
  'DELETE /units/[unitId]': 'editor',
  'GET /descriptions/[descriptionId]': 'member',
  'GET /descriptions/[descriptionId]/places': 'editor',
  'POST /descriptions': 'editor',
  'PUT /descriptions/[descriptionId]': 'editor',
  'POST /descriptions/[descriptionId]/marks': 'member',
  'PUT /descriptions/[descriptionId]/steps': 'editor',
  'POST /directory/search': 'editor',
  'POST /example': 'editor',
  'POST /roster/import': 'editor',
  'POST /roster/workbook': 'editor',
  'POST /roster/bulk': 'editor',
  'GET /roster/export': 'editor',
  'GET /stations/geojson': 'observer',
  'POST /people': 'editor',
  'PUT /people/[id]': 'editor',
  'DELETE /people/[id]': 'editor',
  'POST /teams': 'editor',
  'PUT /teams/[id]': 'editor',
  'DELETE /teams/[id]': 'editor',
  'POST /stations': 'editor',
  'PUT /stations/[id]': 'editor',
  'DELETE /stations/[id]': 'editor',
  'POST /nets': 'editor',
  'PUT /nets/[id]': 'editor',
  'DELETE /nets/[id]': 'editor',
  'POST /benches': 'editor',
  'PUT /benches/[id]': 'editor',
  'DELETE /benches/[id]': 'editor',
  'POST /benches/[id]/marks': 'editor',
  'POST /finds': 'editor',
  'PUT /finds/[id]': 'editor',
  'DELETE /finds/[id]': 'editor',
  'POST /plans/[planId]/heard': 'editor',
  'PUT /heard/[id]': 'editor',
  'DELETE /heard/[id]': 'editor',
  'POST /edits/[editId]/undo': 'editor',
  // Last: they end the session they are called with.
  'DELETE /session/all': 'observer',
  'DELETE /session': 'all',
};
/** Routes whose ids name something of a workspace: from another workspace they are nowhere. */
const OWNED = /\[(planId|channelId|unitId|id|editId|accountId)\]/;

const root = join(import.meta.dirname, '../web/src/pages');
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((name) =>
  /\.(ts|astro)$/.test(name),
);
const routeOf = (file: string) => `/${file.replace(/(^|\/)index\.\w+$|\.\w+$/, '')}`;
const found = {
  pages: files.filter((file) => file.endsWith('.astro')).map(routeOf),
  endpoints: files.filter((file) => file.endsWith('.ts')).map((file) => routeOf(file.replace(/^api\//, ''))),
};

/** Somebody with an account of their own, invited by link, in a browser of their own. */
async function invited(
  role: Role,
  coordinator: APIRequestContext,
  baseURL: string | undefined,
): Promise<APIRequestContext> {
  const login = `walk-${role}-${Math.random().toString(36).slice(2, 8)}`;
  const made = await coordinator.post('/api/team/links', {
    data: { kind: 'invite', name: `Walk ${role}`, role },
  });
  expect(made.status()).toBe(201);
  const { path } = await made.json();
  const visitor = await browsers.newContext({ ...(baseURL && { baseURL }), maxRedirects: 0 });
  const taken = await visitor.post(path.replace('/link/', '/api/links/'), {
    data: { login, name: `Walk ${role}`, password: 'wind over the fell' },
  });
  expect(taken.status()).toBe(201);
  return visitor;
}

/** The ids of real things of the demo's workspace. */
async function realIds(coordinator: APIRequestContext) {
  const plans = await (await coordinator.get('/api/plans')).json();
  const planId = plans.find((plan: { name: string }) => plan.name === 'Ostrel plan').id as string;
  const state = await (await coordinator.get(`/api/plans/${planId}`)).json();
  const added = await coordinator.post('/api/people', {
    data: { value: { id: crypto.randomUUID(), name: 'Walk-on' } },
  });
  const { editId, value } = await added.json();
  const sheets = await (await coordinator.get(`/plans/${planId}/sheets`)).text();
  const unitId = /sheets\/([0-9a-f-]{36})/.exec(sheets)?.[1] ?? '';
  const team = await (await coordinator.get(`/plans/${planId}/team`)).text();
  const accountId = /accountId&quot;:\[0,&quot;([0-9a-f-]{36})/.exec(team)?.[1] ?? '';
  const bench = await (await coordinator.get(`/plans/${planId}/bench`)).text();
  const dayId = /bench\/([0-9a-f-]{36})/.exec(bench)?.[1] ?? '';
  const ids = {
    planId,
    dayId,
    channelId: state.plan.channels[0].id,
    unitId,
    id: value.id,
    editId,
    accountId,
  };
  for (const [name, id] of Object.entries(ids)) expect(id, name).toMatch(/^[0-9a-f-]{36}$/);
  return { ...ids, descriptionId: 'pocket-radio', number: '1', token: 'a-link-that-nobody-was-given' };
}

const heardOf = ({ id, planId, channelId }: Readonly<Record<string, string>>) => ({
  id,
  at: '2026-11-28T10:00:00Z',
  planId,
  channelId,
  from: 'Boat 1',
  to: 'Boat 2',
  heard: true,
});

const fill = (route: string, ids: Readonly<Record<string, string>>) =>
  route.replace(/\[(\w+)\]/g, (_, name) => ids[name] ?? '');
const may = (role: Role | null, needed: Role | 'all') =>
  needed === 'all' || (role !== null && ROLES.indexOf(role) <= ROLES.indexOf(needed));

/** An answer's status; of a stream that does not end, that it began. */
async function ask(visitor: APIRequestContext, method: string, path: string): Promise<number> {
  const body = method === 'GET' ? {} : { data: { not: 'a body of this route' } };
  if (path === '/api/events') {
    const status = await visitor.fetch(path, { method, timeout: 700 }).then(
      (answer: APIResponse) => answer.status(),
      (error: Error) => (/Timeout|timed out/i.test(error.message) ? 200 : Promise.reject(error)),
    );
    return status;
  }
  return (await visitor.fetch(path, { method, ...body })).status();
}

test('the tables name every page and every endpoint there is', async ({ context }) => {
  const { request } = context;
  expect(Object.keys(PAGES).sort()).toEqual(found.pages.sort());
  expect([...new Set(Object.keys(ENDPOINTS).map((route) => route.split(' ')[1]))].sort()).toEqual(
    found.endpoints.sort(),
  );
  // A method that nobody wrote down for a path is refused, also to the one who may most.
  for (const path of found.endpoints)
    for (const method of ['GET', 'POST', 'PUT', 'DELETE', 'PATCH'])
      if (!(`${method} ${path}` in ENDPOINTS)) {
        const answer = await request.fetch(`/api${fill(path, { token: 'x' })}`, { method });
        expect([403, 404, 405], `${method} ${path}`).toContain(answer.status());
      }
});

for (const role of [...ROLES, null])
  test(`every page and endpoint answers ${role ?? 'somebody who is not signed in'} as the tables say`, async ({
    context,
    baseURL,
  }) => {
    // All pages and endpoints one after another, the first look at each: every sheet is proven for some of them.
    test.setTimeout(300_000);
    const { request } = context;
    const ids = await realIds(request);
    const visitor = role
      ? await invited(role, request, baseURL)
      : await browsers.newContext({ ...(baseURL && { baseURL }), maxRedirects: 0 });
    for (const [route, needed] of Object.entries(PAGES)) {
      const answer = await visitor.get(fill(route, ids), { maxRedirects: 0 });
      const at = `${role} ${route}`;
      expect(answer.headers()['cache-control'] ?? 'no-store', at).toBe('no-store');
      if (!may(role, needed)) {
        expect(answer.status(), at).toBe(role ? 403 : 302);
        if (!role) expect(answer.headers().location, at).toContain('/sign-in');
      } else if (needed === 'all') expect(answer.status(), at).toBe(OPEN_PAGES[route]);
      // Members see only the sets they hold; a sheet of somebody else's is nowhere.
      else if (route.endsWith('[unitId]') && role === 'member') expect(answer.status(), at).toBe(404);
      else if (route === '/') expect(answer.headers().location, at).toContain('/today');
      else expect(answer.status(), at).toBe(200);
    }
    for (const [route, needed] of Object.entries(ENDPOINTS)) {
      const [method = '', path = ''] = route.split(' ');
      const status = await ask(visitor, method, `/api${fill(path, ids)}`);
      const at = `${role} ${route}`;
      if (!may(role, needed)) expect(status, at).toBe(role ? 403 : 401);
      else {
        expect([200, 201, 400, 403, 404, 409, 415], at).toContain(status);
        if (status === 403) expect(route, at).toBe('POST /accounts/first');
      }
    }
    await visitor.dispose();
  });

test('what is of one workspace is nowhere in another, whatever one is there', async ({
  context,
  baseURL,
}) => {
  const { request } = context;
  const ids = await realIds(request);
  const stranger = await invited('coordinator', request, baseURL);
  expect(
    (await stranger.post('/api/workspaces', { data: { name: 'Outer Skerries', country: 'US' } })).status(),
  ).toBe(201);
  for (const [route, needed] of Object.entries(PAGES)) {
    if (!OWNED.test(route) || needed === 'all') continue;
    expect((await stranger.get(fill(route, ids))).status(), route).toBe(404);
  }
  for (const route of Object.keys(ENDPOINTS)) {
    const [method = '', path = ''] = route.split(' ');
    if (!OWNED.test(path)) continue;
    const whole = async () => (await request.get(`/api/plans/${ids.planId}`)).text();
    const before = await whole();
    const data =
      method === 'DELETE' ? { version: 1 } : method === 'GET' ? null : await bodyFor(route, ids, request);
    const answer = await stranger.fetch(`/api${fill(path, ids)}`, { method, ...(data && { data }) });
    expect(answer.status(), `${route} ${await answer.text()}`).toBe(404);
    expect(await whole()).toBe(before);
  }
  // And its lists hold nothing of ours.
  expect(await (await stranger.get('/api/plans')).text()).not.toContain(ids.planId);
  expect((await (await stranger.get('/api/stations/geojson')).json()).features).toEqual([]);
  expect(await (await stranger.get('/api/roster/export?what=people&as=csv')).text()).not.toContain('Ines');
  await stranger.dispose();
});

/** A body that the route would take from somebody of the right workspace, so that only the workspace can refuse it. */
async function bodyFor(
  route: string,
  ids: Readonly<Record<string, string>>,
  coordinator: APIRequestContext,
): Promise<object> {
  const { plan, version, channelVersions } = await (await coordinator.get(`/api/plans/${ids.planId}`)).json();
  const { channels, id: _i, format: _f, ...head } = plan;
  const [channel] = channels;
  switch (route) {
    case 'PUT /plans/[planId]':
      return { version, value: head };
    case 'POST /plans/[planId]/channels':
      return { value: { ...channel, id: crypto.randomUUID() } };
    case 'POST /plans/[planId]/channels/several':
      return { move: crypto.randomUUID(), values: [{ ...channel, id: crypto.randomUUID() }] };
    case 'PUT /plans/[planId]/order':
      return { version, order: channels.map(({ id, groupId }: Record<string, string>) => ({ id, groupId })) };
    case 'POST /plans/[planId]/sets':
      return { version, set: 'murs' };
    case 'POST /plans/[planId]/effort':
      return { numbers: {}, others: [{}] };
    case 'PUT /channels/[channelId]':
      return { version: channelVersions[channel.id], value: channel };
    case 'PUT /units/[unitId]':
      return {
        version: 1,
        value: {
          id: ids.unitId,
          descriptionId: 'pocket-radio',
          nickname: 'Taken',
          holder: '',
          serial: '',
          firmware: 'A',
        },
      };
    case 'PUT /team/[accountId]':
      return { role: 'observer', personId: null };
    case 'PUT /people/[id]':
    case 'PUT /teams/[id]':
      return { version: 1, value: { id: ids.id, name: 'Taken' } };
    case 'PUT /stations/[id]':
      return { version: 1, value: { id: ids.id, name: 'Taken', kind: 'repeater' } };
    case 'PUT /nets/[id]':
      return {
        version: 1,
        value: { id: ids.id, name: 'Taken', startsAt: '2026-12-01T19:00', timeZone: 'UTC' },
      };
    case 'PUT /benches/[id]':
      return {
        version: 1,
        value: { id: ids.id, name: 'Taken', planId: ids.planId, revision: 1, day: '2026-12-05' },
      };
    case 'PUT /finds/[id]':
      return { version: 1, value: { id: ids.id, at: '2026-11-28T10:00:00Z', receiveHz: 154_265_000 } };
    case 'POST /plans/[planId]/heard':
      return { calls: [heardOf(ids)] };
    case 'PUT /heard/[id]':
      return { version: 1, value: heardOf(ids) };
    case 'POST /benches/[id]/marks': {
      const at = '2026-12-05T10:00:00Z';
      const mark = { id: '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b0aa', setId: ids.unitId, state: 'begun', at };
      return { marks: [{ ...mark, day: '2026-12-05', minute: 600 }] };
    }
    case 'POST /plans/[planId]/revisions':
      return { draft: 'a'.repeat(64), after: 3, reason: 'Taken', effectiveFrom: '2026-12-01' };
    case 'POST /plans/[planId]/revisions/[number]/withdraw':
      return { reason: 'Taken' };
    case 'POST /plans/[planId]/revisions/[number]/draft':
      return { version };
    case 'POST /plans/[planId]/seen':
      return {
        sets: [{ id: ids.unitId, version: 1 }],
        seen: { what: 'contradicted', day: '2026-12-01' },
      };
    case 'POST /plans/[planId]/ways':
      return { of: 1, setIds: [], masterIds: [], standMin: 5 };
    case 'POST /edits/[editId]/undo':
      return {};
    default:
      throw new Error(`no body for ${route}`);
  }
}
