import { type ComponentType, type ReactNode, useEffect } from 'react';
import { Coming, useComing } from './coming';

interface When {
  /** Stands there until the part has come. */
  meanwhile?: ReactNode;
  /** `asked` is for what follows an answer of the server or is seldom wanted. */
  fetch: 'soon' | 'asked';
}

/**
 * A part of an island that the page does not wait for: it stands in a file of its own. It is never drawn on the server. Where it cannot be
 * fetched, it says so in its place, and what stands around it goes on.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { meanwhile = null, fetch }: When,
): (props: P) => ReactNode {
  const part = new Coming(load, fetch);
  return (props) => <Late part={part} props={props} meanwhile={meanwhile} />;
}

function Late<P extends object>({
  part,
  props,
  meanwhile,
}: {
  part: Coming<ComponentType<P>>;
  props: P;
  meanwhile: ReactNode;
}) {
  const Come = useComing(part);
  useEffect(() => part.fetch(), [part]);
  if (Come === undefined) return meanwhile;
  return Come === 'failed' ? <NotFetched /> : <Come {...props} />;
}

/** Stands where something belongs that could not be fetched. */
export function NotFetched() {
  return (
    <p className="finding my-2" data-severity="error" role="alert">
      This part could not be fetched: the server did not answer. Once it does, load the page again.{' '}
      <button type="button" className="btn btn-outline btn-xs" onClick={() => window.location.reload()}>
        Load the page again
      </button>
    </p>
  );
}
