import { type KeyEvent, POWER_MS, TAP_MS } from './events';

/** What a hand does, one thing after another; a step of a sheet is a row of these, and its events, its drawing and its count follow from it. */
export type Run =
  | {
      readonly do: 'press';
      readonly key: string;
      readonly times: number;
      readonly heldMs?: number;
      /** The keys that are held down meanwhile. */
      readonly with?: readonly string[];
      /** Only where the display shows this. */
      readonly when?: string;
    }
  | { readonly do: 'wait'; readonly ms: number }
  | { readonly do: 'power' }
  /** Presses until the display shows one of these; how many that takes on average and at most, over all places it may start from. */
  | {
      readonly do: 'until';
      readonly key: string;
      readonly heldMs?: number;
      readonly shows: readonly string[];
      /** As whole words anywhere, as whole words on the top line, or at the beginning of a line. */
      readonly as: 'words' | 'top' | 'beginning';
      readonly mean: number;
      readonly most: number;
    };

/** A run of like presses, as it is drawn: the key's legend, how often, how long held; or a pause. */
export type DrawnKeys =
  | {
      readonly kind: 'key';
      readonly legend: string;
      /** The legends of the keys that are held down meanwhile. */
      readonly with?: readonly string[];
      readonly times: number;
      readonly heldMs?: number;
      readonly when?: string;
    }
  | { readonly kind: 'pause'; readonly ms: number }
  | { readonly kind: 'power' }
  | {
      readonly kind: 'until';
      readonly legend: string;
      readonly heldMs?: number;
      /** What the display then shows: one text, or the first and the last of several. */
      readonly shows: readonly string[];
      readonly mean: number;
      readonly most: number;
    };

/** How the runs of a step are drawn, by the legends of the set's keys. */
export function drawn(runs: readonly Run[], legends: Readonly<Record<string, string>>): DrawnKeys[] {
  return runs.map((run): DrawnKeys => {
    switch (run.do) {
      case 'wait':
        return { kind: 'pause', ms: run.ms };
      case 'power':
        return { kind: 'power' };
      case 'press': {
        const { key, times, heldMs, when } = run;
        const others = run.with?.map((other) => legends[other] ?? other);
        return {
          kind: 'key',
          legend: legends[key] ?? key,
          ...(others && { with: others }),
          times,
          ...(heldMs !== undefined && { heldMs }),
          ...(when && { when }),
        };
      }
      case 'until': {
        const { key, heldMs, shows, mean, most } = run;
        const ends = shows.length > 1 ? [shows[0] ?? '', shows.at(-1) ?? ''] : shows;
        const legend = legends[key] ?? key;
        return { kind: 'until', legend, ...(heldMs !== undefined && { heldMs }), shows: ends, mean, most };
      }
      default:
        return run satisfies never;
    }
  });
}

/** How many presses runs take: on average, and at most; keys that are held meanwhile are one more each. */
export function pressesOf(runs: readonly Run[]): { mean: number; most: number } {
  let [mean, most] = [0, 0];
  for (const run of runs) {
    if (run.do === 'press') {
      const times = run.times * (1 + (run.with?.length ?? 0));
      [mean, most] = [mean + times, most + times];
    }
    if (run.do === 'until') [mean, most] = [mean + run.mean, most + run.most];
  }
  return { mean, most };
}

/** How long a hand needs for the runs of a step, in milliseconds, with so long between two keys. */
export function handMs(runs: readonly Run[], betweenKeysMs: number): number {
  let [ms, done] = [0, 0];
  for (const run of runs) {
    if (run.do === 'power') {
      ms += POWER_MS;
      continue;
    }
    const times = run.do === 'press' ? run.times : run.do === 'until' ? run.mean : 1;
    ms += times * (run.do === 'wait' ? run.ms : (run.heldMs ?? TAP_MS));
    done += times;
  }
  return ms + Math.max(0, done - 1) * betweenKeysMs;
}

/**
 * Does runs with a hand that reads the display.
 * @param take lets one event happen; @param screen what is shown now; @param betweenKeysMs the pause before each key but the first
 * @returns the text that never came, where a run turned until something was shown and it was not
 */
export function doRuns(
  runs: readonly Run[],
  take: (event: KeyEvent) => void,
  screen: () => readonly string[],
  betweenKeysMs: number,
): string | null {
  let isFirst = true;
  const press = (key: string, heldMs = TAP_MS, others: readonly string[] = []) => {
    if (!isFirst) take({ kind: 'wait', ms: betweenKeysMs });
    isFirst = false;
    for (const other of others) take({ kind: 'down', key: other });
    take({ kind: 'key', key, heldMs });
    for (const other of others) take({ kind: 'up', key: other });
  };
  for (const run of runs)
    switch (run.do) {
      case 'wait':
        if (!isFirst) take({ kind: 'wait', ms: betweenKeysMs });
        isFirst = false;
        take({ kind: 'wait', ms: run.ms });
        break;
      case 'power':
        take({ kind: 'power' });
        take({ kind: 'wait', ms: POWER_MS });
        break;
      case 'press':
        if (run.when !== undefined && !showsWords(screen(), run.when)) break;
        for (let n = 0; n < run.times; n++) press(run.key, run.heldMs, run.with);
        break;
      case 'until': {
        const isThere = () => run.shows.some((text) => READS[run.as](screen(), text));
        for (let n = 0; !isThere(); n++) {
          if (n >= run.most) return run.shows.at(-1) ?? '';
          press(run.key, run.heldMs);
        }
        break;
      }
      default:
        run satisfies never;
    }
  return null;
}

const IN_WORD = /[\p{L}\p{N}.]/u;

/** Whether a line of a display holds a text as whole words: “5” is not in “15”, nor “67.0” in “167.0”. */
export function showsWords(screen: readonly string[], text: string): boolean {
  const [first, last] = [text.at(0) ?? '', text.at(-1) ?? ''];
  return screen.some((line) => {
    for (let at = line.indexOf(text); at >= 0; at = line.indexOf(text, at + 1)) {
      const [before, after] = [line.charAt(at - 1), line.charAt(at + text.length)];
      const isCut =
        (IN_WORD.test(first) && IN_WORD.test(before)) || (IN_WORD.test(last) && IN_WORD.test(after));
      if (!isCut) return true;
    }
    return false;
  });
}

const READS = {
  words: showsWords,
  top: (screen: readonly string[], text: string) => showsWords(screen.slice(0, 1), text),
  beginning: beginsWith,
} as const;

function beginsWith(screen: readonly string[], text: string): boolean {
  return screen.some((line) => line.startsWith(text));
}
