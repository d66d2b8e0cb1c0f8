import { findingText } from '../../messages/findings';
import { NoAnswer, newerOf, Refusal } from './ask';

export * from './ask';

/** A sentence for an error that stopped an action. @param stale what is said where somebody else was first */
export function failureText(error: unknown, stale?: string): string {
  if (stale !== undefined && newerOf(error)) return stale;
  if (error instanceof NoAnswer)
    return 'The server does not answer. What you wrote is still here; try again.';
  if (error instanceof Refusal && error.status === 503)
    return 'The database does not answer. What you wrote is still here; try again.';
  if (error instanceof Refusal && error.status === 401)
    return 'You are not signed in any more. What you wrote is still here; sign in in another tab, then try again.';
  if (error instanceof Refusal && error.status === 403) return 'Your role may not change this.';
  if (error instanceof Refusal && error.status === 429) return 'Too often. Wait a while, then try again.';
  if (error instanceof Refusal && error.status === 404)
    return 'It is no longer there. Load the page again to see the newest state.';
  const [finding] = error instanceof Refusal ? error.findings : [];
  if (finding) return findingText(finding).what;
  if (error instanceof Refusal) return `The server refused it (${error.status}).`;
  return 'Something went wrong. Load the page again.';
}
