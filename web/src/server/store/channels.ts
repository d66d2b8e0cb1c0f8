import type { Channel } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { checked, kept } from './document';

/* What is written of a plan's channels all at once: by the same readings as each by itself, and without an edit for each. */

/** Puts the channels of a new plan in, in their order. */
export async function addChannels(
  trx: Knex.Transaction,
  workspaceId: string,
  planId: string,
  channels: readonly Channel[],
): Promise<void> {
  const rows = channels.map((channel, position) => ({
    id: channel.id,
    workspace_id: workspaceId,
    plan_id: planId,
    position,
    document: kept(checked('channel', channel.id, channel)),
  }));
  if (rows.length > 0) await trx.batchInsert('channel', rows, 200);
}

/** Gives channels of a plan their places in the order named. One that comes into another group is a newer version of itself. */
export async function placeChannels(
  trx: Knex.Transaction,
  workspaceId: string,
  there: ReadonlyMap<string, Channel>,
  order: readonly { readonly id: string; readonly groupId: string }[],
): Promise<void> {
  for (const [position, { id, groupId }] of order.entries()) {
    const mine = trx('channel').where({ id, workspace_id: workspaceId });
    const channel = there.get(id);
    const isMoved = channel !== undefined && channel.groupId !== groupId;
    await mine.update({
      position,
      ...(isMoved && {
        document: kept(checked('channel', id, { ...channel, groupId })),
        version: trx.raw('version + 1'),
      }),
    });
  }
}
