import { canKeep } from '../My/shell';

/** The caches in which the worker keeps pages of the desk, one for each; the beginning of their names stands in the worker too. */
const DESK = 'umbrex-desk ';

/** Keeps this page and what it is made of, so that it can be looked at and written on while the server is away. */
export async function keepPage(): Promise<void> {
  if (!canKeep()) return;
  const { href, origin, pathname: path } = window.location;
  try {
    await navigator.serviceWorker.register('/sw.js', { scope: path });
    const parts = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter((part) => part.origin === origin && part.pathname.startsWith('/_astro/'))
      .map(({ pathname }) => pathname);
    const page = await fetch(href, { credentials: 'same-origin' });
    if (!page.ok || page.redirected) return;
    const cache = await caches.open(`${DESK}${path}`);
    const there = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
    await Promise.all([...new Set(parts)].filter((part) => !there.has(part)).map((part) => cache.add(part)));
    await cache.put(path, page);
    for (const part of there)
      if (part.startsWith('/_astro/') && !parts.includes(part)) await cache.delete(part);
  } catch {
    // Without it the page is written on as long as it stays open.
  }
}

/** Forgets the pages that were kept: they are of whoever signs out. What was written and could not be sent stays, and is sent when they come back. */
export async function forgetPages(): Promise<void> {
  if (!('caches' in window)) return;
  for (const name of await caches.keys()) if (name.startsWith(DESK)) await caches.delete(name);
}
