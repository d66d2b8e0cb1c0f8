import type { DeskState } from '../desk/deskStore';
import { CheckDeskView } from './CheckDeskView';
import { useCheckDesk } from './useCheckDesk';

export function CheckDesk({ initial, today }: { initial: Omit<DeskState, 'computing'>; today: string }) {
  return <CheckDeskView {...useCheckDesk(initial, today)} />;
}
