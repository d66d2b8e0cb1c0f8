import { useState } from 'react';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import { NumberDeskView } from './NumberDeskView';
import { useNumberDesk } from './useNumberDesk';

export function NumberDesk({ initial }: { initial: Packed<Omit<DeskState, 'computing'>> }) {
  const [desk] = useState(() => unpack(initial));
  return <NumberDeskView {...useNumberDesk(desk)} />;
}
