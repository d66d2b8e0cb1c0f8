import { useEffect, useRef, useState } from 'react';
import { guarded } from '../../ui/guarded';
import { address, TAB } from './api';
import { $desk, reloadPlan } from './deskStore';

const OF_PLAN: ReadonlySet<string> = new Set(['channel', 'plan', 'order']);
/** Changes often come in flocks; one fetch is enough for them. */
const GATHER_MS = 150;

/** Hears what others change while this page is open: the plan follows at once, of other things it is said that they are newer. */
function LiveUpdatesIsland({ planId }: { planId: string }) {
  const [stale, setStale] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    let source: EventSource | undefined;
    const changed = (ofPlan: boolean) => {
      if (!ofPlan || $desk.get()?.plan.id !== planId) {
        setStale(true);
        return;
      }
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void reloadPlan(planId).catch(() => setStale(true)), GATHER_MS);
    };
    const open = () => {
      let cut = false;
      source = new EventSource(address('GET /api/events', {}));
      source.onmessage = ({ data }) => {
        const change = JSON.parse(data) as { kind: string; tab: string | null };
        if (change.tab !== TAB) changed(OF_PLAN.has(change.kind));
      };
      source.onerror = () => {
        cut = true;
      };
      // After a gap nobody knows what was missed.
      source.onopen = () => {
        if (cut) changed(true);
        cut = false;
      };
    };
    // A browser has few connections to one server: a page nobody looks at gives its one back.
    const look = () => {
      if (document.visibilityState === 'hidden') {
        source?.close();
        source = undefined;
      } else if (!source) {
        open();
        if ($desk.get()) changed(true);
      }
    };
    open();
    document.addEventListener('visibilitychange', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      source?.close();
      clearTimeout(timer.current);
    };
  }, [planId]);
  return (
    <div className="print-hide fixed right-4 top-20 z-40" role="status">
      {stale && (
        <p className="flex items-center gap-3 rounded border border-base-content bg-base-100 px-3 py-2 shadow-lg">
          Somebody changed something meanwhile.
          <button type="button" className="btn btn-outline btn-xs" onClick={() => window.location.reload()}>
            Show it
          </button>
          <button type="button" className="btn btn-ghost btn-xs" onClick={() => setStale(false)}>
            Later
          </button>
        </p>
      )}
    </div>
  );
}

export const LiveUpdates = guarded('LiveUpdates', LiveUpdatesIsland);
