import { canKeep } from '../My/shell';

/** The caches in which the worker keeps pages of the desk, one for each; the beginning of their names stands in the worker too. */
const DESK = 'umbrex-desk ';
/**
 * Held by whoever fills or empties these caches, in any tab: who signs out waits for a page that is just being kept, and none is kept after,
 * for its address then leads to signing in.
 */
const KEEPING = 'umbrex-desk';
/** A page that does not come in this time is tried again later; whoever signs out meanwhile waits no longer. */
const MOST_WAIT_MS = 8000;
/** How long after one try the next one comes, while the page is open: a server that is busy now is not so for ever. */
const AGAIN_AFTER_MS = [5000, 15_000, 60_000] as const;

/** Keeps this page and what it is made of, so that it can be looked at and written on while the server is away. */
export async function keepPage(): Promise<void> {
  if (!canKeep()) return;
  const { href, origin, pathname: path } = window.location;
  for (const afterMs of [0, ...AGAIN_AFTER_MS]) {
    await new Promise((resolve) => setTimeout(resolve, afterMs));
    try {
      await navigator.serviceWorker.register('/sw.js', { scope: path });
      await navigator.locks.request(KEEPING, () => fill(href, origin, path));
      return;
    } catch {
      // Without it the page is written on as long as it stays open.
    }
  }
}

/** One try. A page that is refused, or leads elsewhere, is none to keep. @throws when it, or a part of it, does not come */
async function fill(href: string, origin: string, path: string): Promise<void> {
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter((part) => part.origin === origin && part.pathname.startsWith('/_astro/'))
    .map(({ pathname }) => pathname);
  const page = await fetch(href, { credentials: 'same-origin', signal: AbortSignal.timeout(MOST_WAIT_MS) });
  if (!page.ok || page.redirected) return;
  const cache = await caches.open(`${DESK}${path}`);
  const there = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
  await Promise.all([...new Set(parts)].filter((part) => !there.has(part)).map((part) => cache.add(part)));
  await cache.put(path, page);
  for (const part of there)
    if (part.startsWith('/_astro/') && !parts.includes(part)) await cache.delete(part);
}

/** Forgets the pages that were kept: they are of whoever signs out. What was written and could not be sent stays, and is sent when they come back. */
export async function forgetPages(): Promise<void> {
  if (!('caches' in window)) return;
  await navigator.locks.request(KEEPING, async () => {
    for (const name of await caches.keys()) if (name.startsWith(DESK)) await caches.delete(name);
  });
}
