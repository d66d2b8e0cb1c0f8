import { useCallback, useEffect, useState } from 'react';
import type { ReportAnswer } from '../../contract/card';
import { failureText, isGone, NoAnswer } from './api';
import { $notice } from './deskStore';
import { dropWait, keepWait, type Wait, type WaitKind, waitsOf } from './waits';

/** How some of a kind are sent. */
interface Sender<T> {
  readonly kind: WaitKind;
  /** Whose they are. */
  readonly who: string;
  /** So many at once. */
  readonly most: number;
  /** Sends some that belong to one thing, and says what became of each. */
  readonly post: (of: string, values: readonly T[]) => Promise<readonly ReportAnswer[]>;
  /** What is said of those whose thing is not there any more. */
  readonly gone: string;
}

/**
 * What is written down is kept in this browser first, then sent, each once. While the server is away it waits here.
 * @param sender the same one at each call, or it is sent anew
 */
export function useWaits<T>(sender: Sender<T>) {
  const { kind, who } = sender;
  const [waiting, setWaiting] = useState<readonly Wait<T>[]>([]);
  const [isAway, setAway] = useState(false);
  const send = useCallback(async () => {
    try {
      await sendAll(sender);
      setAway(false);
    } catch (error) {
      setAway(error instanceof NoAnswer);
      if (!(error instanceof NoAnswer)) $notice.set({ text: failureText(error), kind: 'failed' });
    }
    setWaiting(await waitsOf<T>(kind, who));
  }, [sender, kind, who]);
  useEffect(() => {
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

  const write = async (all: readonly Pick<Wait<T>, 'id' | 'at' | 'of' | 'value'>[]) => {
    const those = all.map((one): Wait<T> => ({ ...one, who, why: '' }));
    for (const one of those) await keepWait(kind, one);
    setWaiting((before) => [...before, ...those]);
    await send();
  };
  const drop = async (id: string) => {
    await dropWait(kind, id);
    setWaiting(await waitsOf<T>(kind, who));
  };
  return { waiting, isAway, write, drop, send };
}

const sending = new Map<WaitKind, Promise<void>>();

/** Sends what waits, one batch after another, in its order. What is refused stays, with its reason. */
function sendAll<T>({ kind, who, most, post, gone }: Sender<T>): Promise<void> {
  const work = async () => {
    for (;;) {
      const open = (await waitsOf<T>(kind, who)).filter(({ why }) => why === '');
      const [first] = open;
      if (!first) return;
      const batch = open.filter(({ of }) => of === first.of).slice(0, most);
      try {
        const answers = await post(
          first.of,
          batch.map(({ value }) => value),
        );
        const byId = new Map(answers.map((answer) => [answer.id, answer]));
        for (const one of batch) {
          const answer = byId.get(one.id);
          if (answer?.taken) await dropWait(kind, one.id);
          else await keepWait(kind, { ...one, why: answer?.why || 'The server said nothing of it.' });
        }
      } catch (error) {
        if (!isGone(error)) throw error;
        for (const one of batch) await keepWait(kind, { ...one, why: gone });
      }
    }
  };
  const now = (sending.get(kind) ?? Promise.resolve()).catch(() => undefined).then(work);
  sending.set(kind, now);
  return now;
}
