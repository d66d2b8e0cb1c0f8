import type { Finding } from '@umbrex/core/findings';

/** The body or the file is not what it should be: 400 with findings. */
export class BadInput extends Error {
  constructor(readonly findings: readonly Finding[]) {
    super('bad input');
  }
}

/** There is no such thing here, or no longer: 404. */
export class NotHere extends Error {}

/** The change was made from an older version, or clashes with what is there: 409 with the newer state. */
export class ChangedMeanwhile extends Error {
  constructor(readonly current: unknown) {
    super('changed meanwhile');
  }
}

/** Nobody is signed in: 401. */
export class SignInNeeded extends Error {}

/** Somebody is, and may not do this; or the request comes from a foreign page: 403. */
export class Forbidden extends Error {}

/** A password, a code or a link that is not right: 401 with what it was. */
export class Refusal401 extends Error {
  constructor(
    readonly code: 'wrong-password' | 'code-needed' | 'wrong-code' | 'no-workspace' | 'wrong-word',
  ) {
    super(code);
  }
}

/** Too many attempts: 429. */
export class TooOften extends Error {
  constructor(readonly waitS: number) {
    super('too often');
  }
}

/** A body that is too large or no JSON at all: its own status. */
export class Refused extends Error {
  constructor(
    readonly status: 413 | 415,
    message: string,
  ) {
    super(message);
  }
}

/** Whether an error says that the database cannot be reached. */
export function isUnreachable(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const code = 'code' in error ? String(error.code) : '';
  return (
    ['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', 'EPIPE', '57P01', '57P03', '08006', '08001'].includes(code) ||
    error.name === 'KnexTimeoutError' ||
    /Connection terminated|timeout expired/.test(error.message)
  );
}
