import { collection } from '@/server/collection';

/** POST a station; see `collection`. */
export const { POST } = collection('station');
