import { randomUUID } from 'node:crypto';
import type { BenchDay, Unit } from '@umbrex/core/model';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BenchMarksAnswer } from '../src/contract/bench';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { send, visitorAs } = await import('./routes');

const db = getDb();
let dayId = '';
// The demo with all that it has behind it takes a while on a busy machine.
beforeAll(async () => {
  await ensureWorkspace(db, true, true);
  dayId = (await db('bench').first()).id;
}, 60_000);
afterAll(() => db.destroy());

const day = async (): Promise<BenchDay> => (await db('bench').where({ id: dayId }).first()).document;
const unit = async (id: string): Promise<Unit> => (await db('unit').where({ id }).first()).document;
const loads = async (id: string) => (await unit(id)).timeline.filter(({ what }) => what === 'loaded');
const mark = (setId: string, state: string, minute: number, more: object = {}) => ({
  id: randomUUID(),
  setId,
  state,
  at: `2026-12-05T${String(9 + Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}:00Z`,
  day: '2026-12-05',
  minute: 540 + minute,
  ...more,
});
/** The same of a day that is over: its times count, since they lie before the moment at which it arrives. */
const past = (setId: string, state: string, minute: number) => {
  const { at, ...rest } = mark(setId, state, minute);
  return { ...rest, at: at.replace('2026-12-05', '2026-11-05') };
};
const sent = (marks: object[], visitor?: Awaited<ReturnType<typeof visitorAs>>) =>
  (visitor ? visitor.send.bind(visitor) : send)('POST', '/api/benches/[id]/marks', { id: dayId }, { marks });
/** Sets that have a place in the day and of which nothing was said. */
const open = async () => {
  const { tasks, progress } = await day();
  return tasks.filter(({ setId }) => progress[setId] === undefined);
};

describe('what is ticked on a bench day', () => {
  it('counts once however often it is sent, in the order in which it happened, with its time', async () => {
    const [first, second] = await open();
    if (!first || !second) throw new Error('the demo has a bench day');
    const on = (await day()).day;
    const marks = [
      mark(first.setId, 'done', 30, { day: on }),
      mark(second.setId, 'begun', 40, { day: on }),
      mark(first.setId, 'begun', 20, { day: on }),
    ];
    const before = (await loads(first.setId)).length;
    for (let n = 0; n < 3; n++) {
      const { status, body } = await sent(marks);
      expect(status).toBe(200);
      const { answers, day: now } = body as BenchMarksAnswer;
      expect(answers.map(({ id, taken }) => [id, taken])).toEqual(
        [marks[2], marks[0], marks[1]].map((one) => [one?.id, true]),
      );
      expect(now.value.progress).toMatchObject({ [first.setId]: 'done', [second.setId]: 'begun' });
    }
    const { tasks, beginsMin } = await day();
    const task = tasks.find(({ setId }) => setId === first.setId);
    expect([task?.fromMin, task?.toMin]).toEqual([540 + 20 - beginsMin, 540 + 30 - beginsMin]);
    const after = await loads(first.setId);
    expect(after.length).toBe(before + 1);
    expect(after.at(-1)).toMatchObject({ id: marks[0]?.id, day: on, revision: (await day()).revision });
    const rows = await db('report').where({ unit_id: first.setId }).orderBy('at').select('what');
    expect(rows.map(({ what }) => what)).toEqual(['bench-begun', 'bench-done']);
  });
  it('two who tick the same set at the same time: it is on record once; of two sets both are', async () => {
    const [one, two, three] = await open();
    if (!one || !two || !three) throw new Error('the demo has a bench day');
    const other = await visitorAs('editor');
    const before = (await loads(one.setId)).length;
    const answers = await Promise.all([
      sent([mark(one.setId, 'done', 50), mark(two.setId, 'dropped', 51)]),
      sent([mark(one.setId, 'done', 50), mark(three.setId, 'begun', 51)], other),
    ]);
    for (const { status, body } of answers) {
      expect(status).toBe(200);
      for (const answer of (body as BenchMarksAnswer).answers) expect(answer).toMatchObject({ taken: true });
    }
    expect((await loads(one.setId)).length).toBe(before + 1);
    expect((await day()).progress).toMatchObject({
      [one.setId]: 'done',
      [two.setId]: 'dropped',
      [three.setId]: 'begun',
    });
  });
  it('a set that is done stays done: what another window still offers is answered with the reason, and changes nothing', async () => {
    const [task] = await open();
    if (!task) throw new Error('no set is left');
    const { setId } = task;
    expect((await sent([past(setId, 'begun', 50)])).body).toMatchObject({ answers: [{ taken: true }] });
    expect((await sent([past(setId, 'done', 60)])).body).toMatchObject({ answers: [{ taken: true }] });
    const [before, loaded] = [await day(), (await loads(setId)).length];
    for (const state of ['dropped', 'begun']) {
      const refused = past(setId, state, 61);
      for (let n = 0; n < 2; n++)
        expect((await sent([refused])).body).toMatchObject({
          answers: [{ taken: false, why: expect.stringContaining('on record') }],
          day: { value: { progress: { [setId]: 'done' } } },
        });
    }
    // What happened before comes late, from where there was no network: it is no news.
    expect((await sent([past(setId, 'dropped', 55)])).body).toMatchObject({ answers: [{ taken: true }] });
    expect(await day()).toEqual(before);
    expect(await loads(setId)).toHaveLength(loaded);
  });
  it('of two that were at one set the later word counts, in whatever order they arrive', async () => {
    const [task] = await open();
    if (!task) throw new Error('no set is left');
    await sent([past(task.setId, 'dropped', 80)]);
    await sent([past(task.setId, 'begun', 70)]);
    expect((await day()).progress[task.setId]).toBe('dropped');
    await sent([past(task.setId, 'begun', 90)]);
    expect((await day()).progress[task.setId]).toBe('begun');
  });
  it('a clock that is ahead does not outweigh what others say later', async () => {
    const [task] = await open();
    if (!task) throw new Error('no set is left');
    await sent([mark(task.setId, 'begun', 10, { at: '2039-01-01T00:00:00Z' })]);
    await sent([mark(task.setId, 'dropped', 20, { at: new Date().toISOString() })]);
    expect((await day()).progress[task.setId]).toBe('dropped');
  });
  it('what cannot be taken is answered with its reason, and nothing of it is kept', async () => {
    const [task] = await open();
    if (!task) throw new Error('the demo has a bench day');
    const gone = mark(randomUUID(), 'done', 60);
    const right = mark(task.setId, 'begun', 61);
    const { body } = await sent([gone, right]);
    expect((body as BenchMarksAnswer).answers).toEqual([
      { id: gone.id, taken: false, why: expect.stringMatching(/sheet|not in the list/) },
      { id: right.id, taken: true, why: '' },
    ]);
    expect(await db('report').where({ id: gone.id })).toEqual([]);
    for (const bad of [
      [],
      [mark(task.setId, 'burnt', 1)],
      [mark(task.setId, 'done', 1, { day: 'today' })],
      [mark(task.setId, 'done', 1, { minute: 1440 })],
      [mark('none', 'done', 1)],
      Array.from({ length: 101 }, () => mark(task.setId, 'begun', 1)),
    ])
      expect((await sent(bad)).status).toBe(400);
    const elsewhere = await send('POST', '/api/benches/[id]/marks', { id: randomUUID() }, { marks: [right] });
    expect(elsewhere.status).toBe(404);
  });
});
