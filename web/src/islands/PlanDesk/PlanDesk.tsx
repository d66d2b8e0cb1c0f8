import type { Neighbour } from '@umbrex/core/tones';
import { useState } from 'react';
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

export function PlanDesk({ initial, first, ...around }: Props) {
  const [desk] = useState(() => unpack(initial));
  return <PlanDeskView {...usePlanDesk(desk, first, around)} />;
}
