import { useState } from 'react';
import { guarded } from '../../ui/guarded';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import { CheckDeskView } from './CheckDeskView';
import { useCheckDesk } from './useCheckDesk';

function CheckDeskIsland({
  initial,
  today,
}: {
  initial: Packed<Omit<DeskState, 'computing'>>;
  today: string;
}) {
  const [desk] = useState(() => unpack(initial));
  return <CheckDeskView {...useCheckDesk(desk, today)} />;
}

export const CheckDesk = guarded('CheckDesk', CheckDeskIsland);
