import { collection } from '@/server/collection';

/** POST a person; see `collection`. */
export const { POST } = collection('person');
