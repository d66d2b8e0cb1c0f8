import { lastWritten, loggedCalls } from '@umbrex/core/heard';
import { kindOf } from '@umbrex/core/model';
import { isSpokenWith } from '@umbrex/core/onAir';
import type { Knex } from 'knex';
import { type HeardView, SHOWN_CALLS } from '../../contract/heard';
import type { Desk } from '../desk';
import { listThings } from '../store/store';
import { airView } from './air';

/** What was heard on the air by the log of a plan, beside what its sets are known to hold; `undefined` where the plan has no channel. */
export async function heardView(
  db: Knex,
  desk: Desk,
  channelId: string | null,
): Promise<HeardView | undefined> {
  const { workspace, state, descriptions, units, session } = desk;
  const { plan } = state;
  const air = await airView(db, desk, { channelId, as: 'held', from: null });
  if (!air) return undefined;
  const [calls, nets, people, stations] = await Promise.all([
    listThings(db, 'heard', workspace.id, { plan_id: plan.id }, SHOWN_CALLS),
    listThings(db, 'net', workspace.id),
    listThings(db, 'person', workspace.id),
    listThings(db, 'station', workspace.id),
  ]);
  const spoken = new Set(
    descriptions.flatMap(({ description }) => (isSpokenWith(description) ? [description.id] : [])),
  );
  const sets = units.map(({ unit }) => unit).filter(({ descriptionId }) => spoken.has(descriptionId));
  const roster = {
    units: sets.map(({ id, nickname, personId }) => ({ id, nickname, personId })),
    people: people.map(({ value: { id, name } }) => ({ id, name })),
  };
  const there = new Set(plan.channels.map(({ id }) => id));
  const ofPlan = nets.flatMap(({ value }) =>
    value.channelId !== null && there.has(value.channelId) ? [value] : [],
  );
  return {
    made: new Date().toISOString(),
    planId: plan.id,
    planName: plan.name,
    calls,
    ofNets: loggedCalls([], ofPlan, roster),
    known: {
      channels: plan.channels.map((channel) => ({
        id: channel.id,
        name: channel.name,
        aliases: channel.aliases,
        kind: kindOf(channel),
      })),
      roster,
      stations: stations.flatMap(({ value }) => (value.kind === 'repeater' ? [value.name] : [])),
    },
    air,
    writtenOn: Object.fromEntries(sets.map((unit) => [unit.id, lastWritten(unit)])),
    who: session.accountId ?? session.name,
    by: session.name.slice(0, 60),
  };
}
