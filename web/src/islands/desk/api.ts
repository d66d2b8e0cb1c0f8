import type { Finding } from '@umbrex/core/findings';
import { findingText } from '../../messages/findings';

/** What a server said no with: its status, findings, and the newer state where there is one. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly findings: readonly Finding[],
    readonly current: unknown,
    /** The server's own word for it. */
    readonly code: string = '',
  ) {
    super(`refused with ${status}`);
  }
}

/** This tab, so that it does not hear of its own changes. */
export const TAB = typeof crypto === 'undefined' ? '' : crypto.randomUUID();

/** The server did not answer at all. */
export class NoAnswer extends Error {}

/** Calls an endpoint with JSON. @throws Refusal or NoAnswer */
export async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      // Also where there is no body: a write without a type could come from a plain form, and is refused as one.
      headers: { 'content-type': 'application/json', 'x-umbrex-tab': TAB },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
  } catch (error) {
    throw new NoAnswer(String(error));
  }
  const text = await response.text();
  const value: unknown = text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : {};
  if (response.ok) return value as T;
  const {
    findings = [],
    current = null,
    error = '',
  } = value as {
    findings?: Finding[];
    current?: unknown;
    error?: string;
  };
  throw new Refusal(response.status, findings, current, error);
}

/** A sentence for an error that stopped an action. @param stale what is said where somebody else was first */
export function failureText(error: unknown, stale?: string): string {
  if (stale !== undefined && error instanceof Refusal && error.status === 409) return stale;
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
