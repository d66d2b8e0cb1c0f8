/// <reference lib="webworker" />
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;

/*
 * The worker that keeps a card for when there is no network: the page, which holds nothing of anybody, and what it is made of. What is on the
 * card is kept by the page itself, in the browser's database, and goes when its link or session ends.
 */

/** Its name stands in the page too, which fills it (`islands/My/offline.ts`). */
const SHELL = 'umbrex-hand-shell';
/** A server that does not answer in this time is as good as none, in seconds. */
const WAITS_S = 4;

void self.addEventListener('install', () => self.skipWaiting());
void self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

const isCard = (pathname: string) => pathname === '/my' || pathname.startsWith('/my/');

registerRoute(
  ({ request, url }) => request.mode === 'navigate' && isCard(url.pathname),
  new NetworkFirst({
    cacheName: SHELL,
    networkTimeoutSeconds: WAITS_S,
    plugins: [
      {
        // One page stands for all cards.
        cacheKeyWillBeUsed: async () => new Request('/my'),
        cacheWillUpdate: async ({ response }) =>
          response.status === 200 && !response.redirected ? response : null,
        // A server that has no database, or is just being stopped, is none.
        fetchDidSucceed: async ({ response }) => {
          if (response.status >= 500) throw new Error(`the server answers ${response.status}`);
          return response;
        },
      },
    ],
  }),
);

registerRoute(
  ({ url, sameOrigin }) =>
    sameOrigin &&
    (url.pathname.startsWith('/_astro/') ||
      /^\/(icon[\w-]*\.(svg|png)|manifest\.webmanifest)$/.test(url.pathname)),
  new CacheFirst({ cacheName: SHELL }),
);
