import { hash, verify } from '@node-rs/argon2';

/* argon2id with 19 MiB, two passes, one lane. Source: OWASP Password Storage Cheat Sheet. The library's default kind is argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

/** Stands where an account has no password, and is compared where there is no account, so that both take the same time. */
let nobody: Promise<string> | undefined;

/** Whether a password is the one behind a hash; without a hash it takes as long and says no. */
export async function passwordFits(passwordHash: string | undefined, password: string): Promise<boolean> {
  nobody ??= hashPassword('nobody has this password');
  if (!passwordHash?.startsWith('$argon2id$')) {
    await verify(await nobody, password);
    return false;
  }
  return verify(passwordHash, password);
}
