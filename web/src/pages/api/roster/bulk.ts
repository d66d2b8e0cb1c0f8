import { LicenceSchema, type Person } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { deleteDocument, lockDocuments, saveDocument } from '@/server/repositories/documents';

const Body = z.strictObject({
  /** The people it is for, each with the version it was chosen at. */
  people: z
    .array(z.strictObject({ id: z.uuid(), version: z.number().int() }))
    .min(1)
    .max(2000),
  change: z.discriminatedUnion('do', [
    z.strictObject({ do: z.literal('join'), teamId: z.uuid() }),
    z.strictObject({ do: z.literal('leave'), teamId: z.uuid() }),
    z.strictObject({ do: z.literal('licence'), licence: LicenceSchema }),
    z.strictObject({ do: z.literal('delete') }),
  ]),
});

/** POST one change for many people: all of them or none, 200 with how many; 400, 404, 409 when one was changed meanwhile. */
export const POST = endpoint(Body, ({ write, workspace, body }) =>
  write(async (trx) => {
    const { change } = body;
    const people = await lockDocuments(
      trx,
      'person',
      workspace.id,
      body.people.map(({ id }) => id),
    );
    for (const { id, version } of body.people) {
      const person = people.get(id);
      if (!person) throw new NotHere();
      if (change.do === 'delete') await deleteDocument(trx, 'person', workspace.id, id, version);
      else await saveDocument(trx, 'person', workspace.id, version, changed(person, change));
    }
    return { changed: body.people.length };
  }),
);

type Change = Exclude<z.infer<typeof Body>['change'], { do: 'delete' }>;

function changed(person: Person, change: Change): Person {
  switch (change.do) {
    case 'join':
      return { ...person, teamIds: [...new Set([...person.teamIds, change.teamId])] };
    case 'leave':
      return { ...person, teamIds: person.teamIds.filter((id) => id !== change.teamId) };
    case 'licence': {
      const { service, holds } = change.licence;
      const others = person.licences.filter(
        (licence) => licence.service !== service || licence.holds !== holds,
      );
      return { ...person, licences: [...others, change.licence] };
    }
    default:
      return change satisfies never;
  }
}
