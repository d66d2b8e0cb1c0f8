import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Card } from '@umbrex/core/card';
import type { Plan } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import jsQR from 'jsqr';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { MOST_BYTES, mustText } = await import('../src/server/print/pocket');
const { clean } = await import('../src/server/print/pdf');
const { loadDesk } = await import('../src/server/desk');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { sheetsView } = await import('../src/server/views/sheets');
const { Visitor, visitorAs } = await import('./routes');

const db = getDb();
const folder = mkdtempSync('/tmp/umbrex-print.');
let planId = '';
let plan: Plan;
let coordinator: InstanceType<typeof Visitor>;
// The demo with all that it has behind it takes a while on a busy machine.
beforeAll(async () => {
  await ensureWorkspace(db, true, true);
  coordinator = await visitorAs('coordinator');
  planId = (await coordinator.send('GET', '/api/plans')).body[0].id;
  plan = (await coordinator.send('GET', '/api/plans/[planId]', { planId })).body.plan;
}, 60_000);
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const workspaceOf = async () => {
  const workspace = await firstWorkspace(db);
  if (!workspace) throw new Error('no workspace');
  return workspace;
};

/** A document as the server gives it, read back by poppler (Debian's poppler-utils). */
async function printed(search: string, visitor = coordinator) {
  const { ROUTES } = await import('./routes');
  const route = ROUTES.find(({ method, path }) => method === 'GET' && path === '/api/plans/[planId]/print');
  const path = '/api/plans/[planId]/print';
  const request = new Request(`http://127.0.0.1${path}${search}`, { headers: { host: '127.0.0.1:4321' } });
  const response = (await route?.handler(visitor.context(request, path, { planId }))) as Response;
  if (response.status !== 200) return { status: response.status };
  expect(response.headers.get('content-type')).toBe('application/pdf');
  const file = join(folder, `${Math.random().toString(36).slice(2)}.pdf`);
  writeFileSync(file, Buffer.from(await response.arrayBuffer()));
  const run = (program: string, ...more: string[]) =>
    execFileSync(program, [...more.slice(0, -1), file, ...more.slice(-1)].filter(Boolean), {
      encoding: 'utf8',
      maxBuffer: 50e6,
    });
  const info = run('pdfinfo', '');
  const text = run('pdftotext', '-layout', '-');
  // No piece of the program stands on paper.
  expect(text).not.toMatch(/\$\{|\$\d|`|\bundefined\b|\bNaN\b|\[object|\{[a-z]\w*\}|\bnull\b/);
  return {
    status: 200,
    file,
    text,
    // As it was drawn, each cell by itself, without its spaces.
    raw: spaceless(run('pdftotext', '-raw', '-')),
    // Words that were broken over lines stand together here.
    words: text.replace(/\s+/g, ' '),
    pages: text.split('\f').slice(0, -1),
    count: Number(/^Pages:\s+(\d+)/m.exec(info)?.[1]),
    size: /^Page size:\s+(.*)$/m.exec(info)?.[1] ?? '',
    fonts: run('pdffonts', '').split('\n').slice(2).filter(Boolean),
    bookmarks: /^\s*[1-9]/.test(info) ? '' : readFileSync(file, 'latin1').match(/\/Outlines/g)?.length,
  };
}
type Printed = Required<Awaited<ReturnType<typeof printed>>>;
const of = async (search: string, visitor = coordinator) => (await printed(search, visitor)) as Printed;

describe('documents for paper', () => {
  it.each(['wall', 'ics205', 'ics217a', 'contacts', 'pocket&person='])(
    '%s: fonts are embedded, no page is blank, each says what it is and page x of y, on A4 and Letter',
    async (what) => {
      const person = (await db('unit').whereRaw(`document->>'personId' is not null`).first()).document
        .personId;
      for (const [size, points] of [
        ['A4', /595\.\d+ x 841\.\d+|841\.\d+ x 595\.\d+/],
        ['LETTER', /612 x 792|792 x 612/],
      ] as const) {
        const {
          count,
          pages,
          fonts,
          size: said,
          bookmarks,
        } = await of(`?what=${what.endsWith('=') ? what + person : what}&size=${size}`);
        expect(said).toMatch(points);
        expect(pages.length).toBe(count);
        pages.forEach((page, i) => {
          expect(page).toContain(`page ${i + 1} of ${count}`);
          expect(page).toMatch(/Ostrel plan, (draft|revision \d+)/);
          expect(page).toMatch(/\d{4}/);
          expect(page.replace(/\s/g, '').length).toBeGreaterThan(120);
        });
        // emb is the column before sub and uni (pdffonts).
        for (const font of fonts) expect(font, font).toMatch(/\s+yes\s+(yes|no)\s+yes\s+\d+\s+\d+$/);
        expect(fonts.length).toBeGreaterThan(0);
        expect(bookmarks).toBeGreaterThan(0);
      }
    },
  );
  it('a sheet of a set that holds all of it claims no trial: it says what is on record; one with steps says what was tried', async () => {
    const desk = await loadDesk(
      db,
      { accountId: null, name: 'Ines', role: 'coordinator', personId: null, workspace: await workspaceOf() },
      planId,
      'published',
    );
    const rows = (await sheetsView(desk)).filter((row) => !row.isBroken);
    const same = rows.filter((row) => row.isSame);
    expect(same.length).toBeGreaterThan(3);
    for (const row of rows) expect(row.stamp === null, row.unit.nickname).toBe(row.isSame);
    const [done, todo] = [same[0], rows.find((row) => row.steps > 0)];
    for (const [row, says, not] of [
      [
        done,
        /Nothing to change: by what is on record .* On record: loaded with revision 3.*says/,
        /rehearsed|Replayed|Before you start/,
      ],
      [todo, /rehearsed. Replayed on the virtual device/, /Nothing to change/],
    ] as const) {
      const { words } = await of(`?what=sheet&unit=${row?.unit.id}&of=3&size=A4`);
      expect(words).toMatch(says);
      expect(words).not.toMatch(not);
    }
  });
  it('the wall list and both forms have every channel of the plan with its frequencies', async () => {
    for (const what of ['wall', 'ics205', 'ics217a']) {
      const { words, text } = await of(`?what=${what}&members`);
      // A name may be broken in its cell: its words stand there.
      const seen = new Set(words.split(' '));
      for (const { name, receiveHz, transmitHz } of plan.channels) {
        for (const word of clean(name).split(/\s+/))
          expect(seen.has(word) || text.includes(word), `${what}: ${name}`).toBe(true);
        expect(text, `${what}: ${name}`).toContain(mhzText(receiveHz));
        if (transmitHz !== null) expect(text, `${what}: ${name}`).toContain(mhzText(transmitHz));
      }
    }
  });
  it('the forms have the blocks of the forms, on every page their head, and who is on which channel', async () => {
    const { pages, words } = await of(
      '?what=ics205&incident=Winter%20drill&from=2026-12-05T08:00&to=2026-12-05T16:00',
    );
    expect(pages.length).toBeGreaterThan(1);
    for (const page of pages) {
      expect(page).toContain('INCIDENT RADIO COMMUNICATIONS PLAN (ICS 205)');
      expect(page).toContain('Winter drill');
      expect(page).toContain('From: 2026-12-05 08:00 To: 2026-12-05 16:00');
    }
    for (const block of [
      '1. Incident Name:',
      '2. Date/Time Prepared:',
      '3. Operational Period:',
      '4. Basic Radio Channel Use:',
      '5. Special Instructions:',
      '6. Prepared by (Communications Unit Leader):',
    ])
      expect(words).toContain(block);
    expect(words).toContain('Sunday check');
    expect(words).toContain('Ines Korvald');
    const other = await of('?what=ics217a');
    for (const page of other.pages)
      expect(page).toContain('COMMUNICATIONS RESOURCE AVAILABILITY WORKSHEET (ICS 217A)');
  });
  it('what everybody may read has no tone that the group keeps to itself', async () => {
    const secret = plan.channels.filter(
      ({ tonesSecret, transmitTone }) => tonesSecret && transmitTone !== 'off',
    );
    expect(secret.length).toBeGreaterThan(0);
    const others = new Set(
      plan.channels
        .filter(({ tonesSecret }) => !tonesSecret)
        .flatMap(({ transmitTone, receiveTone }) => [transmitTone, receiveTone]),
    );
    for (const { transmitTone } of secret.filter((one) => !others.has(one.transmitTone)))
      for (const what of ['wall', 'ics205', 'ics217a']) {
        expect((await of(`?what=${what}`)).text).not.toContain(transmitTone);
        expect((await of(`?what=${what}&members`)).text).toContain(transmitTone);
      }
    const observer = await visitorAs('observer');
    const [one] = secret;
    if (one && !others.has(one.transmitTone))
      expect((await of('?what=ics205&members', observer)).text).not.toContain(one.transmitTone);
  });
  it('the pocket card has a code for the live card, and one with the channels as text', async () => {
    const person = (await db('unit').whereRaw(`document->>'nickname' = 'Watch 3'`).first()).document.personId;
    const { file, words } = await of(`?what=pocket&person=${person}`);
    for (const text of ['Ada Brunlow', 'Watch 3', 'Gannet Top', 'R5']) expect(words).toContain(text);
    const read = codes(file);
    expect(read).toContain('http://127.0.0.1:4321/my');
    expect(read.some((text) => /Kelp Stairs 462\.6500 send 467\.6500/.test(text))).toBe(true);
    expect(
      read.some(
        (text) => text.includes('131.8') && /Gannet/.test(text.split('131.8')[0]?.split('\n').at(-1) ?? ''),
      ),
    ).toBe(false);
  });
  it('a thousand bytes are enough, whatever the names, and secret tones are never in it', () => {
    const channel = (i: number, more: object = {}) => ({
      name: `Ünïted repeater of the northern shore ${i}`,
      receiveHz: 462_550_000 + i * 12_500,
      transmitHz: 467_550_000,
      transmitTone: '141.3',
      tier: 'must',
      state: 'on-air',
      isSecret: false,
      ...more,
    });
    const card = (channels: object[]) =>
      ({ planName: 'P'.repeat(60), revision: 3, channels }) as unknown as Card;
    for (const count of [0, 1, 5, 20, 500]) {
      const text = mustText(card(Array.from({ length: count }, (_, i) => channel(i))));
      expect(Buffer.byteLength(text)).toBeLessThanOrEqual(MOST_BYTES);
      if (count > 20) expect(text).toMatch(/and \d+ more$/);
    }
    expect(mustText(card([channel(1, { isSecret: true })]))).not.toContain('141.3');
    expect(mustText(card([channel(1)]))).toContain('141.3');
    expect(mustText(card([channel(1, { tier: 'nice' }), channel(2, { state: 'planned' })]))).not.toContain(
      'Ünïted',
    );
  });
  it('a letter that the fonts have none of is its plain one, or asked about, never nothing', () => {
    for (const [text, drawn] of [
      ['Åre Øst, naïve: 5 €', 'Åre Øst, naïve: 5 €'],
      ['Łódź', '?ódz'],
      ['Кола 7', '???? 7'],
      ['a\tb', 'a?b'],
      ['🚢', '?'],
    ] as const)
      expect(clean(text)).toBe(drawn);
  });
  it.each(['Watch 10', 'Boat 4', 'Ridge 1'])(
    'the sheet of %s says every step with its number, in short every place, with the code of the live one',
    async (nickname) => {
      const { id, document } = await db('unit').whereRaw(`document->>'nickname' = ?`, [nickname]).first();
      const until = new Date(Date.now() + 9e8).toISOString().slice(0, 10);
      const link = await coordinator.send(
        'POST',
        '/api/team/links',
        {},
        {
          kind: 'card',
          personId: document.personId,
          planId,
          until,
          hidesTones: false,
        },
      );
      const token = link.body.path.replace('/my/', '');
      const { body: steps } = await coordinator.send('GET', '/api/my/[token]/sets/[unitId]', {
        token,
        unitId: id,
      });
      expect(steps.steps.length).toBeGreaterThan(100);
      const long = await of(`?what=sheet&unit=${id}`);
      // The card's steps are made elsewhere: each of its words stands on paper, with its number.
      const said = steps.steps.map(({ says }: { says: string }) => clean(says));
      for (const says of new Set<string>(said)) expect(long.raw, says).toContain(spaceless(says));
      // Its number before what it says.
      const numbered = new Set(long.text.match(/^ *\d+ {2,}/gm)?.map((text: string) => Number(text)));
      for (let n = 1; n <= said.length; n++) expect(numbered.has(n), `step ${n}`).toBe(true);
      expect(codes(long.file)).toContain(`http://127.0.0.1:4321/plans/${planId}/sheets/${id}?of=3`);
      for (const text of ['Hazards', 'Before you start', 'Lost?', 'Read back', 'What to try'])
        expect(long.words).toContain(text);
      const short = await of(`?what=sheet&unit=${id}&form=short`);
      expect(short.words).toContain('Steps in short');
      expect(short.count).toBeLessThan(long.count);
      for (const { name } of plan.channels.filter(({ name: one }) => long.words.includes(one)))
        expect(short.raw, name).toContain(spaceless(clean(name)));
      for (const { pages, count } of [long, short])
        pages.forEach((page, i) => {
          expect(page).toContain(`page ${i + 1} of ${count}`);
          expect(page).toContain(`Sheet of ${nickname}`);
          expect(page.replace(/\s/g, '').length).toBeGreaterThan(80);
        });
    },
  );
  it('a sheet that is not ready says why, once', async () => {
    const { id } = await db('unit').whereRaw(`document->>'nickname' = 'Watch 9'`).first();
    const { raw } = await of(`?what=sheet&unit=${id}`);
    expect(raw).toContain(
      spaceless(
        'This sheet is not ready. One place holds something of the holder’s own that the plan would overwrite. Look at it first.',
      ),
    );
    expect(raw.match(/holder.sown/g)).toHaveLength(1);
  });
  it('a sheet of which places can send and must not says so at the head of every page', async () => {
    const { id } = await db('unit').whereRaw(`document->>'nickname' = 'Boat 5'`).first();
    const { pages } = await of(`?what=sheet&unit=${id}`);
    for (const page of pages) expect(page).toMatch(/Can send, and must not: /);
  });
  it('the board has each channel and each kind with its places; a kind its keys and its tones', async () => {
    const { words, text, count } = await of('?what=board');
    expect(count).toBeGreaterThan(1);
    for (const { name } of plan.channels) expect(spaceless(text)).toContain(spaceless(clean(name)));
    expect(words).toContain('Page hand-held');
    const kind = await of('?what=kind&kind=page-handheld');
    // Of the labels one is worked out by hand: 131.8 Hz is typed as 1318 on it.
    for (const tone of ['67.0', '131.8', '254.1', 'D023N', 'D754I']) expect(kind.words).toContain(tone);
    expect(kind.words).toContain('Key map');
    expect((await printed('?what=kind&kind=none-such')).status).toBe(404);
  });
  it('a bench packet has its list, a label and a sheet for each set', async () => {
    const day = await db('bench').first();
    const { words } = await of(`?what=packet&day=${day.id}`);
    const { tasks, name } = day.document;
    expect(tasks.length).toBeGreaterThan(3);
    expect(words).toContain(name);
    for (const { setId } of tasks) {
      const { document } = await db('unit').where({ id: setId }).first();
      // In the list, on its label, over its sheet.
      expect(words.split(document.nickname).length).toBeGreaterThan(3);
    }
  });
  it('says how far it is, one thing a line, and gives the same document at the end', async () => {
    const day = await db('bench').first();
    const { lines } = await streamed(`?what=packet&day=${day.id}&progress=1`);
    expect(lines.map(({ at }) => at).filter((at, i, all) => at !== all[i - 1])).toEqual([
      'sets',
      'setting',
      'writing',
      'done',
    ]);
    const sets = lines.filter(({ at }) => at === 'sets');
    expect(sets.map(({ done }) => done)).toEqual(sets.map((_, i) => i));
    expect(sets[0].of).toBe(day.document.tasks.length);
    const shares = lines.filter(({ at }) => at === 'writing').map(({ share }) => share);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    const last = lines.at(-1);
    expect(Buffer.from(last.pdf, 'base64').subarray(0, 5).toString()).toBe('%PDF-');
    expect((await streamed('?what=sheet&progress=1')).lines.at(-1)).toEqual({
      at: 'stopped',
      why: 'not-here',
    });
  });
  it('one that is given up on the way is not made to its end, and the next one is made all the same', async () => {
    const day = await db('bench').first();
    const { lines } = await streamed(`?what=packet&day=${day.id}&progress=1`, 2);
    expect(lines.length).toBe(2);
    const { lines: paper } = await streamed('?what=wall&progress=1', 1);
    expect(paper).toEqual([{ at: 'setting' }]);
    expect((await of('?what=wall')).count).toBeGreaterThan(0);
  });
  it('of a plan without a channel, and of every kind of set, there is a document all the same', async () => {
    const full = planId;
    const made = await coordinator.send(
      'POST',
      '/api/plans',
      {},
      { ...plan, id: randomUUID(), name: 'Ostrel plan', channels: [], numbering: null },
    );
    expect(made.status).toBe(201);
    planId = made.body.id;
    try {
      for (const what of ['wall', 'ics205', 'ics217a', 'board', 'contacts'])
        expect((await printed(`?what=${what}`)).status, what).toBe(200);
    } finally {
      planId = full;
    }
    for (const { id } of await db('description').where({ deleted_at: null }))
      expect((await of(`?what=kind&kind=${id}`)).words, id).toMatch(/Key map.*Tones and codes/);
  });
  it('is for whom it is', async () => {
    const person = (await db('person').first()).id;
    const [member, observer] = [await visitorAs('member'), await visitorAs('observer')];
    expect((await printed('?what=contacts', member)).status).toBe(403);
    expect((await printed('?what=contacts', observer)).status).toBe(403);
    const unit = (await db('unit').first()).id;
    const day = (await db('bench').first()).id;
    for (const query of [`sheet&unit=${unit}`, 'board', 'kind&kind=page-handheld'])
      expect((await printed(`?what=${query}`, observer)).status, query).toBe(403);
    expect((await printed(`?what=packet&day=${day}`, member)).status).toBe(403);
    // Of a set that is not theirs to see there is no sheet for a member.
    const strange = await db('unit').whereRaw(`document->>'nickname' = 'Hall'`).first();
    expect((await printed(`?what=sheet&unit=${strange.id}`, member)).status).toBe(404);
    expect((await printed(`?what=pocket&person=${person}`, observer)).status).toBe(404);
    const other = await db('person')
      .whereNot({ id: (await db('membership').where({ role: 'member' }).first()).person_id })
      .first();
    expect((await printed(`?what=pocket&person=${other.id}`, member)).status).toBe(403);
    expect((await printed('?what=pocket', member)).status).toBe(200);
    for (const bad of [
      '',
      '?what=all',
      '?what=wall&size=A0',
      '?what=ics205&from=soon',
      `?what=ics205&incident=${'a'.repeat(200)}`,
      '?what=sheet',
      '?what=sheet&unit=none',
      `?what=sheet&unit=${planId}`,
      '?what=wall&of=soon',
      '?what=wall&of=900000',
      '?what=packet',
      `?what=packet&day=${planId}`,
    ])
      expect((await printed(bad)).status, bad).toBe(404);
  });
});

