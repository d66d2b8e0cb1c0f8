import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/people/[id]', 'person');
export const DELETE = takes('DELETE /api/people/[id]', 'person');
