import type { Neighbour } from '@umbrex/core/tones';
import type { DeskState } from '../desk/deskStore';
import type { RosterPerson } from './MayTransmit';
import { PlanDeskView } from './PlanDeskView';
import { usePlanDesk } from './usePlanDesk';

interface Props {
  initial: Omit<DeskState, 'computing'>;
  first: string | null;
  neighbours: readonly Neighbour[];
  people: readonly RosterPerson[];
  today: string;
}

export function PlanDesk({ initial, first, ...around }: Props) {
  return <PlanDeskView {...usePlanDesk(initial, first, around)} />;
}
