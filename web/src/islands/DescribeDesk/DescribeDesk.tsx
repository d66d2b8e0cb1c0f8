import { DescribeDeskView } from './DescribeDeskView';
import { type DescribeProps, useDescribeDesk } from './useDescribeDesk';

export function DescribeDesk(props: DescribeProps) {
  return <DescribeDeskView {...useDescribeDesk(props)} />;
}
