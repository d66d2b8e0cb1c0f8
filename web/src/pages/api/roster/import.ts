import { PersonSchema, StationSchema, UnitSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { addDocument } from '@/server/repositories/documents';
import { addUnit } from '@/server/repositories/units';

const Body = z.strictObject({
  people: z.array(PersonSchema).max(2000).default([]),
  units: z.array(UnitSchema).max(2000).default([]),
  stations: z.array(StationSchema).max(2000).default([]),
});

/** POST people, devices and stations that were read from a table or a map file: all of them or none, 201 with how many; 400 at the path of each bad one, 409. */
export const POST = endpoint(
  Body,
  ({ write, workspace, body }) =>
    write(async (trx) => {
      for (const person of body.people) await addDocument(trx, 'person', workspace.id, person);
      for (const unit of body.units) await addUnit(trx, workspace.id, unit);
      for (const station of body.stations) await addDocument(trx, 'station', workspace.id, station);
      return { people: body.people.length, units: body.units.length, stations: body.stations.length };
    }),
  { status: 201 },
);
