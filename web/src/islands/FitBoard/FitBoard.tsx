import { useState } from 'react';
import { guarded } from '../../ui/guarded';
import type { DeskState } from '../desk/deskStore';
import { type Packed, unpack } from '../desk/packed';
import { FitBoardView } from './FitBoardView';
import { type Place, useFitBoard } from './useFitBoard';

function FitBoardIsland({
  initial,
  first,
}: {
  initial: Packed<Omit<DeskState, 'computing'>>;
  first: Partial<Place>;
}) {
  const [desk] = useState(() => unpack(initial));
  return <FitBoardView {...useFitBoard(desk, first)} />;
}

export const FitBoard = guarded('FitBoard', FitBoardIsland);
