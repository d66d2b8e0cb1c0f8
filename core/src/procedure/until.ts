import type { Run } from './runs';

/** A wheel that is turned by a key one place on, and maybe by a held press several places on. */
export interface Wheel {
  readonly count: number;
  readonly up: string;
  readonly big?: { readonly by: number; readonly heldMs: number } | undefined;
  /** A place of it may show what is not wanted though it is the right one, so that it is turned once round: a bank shows where one stands in it. */
  readonly mayGoRound?: boolean;
  /** Places are told by the top line: below it a name may stand that reads like another place. */
  readonly isTop?: boolean;
}

/**
 * Turns a wheel of which nobody knows where it stands until the display shows what is wanted. Where held presses go several places, they
 * are used first, until one of the last places before the wanted one is shown, if that takes fewer presses on average.
 * @param shownAt what the display shows at a place of the wheel
 */
export function turnUntil(
  { count, up, big, mayGoRound, isTop }: Wheel,
  to: number,
  shownAt: (place: number) => string,
): Run[] {
  const target = [shownAt(to)];
  const as = isTop ? 'top' : 'words';
  const away = Array.from({ length: count }, (_, from) => (to - from + count) % count);
  const plain = spread(mayGoRound ? [...away, count] : away);
  const single: Run = { do: 'until', key: up, shows: target, as, ...plain };
  if (!big || count <= big.by) return [single];
  const held: number[] = [];
  const taps: number[] = [];
  for (let from = 0; from < count; from++) {
    let at = from;
    let n = 0;
    while ((to - at + count) % count >= big.by) {
      at = (at + big.by) % count;
      n++;
    }
    held.push(n);
    taps.push((to - at + count) % count);
  }
  const [coarse, fine] = [spread(held), spread(taps)];
  if (coarse.mean + fine.mean >= plain.mean) return [single];
  const window = Array.from({ length: big.by }, (_, k) => shownAt((to - big.by + 1 + k + count) % count));
  return [
    { do: 'until', key: up, heldMs: big.heldMs, shows: window, as, ...coarse },
    { do: 'until', key: up, shows: target, as, ...fine },
  ];
}

/** Turns a letter or figure until the display begins with a text, from any place of its wheel. */
export function letterUntil(key: string, count: number, text: string): Run {
  const { mean, most } = spread(Array.from({ length: count }, (_, n) => n));
  return { do: 'until', key, shows: [text], as: 'beginning', mean, most };
}

function spread(presses: readonly number[]): { mean: number; most: number } {
  const sum = presses.reduce((total, n) => total + n, 0);
  return { mean: sum / Math.max(1, presses.length), most: Math.max(0, ...presses) };
}
