import { marked } from '@umbrex/core/bench';
import type { BenchDay } from '@umbrex/core/model';
import { format } from 'date-fns';
import { useEffect, useMemo } from 'react';
import { type BenchMarkSent, MOST_MARKS } from '../../contract/bench';
import { callThrough } from '../desk/api';
import { keepPage } from '../desk/keptPage';
import type { Held } from '../desk/useHeld';
import { useWaits } from '../desk/useWaits';
import type { Wait } from '../desk/waits';

/** A tick that waits to be sent, of a bench day. */
export type WaitingMark = Wait<BenchMarkSent>;

/**
 * What is ticked on bench days: kept in this browser first, then sent, each once. While the server is away it waits here, and the list shows it all
 * the same.
 * @param keep takes in a day as the server has it
 */
export function useMarks(who: string, keep: (day: Held<BenchDay>) => void) {
  const sender = useMemo(
    () => ({
      kind: 'mark' as const,
      who,
      most: MOST_MARKS,
      post: async (id: string, marks: readonly BenchMarkSent[]) => {
        const { answers, day } = await callThrough(
          'POST /api/benches/[id]/marks',
          { id },
          { marks: [...marks] },
        );
        keep(day);
        return answers;
      },
      gone: 'This bench day is not there any more.',
    }),
    [who, keep],
  );
  const { waiting, isAway, write, drop, send } = useWaits<BenchMarkSent>(sender);
  useEffect(() => void keepPage(), []);
  const mark = (dayId: string, setId: string, state: BenchMarkSent['state']) => {
    const now = new Date();
    const value: BenchMarkSent = {
      id: crypto.randomUUID(),
      setId,
      state,
      at: now.toISOString(),
      day: format(now, 'yyyy-MM-dd'),
      minute: now.getHours() * 60 + now.getMinutes(),
    };
    return write([{ id: value.id, at: value.at, of: dayId, value }]);
  };
  return { waiting, isAway, mark, drop, send };
}

/** A day as it is with what waits. */
export function withWaiting(day: BenchDay, waiting: readonly WaitingMark[]): BenchDay {
  return waiting
    .filter(({ of, why }) => of === day.id && why === '')
    .reduce((now, { value: { setId, state, day: on, minute } }) => {
      return marked(now, { setId, state, atMin: on === day.day ? minute - day.beginsMin : null });
    }, day);
}
