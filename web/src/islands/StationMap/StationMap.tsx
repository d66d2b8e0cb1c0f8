import { StationMapView } from './StationMapView';
import { type MapProps, useStationMap } from './useStationMap';

export function StationMap(props: MapProps) {
  return <StationMapView {...useStationMap(props)} />;
}
