import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/benches/[id]', 'bench');
export const DELETE = takes('DELETE /api/benches/[id]', 'bench');
