import type { Card } from '@umbrex/core/card';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Report } from '../../contract/card';
import {
  cardKept,
  type Ended,
  fetchCard,
  newReport,
  reportOf,
  scopeOf,
  sendWaiting,
  type Whose,
  whoseOf,
} from './hand';
import { addWaiting, dropWaiting, type Waiting, waitingOf } from './kept';

/** Without the parts that every report has. */
export type Said = Report extends infer R
  ? R extends Report
    ? Omit<R, 'id' | 'at' | 'unitId'>
    : never
  : never;

/** How often a card that is looked at asks whether something is new, in milliseconds. */
const AGAIN_MS = 5 * 60_000;

/** What is done step by step is sent together, so often at most, in milliseconds. */
const SOON_MS = 8000;

/**
 * What a phone has in the hand: the card as it was kept and then as the server has it, what waits to be sent, and where one is. Everything works
 * from what was kept; the server is asked beside it.
 */
export function useHand() {
  const [whose] = useState<Whose>(() => whoseOf(window.location));
  const [card, setCard] = useState<Card>();
  const [ended, setEnded] = useState<Ended | null>(null);
  const [isFresh, setFresh] = useState(false);
  /** Whether the server was asked by now: before that nobody knows whether there is a network. */
  const [isAsked, setAsked] = useState(false);
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [nowMs, setNow] = useState(() => Date.now());
  const who = card?.person?.id ?? '';

  const look = useCallback(async () => {
    const found = await fetchCard(whose);
    setCard(found.card);
    setEnded(found.ended);
    setFresh(found.isFresh);
    setAsked(true);
    setNow(Date.now());
  }, [whose]);
  const relist = useCallback(async () => {
    const all = await waitingOf(scopeOf(whose));
    setWaiting(all.filter((one) => one.who === who));
  }, [whose, who]);
  const send = useCallback(async () => {
    if (who === '') return;
    await sendWaiting(whose, who);
    await relist();
  }, [whose, who, relist]);

  useEffect(() => {
    // What was kept is there at once; what the server says comes after it.
    void cardKept(whose)
      .then((kept) => {
        if (kept) setCard((now) => now ?? kept);
      })
      .catch(() => undefined)
      .then(look);
    const again = setInterval(() => void look(), AGAIN_MS);
    const minute = setInterval(() => setNow(Date.now()), 30_000);
    return () => {
      clearInterval(again);
      clearInterval(minute);
    };
  }, [whose, look]);
  useEffect(() => {
    void relist().then(send);
    const back = () => {
      if (document.visibilityState === 'hidden') return;
      void look();
      void send();
    };
    window.addEventListener('online', back);
    document.addEventListener('visibilitychange', back);
    return () => {
      window.removeEventListener('online', back);
      document.removeEventListener('visibilitychange', back);
    };
  }, [relist, send, look]);

  /** Says something of a set of one's own: it waits here until the server has it. */
  const say = useCallback(
    async (unitId: string, said: Said, text: string) => {
      if (!card) return;
      await addWaiting(reportOf(whose, card, { ...newReport(unitId), ...said } as Report, text));
      await relist();
      await send();
      await look();
    },
    [whose, card, relist, send, look],
  );
  /** Sends what waits in a while, with whatever comes meanwhile: steps follow each other by seconds. */
  const soon = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sendSoon = useCallback(() => {
    soon.current ??= setTimeout(() => {
      soon.current = undefined;
      void send();
    }, SOON_MS);
  }, [send]);
  /** Gives up a report that the server does not take. */
  const drop = useCallback(
    async (id: string) => {
      await dropWaiting(id);
      await relist();
    },
    [relist],
  );
  return { whose, card, ended, isFresh, isAsked, waiting, nowMs, say, drop, send, sendSoon, look, relist };
}

/** What the parts of the card are given. */
export interface Hand {
  readonly whose: Whose;
  readonly card: Card;
  readonly isFresh: boolean;
  readonly isAsked: boolean;
  readonly waiting: readonly Waiting[];
  readonly nowMs: number;
  readonly say: (unitId: string, said: Said, text: string) => Promise<void>;
  readonly drop: (id: string) => Promise<void>;
  readonly send: () => Promise<void>;
  readonly sendSoon: () => void;
  readonly look: () => Promise<void>;
}
