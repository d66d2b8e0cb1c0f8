import type { DeskState } from '../desk/deskStore';
import { FitBoardView } from './FitBoardView';
import { type Place, useFitBoard } from './useFitBoard';

export function FitBoard({
  initial,
  first,
}: {
  initial: Omit<DeskState, 'computing'>;
  first: Partial<Place>;
}) {
  return <FitBoardView {...useFitBoard(initial, first)} />;
}