const spaceless = (text: string) => text.replace(/\s+/g, '');

/** The lines of a document that says how far it is; given up after so many. */
// biome-ignore lint/suspicious/noExplicitAny: read as it comes over the wire
async function streamed(search: string, most = Number.POSITIVE_INFINITY): Promise<{ lines: any[] }> {
  const { ROUTES } = await import('./routes');
  const path = '/api/plans/[planId]/print';
  const route = ROUTES.find((one) => one.method === 'GET' && one.path === path);
  const request = new Request(`http://127.0.0.1${path}${search}`, { headers: { host: '127.0.0.1:4321' } });
  const response = (await route?.handler(coordinator.context(request, path, { planId }))) as Response;
  expect(response.headers.get('content-type')).toBe('application/x-ndjson');
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  for (;;) {
    const { value, done } = (await reader?.read()) ?? { done: true, value: '' };
    text += value ?? '';
    const lines = text.split('\n').slice(0, -1);
    if (done || lines.length >= most) {
      await reader?.cancel();
      return { lines: lines.slice(0, most).map((line) => JSON.parse(line)) };
    }
  }
}

/** Every code on the first page, read by another library than drew it; one is covered once it was read. */
function codes(file: string): string[] {
  execFileSync('pdftoppm', ['-gray', '-r', '200', '-f', '1', '-l', '1', file, `${file}.page`]);
  const name = readdirSync(folder).find((one) => join(folder, one).startsWith(`${file}.page`)) ?? '';
  const bytes = readFileSync(join(folder, name));
  // A portable graymap: P5, width and height, the most, then one byte a dot (netpbm).
  const [, width = '0', height = '0'] =
    /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1')) ?? [];
  const [w, h] = [Number(width), Number(height)];
  const dots = bytes.subarray(bytes.length - w * h);
  const data = new Uint8ClampedArray(w * h * 4);
  for (let i = 0; i < w * h; i++) data.set([dots[i] ?? 0, dots[i] ?? 0, dots[i] ?? 0, 255], i * 4);
  const found: string[] = [];
  for (let n = 0; n < 4; n++) {
    const code = jsQR(data, w, h);
    if (!code) break;
    found.push(code.data);
    const xs = Object.values(code.location).map(({ x }) => x);
    const ys = Object.values(code.location).map(({ y }) => y);
    for (let y = Math.max(0, Math.floor(Math.min(...ys)) - 4); y < Math.min(h, Math.max(...ys) + 4); y++)
      for (let x = Math.max(0, Math.floor(Math.min(...xs)) - 4); x < Math.min(w, Math.max(...xs) + 4); x++)
        data.set([255, 255, 255, 255], (y * w + x) * 4);
  }
  return found;
}
