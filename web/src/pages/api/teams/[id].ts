import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/teams/[id]', 'team');
export const DELETE = takes('DELETE /api/teams/[id]', 'team');
