import { NetDeskView } from './NetDeskView';
import { type NetProps, useNetDesk } from './useNetDesk';

export function NetDesk(props: NetProps) {
  return <NetDeskView {...useNetDesk(props)} />;
}
