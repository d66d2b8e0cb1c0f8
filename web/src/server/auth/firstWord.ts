import { timingSafeEqual } from 'node:crypto';
import { getConfig } from '../config';

/**
 * Whether somebody has the word that stands where the server was started. It lets them make the first account from another machine; where
 * the server was started without one, nobody has it.
 */
export function isFirstWord(word: string): boolean {
  const { UMBREX_FIRST_WORD: right } = getConfig();
  if (right === undefined) return false;
  const [given, wanted] = [Buffer.from(word), Buffer.from(right)];
  return given.length === wanted.length && timingSafeEqual(given, wanted);
}
