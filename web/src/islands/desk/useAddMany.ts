import { type ChannelDraft, kindOf } from '@umbrex/core/model';
import { useRef, useState } from 'react';
import type { EntryGroup } from '../EntryLine/useEntryLine';
import { addChannel } from './deskStore';

/** A draft to add, under a key of its caller's. */
export interface ToAdd<Key> {
  readonly key: Key;
  readonly channel: ChannelDraft;
}

/** Adding many drafts one after another, each to the group that fits its kind, with progress and a way to stop. */
export function useAddMany<Key>(planId: string, groups: readonly EntryGroup[]) {
  const [added, setAdded] = useState<ReadonlySet<Key>>(new Set());
  const [progress, setProgress] = useState<{ at: number; of: number } | null>(null);
  const stop = useRef(false);
  const addAll = async (drafts: readonly ToAdd<Key>[], groupId?: string) => {
    stop.current = false;
    for (const [i, { key, channel }] of drafts.entries()) {
      if (stop.current) break;
      setProgress({ at: i + 1, of: drafts.length });
      const kind = kindOf(channel);
      const fitting = groups.find((candidate) => candidate.kind === kind) ?? groups[0];
      const into = groupId || fitting?.id;
      if (!into || !(await addChannel(planId, into, channel, crypto.randomUUID()))) break;
      setAdded((now) => new Set(now).add(key));
    }
    setProgress(null);
  };
  return {
    added,
    forget: () => setAdded(new Set()),
    progress,
    addAll,
    stop: () => {
      stop.current = true;
    },
  };
}
