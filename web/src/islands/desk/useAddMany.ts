import { type Channel, type ChannelDraft, kindOf } from '@umbrex/core/model';
import { useRef, useState } from 'react';
import { $notice, addSome, showAdded } from './deskStore';
import type { EntryGroup } from './entryGroup';

/** A draft to add, under a key of its caller's. */
export interface ToAdd<Key> {
  readonly key: Key;
  readonly channel: ChannelDraft;
}

/** So many are sent at once: few enough to show how it goes, and to stop between. */
const PART = 20;

/** Adding many drafts as one move, each to the group that fits its kind, with progress, a way to stop, and one undo for all of it. */
export function useAddMany<Key>(planId: string, groups: readonly EntryGroup[]) {
  const [added, setAdded] = useState<ReadonlySet<Key>>(new Set());
  const [progress, setProgress] = useState<{ at: number; of: number } | null>(null);
  const stop = useRef(false);
  const groupFor = (channel: ChannelDraft, asked?: string) =>
    asked || (groups.find(({ kind }) => kind === kindOf(channel)) ?? groups[0])?.id;
  const addAll = async (drafts: readonly ToAdd<Key>[], groupId?: string) => {
    stop.current = false;
    $notice.set(null);
    const move = crypto.randomUUID();
    const toAdd = drafts.flatMap(({ key, channel }) => {
      const into = groupFor(channel, groupId);
      return into
        ? [{ key, channel: { id: crypto.randomUUID(), groupId: into, ...channel } satisfies Channel }]
        : [];
    });
    let at = 0;
    while (at < toAdd.length && !stop.current) {
      setProgress({ at, of: toAdd.length });
      const part = toAdd.slice(at, at + PART);
      if (
        !(await addSome(
          planId,
          move,
          part.map(({ channel }) => channel),
        ))
      )
        break;
      setAdded((now) => new Set([...now, ...part.map(({ key }) => key)]));
      at += part.length;
    }
    if (at > 0) await showAdded(planId, move, at, toAdd.length);
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
