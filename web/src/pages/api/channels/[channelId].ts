import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/channels/[channelId]', 'channel');
export const DELETE = takes('DELETE /api/channels/[channelId]', 'channel');
