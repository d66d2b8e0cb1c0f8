import type { Unit } from '@umbrex/core/model';
import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { ChangedMeanwhile, NotHere } from '@/server/problem';
import { seenBy } from '@/server/seen';
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
    const asNow = seenBy(desk, { ...seen, by: seen.by || session.name });
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
