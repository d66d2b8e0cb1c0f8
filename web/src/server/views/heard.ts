import { namesOfLog } from '@umbrex/core/heard';
import type { Knex } from 'knex';
import type { HeardView } from '../../contract/heard';
import type { Desk } from '../desk';
import { callsOf, rosterOf } from '../heardOn';
import { listThings } from '../store/store';
import { airView } from './air';

/** What was heard on the air by the log of a plan, beside what its sets are known to hold; `undefined` where the plan has no channel. */
export async function heardView(
  db: Knex,
  desk: Desk,
  channelId: string | null,
): Promise<HeardView | undefined> {
  const { workspace, state, session } = desk;
  const { plan } = state;
  const air = await airView(db, desk, { channelId, as: 'held', from: null });
  if (!air) return undefined;
  const { roster, writtenOn } = await rosterOf(db, desk);
  const [{ calls, ofNets }, stations] = await Promise.all([
    callsOf(db, desk, roster),
    listThings(db, 'station', workspace.id),
  ]);
  return {
    made: new Date().toISOString(),
    planId: plan.id,
    planName: plan.name,
    calls,
    ofNets,
    known: namesOfLog(
      plan,
      roster,
      stations.map(({ value }) => value),
    ),
    air,
    writtenOn,
    who: session.accountId ?? session.name,
    by: session.name.slice(0, 60),
  };
}
