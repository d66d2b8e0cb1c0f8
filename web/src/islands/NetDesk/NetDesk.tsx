import { guarded } from '../../ui/guarded';
import { NetDeskView } from './NetDeskView';
import { type NetProps, useNetDesk } from './useNetDesk';

function NetDeskIsland(props: NetProps) {
  return <NetDeskView {...useNetDesk(props)} />;
}

export const NetDesk = guarded('NetDesk', NetDeskIsland);
