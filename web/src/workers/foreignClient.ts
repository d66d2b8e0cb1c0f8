import { type Remote, wrap } from 'comlink';
import type { ForeignJob } from './foreign.worker';
import url from './foreign.worker.ts?worker&url';

let remote: Remote<ForeignJob> | undefined;

/** Where the worker's script is, so that it can be kept for when there is no network. */
export const FOREIGN_URL: string = url;

/** Reading a listing and fitting it to a set, on the phone, in a worker. */
export const foreign = (): Remote<ForeignJob> => {
  remote ??= wrap<ForeignJob>(new Worker(url, { type: 'module' }));
  return remote;
};
