import type { Kind } from '../contract/things';
import { type Call, endpoint } from './endpoint';
import { addThing, saveThing, takeThing } from './store/store';

/* The routes of things: all kinds are added, changed and taken away alike, so the handlers are made in one place. */

type Adds =
  | 'POST /api/units'
  | 'POST /api/people'
  | 'POST /api/teams'
  | 'POST /api/stations'
  | 'POST /api/nets'
  | 'POST /api/benches'
  | 'POST /api/finds';
type Changes =
  | 'PUT /api/plans/[planId]'
  | 'PUT /api/channels/[channelId]'
  | 'PUT /api/units/[unitId]'
  | 'PUT /api/people/[id]'
  | 'PUT /api/teams/[id]'
  | 'PUT /api/stations/[id]'
  | 'PUT /api/nets/[id]'
  | 'PUT /api/benches/[id]'
  | 'PUT /api/finds/[id]'
  | 'PUT /api/heard/[id]';
type Takes =
  | 'DELETE /api/plans/[planId]'
  | 'DELETE /api/channels/[channelId]'
  | 'DELETE /api/units/[unitId]'
  | 'DELETE /api/people/[id]'
  | 'DELETE /api/teams/[id]'
  | 'DELETE /api/stations/[id]'
  | 'DELETE /api/nets/[id]'
  | 'DELETE /api/benches/[id]'
  | 'DELETE /api/finds/[id]'
  | 'DELETE /api/heard/[id]';

/** Adds one with an id made by the client. */
export const adds = (route: Adds, kind: Exclude<Kind, 'plan'>) =>
  endpoint(route, async ({ write, workspace, body }: Call<Adds>) =>
    write(async (trx) => (await addThing(trx, kind, workspace.id, body.value.id, body.value)) as never),
  );

/** Changes one from a version. */
export const changes = (route: Changes, kind: Kind) =>
  endpoint(route, async ({ write, workspace, params, body }: Call<Changes>) =>
    write(
      async (trx) =>
        (await saveThing(trx, kind, workspace.id, idOf(params), body.version, body.value)) as never,
    ),
  );

/** Takes one away, from a version; it can be brought back. */
export const takes = (route: Takes, kind: Kind) =>
  endpoint(route, ({ write, workspace, params, body }: Call<Takes>) =>
    write((trx) => takeThing(trx, kind, workspace.id, idOf(params), body.version)),
  );

/** The id of a path that has one. */
function idOf(params: object): string {
  const [id = ''] = Object.values(params);
  return String(id);
}
