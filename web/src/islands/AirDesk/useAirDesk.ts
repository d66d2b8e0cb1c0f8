import { HEAR_GATES, type HearGate, hearsOn, type PairOnAir } from '@umbrex/core/air';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useState } from 'react';
import type { AirSet, AirView } from '../../contract/air';
import { MARKS, type Mark } from '../../messages/onAir';
import type { DrawnMatrix } from '../../workers/air.worker';
import { airWorker } from '../../workers/airClient';

/** A call that is looked at: from one set to another, by their places in the list. */
export interface Chosen {
  readonly from: number;
  readonly to: number;
}

/** Sets that come to the very same, as a row and a column of the matrix. */
export interface Group {
  readonly members: readonly number[];
  readonly title: string;
  readonly place: string;
  /** Whether they send on the channel at all, or may. */
  readonly sends: boolean;
}

/** Whether a set sends on the channel, or nobody knows that it does not. */
export const sendsHere = ({ set: { place, maySend } }: AirSet): boolean =>
  maySend !== false && place !== null && (place === 'unknown' || place.transmitHz !== null);

/** The matrix of one channel, computed in a worker, and the call that is looked at. */
export function useAirDesk(view: AirView) {
  const [drawn, setDrawn] = useState<DrawnMatrix | null>(null);
  const [failed, setFailed] = useState(false);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [zoom, setZoom] = useState<'groups' | 'sets'>('groups');
  useEffect(() => {
    airWorker()
      .matrix(
        view.sets.map(({ set }) => set),
        view.sets.map(({ kind }) => kind),
        view.repeaters.map(({ between }) => between),
      )
      .then(setDrawn)
      .catch(() => setFailed(true));
  }, [view]);
  const groups = useMemo(
    () =>
      (drawn?.groups ?? []).map((members): Group => {
        const first = view.sets[members[0] ?? 0];
        const sends = first !== undefined && sendsHere(first);
        return { members, title: first?.kind ?? '', place: first?.place ?? '', sends };
      }),
    [drawn, view],
  );
  const callOf = useCallback(
    (from: number, to: number): { mark: Mark; gate: HearGate | null } => {
      const at = from * (drawn?.count ?? 0) + to;
      return {
        mark: MARKS[drawn?.marks[at] ?? 2] ?? 'unknown',
        gate: HEAR_GATES[(drawn?.gates[at] ?? 0) - 1] ?? null,
      };
    },
    [drawn],
  );
  const pair: PairOnAir | null = useMemo(() => {
    const [from, to] = [view.sets[chosen?.from ?? -1], view.sets[chosen?.to ?? -1]];
    return from && to
      ? hearsOn(
          from.set,
          to.set,
          view.repeaters.map(({ between }) => between),
        )
      : null;
  }, [chosen, view]);
  return { view, drawn, failed, groups, chosen, setChosen, zoom, setZoom, callOf, pair, onKeyDown };
}

/** Arrow keys go from cell to cell of the table. */
function onKeyDown(event: KeyboardEvent<HTMLElement>): void {
  const step = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowDown: [1, 0], ArrowUp: [-1, 0] }[event.key];
  const here =
    event.target instanceof HTMLElement ? event.target.dataset.cell?.split('-').map(Number) : undefined;
  if (!step || !here) return;
  event.preventDefault();
  const [row = 0, column = 0] = here;
  const [down = 0, right = 0] = step;
  const next = event.currentTarget.querySelector<HTMLElement>(
    `[data-cell="${row + down}-${column + right}"]`,
  );
  next?.focus();
}

/** Of two groups a call between two different sets; none within a group of one. */
export function between(a: Group, b: Group): Chosen | null {
  const from = a.members[0] ?? 0;
  const to = b.members.find((one) => one !== from);
  return to === undefined ? null : { from, to };
}
