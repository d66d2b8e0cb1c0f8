import { useStore } from '@nanostores/react';
import { useRef, useState } from 'react';
import { $desk, type DeskState, startDesk } from './deskStore';

/** The desk of a page: begun once with what the server sent, then as it is kept for all parts of the page. */
export function useDesk(initial: Omit<DeskState, 'computing'>): DeskState {
  const seeded = useRef(false);
  if (!seeded.current) {
    startDesk(initial);
    seeded.current = true;
  }
  // On the server, and until the page is alive, what it began with.
  const [begun] = useState(() => ({ ...initial, computing: false }));
  return useStore($desk) ?? begun;
}
