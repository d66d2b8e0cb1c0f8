import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/nets/[id]', 'net');
export const DELETE = takes('DELETE /api/nets/[id]', 'net');
