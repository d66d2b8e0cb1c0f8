import type { Card } from '@umbrex/core/card';
import { scopeOf, type Whose } from './hand';
import { keptSteps } from './kept';

/** The cache in which the worker keeps what a card is made of; its name stands in the worker too. */
const SHELL = 'umbrex-hand-shell';

/** Whether this browser can work without a network here: browsers keep pages for https and for one's own machine alone. */
export const canKeep = (): boolean => 'serviceWorker' in navigator && window.isSecureContext;

let isAsked = false;

/**
 * Keeps the page with all that it is made of for when there is no network: the worker answers from it then. Done once a visit, after the card has
 * come. What is named here is what this page has loaded, and the parts that it loads later.
 */
export async function keepForOffline(): Promise<void> {
  if (isAsked || !canKeep()) return;
  isAsked = true;
  try {
    // Browsers that clear what was not used for a while are asked to leave this.
    await navigator.storage?.persist?.().catch(() => false);
    await navigator.serviceWorker.register('/sw.js', { scope: '/my' });
    const { LATER } = await import('./later');
    const own = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === window.location.origin && isOfShell(pathname))
      .map(({ pathname }) => pathname);
    const shell = [...own, ...LATER];
    const cache = await caches.open(SHELL);
    const there = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
    await Promise.all([...new Set(shell)].filter((path) => !there.has(path)).map((path) => cache.add(path)));
    // The page itself holds nothing of anybody: one stands for all cards.
    await cache.put('/my', await fetch(window.location.pathname, { credentials: 'same-origin' }));
    for (const path of there)
      if (path.startsWith('/_astro/') && !shell.includes(path)) await cache.delete(path);
  } catch {
    // Without it the card works as long as there is a network; More says how it stands.
    isAsked = false;
  }
}

const isOfShell = (pathname: string) =>
  pathname.startsWith('/_astro/') || /^\/(icon[\w-]*\.(svg|png)|manifest\.webmanifest)$/.test(pathname);

/** Whether the card works without a network by now: the page, what it loads later, and the steps of every set that has some. */
export async function isKept(whose: Whose, { sets }: Pick<Card, 'sets'>): Promise<boolean> {
  if (!canKeep()) return false;
  const [cache, worker, { LATER }] = await Promise.all([
    caches.open(SHELL),
    navigator.serviceWorker.getRegistration('/my'),
    import('./later'),
  ]);
  const parts = await Promise.all(['/my', ...LATER].map((path) => cache.match(path)));
  const withSteps = sets.filter(({ hasSteps }) => hasSteps);
  const steps = await Promise.all(withSteps.map(({ id }) => keptSteps(scopeOf(whose), id)));
  return worker?.active != null && parts.every(Boolean) && steps.every(Boolean);
}
