import { changes, takes } from '@/server/collection';

export const PUT = changes('PUT /api/units/[unitId]', 'unit');
export const DELETE = takes('DELETE /api/units/[unitId]', 'unit');
