import type { Finding } from './finding';

/** A value with what was noticed on the way, or the findings that stand against it. */
export type Result<T> =
  | { readonly ok: true; readonly value: T; readonly findings: readonly Finding[] }
  | { readonly ok: false; readonly findings: readonly Finding[] };
