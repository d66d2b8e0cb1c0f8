import { ChannelSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { deleteChannel, saveChannel } from '@/server/repositories/channels';

const Edit = z.strictObject({ version: z.number().int(), channel: ChannelSchema });
const Delete = z.strictObject({ version: z.number().int() });

/** PUT a channel: 200 with the new version, 400 bad body (findings), 404, 409 changed meanwhile (with the newer channel). */
export const PUT = endpoint(Edit, ({ write, workspace, params, body }) =>
  write((trx) =>
    saveChannel(trx, workspace.id, params.channelId ?? '', body.version, {
      ...body.channel,
      id: params.channelId ?? '',
    }),
  ),
);

/** DELETE a channel: 200 with the edit that brings it back, 404, 409 changed meanwhile. */
export const DELETE = endpoint(Delete, ({ write, workspace, params, body }) =>
  write((trx) => deleteChannel(trx, workspace.id, params.channelId ?? '', body.version)),
);
