import { collection } from '@/server/collection';

/** PUT or DELETE a net; see `collection`. */
export const { PUT, DELETE } = collection('net');
