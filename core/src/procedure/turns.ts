/** Presses that bring a wheel from one place to another. */
export interface Turn {
  readonly key: string;
  readonly times: number;
  /** Milliseconds each press is held; absent for a tap. */
  readonly heldMs?: number;
}

/**
 * The fewest presses that turn a wheel of `count` places from `from` to `to`. It goes round at its ends; without `down` it
 * turns one way only; `big` is a held press of several places. Equal numbers of presses: fewer held ones, since they take
 * longer.
 * @throws RangeError when a place is not on the wheel
 */
export function turnWheel(
  from: number,
  to: number,
  count: number,
  keys: { up: string; down?: string | undefined; big?: { by: number; heldMs: number } | undefined },
): Turn[] {
  for (const place of [from, to])
    if (!Number.isInteger(place) || place < 0 || place >= count)
      throw new RangeError(`place ${place} of ${count}`);
  const mostHeld = keys.big ? Math.ceil(count / keys.big.by) : 0;
  let best: { held: number; taps: number } | undefined;
  for (let held = keys.down ? -mostHeld : 0; held <= mostHeld; held++) {
    const rest = (((to - from - held * (keys.big?.by ?? 0)) % count) + count) % count;
    for (const taps of keys.down ? [rest, rest - count] : [rest]) {
      const presses = Math.abs(held) + Math.abs(taps);
      const least = best ? Math.abs(best.held) + Math.abs(best.taps) : Number.POSITIVE_INFINITY;
      if (presses < least || (presses === least && best && Math.abs(held) < Math.abs(best.held)))
        best = { held, taps };
    }
  }
  const turns: Turn[] = [];
  const add = (n: number, heldMs?: number) => {
    if (n !== 0)
      turns.push({
        key: n > 0 ? keys.up : (keys.down ?? keys.up),
        times: Math.abs(n),
        ...(heldMs !== undefined && { heldMs }),
      });
  };
  if (best) {
    add(best.held, keys.big?.heldMs);
    add(best.taps);
  }
  return turns;
}
