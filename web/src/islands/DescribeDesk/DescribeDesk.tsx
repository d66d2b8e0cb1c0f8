import { guarded } from '../../ui/guarded';
import { DescribeDeskView } from './DescribeDeskView';
import { type DescribeProps, useDescribeDesk } from './useDescribeDesk';

function DescribeDeskIsland(props: DescribeProps) {
  return <DescribeDeskView {...useDescribeDesk(props)} />;
}

export const DescribeDesk = guarded('DescribeDesk', DescribeDeskIsland);
