import { endpoint } from '@/server/endpoint';
import { addThing } from '@/server/store/store';

/** POST people, devices and stations that were read from a table or a map file: all of them or none, 201 with how many; 400 at the path of each bad one, 409. */
export const POST = endpoint('POST /api/roster/import', ({ write, workspace, body }) =>
  write(async (trx) => {
    for (const person of body.people) await addThing(trx, 'person', workspace.id, person.id, person);
    for (const unit of body.units) await addThing(trx, 'unit', workspace.id, unit.id, unit);
    for (const station of body.stations) await addThing(trx, 'station', workspace.id, station.id, station);
    return { people: body.people.length, units: body.units.length, stations: body.stations.length };
  }),
);
