import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/stations/[id]', 'station');
export const DELETE = takes('DELETE /api/stations/[id]', 'station');
