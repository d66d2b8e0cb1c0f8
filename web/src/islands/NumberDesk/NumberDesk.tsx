import { useState } from 'react';
import { guarded } from '../../ui/guarded';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import { NumberDeskView } from './NumberDeskView';
import { useNumberDesk } from './useNumberDesk';

function NumberDeskIsland({ initial }: { initial: Packed<Omit<DeskState, 'computing'>> }) {
  const [desk] = useState(() => unpack(initial));
  return <NumberDeskView {...useNumberDesk(desk)} />;
}

export const NumberDesk = guarded('NumberDesk', NumberDeskIsland);
