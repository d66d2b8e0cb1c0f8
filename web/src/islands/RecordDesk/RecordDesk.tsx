import { guarded } from '../../ui/guarded';
import { RecordDeskView } from './RecordDeskView';
import { type RecordProps, useRecordDesk } from './useRecordDesk';

function RecordDeskIsland(props: RecordProps) {
  return <RecordDeskView {...useRecordDesk(props)} />;
}

export const RecordDesk = guarded('RecordDesk', RecordDeskIsland);
