import { prepare } from '@umbrex/core/flow';
import type { Proof } from '@umbrex/core/procedure';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ensureWorkspace } from '../../demo/load';
import { shippedDescriptions } from '../../devices/read';
import { getDb } from '../src/server/db';
import { planFor } from '../src/server/planFor';
import { Proofs } from '../src/server/proofs';

const db = getDb();
/** Real ones, of every way: by keys with pauses and without, by a file, and of a kind whose keys nobody described. */
const made = new Map<string, Proof>();
beforeAll(async () => {
  await ensureWorkspace(db, true, true);
  const workspace = await db('workspace').first('id', 'name');
  const session = { accountId: null, name: 'Ines', role: 'coordinator' as const, personId: null, workspace };
  const { plan } = await planFor(db, session, (await db('plan').first('id')).id);
  for (const description of shippedDescriptions())
    made.set(`mark of ${description.id}`, prepare(plan, description).proof);
}, 60_000);
afterAll(() => db.destroy());

const never = (): Proof => {
  throw new Error('made anew');
};
const rows = async (build: string) => (await db('kept_proof').where({ build })).length;
const saved = async (build: string, count: number) => {
  for (let i = 0; i < 200 && (await rows(build)) < count; i++) await new Promise((r) => setTimeout(r, 25));
  expect(await rows(build)).toBe(count);
};
const all = (proofs: Proofs, make: (mark: string) => Proof) =>
  [...made.keys()].map((mark) => proofs.of(mark, () => make(mark)));
const fromMade = (mark: string) => made.get(mark) ?? never();

it('what one start proved, the next start of the same build has as it was, and another build has not', async () => {
  const first = new Proofs('one');
  await first.read(db);
  all(first, fromMade);
  await saved('one', made.size);

  const again = new Proofs('one');
  await again.read(db);
  expect(all(again, never)).toEqual([...made.values()]);

  const other = new Proofs('two');
  await other.read(db);
  expect(() => all(other, never)).toThrow('made anew');
});

it('one that cannot be read is made anew, and the others are there', async () => {
  const [broken = ''] = made.keys();
  await db('kept_proof')
    .where({ build: 'one', mark: broken })
    .update({ proof: JSON.stringify({ proven: 'yes' }) });
  const again = new Proofs('one');
  await again.read(db);
  const anew: string[] = [];
  const proofs = all(again, (mark) => {
    anew.push(mark);
    return fromMade(mark);
  });
  expect(anew).toEqual([broken]);
  expect(proofs).toEqual([...made.values()]);
});

it('without a build, or without a database, everything is proven as ever', async () => {
  const nameless = new Proofs('');
  await nameless.read(db);
  expect(all(nameless, fromMade)).toEqual([...made.values()]);
  const lost = new Proofs('three');
  await lost.read((() => {
    throw new Error('away');
  }) as never);
  expect(all(lost, fromMade)).toEqual([...made.values()]);
  expect(await rows('')).toBe(0);
});

it('keeps the newest 400 of a build, and lets those of builds of last week go', async () => {
  const [proof] = made.values();
  if (!proof) return;
  await db('kept_proof').insert({
    build: 'old',
    mark: 'x',
    proof: JSON.stringify(proof),
    made_at: '2026-01-01',
  });
  const many = new Proofs('many');
  await many.read(db);
  for (let i = 0; i < 450; i++) many.of(`mark ${i}`, () => proof);
  await saved('many', 400);
  expect(await rows('old')).toBe(0);
});
