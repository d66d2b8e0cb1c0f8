import { collection } from '@/server/collection';

/** PUT or DELETE a station; see `collection`. */
export const { PUT, DELETE } = collection('station');
