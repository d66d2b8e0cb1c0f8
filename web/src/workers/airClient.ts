import { type Remote, wrap } from 'comlink';
import type { AirJob } from './air.worker';

let remote: Remote<AirJob> | undefined;

/** The worker that computes who hears whom; one for the page. */
export function airWorker(): Remote<AirJob> {
  remote ??= wrap<AirJob>(new Worker(new URL('./air.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
