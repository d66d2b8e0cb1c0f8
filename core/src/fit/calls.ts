import type { Finding } from '../findings/index';
import type { FitDevice } from './device';
import { valuesOf } from './device';
import type { Cell, WantedSlot } from './image';
import { sendsBy } from './policy';

/** The places of an image with their marks for selective calls, and what could not be had, by channel. */
export interface CallsFit {
  readonly slots: ReadonlyMap<number, WantedSlot>;
  readonly findings: ReadonlyMap<string, readonly Finding[]>;
}

/**
 * Sets the mark of each place that says whether the set makes and answers selective calls there. A call is sent by itself, and so is the answer to
 * one: where the set may only listen, or nobody knows whether it may talk, the place is out; where it may talk it is in.
 * @param cells what became of the channels
 */
export function fitCalls(
  device: FitDevice,
  slots: ReadonlyMap<number, WantedSlot>,
  cells: readonly Cell[],
): CallsFit {
  const field = device.field.inCalls;
  const list = valuesOf(device, 'inCalls');
  const findings = new Map<string, readonly Finding[]>();
  if (!field || !list || list === 'unknown') return { slots, findings };
  const means = list.map(({ means }) => means === true);
  const sends = new Map(cells.map(({ channelId, verdict }) => [channelId, sendsBy(verdict) === true]));
  const marked = new Map(slots);
  for (const [number, wanted] of slots) {
    if (wanted.channelIds.length === 0) continue;
    const isIn = wanted.channelIds.every((id) => sends.get(id) === true);
    const isSettable = device.slotAt.get(number)?.settable.includes(field.id);
    const index = isSettable ? means.indexOf(isIn) : -1;
    const now = Number(device.present.slots.get(number)?.[field.id] ?? field.factory);
    if (index >= 0)
      marked.set(number, {
        ...wanted,
        values: { ...wanted.values, [field.id]: index },
        content: { ...wanted.content, inCalls: isIn } as WantedSlot['content'],
      });
    else if (!isIn && means[now])
      for (const id of wanted.channelIds)
        findings.set(id, [{ code: 'calls-where-listening', severity: 'warning' }]);
  }
  return { slots: marked, findings };
}
