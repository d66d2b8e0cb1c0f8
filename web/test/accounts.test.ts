import { randomUUID } from 'node:crypto';
import { TOTP } from 'otpauth';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { stepOfCode } = await import('../src/server/auth/secondFactor');
const { Visitor } = await import('./routes');
type Visitor = InstanceType<typeof Visitor>;
const db = getDb();

const PASSWORD = 'wind over the fell';
const here = (headers = {}) => new Visitor('127.0.0.1', headers);
const plans = async (visitor: Visitor) => (await visitor.send('GET', '/api/plans')).status;
const first = (visitor: Visitor, login = 'ines') =>
  visitor.send(
    'POST',
    '/api/accounts/first',
    {},
    { login, name: 'Ines Korvald', password: PASSWORD, workspaceName: 'Storm Watch' },
  );
const signIn = (visitor: Visitor, login: string, password = PASSWORD, code?: string) =>
  visitor.send('POST', '/api/session', {}, { login, password, ...(code && { code }) });

let ines: Visitor;
/** A link of the coordinator's: its token. */
async function link(body: object, by: Visitor = ines): Promise<string> {
  const made = await by.send('POST', '/api/team/links', {}, body);
  expect(made.status).toBe(201);
  return made.body.path.replace('/link/', '');
}
const take = (token: string, body: object, visitor: Visitor = new Visitor()) =>
  visitor.send('POST', '/api/links/[token]', { token }, body);
async function invited(login: string, role = 'member'): Promise<{ visitor: Visitor; accountId: string }> {
  const visitor = new Visitor();
  const token = await link({ kind: 'invite', name: login, role });
  const { status, body } = await take(token, { login, name: login, password: PASSWORD }, visitor);
  expect(status).toBe(201);
  return { visitor, accountId: body.accountId };
}

beforeAll(async () => {
  await ensureWorkspace(db, false);
});
beforeEach(() => db('attempt').delete());
afterAll(() => db.destroy());

describe('on one’s own machine', () => {
  it('nothing stands before the first sheet; from elsewhere it does', async () => {
    expect(await plans(here())).toBe(200);
    expect(await plans(new Visitor('192.0.2.7'))).toBe(401);
    expect(await plans(here({ 'x-forwarded-for': '192.0.2.7' }))).toBe(401);
    expect((await first(new Visitor('192.0.2.7'))).status).toBe(401);
    expect((await first(here({ 'x-forwarded-for': '127.0.0.1' }))).status).toBe(401);
  });
  it.each([
    [200, { host: 'localhost:4321' }],
    [200, { host: '[::1]:4321' }],
    [200, { host: '127.0.0.2' }],
    [200, { host: 'LOCALHOST', origin: 'http://localhost:4321' }],
    // A name that somebody points to this machine is still theirs.
    [401, { host: 'evil.example' }],
    [401, { host: 'localhost.evil.example' }],
    [401, { host: '127.0.0.1.evil.example' }],
    [401, { host: 'evil.example:127.0.0.1' }],
    [401, { host: '' }],
    [401, { origin: 'http://evil.example' }],
    [401, { origin: 'null' }],
    // What proxies say, whichever of it they say.
    [401, { 'x-forwarded-proto': 'https' }],
    [401, { 'x-forwarded-host': 'plan.example' }],
    [401, { forwarded: 'for=192.0.2.7' }],
    [401, { via: '1.1 proxy' }],
    [401, { 'x-real-ip': '192.0.2.7' }],
    [401, { 'cf-connecting-ip': '192.0.2.7' }],
    [401, { 'x-umbrex-http10': '1' }],
  ])('%i for %j', async (status, headers) => expect(await plans(here(headers))).toBe(status));
  it('no one click lets anybody in where there is no demo', async () =>
    expect((await here().send('POST', '/api/session/demo', {}, { role: 'coordinator' })).status).toBe(404));
  it('the first account is made once, by one of two at the same time; then everybody signs in', async () => {
    const [a, b] = [here(), here()];
    const answers = await Promise.all([first(a, 'ines'), first(b, 'ivar')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 403]);
    expect(await db('account')).toHaveLength(1);
    ines = answers[0]?.status === 201 ? a : b;
    await db('account').update({ login: 'ines' });
    expect([await plans(ines), await plans(here())]).toEqual([200, 401]);
    expect((await first(here())).status).toBe(403);
    expect((await db('workspace').first()).name).toBe('Storm Watch');
  });
});

