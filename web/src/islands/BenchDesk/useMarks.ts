import { marked } from '@umbrex/core/bench';
import type { BenchDay } from '@umbrex/core/model';
import { format } from 'date-fns';
import { useCallback, useEffect, useState } from 'react';
import { type BenchMarkSent, MOST_MARKS } from '../../contract/bench';
import { callThrough, failureText, isGone, NoAnswer } from '../desk/api';
import { $notice } from '../desk/deskStore';
import type { Held } from '../desk/useHeld';
import { dropMark, keepMark, type WaitingMark, waitingMarks } from './kept';
import { keepBench } from './offline';

/**
 * What is ticked on bench days: kept in this browser first, then sent, each once. While the server is away it waits here, and the list shows it all
 * the same.
 * @param keep takes in a day as the server has it
 */
export function useMarks(who: string, keep: (day: Held<BenchDay>) => void) {
  const [waiting, setWaiting] = useState<readonly WaitingMark[]>([]);
  const [isAway, setAway] = useState(false);
  const send = useCallback(async () => {
    try {
      await sendAll(who, keep);
      setAway(false);
    } catch (error) {
      setAway(error instanceof NoAnswer);
      if (!(error instanceof NoAnswer)) $notice.set({ text: failureText(error), kind: 'failed' });
    }
    setWaiting(await waitingMarks(who));
  }, [who, keep]);
  useEffect(() => {
    void keepBench();
    void send();
    const back = () => {
      if (document.visibilityState !== 'hidden') void send();
    };
    window.addEventListener('online', back);
    document.addEventListener('visibilitychange', back);
    return () => {
      window.removeEventListener('online', back);
      document.removeEventListener('visibilitychange', back);
    };
  }, [send]);

  const mark = async (dayId: string, setId: string, state: BenchMarkSent['state']) => {
    const now = new Date();
    const one: WaitingMark = {
      mark: {
        id: crypto.randomUUID(),
        setId,
        state,
        at: now.toISOString(),
        day: format(now, 'yyyy-MM-dd'),
        minute: now.getHours() * 60 + now.getMinutes(),
      },
      dayId,
      who,
      why: '',
    };
    await keepMark(one);
    setWaiting((before) => [...before, one]);
    await send();
  };
  const drop = async (id: string) => {
    await dropMark(id);
    setWaiting(await waitingMarks(who));
  };
  return { waiting, isAway, mark, drop, send };
}

/** A day as it is with what waits. */
export function withWaiting(day: BenchDay, waiting: readonly WaitingMark[]): BenchDay {
  return waiting
    .filter(({ dayId, why }) => dayId === day.id && why === '')
    .reduce((now, { mark: { setId, state, day: on, minute } }) => {
      return marked(now, { setId, state, atMin: on === day.day ? minute - day.beginsMin : null });
    }, day);
}

let sending: Promise<void> = Promise.resolve();

/** Sends what waits, one batch after another, in its order. What is refused stays, with its reason. */
function sendAll(who: string, keep: (day: Held<BenchDay>) => void): Promise<void> {
  const work = async () => {
    for (;;) {
      const open = (await waitingMarks(who)).filter(({ why }) => why === '');
      const [first] = open;
      if (!first) return;
      const batch = open.filter(({ dayId }) => dayId === first.dayId).slice(0, MOST_MARKS);
      try {
        const { answers, day } = await callThrough(
          'POST /api/benches/[id]/marks',
          { id: first.dayId },
          { marks: batch.map(({ mark }) => mark) },
        );
        const byId = new Map(answers.map((answer) => [answer.id, answer]));
        for (const one of batch) {
          const answer = byId.get(one.mark.id);
          if (answer?.taken) await dropMark(one.mark.id);
          else await keepMark({ ...one, why: answer?.why || 'The server said nothing of it.' });
        }
        keep(day);
      } catch (error) {
        if (!isGone(error)) throw error;
        for (const one of batch) await keepMark({ ...one, why: 'This bench day is not there any more.' });
      }
    }
  };
  sending = sending.catch(() => undefined).then(work);
  return sending;
}
