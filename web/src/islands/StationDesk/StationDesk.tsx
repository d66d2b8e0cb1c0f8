import { guarded } from '../../ui/guarded';
import { StationDeskView } from './StationDeskView';
import { type StationProps, useStationDesk } from './useStationDesk';

function StationDeskIsland(props: StationProps) {
  return <StationDeskView {...useStationDesk(props)} />;
}

export const StationDesk = guarded('StationDesk', StationDeskIsland);
