import type { PlanCountry } from '@umbrex/core/facts';
import { guarded } from '../../ui/guarded';
import { EntryLineView } from './EntryLineView';
import { type EntryGroup, useEntryLine } from './useEntryLine';

interface Props {
  planId: string;
  country: PlanCountry;
  groups: readonly EntryGroup[];
}

function EntryLineIsland({ planId, country, groups }: Props) {
  return <EntryLineView {...useEntryLine(planId, country, groups)} groups={groups} />;
}

export const EntryLine = guarded('EntryLine', EntryLineIsland);