describe('signing in', () => {
  it('by name in any letters; a wrong password and a wrong name look alike', async () => {
    expect((await signIn(new Visitor(), 'INES')).status).toBe(200);
    const wrong = await signIn(new Visitor(), 'ines', 'wind under the fell');
    const nobody = await signIn(new Visitor(), 'nobody');
    expect([wrong.status, wrong.body]).toEqual([nobody.status, nobody.body]);
    expect(wrong).toMatchObject({ status: 401, body: { error: 'wrong-password' } });
  });
  it('is slowed down after eight tries at a name, from wherever; a right one clears the count', async () => {
    const tries = async (n: number) => {
      for (let i = 0; i < n; i++)
        expect((await signIn(new Visitor(`192.0.2.${i}`), 'ines', 'wrong password')).status).toBe(401);
    };
    await tries(7);
    expect((await signIn(new Visitor(), 'ines')).status).toBe(200);
    await tries(8);
    expect(await signIn(new Visitor('198.51.100.9'), 'ines')).toMatchObject({
      status: 429,
      body: { waitS: 900 },
    });
    await db('attempt').update({ at: db.raw("now() - interval '16 minutes'") });
    expect((await signIn(new Visitor(), 'ines')).status).toBe(200);
  });
  it('is slowed down for one address that tries many names', async () => {
    for (let i = 0; i < 60; i++) await db('attempt').insert({ key: 'address 203.0.113.5' });
    expect((await signIn(new Visitor('203.0.113.5'), 'ines')).status).toBe(429);
    expect((await signIn(new Visitor('203.0.113.6'), 'ines')).status).toBe(200);
  });
  it('keeps the password as argon2id (RFC 9106) with 19 MiB and two passes, and of tokens only hashes', async () => {
    const { password_hash } = await db('account').first();
    expect(password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    const token = [...ines.jar.values()][0] ?? '';
    expect(token).toMatch(/^[\w-]{43}$/);
    expect(JSON.stringify(await db('session'))).not.toContain(token);
    expect(ines.kept).toMatchObject({ httpOnly: true, sameSite: 'lax', path: '/' });
  });
  it.each([
    ['short', 'at least 10'],
    ['aaaaaaaaaaaa', 'four different'],
    ['x'.repeat(201), 'at most 200'],
  ])('the password %s is refused at its path', async (password, why) => {
    const token = await link({ kind: 'invite', name: 'Bo', role: 'member' });
    const answer = await take(token, { login: 'bo', name: 'Bo', password });
    expect(answer.status).toBe(400);
    expect(JSON.stringify(answer.body.findings)).toContain(why);
  });
});

describe('a session', () => {
  it('gets a new token after half a day; the old one counts for a minute and no longer', async () => {
    const visitor = new Visitor();
    await signIn(visitor, 'ines');
    const late = new Visitor();
    for (const [name, value] of visitor.jar) late.jar.set(name, value);
    const old = new Map(visitor.jar);
    await db('session').update({ rotated_at: db.raw("now() - interval '13 hours'") });
    expect(await plans(visitor)).toBe(200);
    expect([...visitor.jar.values()]).not.toEqual([...old.values()]);
    expect(await plans(late)).toBe(200);
    await db('session').update({ previous_until: db.raw("now() - interval '1 second'") });
    expect([await plans(visitor), await plans(late)]).toEqual([200, 401]);
  });
  it('ends: by itself after its time, by signing out, and everywhere at once', async () => {
    const visitors = await Promise.all(
      Array.from({ length: 4 }, async () => {
        const visitor = new Visitor();
        await signIn(visitor, 'ines');
        return visitor;
      }),
    );
    const [a, b, c, d] = visitors as [Visitor, Visitor, Visitor, Visitor];
    const stolen = new Visitor();
    for (const [name, value] of a.jar) stolen.jar.set(name, value);
    await a.send('DELETE', '/api/session');
    expect([await plans(a), await plans(stolen), await plans(b)]).toEqual([401, 401, 200]);
    await b.send('DELETE', '/api/session/all');
    expect(await Promise.all([b, c, d].map(plans))).toEqual([401, 401, 401]);
    await signIn(ines, 'ines');
    await db('session').update({ expires_at: db.raw("now() - interval '1 second'") });
    expect(await plans(ines)).toBe(401);
    await signIn(ines, 'ines');
    expect(await plans(ines)).toBe(200);
  });
  it('with a made-up token is none', async () => {
    const visitor = new Visitor('127.0.0.1');
    visitor.jar.set('umbrex-session', 'x'.repeat(43));
    expect(await plans(visitor)).toBe(401);
  });
  it('does not write for a foreign page, whatever it carries', async () => {
    const calls = async (headers: Record<string, string>) => {
      const visitor = new Visitor('192.0.2.7', headers);
      for (const [name, value] of ines.jar) visitor.jar.set(name, value);
      return (await visitor.send('POST', '/api/people', {}, { value: { id: randomUUID(), name: 'By form' } }))
        .status;
    };
    expect(await calls({ origin: 'http://127.0.0.1', host: '127.0.0.1' })).toBe(201);
    expect(await calls({ origin: 'https://elsewhere.example' })).toBe(403);
    expect(await calls({ origin: 'null' })).toBe(403);
    expect(await calls({ 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(await calls({ 'sec-fetch-site': 'same-site' })).toBe(403);
  });
});

describe('a link', () => {
  it('lets in once, as what it says, and by one of two at the same time', async () => {
    const token = await link({ kind: 'invite', name: 'Ada', role: 'observer' });
    const mail = await db('outbox').orderBy('created_at', 'desc').first();
    expect(mail.body).toContain(`/link/${token}`);
    expect(JSON.stringify(await db('link'))).not.toContain(token);
    const answers = await Promise.all(
      ['ada', 'adam'].map((login) => take(token, { login, name: 'Ada', password: PASSWORD })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 404]);
    expect((await take(token, { login: 'late', name: 'Late', password: PASSWORD })).status).toBe(404);
    expect((await db('membership').orderBy('created_at', 'desc').first()).role).toBe('observer');
  });
  it('with a name that is taken stays good for another try', async () => {
    const token = await link({ kind: 'invite', name: 'Two', role: 'member' });
    expect((await take(token, { login: 'Ines', name: 'Two', password: PASSWORD })).status).toBe(409);
    expect((await take(token, { login: 'two', name: 'Two', password: PASSWORD })).status).toBe(201);
  });
  it('is good no longer than its maker may make one', async () => {
    const { visitor, accountId } = await invited('astrid', 'coordinator');
    const made = () => link({ kind: 'invite', name: 'Friend', role: 'coordinator' }, visitor);
    const [one, two, three] = [await made(), await made(), await made()];
    const friend = (login: string) => ({ login, name: 'Friend', password: PASSWORD });
    expect((await take(one, friend('friend'))).status).toBe(201);
    const member = { role: 'editor', personId: null };
    expect((await ines.send('PUT', '/api/team/[accountId]', { accountId }, member)).status).toBe(200);
    expect((await take(two, friend('friend-two'))).status).toBe(404);
    await ines.send('PUT', '/api/team/[accountId]', { accountId }, { ...member, role: 'coordinator' });
    expect((await take(two, friend('friend-two'))).status).toBe(201);
    expect((await ines.send('DELETE', '/api/team/[accountId]', { accountId })).status).toBe(200);
    expect((await take(three, friend('friend-three'))).status).toBe(404);
    for (const login of ['friend', 'friend-two']) {
      const row = await db('account').where({ login }).first('id');
      await ines.send('DELETE', '/api/team/[accountId]', { accountId: row.id });
    }
  });
  it('is no longer good when it is old', async () => {
    const token = await link({ kind: 'invite', name: 'Old', role: 'member' });
    await db('link').update({ expires_at: db.raw('now()') });
    expect((await take(token, { login: 'old', name: 'Old', password: PASSWORD })).status).toBe(404);
  });
  it('sets a new password, which ends the sessions and the second factor of that account alone', async () => {
    const { visitor, accountId } = await invited('bjorn');
    await db('account').where({ id: accountId }).update({ second_factor: 'GEZDGNBVGY3TQOJQ' });
    const token = await link({ kind: 'reset', accountId });
    expect((await take(token, { password: 'another long one' })).status).toBe(201);
    expect([await plans(visitor), await plans(ines)]).toEqual([401, 200]);
    expect((await signIn(new Visitor(), 'bjorn')).status).toBe(401);
    expect((await signIn(new Visitor(), 'bjorn', 'another long one')).status).toBe(200);
  });
  it('takes what a holder says of their own set, without an account, and waits for a coordinator’s word', async () => {
    const token = await link({ kind: 'enrol', name: 'Ada of the east road' });
    const said = {
      descriptionId: 'pocket-radio',
      serial: 'A-117',
      nickname: 'Blue one',
      firmware: '',
      batteryChanged: 'unknown',
      keeps: '20-22',
      own: null,
      licence: null,
    };
    const enrol = (body: object) => new Visitor().send('POST', '/api/enrol/[token]', { token }, body);
    expect((await enrol({ ...said, serial: '' })).status).toBe(400);
    expect((await enrol({ ...said, descriptionId: 'no-such-kind' })).status).toBe(400);
    expect((await enrol(said)).status).toBe(201);
    expect((await enrol(said)).status).toBe(404);
    const row = await db('unit').whereRaw(`document->>'nickname' = 'Blue one'`).first();
    expect(row.document).toMatchObject({
      holder: 'Ada of the east road',
      firmware: 'unknown',
      keeps: [20, 21, 22],
      confirmed: false,
    });
    // A set that is none of the kinds brings its own one; a licence that is only said gives no right.
    const own = await link({ kind: 'enrol', name: 'Bo of the quay' });
    const enrolOwn = (body: object) => new Visitor().send('POST', '/api/enrol/[token]', { token: own }, body);
    const quay = {
      ...said,
      descriptionId: 'page-handheld',
      nickname: 'Quay one',
      own: { title: 'Pocket radio', answers: { certified: 'gmrs', letters: '8' } },
      licence: { holds: 'own', service: 'GMRS', callSign: 'QZ1BO', expires: '2031-05-01' },
    };
    for (const wrong of [
      { own: { title: '', answers: {} } },
      { own: { title: 'X', answers: { colour: 'red' } } },
      { own: { title: 'X', answers: { certified: 'everything' } } },
      { descriptionId: 'no-such-kind' },
      { licence: { ...quay.licence, expires: 'soon' } },
    ])
      expect((await enrolOwn({ ...quay, ...wrong })).status, JSON.stringify(wrong)).toBe(400);
    const people = JSON.stringify(await db('person').select('document'));
    expect((await enrolOwn(quay)).status).toBe(201);
    const unit = (await db('unit').whereRaw(`document->>'nickname' = 'Quay one'`).first()).document;
    // The name is taken by a kind that ships: it has an id of its own.
    expect(unit).toMatchObject({ descriptionId: 'pocket-radio-2', confirmed: false });
    expect(unit.note).toBe(
      'keeps, as they wrote: 20-22; licence, as they wrote: their own, GMRS, call sign QZ1BO, until 2031-05-01',
    );
    expect(JSON.stringify(await db('person').select('document'))).toBe(people);
    const kind = (await db('description').where({ id: 'pocket-radio-2' }).first()).document;
    expect(kind).toMatchObject({ title: 'Pocket radio', certifiedFor: ['gmrs'], names: { length: 8 } });
    // Nobody said what it hears: that is not the pattern's.
    expect(kind.receive).toBe('unknown');
    expect(kind.recipes).toBeUndefined();
    const password = await link({ kind: 'invite', name: 'X', role: 'member' });
    expect((await new Visitor().send('POST', '/api/enrol/[token]', { token: password }, said)).status).toBe(
      404,
    );
  });
});

describe('the second factor', () => {
  const SECRET = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ'; // '12345678901234567890' in base 32
  it.each([
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_111_111_111, '050471'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
    [20_000_000_000, '353130'],
  ])('RFC 6238, appendix B, SHA-1: at %i s the last six digits are %s', (seconds, code) => {
    const step = Math.floor(seconds / 30);
    expect(stepOfCode(SECRET, code, 0, seconds * 1000)).toBe(step);
    expect(stepOfCode(SECRET, code, 0, seconds * 1000 + 30_000)).toBe(step);
    expect(stepOfCode(SECRET, code, 0, seconds * 1000 + 61_000)).toBeNull();
    expect(stepOfCode(SECRET, code, step, seconds * 1000)).toBeNull();
  });
  it('counts once it is confirmed, is asked for, takes a code once, and goes with the password', async () => {
    const { visitor } = await invited('signe');
    const { secret, uri, svg } = (await visitor.send('POST', '/api/account/second-factor', {}, {})).body;
    expect(uri).toMatch(/^otpauth:\/\/totp\/Umbrex:signe\?/);
    expect(svg).toContain('<svg');
    const code = (ahead = 0) => new TOTP({ secret }).generate({ timestamp: Date.now() + ahead * 30_000 });
    const put = (given: string) =>
      visitor.send('PUT', '/api/account/second-factor', {}, { secret, code: given });
    expect((await put('000000')).status).toBe(401);
    expect((await signIn(new Visitor(), 'signe')).status).toBe(200);
    expect((await put(code())).status).toBe(200);
    expect(await signIn(new Visitor(), 'signe')).toMatchObject({
      status: 401,
      body: { error: 'code-needed' },
    });
    expect((await signIn(new Visitor(), 'signe', PASSWORD, code())).body.error).toBe('wrong-code');
    const next = code(1);
    const both = await Promise.all([
      signIn(new Visitor(), 'signe', PASSWORD, next),
      signIn(new Visitor(), 'signe', PASSWORD, next),
    ]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 401]);
    const off = (password: string) => visitor.send('DELETE', '/api/account/second-factor', {}, { password });
    expect([(await off('wrong password')).status, (await off(PASSWORD)).status]).toEqual([401, 200]);
    expect((await signIn(new Visitor(), 'signe')).status).toBe(200);
  });
});

describe('who is what', () => {
  const member = (accountId: string, role: string) =>
    ines.send('PUT', '/api/team/[accountId]', { accountId }, { role, personId: null });
  it('a changed role ends the sessions that had the old one', async () => {
    const { visitor, accountId } = await invited('tor', 'editor');
    const add = () => visitor.send('POST', '/api/people', {}, { value: { id: randomUUID(), name: 'New' } });
    expect((await add()).status).toBe(201);
    expect((await member(accountId, 'observer')).status).toBe(200);
    expect((await add()).status).toBe(401);
    await signIn(visitor, 'tor');
    expect((await add()).status).toBe(403);
    expect((await ines.send('DELETE', '/api/team/[accountId]', { accountId })).status).toBe(200);
    expect((await signIn(visitor, 'tor')).body.error).toBe('no-workspace');
  });
  it('the last coordinator stays one', async () => {
    const { id } = await db('account').where({ login: 'ines' }).first('id');
    expect((await member(id, 'editor')).body.current).toEqual({ last: 'coordinator' });
    expect((await ines.send('DELETE', '/api/team/[accountId]', { accountId: id })).status).toBe(409);
  });
  it('a workspace beside this one: its own plan and people, the same kinds of device; others join it by link', async () => {
    const { visitor: kari } = await invited('kari', 'coordinator');
    expect(
      (await kari.send('POST', '/api/workspaces', {}, { name: 'Outer Skerries', country: 'US' })).status,
    ).toBe(201);
    const there = (await kari.send('GET', '/api/plans')).body;
    expect(there).toMatchObject([{ name: 'First plan' }]);
    expect(there).not.toEqual((await ines.send('GET', '/api/plans')).body);
    const token = await link({ kind: 'invite', name: 'Mia', role: 'editor' }, kari);
    const { visitor: mia, accountId } = await invited('mia');
    expect((await take(token, { join: true })).status).toBe(401);
    expect((await take(token, { join: true }, mia)).status).toBe(201);
    expect((await mia.send('GET', '/api/plans')).body).toEqual(there);
    // Her password opens Kari's workspace too, so the other coordinator may not set it.
    expect(
      (await ines.send('POST', '/api/team/links', {}, { kind: 'reset', accountId })).body.current,
    ).toEqual({ belongs: 'elsewhere' });
    const back = (await db('workspace').orderBy('created_at').first()).id;
    expect((await mia.send('PUT', '/api/session/workspace', {}, { workspaceId: back })).status).toBe(200);
    expect((await mia.send('GET', '/api/plans')).body).not.toEqual(there);
    expect((await ines.send('PUT', '/api/session/workspace', {}, { workspaceId: randomUUID() })).status).toBe(
      404,
    );
  });
  it('a new password needs the old one, and ends the other sessions', async () => {
    const { visitor } = await invited('vera');
    const other = new Visitor();
    await signIn(other, 'vera');
    const change = (old: string) =>
      visitor.send('PUT', '/api/account/password', {}, { old, password: 'a longer one yet' });
    expect((await change('wrong password')).status).toBe(401);
    expect((await change(PASSWORD)).status).toBe(200);
    expect([await plans(visitor), await plans(other)]).toEqual([200, 401]);
  });
});
