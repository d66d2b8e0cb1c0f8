import { isOffAir, type OnAir } from './check/index';
import type { Cell } from './fit/index';
import type { Prepared } from './flow';
import type { Description, Plan } from './model/index';
import { readBackLines, type SlotLine } from './procedure/index';
import { type Verification, verification } from './verify/index';

const TALKS: ReadonlySet<Cell['verdict']> = new Set(['full', 'adapted']);

/** The channels on which a set talks, once it is loaded. */
export function talksOn(cells: readonly Cell[]): ReadonlySet<string> {
  return new Set(
    cells.flatMap(({ channelId, slot, verdict }) => (slot && TALKS.has(verdict) ? [channelId] : [])),
  );
}

/**
 * What is to be tried on a set once it holds a state of the plan, with the places as they then are.
 * @param calls the channels on which its sheet has a call tried anyway
 */
export function toTryOn(
  plan: Plan,
  {
    description,
    prepared,
  }: { readonly description: Description; readonly prepared: Pick<Prepared, 'fit' | 'sheet' | 'now'> },
  calls: readonly string[],
  onAir: readonly OnAir[],
): { lines: readonly SlotLine[]; found: Verification } {
  const { fit, sheet, now } = prepared;
  const lines = readBackLines(description, fit.image, sheet, now);
  const offAir = plan.channels.flatMap((channel) => (isOffAir(channel, onAir) ? [channel.id] : []));
  return { lines, found: verification(description, lines, fit.cells, plan, { calls, offAir }) };
}
