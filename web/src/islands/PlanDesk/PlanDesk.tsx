import type { Neighbour } from '@umbrex/core/tones';
import { useState } from 'react';
import { guarded } from '../../ui/guarded';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import type { RosterPerson } from './MayTransmit';
import { PlanDeskView } from './PlanDeskView';
import { usePlanDesk } from './usePlanDesk';

interface Props {
  initial: Packed<Omit<DeskState, 'computing'>>;
  first: string | null;
  neighbours: readonly Neighbour[];
  people: readonly RosterPerson[];
  today: string;
}

function PlanDeskIsland({ initial, first, ...around }: Props) {
  const [desk] = useState(() => unpack(initial));
  return <PlanDeskView {...usePlanDesk(desk, first, around)} />;
}

export const PlanDesk = guarded('PlanDesk', PlanDeskIsland);
