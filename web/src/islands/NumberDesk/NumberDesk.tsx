import type { DeskState } from '../desk/deskStore';
import { NumberDeskView } from './NumberDeskView';
import { useNumberDesk } from './useNumberDesk';

export function NumberDesk({ initial }: { initial: Omit<DeskState, 'computing'> }) {
  return <NumberDeskView {...useNumberDesk(initial)} />;
}
