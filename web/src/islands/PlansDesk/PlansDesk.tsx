import { guarded } from '../../ui/guarded';
import { PlansDeskView } from './PlansDeskView';
import { type PlansProps, usePlansDesk } from './usePlansDesk';

function PlansDeskIsland(props: PlansProps) {
  return <PlansDeskView {...usePlansDesk(props)} />;
}

export const PlansDesk = guarded('PlansDesk', PlansDeskIsland);
