import { type Channel, ChannelSchema, headOf, PlanHeadSchema, UnitSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { ChangedMeanwhile, NotHere } from './problem';
import {
  channelVersion,
  currentChannel,
  deleteChannel,
  restoreChannel,
  sameChannel,
  saveChannel,
} from './repositories/channels';
import { revertDescription } from './repositories/descriptions';
import { revertDocument } from './repositories/documents';
import { type Edit, openEdit } from './repositories/edits';
import { loadPlan, type Order, revertPlan, saveOrder, savePlanHead } from './repositories/plans';
import { revertUnit } from './repositories/units';

/**
 * Takes an edit back. Refused when somebody changed the same thing since: undoing must not undo their work. Undoing is an edit
 * of its own, so it can be undone too.
 */
export async function undoEdit(trx: Knex.Transaction, workspaceId: string, editId: string): Promise<void> {
  const edit = await openEdit(trx, workspaceId, editId);
  if (!edit) throw new NotHere();
  switch (edit.kind) {
    case 'channel':
      return undoChannel(trx, workspaceId, edit);
    case 'order': {
      const { plan, version } = await loadPlan(trx, workspaceId, edit.aggregateId);
      if (!sameOrder(plan.channels, edit.after as Order)) throw new ChangedMeanwhile({ plan, version });
      await saveOrder(trx, workspaceId, edit.aggregateId, version, edit.before as Order, edit.id);
      return;
    }
    case 'plan': {
      const { plan, version } = await loadPlan(trx, workspaceId, edit.aggregateId);
      const now = PlanHeadSchema.parse(headOf(plan));
      if (JSON.stringify(now) !== JSON.stringify(PlanHeadSchema.parse(edit.after)))
        throw new ChangedMeanwhile({ plan, version });
      await savePlanHead(
        trx,
        workspaceId,
        edit.aggregateId,
        version,
        PlanHeadSchema.parse(edit.before),
        edit.id,
      );
      return;
    }
    case 'unit':
      return revertUnit(
        trx,
        workspaceId,
        edit.aggregateId,
        edit.before === null ? null : UnitSchema.parse(edit.before),
        edit.after === null ? null : UnitSchema.parse(edit.after),
        edit.id,
      );
    case 'planDocument':
      return revertPlan(trx, workspaceId, edit.aggregateId, edit.before !== null, edit.id);
    case 'person':
    case 'team':
    case 'station':
    case 'net':
      return revertDocument(trx, edit.kind, workspaceId, edit);
    case 'description':
      return revertDescription(trx, workspaceId, edit);
    default:
      edit.kind satisfies never;
  }
}

async function undoChannel(trx: Knex.Transaction, workspaceId: string, edit: Edit): Promise<void> {
  const before = edit.before === null ? null : ChannelSchema.parse(edit.before);
  const after = edit.after === null ? null : ChannelSchema.parse(edit.after);
  const now = await currentChannel(trx, workspaceId, edit.aggregateId);
  if (!same(now, after)) throw new ChangedMeanwhile({ channel: now });
  if (before && !after) {
    await restoreChannel(trx, workspaceId, before, edit.id);
    return;
  }
  const version = await channelVersion(trx, workspaceId, edit.aggregateId);
  if (!before) await deleteChannel(trx, workspaceId, edit.aggregateId, version, edit.id);
  else await saveChannel(trx, workspaceId, edit.aggregateId, version, before, edit.id);
}

function same(a: Channel | null, b: Channel | null): boolean {
  return a === null || b === null ? a === b : sameChannel(a, b);
}

function sameOrder(a: Order, b: Order): boolean {
  return (
    a.length === b.length && a.every((entry, i) => entry.id === b[i]?.id && entry.groupId === b[i]?.groupId)
  );
}
