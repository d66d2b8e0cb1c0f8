import { useState } from 'react';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import { CheckDeskView } from './CheckDeskView';
import { useCheckDesk } from './useCheckDesk';

export function CheckDesk({
  initial,
  today,
}: {
  initial: Packed<Omit<DeskState, 'computing'>>;
  today: string;
}) {
  const [desk] = useState(() => unpack(initial));
  return <CheckDeskView {...useCheckDesk(desk, today)} />;
}
