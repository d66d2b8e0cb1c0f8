import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { icsOf } = await import('../src/server/calendar');
const { loadDesk } = await import('../src/server/desk');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { brokenThings } = await import('../src/server/store/store');
const { todayView } = await import('../src/server/views/today');
const { send, Visitor, visitorAs } = await import('./routes');

const db = getDb();
let planId = '';
beforeAll(async () => {
  await ensureWorkspace(db, true);
  planId = (await send('GET', '/api/plans')).body[0].id;
});
beforeEach(() => db('attempt').delete());
afterAll(() => db.destroy());

async function workspaceOf() {
  const first = await firstWorkspace(db);
  if (!first) throw new Error('no workspace');
  return first;
}

/** Read by another library than wrote it, with its own time zones. */
function read(text: string) {
  const root = new ICAL.Component(ICAL.parse(text));
  for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  return root.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
}
const starts = (event: InstanceType<typeof ICAL.Event>, count: number) => {
  const next = event.iterator();
  return Array.from({ length: count }, () => next.next()?.toJSDate().toISOString());
};

describe('a calendar file', () => {
  it('keeps a weekly net at its hour when the clocks change', () => {
    const text = icsOf('Storm Watch', [
      {
        uid: 'net-1',
        code: 'net',
        names: ['Sunday check; with call signs, ü'],
        note: 'first line\nsecond, line; with all signs \\',
        when: {
          is: 'time',
          local: '2026-10-25T19:00',
          timeZone: 'America/New_York',
          lastsMin: 60,
          repeats: 'weekly',
        },
        alarmsMin: [30],
      },
    ]);
    const [event] = read(text);
    if (!event) throw new Error('no event');
    // EDT until 2026-11-01, EST after it (Energy Policy Act of 2005).
    expect(starts(event, 3)).toEqual([
      '2026-10-25T23:00:00.000Z',
      '2026-11-02T00:00:00.000Z',
      '2026-11-09T00:00:00.000Z',
    ]);
    expect(event.summary).toBe('Sunday check; with call signs, ü');
    expect(event.description).toBe('first line\nsecond, line; with all signs \\');
    expect(event.component.getFirstSubcomponent('valarm')?.getFirstPropertyValue('trigger')?.toString()).toBe(
      '-PT30M',
    );
  });
  it('has a zone for every time that names one, lines of at most 75 bytes, and moments in UTC (RFC 5545, 3.1, 3.8.2.4, 3.8.7.2)', () => {
    const times = ['America/New_York', 'Europe/Berlin', 'Australia/Lord_Howe'].map((timeZone, i) => ({
      uid: `net-${i}`,
      code: 'net' as const,
      names: ['A very long name of a net that goes on for more than one line of a calendar, ünïted'],
      note: '',
      when: {
        is: 'time' as const,
        local: '2026-12-01T19:00',
        timeZone,
        lastsMin: 60,
        repeats: 'daily' as const,
      },
      alarmsMin: [],
    }));
    const text = icsOf('Zones', times);
    for (const { when } of times) expect(text).toContain(`TZID:${when.timeZone}`);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text).toMatch(/DTSTAMP:\d{8}T\d{6}Z/);
    expect(read(text).map((event) => event.startDate.toJSDate().toISOString())).toEqual([
      '2026-12-02T00:00:00.000Z',
      '2026-12-01T18:00:00.000Z',
      '2026-12-01T08:00:00.000Z',
    ]);
  });
  it('of the group has what is due; of a member what is theirs', async () => {
    const whole = read((await send('GET', '/api/plans/[planId]/calendar', { planId })).body);
    const own = read(
      (await (await visitorAs('member')).send('GET', '/api/plans/[planId]/calendar', { planId })).body,
    );
    const titles = (all: typeof whole) => all.map(({ summary }) => summary);
    expect(titles(whole).some((text) => /^A licence of/.test(text))).toBe(true);
    expect(titles(whole)).toContain('Sunday check');
    expect(titles(own)).toContain('Sunday check');
    expect(own.length).toBeLessThan(whole.length);
    expect(
      titles(own)
        .filter((text) => /^A licence of/.test(text))
        .every((text) => /Ada Brunlow/.test(text)),
    ).toBe(true);
    expect(titles(own).some((text) => /Ask again|permission/.test(text))).toBe(false);
    const ids = whole.map(({ uid }) => uid);
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('is not stopped by a day that there is not: it is refused, and one from before is a broken row', async () => {
    const net = (startsAt: string) => ({
      id: randomUUID(),
      name: `At ${startsAt}`,
      startsAt,
      timeZone: 'UTC',
      repeats: 'weekly',
    });
    const add = (startsAt: string) => send('POST', '/api/nets', {}, { value: net(startsAt) });
    for (const bad of [
      '2026-13-45T29:99',
      '0000-01-01T00:00',
      '9999-12-31T23:59',
      '2026-02-30T19:00',
      '2026-12-01',
    ])
      expect(await add(bad)).toMatchObject({
        status: 400,
        body: { findings: [{ path: '/value/startsAt', detail: expect.stringMatching(/^(a day|is)/) }] },
      });
    const { status, body } = await add('2199-12-31T23:59');
    expect(status).toBe(201);
    const { id } = body.value;
    const calendar = async () => {
      const answer = await send('GET', '/api/plans/[planId]/calendar', { planId });
      return [answer.status, read(answer.body).filter(({ uid }) => uid.includes(id)).length];
    };
    const today = async () => {
      const { id: workspaceId, name } = await workspaceOf();
      const workspace = { id: workspaceId, name };
      const desk = await loadDesk(
        db,
        { accountId: null, name: '', role: 'coordinator', personId: null, workspace },
        planId,
        'published',
      );
      return desk && (await todayView(desk)).nets.some((one) => one.id === id);
    };
    expect([await calendar(), await today()]).toEqual([[200, 1], true]);
    await db('net')
      .where({ id })
      .update({ document: JSON.stringify({ ...body.value, startsAt: '2026-13-45T29:99' }) });
    try {
      expect([await calendar(), await today()]).toEqual([[200, 0], false]);
      const broken = await brokenThings(db, (await workspaceOf()).id);
      expect(broken).toMatchObject([{ kind: 'net', id }]);
    } finally {
      await db('net').where({ id }).delete();
    }
  });
  it('is followed by a secret link, that ends and is taken back', async () => {
    const nobody = new Visitor('192.0.2.81');
    const until = new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10);
    const made = await send(
      'POST',
      '/api/team/links',
      {},
      { kind: 'calendar', planId, name: 'Calendar', until },
    );
    expect(made.status).toBe(201);
    const token = made.body.path.replace('/api/calendar/', '');
    const answer = await nobody.send('GET', '/api/calendar/[token]', { token });
    expect([answer.status, answer.headers.get('content-type')]).toEqual([
      200,
      'text/calendar; charset=utf-8',
    ]);
    expect(read(answer.body).length).toBeGreaterThan(5);
    // It is no link to a card, and none that lets in.
    expect((await nobody.send('GET', '/api/my/[token]', { token })).status).toBe(404);
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
    const [{ id }] = await db('link').where({ kind: 'calendar' });
    expect((await send('DELETE', '/api/team/links/[id]', { id })).status).toBe(200);
    expect((await nobody.send('GET', '/api/calendar/[token]', { token })).status).toBe(404);
  });
});
