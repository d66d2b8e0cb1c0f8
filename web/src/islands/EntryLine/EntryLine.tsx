import { EntryLineView } from './EntryLineView';
import { type EntryGroup, useEntryLine } from './useEntryLine';

export function EntryLine({ planId, groups }: { planId: string; groups: readonly EntryGroup[] }) {
  return <EntryLineView {...useEntryLine(planId, groups)} groups={groups} />;
}
