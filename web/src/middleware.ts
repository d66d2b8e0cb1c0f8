import { defineMiddleware } from 'astro:middleware';
import type { APIContext, MiddlewareNext } from 'astro';
import { admit } from './server/auth/admit';
import { log } from './server/log';
import { BadInput, Forbidden, isUnreachable, SignInNeeded } from './server/problem';

const UNREACHABLE = '/unreachable';

/** Security headers on every answer. The content policy comes from Astro, which knows the hashes of its start-up scripts. */
export const onRequest = defineMiddleware(async (context, next) => {
  const response = await answer(context, next);
  // Style attributes are set while a channel is dragged; they cannot run anything.
  const policy = response.headers.get('content-security-policy');
  // A rewritten request comes through here twice.
  if (policy && !policy.includes('frame-ancestors'))
    response.headers.set(
      'content-security-policy',
      `${policy.replace(/;\s*$/, '')}; style-src-attr 'unsafe-inline'; frame-ancestors 'none'`,
    );
  // Back after signing out shows nothing of what was there.
  if (response.headers.get('content-type')?.startsWith('text/html'))
    response.headers.set('cache-control', 'no-store');
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('x-frame-options', 'DENY');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  return response;
});

/** The page for those who may see it, the way to sign in for the others; where the database does not answer, the page that says so. */
async function answer(context: APIContext, next: MiddlewareNext): Promise<Response> {
  try {
    // Endpoints ask by themselves, and answer in their own form; the page for a database that is away asks it nothing.
    const asksNobody = context.routePattern.startsWith('/api/') || context.routePattern === UNREACHABLE;
    if (!asksNobody) await admit(context);
    return await next();
  } catch (error) {
    if (error instanceof SignInNeeded) {
      const to = encodeURIComponent(context.url.pathname + context.url.search);
      return context.redirect(`/sign-in?to=${to}`);
    }
    if (error instanceof Forbidden) return context.rewrite('/forbidden');
    // Something that nobody can read stands in the way of the page: there it is mended.
    if (error instanceof BadInput) return context.redirect('/mend');
    if (!isUnreachable(error)) throw error;
    log.error({ err: error, path: context.routePattern }, 'database unreachable');
    return context.rewrite(UNREACHABLE);
  }
}
