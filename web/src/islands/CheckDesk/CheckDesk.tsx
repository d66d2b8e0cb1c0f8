import type { ChannelState } from '@umbrex/core/model';
import { useState } from 'react';
import { guarded } from '../../ui/guarded';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import { CheckDeskView } from './CheckDeskView';
import { useCheckDesk } from './useCheckDesk';

function CheckDeskIsland({
  initial,
  said,
  today,
}: {
  initial: Packed<Omit<DeskState, 'computing'>>;
  /** By channel, in which state the list of stations has it. */
  said: Readonly<Record<string, ChannelState>>;
  today: string;
}) {
  const [desk] = useState(() => unpack(initial));
  return <CheckDeskView {...useCheckDesk(desk, said, today)} />;
}

export const CheckDesk = guarded('CheckDesk', CheckDeskIsland);
