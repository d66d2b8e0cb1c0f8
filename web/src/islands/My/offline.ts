import type { Card } from '@umbrex/core/card';
import { scopeOf, type Whose } from './hand';
import { keptSteps } from './kept';
import { arePrintsKept } from './prints';
import { ANOTHER, canKeep, markAnother, partsOf, SHELL } from './shell';

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
    // The page itself holds nothing of anybody: one stands for all cards.
    const page = await fetch(window.location.pathname, { credentials: 'same-origin' });
    if (!page.ok || page.redirected) return;
    if (!partsOf(await page.clone().text()).every((path) => shell.includes(path))) {
      // The server has another build by now. What was kept stays whole, and is there once more where there is no network.
      await markAnother();
      return;
    }
    const cache = await caches.open(SHELL);
    const there = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
    await Promise.all([...new Set(shell)].filter((path) => !there.has(path)).map((path) => cache.add(path)));
    await cache.put('/my', page);
    await cache.delete(ANOTHER);
    for (const path of there)
      if (path.startsWith('/_astro/') && !shell.includes(path)) await cache.delete(path);
  } catch {
    // Without it the card works as long as there is a network; More says how it stands.
    isAsked = false;
  }
}

const isOfShell = (pathname: string) =>
  pathname.startsWith('/_astro/') || /^\/(icon[\w-]*\.(svg|png)|manifest\.webmanifest)$/.test(pathname);

/** Whether the card works without a network by now: the page, what it loads later, the steps of every set that has some, and what it prints. */
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
  const prints = await arePrintsKept(whose, { sets });
  return worker?.active != null && parts.every(Boolean) && steps.every(Boolean) && prints;
}
