import { guarded } from '../../ui/guarded';
import { PublishDeskView } from './PublishDeskView';
import { type PublishProps, usePublishDesk } from './usePublishDesk';

function PublishDeskIsland(props: PublishProps) {
  return <PublishDeskView {...usePublishDesk(props)} />;
}

export const PublishDesk = guarded('PublishDesk', PublishDeskIsland);
