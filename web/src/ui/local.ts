import { format } from 'date-fns';
import { useCallback, useSyncExternalStore } from 'react';

/** A moment on somebody’s clocks. */
export interface Local {
  /** As YYYY-MM-DD, and as HH:MM. */
  readonly day: string;
  readonly time: string;
}

const nothing = () => () => undefined;

/** Moments on the clocks here; on the server, which knows no clocks of ours, and until the page is alive, in UTC. */
export function useLocal(): (at: string) => Local {
  const isHere = useSyncExternalStore(
    nothing,
    () => true,
    () => false,
  );
  return useCallback(
    (at: string) => {
      if (!isHere) return { day: at.slice(0, 10), time: at.slice(11, 16) };
      const moment = new Date(at);
      return { day: format(moment, 'yyyy-MM-dd'), time: format(moment, 'HH:mm') };
    },
    [isHere],
  );
}
