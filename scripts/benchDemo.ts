import { Fleet, type Served } from './fleet';
import { ensureBuild, ensurePostgres } from './lib.mjs';

/** The middle one of some times. */
export const median = (list: readonly number[]): number =>
  list.toSorted((a, b) => a - b)[list.length >> 1] ?? Number.NaN;

/** Works on a server of its own with the demo, as its coordinator; it goes when the work is done. */
export async function onDemo(
  work: (served: Served, planId: string, fleet: Fleet) => Promise<void>,
): Promise<void> {
  ensurePostgres();
  ensureBuild();
  const fleet = await Fleet.make();
  try {
    const served = await fleet.serve();
    await served.signIn();
    const [{ id }] = (await (await served.call('GET', '/api/plans')).json()) as [{ id: string }];
    await work(served, id, fleet);
    await served.stop();
  } finally {
    await fleet.end();
  }
}
