import { defineMiddleware } from 'astro:middleware';
import type { APIContext, MiddlewareNext } from 'astro';
import { log } from './server/log';
import { isUnreachable } from './server/problem';

/** Security headers on every answer. The content policy comes from Astro, which knows the hashes of its start-up scripts. */
export const onRequest = defineMiddleware(async (context, next) => {
  const response = await answer(context, next);
  // Style attributes are set while a channel is dragged; they cannot run anything.
  const policy = response.headers.get('content-security-policy');
  if (policy)
    response.headers.set(
      'content-security-policy',
      `${policy.replace(/;\s*$/, '')}; style-src-attr 'unsafe-inline'; frame-ancestors 'none'`,
    );
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('x-frame-options', 'DENY');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  return response;
});

/** The page, or where the database does not answer the page that says so, with 503. */
async function answer(context: APIContext, next: MiddlewareNext): Promise<Response> {
  try {
    return await next();
  } catch (error) {
    if (!isUnreachable(error)) throw error;
    log.error({ err: error, path: context.url.pathname }, 'database unreachable');
    return context.rewrite('/unreachable');
  }
}
