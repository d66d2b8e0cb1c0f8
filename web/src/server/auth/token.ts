import { createHash, randomBytes } from 'node:crypto';

/** A fresh secret for a session or a link: 256 bits, as it stands in a cookie or an address. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** What is kept of a token: its hash. A token is random, so a plain fast hash does. */
export function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('base64url');
}
