import { tonesOfEntry } from '@umbrex/core/listing';
import type { Neighbour } from '@umbrex/core/tones';
import { allows } from '../../contract/roles';
import { today } from '../day';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { deskProps } from '../page';
import { heardEntries } from '../repositories/directory';
import { listThings } from '../store/store';

/** The plan with what stands around it: stations nearby and, for those who may see it, the roster with what each leans on. */
export async function planView(desk: Desk) {
  return {
    initial: deskProps(desk),
    neighbours: await neighboursOf(desk),
    people: await peopleOf(desk),
    today: today(),
  };
}

/** The stations around that directories named, as the tone advisor weighs them. */
async function neighboursOf(desk: Desk): Promise<Neighbour[]> {
  const heard = await heardEntries(getDb(), desk.workspace.id);
  return heard.map(({ entry, distanceM }) => ({
    name: entry.title,
    receiveHz: entry.outputHz,
    tones: tonesOfEntry(entry),
    distanceM,
    changed: entry.changed ?? 'unknown',
  }));
}

async function peopleOf(desk: Desk) {
  if (!allows(desk.session.role, 'editor')) return [];
  const people = await listThings(getDb(), 'person', desk.workspace.id);
  return people.map(({ value: { id, name, licences } }) => ({ id, name, licences }));
}
