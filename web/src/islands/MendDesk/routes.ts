import type { RouteName } from '../../contract/routes';
import type { Kind } from '../../contract/things';
import { call } from '../desk/api';

/** Where each kind is changed and taken away. */
const ROUTES = {
  plan: ['PUT /api/plans/[planId]', 'DELETE /api/plans/[planId]'],
  channel: ['PUT /api/channels/[channelId]', 'DELETE /api/channels/[channelId]'],
  unit: ['PUT /api/units/[unitId]', 'DELETE /api/units/[unitId]'],
  person: ['PUT /api/people/[id]', 'DELETE /api/people/[id]'],
  team: ['PUT /api/teams/[id]', 'DELETE /api/teams/[id]'],
  station: ['PUT /api/stations/[id]', 'DELETE /api/stations/[id]'],
  bench: ['PUT /api/benches/[id]', 'DELETE /api/benches/[id]'],
  find: ['PUT /api/finds/[id]', 'DELETE /api/finds/[id]'],
  heard: ['PUT /api/heard/[id]', 'DELETE /api/heard/[id]'],
  net: ['PUT /api/nets/[id]', 'DELETE /api/nets/[id]'],
} as const satisfies Record<Exclude<Kind, 'description'>, readonly [RouteName, RouteName]>;

const at = (id: string) => ({ id, planId: id, channelId: id, unitId: id, descriptionId: id });

/** Puts a corrected document in place of one that nobody could read. What it is now is for the server to judge. */
export function mendThing(kind: Kind, id: string, version: number, document: unknown): Promise<unknown> {
  if (kind === 'description')
    return call('PUT /api/descriptions/[descriptionId]', at(id), { version, description: document });
  return call(ROUTES[kind][0], at(id), { version, value: document } as never);
}

/** Takes one away that nobody can read. */
export function takeBroken(
  kind: Exclude<Kind, 'description'>,
  id: string,
  version: number,
): Promise<unknown> {
  return call(ROUTES[kind][1], at(id), { version });
}
