import { collection } from '@/server/collection';

/** POST a net; see `collection`. */
export const { POST } = collection('net');
