import { guarded } from '../../ui/guarded';
import { StationMapView } from './StationMapView';
import { type MapProps, useStationMap } from './useStationMap';

function StationMapIsland(props: MapProps) {
  return <StationMapView {...useStationMap(props)} />;
}

export const StationMap = guarded('StationMap', StationMapIsland);
