import { collection } from '@/server/collection';

/** PUT or DELETE a person; see `collection`. */
export const { PUT, DELETE } = collection('person');
