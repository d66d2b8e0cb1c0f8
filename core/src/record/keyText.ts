import type { RecordedStep } from '../model/index';

/** One key as it was pressed: its legend, how often, and how long it was held, in milliseconds. */
export interface Press {
  readonly legend: string;
  readonly times: number;
  readonly heldMs?: number;
}

const HELD = /\(\s*(\d+(?:[.,]\d+)?)\s*s\s*\)/g;
const TIMES = /^[x×](\d{1,3})$/i;
const HELD_MARK = /^@(\d+)$/;

/**
 * Reads keys as people write them: legends with spaces between, `x3` or `×3` after one that was pressed several times, `(2 s)` after one
 * that was held; digits in a row are pressed one by one. `null` where a count or a time has no key before it, or is out of reason.
 */
export function readKeys(text: string): Press[] | null {
  const words = text
    .replace(HELD, (_, s: string) => ` @${Math.round(Number(s.replace(',', '.')) * 1000)} `)
    .split(/\s+/)
    .filter(Boolean);
  const presses: Press[] = [];
  for (const word of words) {
    const times = TIMES.exec(word)?.[1];
    const heldMs = HELD_MARK.exec(word)?.[1];
    const last = presses.at(-1);
    if (times === undefined && heldMs === undefined) {
      if (/^\d{2,}$/.test(word)) presses.push(...[...word].map((legend) => ({ legend, times: 1 })));
      else if (word.length <= 8) presses.push({ legend: word, times: 1 });
      else return null;
      continue;
    }
    if (!last || Number(times ?? 1) < 1 || Number(heldMs ?? 1) < 1 || Number(heldMs ?? 1) > 60_000)
      return null;
    presses[presses.length - 1] =
      times === undefined ? { ...last, heldMs: Number(heldMs) } : { ...last, times: Number(times) };
  }
  return presses.length > 0 ? presses : null;
}

/** Reads the lines of a task: `keys -> what it shows`, one a line. */
export function readLines(text: string): RecordedStep[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [keys = '', ...shows] = line.split(/\s*(?:->|→)\s*/);
      return { keys: keys.trim(), shows: shows.join(' ').trim() };
    });
}

/** The other way of `readLines`. */
export function linesText(steps: readonly RecordedStep[]): string {
  return steps.map(({ keys, shows }) => (shows === '' ? keys : `${keys} -> ${shows}`)).join('\n');
}
