import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/heard/[id]', 'heard');
export const DELETE = takes('DELETE /api/heard/[id]', 'heard');
