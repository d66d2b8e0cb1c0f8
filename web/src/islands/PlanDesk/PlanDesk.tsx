import type { DeskState } from '../desk/deskStore';
import { PlanDeskView } from './PlanDeskView';
import { usePlanDesk } from './usePlanDesk';

export function PlanDesk({
  initial,
  first,
}: {
  initial: Omit<DeskState, 'computing'>;
  first: string | null;
}) {
  return <PlanDeskView {...usePlanDesk(initial, first)} />;
}
