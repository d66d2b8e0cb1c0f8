import type { Run } from './runs';

/**
 * A name as taps of keys that give letters in turn; two letters of one key in a row want a pause between them.
 * @param letterKeys the letters of each key, in turn; @param pauseMs the pause, in milliseconds
 * @returns `null` where no key gives one of its letters
 */
export function lettersTapped(
  name: string,
  letterKeys: Readonly<Record<string, string>>,
  pauseMs: number,
): Run[] | null {
  const runs: Run[] = [];
  for (const char of name) {
    const found = Object.entries(letterKeys).find(([, letters]) => letters.includes(char));
    if (!found) return null;
    const [key, letters] = found;
    const last = runs.at(-1);
    if (last?.do === 'press' && last.key === key) runs.push({ do: 'wait', ms: pauseMs });
    runs.push({ do: 'press', key, times: letters.indexOf(char) + 1 });
  }
  return runs;
}
