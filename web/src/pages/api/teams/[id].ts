import { collection } from '@/server/collection';

/** PUT or DELETE a team; see `collection`. */
export const { PUT, DELETE } = collection('team');
