import type { z } from 'zod';
import type { Role } from './roles';

/** Statuses of refusals that a route has of its own; the rest (`usualErrors`) follow from what it is. */
export type Refusal = 400 | 401 | 403 | 404 | 409 | 413 | 415 | 429 | 503;

/** What is said once of an endpoint: who may call it, with what, what it answers and how it refuses. */
export interface Contract<R extends Role | 'anyone', B extends z.ZodType | null, A> {
  readonly role: R;
  /** `null`: no body is read as JSON. */
  readonly body: B;
  readonly errors: readonly Refusal[];
  /** Of a success. */
  readonly status: 200 | 201;
  /** Only a type: what a success answers; `Response` for a file or a stream. */
  readonly answer?: A;
}

/** Says what a route answers, then the rest of it: `route<Saved<Unit>>()('editor', Body, [409], 201)`. */
export const route =
  <A>() =>
  <R extends Role | 'anyone', B extends z.ZodType | null>(
    role: R,
    body: B,
    errors: readonly Refusal[] = [],
    status: 200 | 201 = 200,
  ): Contract<R, B, A> => ({ role, body, errors, status });

/** The names in square brackets of a path. */
export type ParamsOf<Path extends string> = Path extends `${string}[${infer Name}]${infer Rest}`
  ? { readonly [K in Name]: string } & ParamsOf<Rest>
  : unknown;

/** How a route may refuse besides what its contract names: nobody signed in, a foreign page, a role, a body, a path, a database. */
export function usualErrors(name: string, { role, body }: { role: string; body: unknown }): number[] {
  return [
    ...(name.startsWith('GET ') ? [] : [403]),
    ...(role === 'anyone' ? [] : [401, 403]),
    ...(body === null ? [] : [400, 413, 415]),
    ...(name.includes('[') ? [404] : []),
    503,
  ];
}
