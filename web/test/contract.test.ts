import { describe, expect, it } from 'vitest';
import { ROUTES as CONTRACTS, type RouteName } from '../src/contract/routes';
import { neededRole } from '../src/server/auth/access';
import { ROUTES } from './routes';

describe('every endpoint has one contract, and every contract one endpoint', () => {
  it('by method and path', () =>
    expect(ROUTES.map(({ method, path }) => `${method} ${path}`).sort()).toEqual(
      Object.keys(CONTRACTS).sort(),
    ));
  it.each(ROUTES.map(({ method, path, handler }) => [`${method} ${path}`, handler] as const))(
    '%s was made of its own',
    (name, handler) => expect((handler as unknown as { route: string }).route).toBe(name),
  );
  it.each(Object.keys(CONTRACTS) as RouteName[])('%s lets in whom its contract names', (name) => {
    const [method = '', path = ''] = name.split(' ');
    expect(neededRole(method, path)).toBe(CONTRACTS[name].role);
  });
  it('what changes something and takes no body is a delete or brings a file: a plain form can send neither', () =>
    expect(
      (Object.keys(CONTRACTS) as RouteName[]).filter(
        (name) => /^(POST|PUT)/.test(name) && CONTRACTS[name].body === null,
      ),
    ).toEqual(['POST /api/roster/workbook']));
});
