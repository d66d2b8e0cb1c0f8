import { gatherFindings, type NextMove, type Repair, reviewPlan } from '@umbrex/core/check';
import type { ChannelState } from '@umbrex/core/model';
import { useMemo, useState } from 'react';
import { type DeskState, saveChannel } from '../desk/deskStore';
import { useDesk } from '../desk/useDesk';

const MOVES: readonly NextMove[] = ['fix', 'ask', 'look', 'know'];

/** The state of the check: the plan's findings by what to do next, reviewed anew after each change. */
export function useCheckDesk(
  initial: Omit<DeskState, 'computing'>,
  said: Readonly<Record<string, ChannelState>>,
  today: string,
) {
  const { plan, mayEdit } = useDesk(initial);
  const [busy, setBusy] = useState(false);
  const groups = useMemo(() => {
    const found = reviewPlan(plan, { today, said });
    return MOVES.map((next) => {
      const here = found.filter((entry) => entry.next === next);
      return { next, count: here.length, rows: gatherFindings(here) };
    });
  }, [plan, said, today]);
  const names = useMemo(() => new Map(plan.channels.map((channel) => [channel.id, channel.name])), [plan]);
  const mend = async (repairs: readonly Repair[]) => {
    setBusy(true);
    for (const repair of repairs) if (!(await saveChannel(repair.channel))) break;
    setBusy(false);
  };
  const nameOf = (channelId: string) => names.get(channelId) ?? '';
  return { plan, mayEdit, groups, mend, busy, nameOf };
}
