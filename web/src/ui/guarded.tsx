import { Component, type ComponentType, type ErrorInfo, type ReactNode, useEffect } from 'react';
import { call } from '../islands/desk/ask';
import { tellEarly } from './early';
import { keepFocus } from './focus';

interface State {
  readonly broken: boolean;
  /** Whether the server has said that it noted it. */
  readonly isNoted: boolean;
}

/** Stands where a part of a page came to a stop: says so, leaves the rest alive, and tells the server's log. */
class Guard extends Component<{ name: string; children: ReactNode }, State> {
  override state: State = { broken: false, isNoted: false };
  static getDerivedStateFromError(): Partial<State> {
    return { broken: true };
  }
  override componentDidCatch(error: unknown, { componentStack }: ErrorInfo): void {
    const { message, stack } = error instanceof Error ? error : { message: String(error), stack: '' };
    const said = {
      island: this.props.name,
      // What is in the address of a link lets in: it is nobody's to read.
      path: window.location.pathname.replace(/^\/(link|my)\/.*/, '/$1/…'),
      message: message.slice(0, 500),
      stack: `${stack ?? ''}\n${componentStack ?? ''}`.slice(0, 4000),
    };
    // What cannot be told is not worth another stop: the page says it to whoever sits there.
    call('POST /api/stops', {}, said).then(
      () => this.setState({ isNoted: true }),
      () => undefined,
    );
  }
  override render(): ReactNode {
    if (!this.state.broken) return this.props.children;
    return (
      <div className="m-4 rounded border-2 border-error p-3" role="alert">
        <p className="font-bold text-error">This part of the page came to a stop.</p>
        <p>
          What was saved is safe.{' '}
          {this.state.isNoted
            ? 'The server’s log knows of it.'
            : 'Tell whoever keeps the server what you were doing.'}
        </p>
        <button
          type="button"
          className="btn btn-outline btn-sm mt-2"
          onClick={() => window.location.reload()}
        >
          Load the page again
        </button>
      </div>
    );
  }
}

/** An island that cannot take the page down with it, on whose page the focus stays where it was, and that knows what was written before it was alive. */
export function guarded<P extends object>(name: string, Island: ComponentType<P>): (props: P) => ReactNode {
  return function GuardedIsland(props: P) {
    useEffect(() => {
      keepFocus();
      tellEarly(name);
    }, []);
    return (
      <Guard name={name}>
        <Island {...props} />
      </Guard>
    );
  };
}
