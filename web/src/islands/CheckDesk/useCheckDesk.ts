import { useStore } from '@nanostores/react';
import { type NextMove, type PlanFinding, type Repair, reviewPlan } from '@umbrex/core/check';
import { useMemo, useRef, useState } from 'react';
import { $desk, type DeskState, saveChannel, startDesk } from '../desk/deskStore';

const MOVES: readonly NextMove[] = ['fix', 'ask', 'look', 'know'];

/** The state of the check: the plan's findings by what to do next, reviewed anew after each change. */
export function useCheckDesk(initial: Omit<DeskState, 'computing'>, today: string) {
  const seeded = useRef(false);
  if (!seeded.current) {
    startDesk(initial);
    seeded.current = true;
  }
  const [begun] = useState(() => ({ ...initial, computing: false }));
  const { plan } = useStore($desk) ?? begun;
  const [busy, setBusy] = useState<string | null>(null);
  const groups = useMemo(() => {
    const found = reviewPlan(plan, { today });
    return MOVES.map((next) => ({ next, found: found.filter((entry) => entry.next === next) }));
  }, [plan, today]);
  const names = useMemo(() => new Map(plan.channels.map((channel) => [channel.id, channel.name])), [plan]);
  const mend = async (repair: Repair) => {
    setBusy(repair.channel.id);
    await saveChannel(repair.channel);
    setBusy(null);
  };
  const nameOf = (entry: PlanFinding) => names.get(entry.channelId ?? '') ?? '';
  return { plan, groups, mend, busy, nameOf };
}
