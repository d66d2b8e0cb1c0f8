import { ChannelSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { addChannel } from '@/server/repositories/channels';

const Body = z.strictObject({ channel: ChannelSchema });

/** POST a channel with an id made by the client: 201 with its version, 400, 404, 409 when the id is another channel's. */
export const POST = endpoint(
  Body,
  ({ write, workspace, params, body }) =>
    write((trx) => addChannel(trx, workspace.id, params.planId ?? '', body.channel)),
  { status: 201 },
);
