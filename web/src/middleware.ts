import { defineMiddleware } from 'astro:middleware';

/** Security headers on every answer. The content policy comes from Astro, which knows the hashes of its start-up scripts. */
export const onRequest = defineMiddleware(async (_context, next) => {
  const response = await next();
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
