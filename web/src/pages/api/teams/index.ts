import { collection } from '@/server/collection';

/** POST a team; see `collection`. */
export const { POST } = collection('team');
