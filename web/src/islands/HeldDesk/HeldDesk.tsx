import { guarded } from '../../ui/guarded';
import { HeldDeskView } from './HeldDeskView';
import { type Initial, useHeldDesk } from './useHeldDesk';

/** What a set holds now, and what of it may go. */
function HeldDeskIsland({ initial }: { initial: Initial }) {
  return <HeldDeskView {...useHeldDesk(initial)} />;
}

export const HeldDesk = guarded('HeldDesk', HeldDeskIsland);
