import {
  type HeardDraft,
  heardOtherwise,
  heardPairs,
  type LineKnown,
  type LoggedCall,
  loggedCalls,
  notBroken,
} from '@umbrex/core/heard';
import type { Heard } from '@umbrex/core/model';
import { format } from 'date-fns';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { type HeardView, MOST_CALLS } from '../../contract/heard';
import type { Versioned } from '../../contract/things';
import { useLocal } from '../../ui/local';
import { call, callThrough, failureText, newerOf } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { keepPage } from '../desk/keptPage';
import { useWaits } from '../desk/useWaits';

/** The log of a plan beside what its sets are known to hold: what is written, what waits, and what the two say of each other. */
export function useLogDesk(view: HeardView) {
  const { planId, who, by, air } = view;
  const local = useLocal();
  const [held, setHeld] = useState(view.calls);
  const [channelId, setChannelId] = useState(air.channel.id);
  useEffect(() => void keepPage(), []);
  // An edit undone from the notice is not in this list yet: fetch the page anew.
  useEffect(() => {
    const anew = () => window.location.reload();
    document.addEventListener('umbrex:undone', anew);
    return () => document.removeEventListener('umbrex:undone', anew);
  }, []);
  const sender = useMemo(
    () => ({
      kind: 'call' as const,
      who,
      most: MOST_CALLS,
      post: async (plan: string, calls: readonly Heard[]) => {
        const { answers } = await callThrough(
          'POST /api/plans/[planId]/heard',
          { planId: plan },
          { calls: [...calls] },
        );
        const taken = new Set(answers.flatMap(({ id, taken }) => (taken ? [id] : [])));
        // As the server has it first: the versions follow from there.
        const kept = calls.filter(({ id }) => taken.has(id)).map((value) => ({ value, version: 1 }));
        if (plan === planId)
          setHeld((now) => [...kept, ...now.filter(({ value }) => !taken.has(value.id))].sort(newestFirst));
        return answers;
      },
      gone: 'This plan is not there any more.',
    }),
    [who, planId],
  );
  const waits = useWaits<Heard>(sender);
  const mine = useMemo(() => waits.waiting.filter(({ of }) => of === planId), [waits.waiting, planId]);
  const known: LineKnown = { ...view.known, channelId, now: nowHere() };

  const logged = useMemo(() => {
    const sent = new Set(held.map(({ value }) => value.id));
    const open = mine.flatMap(({ value, why }) => (why === '' && !sent.has(value.id) ? [value] : []));
    const all = loggedCalls([...open, ...held.map(({ value }) => value)], [], view.known.roster);
    return [...all, ...view.ofNets].sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  }, [held, mine, view]);
  const beside = useMemo(() => {
    const written = (id: string) => view.writtenOn[id] ?? null;
    const pairs = heardPairs(logged, air.channel.id, written, (at) => local(at).day);
    const channel = {
      sets: air.sets.map(({ unitId, set }) => ({ unitId, set })),
      repeaters: air.repeaters.map(({ between }) => between),
    };
    return { pairs, channel, otherwise: heardOtherwise(pairs, channel), broken: notBroken(pairs, channel) };
  }, [logged, air, view, local]);

  /** Puts calls into the log; kept here first. */
  const write = useCallback(
    async (drafts: readonly HeardDraft[]) => {
      const now = new Date();
      const values = drafts.map(({ time, ...draft }, i): Heard => {
        // A moment apart, so that two of one line keep their order.
        const at = time ? atLocal(time.day, time.minute) : new Date(now.getTime() + i);
        return { ...draft, id: crypto.randomUUID(), planId, at: at.toISOString(), settled: 'open', by };
      });
      const [first] = drafts;
      if (first) setChannelId(first.channelId);
      await waits.write(values.map((value) => ({ id: value.id, at: value.at, of: planId, value })));
    },
    [planId, by, waits.write],
  );

  const attempt = async (text: string, action: () => Promise<{ editId: string | null }>) => {
    try {
      const { editId } = await action();
      $notice.set({ text, kind: 'done', ...(editId && { editId }) });
      return true;
    } catch (error) {
      const newer = newerOf<Versioned<Heard | null> | null>(error);
      const now = newer?.current;
      if (now?.value) {
        const value = now.value;
        setHeld((before) =>
          before.map((one) => (one.value.id === value.id ? { value, version: now.version } : one)),
        );
      }
      $notice.set({
        text: newer
          ? 'Somebody changed this meanwhile. The newer state is shown; look at it, then do it again.'
          : failureText(error),
        kind: 'failed',
      });
      return false;
    }
  };
  const heldOf = (id: string) => held.find(({ value }) => value.id === id);
  /** Changes a call that is in the log. */
  const change = (id: string, part: Partial<Heard>, text: string) => {
    const there = heldOf(id);
    if (!there) return Promise.resolve(false);
    return attempt(text, async () => {
      const saved = await call(
        'PUT /api/heard/[id]',
        { id },
        { version: there.version, value: { ...there.value, ...part } },
      );
      const { value, version } = saved;
      setHeld((now) => now.map((one) => (one.value.id === id ? { value, version } : one)).sort(newestFirst));
      return saved;
    });
  };
  const take = (id: string) => {
    const there = heldOf(id);
    if (!there) return Promise.resolve(false);
    return attempt('The call is taken out of the log.', async () => {
      const taken = await call('DELETE /api/heard/[id]', { id }, { version: there.version });
      setHeld((now) => now.filter(({ value }) => value.id !== id));
      return taken;
    });
  };
  /** Settles calls that were not heard: no matter of the sets. */
  const settle = async (calls: readonly LoggedCall[], settled: Heard['settled']) => {
    for (const { id, source, heard } of calls)
      if (source === 'log' && !heard) await change(id, { settled }, 'Settled.');
  };
  const nameOf = (unitId: string) =>
    view.known.roster.units.find(({ id }) => id === unitId)?.nickname ?? 'a set that is gone';
  const channelName = (id: string) =>
    view.known.channels.find((one) => one.id === id)?.name ?? 'a channel that is gone';
  return {
    view,
    known,
    logged,
    ...beside,
    waits: { ...waits, waiting: mine },
    write,
    change,
    take,
    settle,
    nameOf,
    channelName,
    local,
    isSent: (id: string) => heldOf(id) !== undefined,
  };
}

export type LogState = ReturnType<typeof useLogDesk>;

const newestFirst = (a: { value: Heard }, b: { value: Heard }) =>
  Date.parse(b.value.at) - Date.parse(a.value.at);

function nowHere(): LineKnown['now'] {
  const now = new Date();
  return { day: format(now, 'yyyy-MM-dd'), minute: now.getHours() * 60 + now.getMinutes() };
}

/** The moment at which the clocks here show a minute of a day. */
export function atLocal(day: string, minute: number): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(year, month - 1, date, Math.floor(minute / 60), minute % 60);
}
