import type { Description, Plan } from '@umbrex/core/model';
import { DescribeDeskView } from './DescribeDeskView';
import { useDescribeDesk } from './useDescribeDesk';

export interface DescribeProps {
  readonly plan: Plan;
  readonly patterns: readonly Description[];
}

export function DescribeDesk(props: DescribeProps) {
  return <DescribeDeskView {...useDescribeDesk(props)} />;
}
