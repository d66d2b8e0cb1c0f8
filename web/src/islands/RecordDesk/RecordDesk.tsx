import type { Description, Plan, Recording } from '@umbrex/core/model';
import { RecordDeskView } from './RecordDeskView';
import { useRecordDesk } from './useRecordDesk';

export interface RecordProps {
  readonly plan: Plan;
  /** The kind without any steps. */
  readonly description: Description;
  readonly version: number;
  /** What was recorded before; `null` where nobody has. */
  readonly recording: Recording | null;
  readonly me: string;
  readonly today: string;
}

export function RecordDesk(props: RecordProps) {
  return <RecordDeskView {...useRecordDesk(props)} />;
}
