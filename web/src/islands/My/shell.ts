/** The cache in which the worker keeps what a card is made of; its name stands in the worker too. */
export const SHELL = 'umbrex-hand-shell';

/** Stands in the cache once the server has another build than the page that was kept; its name stands in the worker too. */
export const ANOTHER = '/my/another-build';

/** Whether this browser can work without a network here: browsers keep pages for https and for one's own machine alone. */
export const canKeep = (): boolean => 'serviceWorker' in navigator && window.isSecureContext;

/** What a page names of its build. */
export const partsOf = (html: string): string[] => [
  ...new Set(html.match(/\/_astro\/[\w.@~-]+\.(?:js|css)/g)),
];

/** Has the page fetched anew at its next visit. @returns whether that was news */
export async function markAnother(): Promise<boolean> {
  if (!canKeep()) return false;
  const cache = await caches.open(SHELL);
  if (await cache.match(ANOTHER)) return false;
  await cache.put(ANOTHER, new Response(''));
  return true;
}
