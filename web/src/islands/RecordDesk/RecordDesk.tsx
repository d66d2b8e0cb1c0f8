import { RecordDeskView } from './RecordDeskView';
import { type RecordProps, useRecordDesk } from './useRecordDesk';

export function RecordDesk(props: RecordProps) {
  return <RecordDeskView {...useRecordDesk(props)} />;
}
