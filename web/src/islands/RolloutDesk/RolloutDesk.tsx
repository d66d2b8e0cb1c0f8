import { guarded } from '../../ui/guarded';
import { RolloutDeskView } from './RolloutDeskView';
import { type RolloutProps, useRolloutDesk } from './useRolloutDesk';

function RolloutDeskIsland(props: RolloutProps) {
  return <RolloutDeskView {...useRolloutDesk(props)} />;
}

export const RolloutDesk = guarded('RolloutDesk', RolloutDeskIsland);
