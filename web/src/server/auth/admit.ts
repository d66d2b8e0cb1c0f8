import type { APIContext } from 'astro';
import { allows } from '../../contract/roles';
import { Forbidden, SignInNeeded } from '../problem';
import { neededRole } from './access';
import { type Session, sessionOf } from './session';

/**
 * Lets a request through to its route, or not, by the table of access. Requests that change something must come from our own
 * pages: the browser says where from, and a foreign page cannot change that.
 * @throws SignInNeeded, Forbidden
 */
export async function admit(context: APIContext): Promise<Session | undefined> {
  const { request, url, routePattern } = context;
  const needed = neededRole(request.method, routePattern);
  if (needed === undefined) throw new Forbidden();
  if (!['GET', 'HEAD'].includes(request.method) && isForeign(request, url)) throw new Forbidden();
  const session = await sessionOf(context);
  if (needed === 'anyone') return session;
  if (!session) throw new SignInNeeded();
  if (!allows(session.role, needed)) throw new Forbidden();
  return session;
}

function isForeign(request: Request, url: URL): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site && !['same-origin', 'none'].includes(site)) return true;
  const origin = request.headers.get('origin');
  return origin !== null && origin !== 'null'
    ? new URL(origin).host !== (request.headers.get('host') ?? url.host)
    : origin === 'null';
}
