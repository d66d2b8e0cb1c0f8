import { randomUUID } from 'node:crypto';
import { withEvidence } from '@umbrex/core/evidence';
import { heldAfter } from '@umbrex/core/flow';
import type { Evidence, Unit } from '@umbrex/core/model';
import type { Seen } from '@/contract/revisions';
import { describedMark } from '@/server/contentMark';
import { today } from '@/server/day';
import { type Desk, loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { BadInput, ChangedMeanwhile, NotHere } from '@/server/problem';
import { attempt, preparedFor, stopsOf } from '@/server/sheetPage';
import { saveThing } from '@/server/store/store';

/**
 * POST what somebody saw or did with sets, as an entry in the timeline of each: all of them or none, in one move; 201, 400 where a sheet is not ready,
 * 404, 409 when one was changed meanwhile.
 */
export const POST = endpoint(
  'POST /api/plans/[planId]/seen',
  async ({ db, session, workspace, params, body, write }) => {
    const { seen } = body;
    const desk = await loadDesk(db, session, params.planId, seen.what === 'loaded' ? seen.of : 'draft');
    const held = new Map(desk.units.map((one) => [one.unit.id, one]));
    const asNow = writer(desk, { ...seen, by: seen.by || session.name });
    const units: { version: number; unit: Unit }[] = [];
    for (const { id, version } of body.sets) {
      const one = held.get(id);
      if (!one) throw new NotHere();
      if (one.version !== version) throw new ChangedMeanwhile({ value: one.unit, version: one.version });
      // Between two sheets others get their turn.
      await new Promise((resolve) => setImmediate(resolve));
      units.push({ version, unit: asNow(one.unit) });
    }
    return write(async (trx, editId) => {
      const saved = [];
      for (const { unit, version } of units)
        saved.push(await saveThing(trx, 'unit', workspace.id, unit.id, version, unit));
      const [one] = saved;
      return { editId, set: one && saved.length === 1 ? { value: one.value, version: one.version } : null };
    });
  },
);

/** A set as it is known once something was seen of it. @throws BadInput where it cannot have been loaded so */
function writer(desk: Desk, seen: Seen): (unit: Unit) => Unit {
  if (seen.what !== 'loaded') return (unit) => withEvidence(unit, { ...seen, id: randomUUID() } as Evidence);
  const { of, ...said } = seen;
  const { id: planId } = desk.state.plan;
  const prepareOne = preparedFor(desk);
  return (unit) => {
    const kind = desk.descriptions.find(({ description }) => description.id === unit.descriptionId);
    const prepared = kind && attempt(() => prepareOne(kind, unit), unit.id);
    if (!kind || !prepared || stopsOf(desk, unit, kind.description, prepared).length > 0)
      throw new BadInput([
        { code: 'sheet-not-ready', severity: 'error', path: '/sets', nickname: unit.nickname },
      ]);
    const { description } = kind;
    const contents = heldAfter(
      description,
      prepared,
      unit.holds,
      of === 'draft' ? desk.state.version : of,
      said.day === 'unknown' ? today() : said.day,
    );
    const revision = of === 'draft' ? null : of;
    const evidence = { ...said, id: randomUUID(), planId, revision, described: describedMark(description) };
    return withEvidence(unit, evidence, contents);
  };
}
