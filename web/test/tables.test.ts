import type { Plan } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import Papa from 'papaparse';
import readXlsx from 'read-excel-file/node';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { ROUTES, Visitor, visitorAs } = await import('./routes');

const db = getDb();
let planId = '';
let plan: Plan;
let coordinator: InstanceType<typeof Visitor>;
// The demo with all that it has behind it takes a while on a busy machine.
beforeAll(async () => {
  await ensureWorkspace(db, true, true);
  coordinator = await visitorAs('coordinator');
  planId = (await coordinator.send('GET', '/api/plans')).body[0].id;
  const head = (await coordinator.send('GET', '/api/plans/[planId]', { planId })).body;
  plan = head.plan;
  // Names that a spreadsheet would run, or break.
  const { channels } = plan;
  for (const [i, name] of ['=1+1', '@SUM', 'a, "b"; c'].entries()) {
    const row = await db('channel').where({ id: channels[i]?.id }).first();
    await db('channel')
      .where({ id: row.id })
      .update({ document: { ...row.document, name } });
  }
  plan = (await coordinator.send('GET', '/api/plans/[planId]', { planId })).body.plan;
}, 60_000);
afterAll(() => db.destroy());

const PATH = '/api/plans/[planId]/table';
async function table(search: string, visitor = coordinator): Promise<Response> {
  const route = ROUTES.find(({ method, path }) => method === 'GET' && path === PATH);
  const request = new Request(`http://127.0.0.1${PATH}${search}`, { headers: { host: '127.0.0.1' } });
  return (await route?.handler(visitor.context(request, PATH, { planId }))) as Response;
}
/** A cell as it was before a spreadsheet was kept from running it. */
const meant = (cell: string) => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

describe.each(['numbers', 'fit', 'rollout'] as const)('%s as a table', (what) => {
  it('is the same in every form, read by other libraries, and no cell of it is run', async () => {
    const json = await (await table(`?what=${what}&as=json`)).json();
    expect(json).toMatchObject({ format: 'umbrex/table@1', what, plan: { id: planId, name: plan.name } });
    expect(json.rows.length).toBeGreaterThan(20);
    expect(new Set(json.columns).size).toBe(json.columns.length);
    const expected = [json.columns, ...json.rows].map((row: (string | number)[]) => row.map(String));
    for (const row of expected) expect(row.length).toBe(json.columns.length);

    const csv = await (await table(`?what=${what}&as=csv`)).text();
    const tsv = await (await table(`?what=${what}&as=tsv`)).text();
    const [book] = await readXlsx(Buffer.from(await (await table(`?what=${what}&as=xlsx`)).arrayBuffer()));
    const cells = {
      csv: Papa.parse<string[]>(csv).data,
      tsv: Papa.parse<string[]>(tsv, { delimiter: '\t' }).data,
      xlsx: (book?.data ?? []).map((row) =>
        Array.from({ length: json.columns.length }, (_, i) => String(row[i] ?? '')),
      ),
    };
    for (const [form, rows] of Object.entries(cells)) {
      // Source: OWASP, CSV injection: a cell that begins with one of these may be run.
      for (const cell of rows.flat()) expect(cell, form).not.toMatch(/^[=+\-@\t\r]/);
      expect(
        rows.map((row) => row.map(meant)),
        form,
      ).toEqual(expected);
    }
  });
});

describe('what stands in the tables', () => {
  const rows = async (search: string) => {
    const { columns, rows: all } = await (await table(`${search}&as=json`)).json();
    return (all as (string | number)[][]).map((row) =>
      Object.fromEntries((columns as string[]).map((column, i) => [column, row[i]])),
    );
  };
  it('fit has each channel once for each kind, with its frequency', async () => {
    const fit = await rows('?what=fit');
    const kinds = new Set(fit.map(({ Kind }) => Kind));
    expect(kinds.size).toBeGreaterThan(10);
    for (const { name, receiveHz } of plan.channels) {
      const those = fit.filter(({ Channel, MHz }) => Channel === name && MHz === mhzText(receiveHz));
      expect(those.length % kinds.size === 0 || those.length >= kinds.size, name).toBe(true);
    }
  });
  it('the rollout has each set once, and numbers each channel once', async () => {
    const units = await db('unit').whereNull('deleted_at').select('document');
    const rollout = await rows('?what=rollout');
    expect(rollout.map(({ Set: set }) => set).sort()).toEqual(
      units.map(({ document }) => document.nickname).sort(),
    );
    for (const { Minutes } of rollout) expect(typeof Minutes).toBe('number');
    expect((await rows('?what=numbers')).map(({ Channel }) => Channel)).toEqual(
      plan.channels.map(({ name }) => name),
    );
  });
  it('a member has the sets that are theirs; numbers are not for them, nor another what, as or of', async () => {
    const member = await visitorAs('member');
    const { rows: own } = await (await table('?what=rollout&as=json', member)).json();
    const { rows: all } = await (await table('?what=rollout&as=json')).json();
    expect(own.length).toBeGreaterThan(0);
    expect(own.length).toBeLessThan(all.length);
    expect((await table('?what=numbers&as=csv', member)).status).toBe(403);
    expect((await table('?what=fit&as=csv', await visitorAs('observer'))).status).toBe(403);
    for (const bad of [
      '',
      '?what=all&as=csv',
      '?what=fit&as=pdf',
      '?what=fit&as=csv&of=soon',
      '?what=fit&as=csv&of=99',
    ])
      expect((await table(bad)).status, bad).toBe(404);
  });
});
