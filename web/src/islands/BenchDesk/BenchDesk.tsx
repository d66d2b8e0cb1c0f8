import { guarded } from '../../ui/guarded';
import { BenchDeskView } from './BenchDeskView';
import { type BenchProps, useBenchDesk } from './useBenchDesk';

function BenchDeskIsland(props: BenchProps) {
  return <BenchDeskView {...useBenchDesk(props)} />;
}

export const BenchDesk = guarded('BenchDesk', BenchDeskIsland);
