import { canKeep } from '../My/shell';

/** The cache in which the worker keeps the list of a bench day; its name stands in the worker too. */
const BENCH = 'umbrex-bench';

/** Keeps this page and what it is made of, so that its list can be ticked and looked at while the server is away. */
export async function keepBench(): Promise<void> {
  if (!canKeep()) return;
  try {
    await navigator.serviceWorker.register('/sw.js', { scope: window.location.pathname });
    const parts = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === window.location.origin && pathname.startsWith('/_astro/'))
      .map(({ pathname }) => pathname);
    const page = await fetch(window.location.href, { credentials: 'same-origin' });
    if (!page.ok || page.redirected) return;
    const cache = await caches.open(BENCH);
    const there = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
    await Promise.all([...new Set(parts)].filter((path) => !there.has(path)).map((path) => cache.add(path)));
    await cache.put(window.location.pathname, page);
    for (const path of there)
      if (path.startsWith('/_astro/') && !parts.includes(path)) await cache.delete(path);
  } catch {
    // Without it the list is ticked as long as it stays open.
  }
}

/** Forgets the lists that were kept: they are of whoever signs out. What was ticked and could not be sent stays, and is sent when they come back. */
export async function forgetBench(): Promise<void> {
  if ('caches' in window) await caches.delete(BENCH);
}
