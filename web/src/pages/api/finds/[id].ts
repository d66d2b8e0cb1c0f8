import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/finds/[id]', 'find');
export const DELETE = takes('DELETE /api/finds/[id]', 'find');
