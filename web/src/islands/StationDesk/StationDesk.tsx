import { StationDeskView } from './StationDeskView';
import { type StationProps, useStationDesk } from './useStationDesk';

export function StationDesk(props: StationProps) {
  return <StationDeskView {...useStationDesk(props)} />;
}
