import { HeldDeskView } from './HeldDeskView';
import { type Initial, useHeldDesk } from './useHeldDesk';

/** What a set holds now, and what of it may go. */
export function HeldDesk({ initial }: { initial: Initial }) {
  return <HeldDeskView {...useHeldDesk(initial)} />;
}
