import { type ComponentType, type ReactNode, useEffect, useSyncExternalStore } from 'react';

interface When {
  /** Stands there until the part has come. */
  meanwhile?: ReactNode;
  /**
   * `soon`: it is fetched as soon as the page is at rest, so that it opens at once, also when the server has been stopped since. `asked`:
   * not before it is shown, for what follows an answer of the server or is seldom wanted.
   */
  fetch: 'soon' | 'asked';
}

/**
 * A part of an island that the page does not wait for: it stands in a file of its own. It is never drawn on the server. Where it cannot be
 * fetched, it says so in its place, and what stands around it
 * goes on. A browser keeps such a failure for as long as the page is open, so the way out is to load the page again.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { meanwhile = null, fetch }: When,
): (props: P) => ReactNode {
  const part = new Part(load);
  if (fetch === 'soon' && typeof window !== 'undefined') whenAtRest(() => part.fetch());
  return (props) => <Late part={part} props={props} meanwhile={meanwhile} />;
}

/** What has come of a part: the part itself, or that it could not be fetched. */
class Part<P> {
  private come: ComponentType<P> | 'failed' | undefined;
  private isAsked = false;
  private readonly waiting = new Set<() => void>();
  constructor(private readonly load: () => Promise<ComponentType<P>>) {}

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

function Late<P extends object>({
  part,
  props,
  meanwhile,
}: {
  part: Part<P>;
  props: P;
  meanwhile: ReactNode;
}) {
  const Come = useSyncExternalStore(part.follow, part.now, part.onServer);
  useEffect(() => part.fetch(), [part]);
  if (Come === undefined) return meanwhile;
  if (Come !== 'failed') return <Come {...props} />;
  return (
    <p className="finding my-2" data-severity="error" role="alert">
      This part could not be fetched: the server did not answer. Once it does, load the page again.{' '}
      <button type="button" className="btn btn-outline btn-xs" onClick={() => window.location.reload()}>
        Load the page again
      </button>
    </p>
  );
}

/** Once the page has loaded and the browser has nothing to do. */
function whenAtRest(work: () => void): void {
  const wait = () => ('requestIdleCallback' in window ? requestIdleCallback(work) : setTimeout(work, 200));
  if (document.readyState === 'complete') wait();
  else window.addEventListener('load', wait, { once: true });
}
