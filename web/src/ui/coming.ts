import { useSyncExternalStore } from 'react';

/**
 * Something that the page does not wait for: it stands in a file of its own and is fetched once, for all who ask for it. A browser keeps a
 * failure for as long as the page is open, so the way out is to load the page again.
 */
export class Coming<T extends object> {
  private come: T | 'failed' | undefined;
  private isAsked = false;
  private readonly waiting = new Set<() => void>();

  /** @param when `soon`: as soon as the page is at rest, so that it is there at once, also when the server has been stopped since; `asked`: not before somebody asks. */
  constructor(
    private readonly load: () => Promise<T>,
    when: 'soon' | 'asked',
  ) {
    if (when === 'soon' && typeof window !== 'undefined') whenAtRest(() => this.fetch());
  }

  readonly now = () => this.come;
  readonly onServer = () => undefined;
  readonly follow = (hear: () => void) => {
    this.waiting.add(hear);
    return () => this.waiting.delete(hear);
  };

  /** Fetches it where that has not been done. */
  fetch(): void {
    if (this.isAsked) return;
    this.isAsked = true;
    this.load()
      .catch(() => 'failed' as const)
      .then((come) => {
        this.come = come;
        for (const hear of this.waiting) hear();
      });
  }
}

/** What has come of it: the thing itself, that it could not be fetched, or nothing yet. It fetches nothing by itself. */
export function useComing<T extends object>(coming: Coming<T>): T | 'failed' | undefined {
  return useSyncExternalStore(coming.follow, coming.now, coming.onServer);
}

/** Islands that are not alive yet; those that wait to be seen may never be. */
const ASLEEP = 'astro-island[ssr]:not([client="visible"])';

/** Once the page has loaded, all of its islands are alive and the browser has nothing to do. */
function whenAtRest(work: () => void): void {
  const look = () => {
    if (document.readyState !== 'complete' || document.querySelector(ASLEEP)) return;
    window.removeEventListener('load', look);
    document.removeEventListener('astro:hydrate', look, true);
    if ('requestIdleCallback' in window) requestIdleCallback(work);
    else setTimeout(work, 200);
  };
  window.addEventListener('load', look);
  document.addEventListener('astro:hydrate', look, true);
  look();
}
