import type { DeskState } from '../desk/deskStore';
import { PlanDeskView } from './PlanDeskView';
import { usePlanDesk } from './usePlanDesk';

export function PlanDesk({ initial }: { initial: Omit<DeskState, 'computing'> }) {
  return <PlanDeskView {...usePlanDesk(initial)} />;
}
