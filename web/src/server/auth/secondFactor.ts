import { Secret, TOTP } from 'otpauth';
import { toString as qrSvg } from 'qrcode';

const PERIOD_S = 30;

/** Time codes of RFC 6238 with its usual values: SHA-1, six digits, 30 seconds. */
function totp(secret: string, login: string): TOTP {
  return new TOTP({
    issuer: 'Umbrex',
    label: login,
    algorithm: 'SHA1',
    digits: 6,
    period: PERIOD_S,
    secret: Secret.fromBase32(secret),
  });
}

/** A new secret with what an authenticator needs to take it in: an address, and that as a picture. */
export async function newSecondFactor(login: string): Promise<{ secret: string; uri: string; svg: string }> {
  const secret = new Secret({ size: 20 }).base32;
  const uri = totp(secret, login).toString();
  return { secret, uri, svg: await qrSvg(uri, { type: 'svg', margin: 1 }) };
}

/**
 * The time step of a right code, one step early or late allowed; `null` for a wrong one or one from a step that was used.
 * @param usedStep the last step a code of this account was taken from
 */
export function stepOfCode(secret: string, code: string, usedStep: number, nowMs: number): number | null {
  const delta = totp(secret, '').validate({ token: code.replace(/\s/g, ''), timestamp: nowMs, window: 1 });
  if (delta === null) return null;
  const step = Math.floor(nowMs / 1000 / PERIOD_S) + delta;
  return step > usedStep ? step : null;
}
