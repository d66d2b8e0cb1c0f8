import type { Person } from '@umbrex/core/model';
import type { BulkChange } from '@/contract/roster';
import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { lockThings, saveThing, takeThing } from '@/server/store/store';

/** POST one change for many people: all of them or none, 200 with how many; 400, 404, 409 when one was changed meanwhile. */
export const POST = endpoint('POST /api/roster/bulk', ({ write, workspace, body }) =>
  write(async (trx, editId) => {
    const { change } = body;
    const people = await lockThings(
      trx,
      'person',
      workspace.id,
      body.people.map(({ id }) => id),
    );
    for (const { id, version } of body.people) {
      const person = people.get(id);
      if (!person) throw new NotHere();
      if (change.do === 'delete') await takeThing(trx, 'person', workspace.id, id, version);
      else await saveThing(trx, 'person', workspace.id, id, version, changed(person, change));
    }
    return { editId, changed: body.people.length };
  }),
);

type Change = Exclude<BulkChange, { do: 'delete' }>;

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
