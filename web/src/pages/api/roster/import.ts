import { IMPORTED_AS, type TableKind } from '@/contract/tables';
import { endpoint } from '@/server/endpoint';
import { addHeard } from '@/server/heardCalls';
import { addThing } from '@/server/store/store';

/** What others name comes before them. */
const ORDER = ['team', 'person', 'unit', 'station', 'net', 'find'] as const satisfies readonly TableKind[];

/** POST things that were read from a table or a map file: all of them or none, 201 with how many; 400 at the path of each bad one, 409. */
export const POST = endpoint('POST /api/roster/import', ({ write, workspace, body }) =>
  write(async (trx, editId) => {
    let added = 0;
    for (const kind of ORDER)
      for (const value of body[IMPORTED_AS[kind]]) {
        await addThing(trx, kind, workspace.id, value.id, value);
        added++;
      }
    for (const channel of body.channels) {
      await addThing(trx, 'channel', workspace.id, channel.id, channel, { plan_id: body.planId });
      added++;
    }
    for (const call of body.calls) {
      await addHeard(trx, workspace.id, call);
      added++;
    }
    return { editId, added };
  }),
);
