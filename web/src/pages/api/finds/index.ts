import { adds } from '@/server/collection';

export const POST = adds('POST /api/finds', 'find');
