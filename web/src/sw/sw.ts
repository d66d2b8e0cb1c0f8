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
/** Stands in the cache once the server has another build than the page that was kept; that one is fetched next. */
const ANOTHER = '/my/another-build';
/** A server that does not answer in this time is as good as none, in seconds; at a desk one waits longer for what others wrote. */
const WAITS_S = 4;
const DESK_WAITS_S = 20;

void self.addEventListener('install', () => self.skipWaiting());
void self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

const isCard = (pathname: string) => pathname === '/my' || pathname.startsWith('/my/');

/** The page from the server, and without an answer the one that was kept. Only the page itself keeps one: it knows all that it is made of. */
const fromServer = new NetworkFirst({
  cacheName: SHELL,
  networkTimeoutSeconds: WAITS_S,
  plugins: [
    {
      // One page stands for all cards.
      cacheKeyWillBeUsed: async () => new Request('/my'),
      cacheWillUpdate: async () => null,
      // A server that has no database, or is just being stopped, is none.
      fetchDidSucceed: async ({ response }) => {
        if (response.status >= 500) throw new Error(`the server answers ${response.status}`);
        return response;
      },
    },
  ],
});
registerRoute(
  ({ request, url }) => request.mode === 'navigate' && isCard(url.pathname),
  async (options) => {
    const cache = await caches.open(SHELL);
    const [kept, another] = await Promise.all([cache.match('/my'), cache.match(ANOTHER)]);
    // Kept whole, and of the build that the server had when it was last asked: it is there at once, and what is on the card comes after it.
    return kept && !another ? kept : fromServer.handle(options);
  },
);

/**
 * Pages of the desk that can be written on without a network, each with a registration of its own: always the server's first, since they show who
 * does what.
 */
const path = new URL(self.registration.scope).pathname;
const isDesk = /^\/plans\/[\w-]+\/(bench|air\/log)$/.test(path);
/** Its name stands in the page too, which fills it (`islands/desk/keptPage.ts`). */
const DESK = `umbrex-desk ${path}`;
registerRoute(
  ({ request, url }) => isDesk && request.mode === 'navigate' && url.pathname === path,
  new NetworkFirst({
    cacheName: DESK,
    networkTimeoutSeconds: DESK_WAITS_S,
    matchOptions: { ignoreSearch: true },
    plugins: [
      {
        cacheWillUpdate: async () => null,
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
  new CacheFirst({ cacheName: isDesk ? DESK : SHELL }),
);
