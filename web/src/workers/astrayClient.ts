import { type Remote, wrap } from 'comlink';
import type { AstrayJob } from './astray.worker';
import url from './astray.worker.ts?worker&url';

let remote: Remote<AstrayJob> | undefined;

/** Where the worker's script is, so that it can be kept for when there is no network. */
export const ASTRAY_URL: string = url;

/** The virtual set on the phone, in a worker: what a slip shows, and the way back. */
export const astray = (): Remote<AstrayJob> => {
  remote ??= wrap<AstrayJob>(new Worker(url, { type: 'module' }));
  return remote;
};
