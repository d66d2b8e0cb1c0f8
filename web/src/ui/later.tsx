import {
  type ComponentType,
  createElement,
  lazy,
  type ReactNode,
  Suspense,
  useSyncExternalStore,
} from 'react';

interface When {
  /** Stands there until the part has come. */
  meanwhile?: ReactNode;
  /**
   * `soon`: it is fetched as soon as the page is at rest, so that it opens at once, also when the server has been stopped since. `asked`:
   * not before it is shown, for what follows an answer of the server or is seldom wanted.
   */
  fetch: 'soon' | 'asked';
}

/** A part of an island that the page does not wait for: it stands in a file of its own. */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { meanwhile = null, fetch }: When,
): (props: P) => ReactNode {
  let coming: Promise<{ default: ComponentType<P> }> | undefined;
  const once = () => {
    coming ??= load().then((part) => ({ default: part }));
    // A part that could not be fetched is fetched anew when it is shown.
    coming.catch(() => {
      coming = undefined;
    });
    return coming;
  };
  if (fetch === 'soon' && typeof window !== 'undefined') whenAtRest(once);
  const Part = lazy(once);
  return (props) => <Alive meanwhile={meanwhile}>{createElement(Part, props as never)}</Alive>;
}

/**
 * What stands only in a page that is alive, never in one that the server sends: what React sends after such a page, to put a part into it, is
 * a script that the content policy forbids.
 */
function Alive({ meanwhile, children }: { meanwhile: ReactNode; children: ReactNode }) {
  const isAlive = useSyncExternalStore(unchanging, isInBrowser, isOnServer);
  return isAlive ? <Suspense fallback={meanwhile}>{children}</Suspense> : meanwhile;
}

const unchanging = () => () => undefined;
const isInBrowser = () => true;
const isOnServer = () => false;

/** Once the page has loaded and the browser has nothing to do. */
function whenAtRest(work: () => unknown): void {
  const wait = () =>
    'requestIdleCallback' in window ? requestIdleCallback(() => work()) : setTimeout(() => work(), 200);
  if (document.readyState === 'complete') wait();
  else window.addEventListener('load', wait, { once: true });
}
