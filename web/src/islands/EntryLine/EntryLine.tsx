import type { PlanCountry } from '@umbrex/core/facts';
import { guarded } from '../../ui/guarded';
import type { EntryGroup } from '../desk/entryGroup';
import { EntryLineView } from './EntryLineView';
import { useEntryLine } from './useEntryLine';
import type { KindInHand } from './useSetInHand';

interface Props {
  planId: string;
  country: PlanCountry;
  groups: readonly EntryGroup[];
  /** The kinds of set that the fleet has and that hold channels from the factory. */
  kinds: readonly KindInHand[];
}

function EntryLineIsland({ planId, country, groups, kinds }: Props) {
  return <EntryLineView {...useEntryLine(planId, country, groups, kinds)} groups={groups} />;
}

export const EntryLine = guarded('EntryLine', EntryLineIsland);
