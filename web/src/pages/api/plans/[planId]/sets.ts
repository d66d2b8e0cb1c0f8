import { randomUUID } from 'node:crypto';
import { starterSets } from '@umbrex/core/listing';
import { headOf } from '@umbrex/core/model';
import { endpoint } from '@/server/endpoint';
import { BadInput } from '@/server/problem';
import { addChannel, loadPlan } from '@/server/repositories/plans';
import { saveThing } from '@/server/store/store';

/** POST a starter set: a group of its own with all its channels, in one move; 201, 400 no such set here, 409 changed meanwhile. */
export const POST = endpoint('POST /api/plans/[planId]/sets', ({ write, workspace, params, body }) =>
  write(async (trx, editId) => {
    const planId = params.planId;
    const { plan } = await loadPlan(trx, workspace.id, planId);
    const set = starterSets(plan.country).find(({ id }) => id === body.set);
    if (!set)
      throw new BadInput([
        { code: 'dangling-reference', severity: 'error', path: '/set', what: 'starter set', id: body.set },
      ]);
    const group = { id: randomUUID(), name: set.title.slice(0, 40), note: '' };
    const head = headOf(plan);
    await saveThing(trx, 'plan', workspace.id, planId, body.version, {
      ...head,
      groups: [...head.groups, group],
    });
    for (const draft of set.channels)
      await addChannel(trx, workspace.id, planId, { id: randomUUID(), groupId: group.id, ...draft });
    return { editId, group: group.id, channels: set.channels.length };
  }),
);
