import { type HeardPair, heardPairs, lastWritten, loggedCalls, type Roster } from '@umbrex/core/heard';
import { isSpokenWith } from '@umbrex/core/onAir';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import { SHOWN_CALLS } from '../contract/heard';
import type { Desk } from './desk';
import { listThings } from './store/store';

/** The sets of a desk that talk and listen, and the people who may hold them, as a log names them. */
export async function rosterOf(db: Knex, { workspace, units, descriptions }: Desk) {
  const people = await listThings(db, 'person', workspace.id);
  const spoken = new Set(
    descriptions.flatMap(({ description }) => (isSpokenWith(description) ? [description.id] : [])),
  );
  const sets = units.map(({ unit }) => unit).filter(({ descriptionId }) => spoken.has(descriptionId));
  const roster: Roster = {
    units: sets.map(({ id, nickname, personId }) => ({ id, nickname, personId })),
    people: people.map(({ value: { id, name } }) => ({ id, name })),
  };
  const writtenOn = Object.fromEntries(sets.map((unit) => [unit.id, lastWritten(unit)]));
  return { roster, writtenOn };
}

/** The newest calls of a plan, and those in the lists of nets on its channels. */
export async function callsOf(db: Knex, { workspace, state: { plan } }: Desk, roster: Roster) {
  const [calls, nets] = await Promise.all([
    listThings(db, 'heard', workspace.id, { plan_id: plan.id }, SHOWN_CALLS),
    listThings(db, 'net', workspace.id),
  ]);
  const there = new Set(plan.channels.map(({ id }) => id));
  const ofPlan = nets.flatMap(({ value }) =>
    value.channelId !== null && there.has(value.channelId) ? [value] : [],
  );
  return { calls, ofNets: loggedCalls([], ofPlan, roster) };
}

/** What was heard on the channels of a plan, pair by pair. */
export async function heardIn(db: Knex, desk: Desk): Promise<(channelId: string) => HeardPair[]> {
  const { roster, writtenOn } = await rosterOf(db, desk);
  const { calls, ofNets } = await callsOf(db, desk, roster);
  const own = calls.map(({ value }) => value);
  const all = [...loggedCalls(own, [], roster), ...ofNets];
  const day = (at: string) => format(new Date(at), 'yyyy-MM-dd');
  return (channelId) => heardPairs(all, channelId, (id) => writtenOn[id] ?? null, day);
}

/** The same of one channel. */
export const heardOn = async (db: Knex, desk: Desk, channelId: string): Promise<HeardPair[]> =>
  (await heardIn(db, desk))(channelId);
