import type { Names } from '@umbrex/core/fields';
import type { Knex } from 'knex';
import { listDescriptions } from './repositories/descriptions';
import { listPlans } from './repositories/plans';
import { listThings } from './store/store';

/** What ids of a workspace stand for, by all that has a name; groups and channels of all its plans. */
export async function namesIn(db: Knex, workspaceId: string): Promise<Names> {
  const [people, teams, channels, plans, called, kinds, units] = await Promise.all([
    listThings(db, 'person', workspaceId),
    listThings(db, 'team', workspaceId),
    listThings(db, 'channel', workspaceId),
    listThings(db, 'plan', workspaceId),
    listPlans(db, workspaceId),
    listDescriptions(db, workspaceId),
    listThings(db, 'unit', workspaceId),
  ]);
  return {
    plan: called,
    person: people.map(({ value }) => value),
    team: teams.map(({ value }) => value),
    channel: channels.map(({ value }) => value),
    group: plans.flatMap(({ value }) => value.groups),
    unit: units.map(({ value: { id, nickname } }) => ({ id, name: nickname })),
    kind: kinds.map(({ description: { id, title } }) => ({ id, name: title })),
  };
}
