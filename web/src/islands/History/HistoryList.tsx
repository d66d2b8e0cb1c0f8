import { useState } from 'react';
import { Button } from '../../ui/Button';
import { guarded } from '../../ui/guarded';
import { call, failureText } from '../desk/api';
import { $notice } from '../desk/deskStore';

export interface HistoryEntry {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly what: string;
  readonly changes: readonly string[];
  readonly undoes: boolean;
  /** How much of what was done was undone. */
  readonly undone: 'none' | 'some' | 'all';
  /** What the button that takes it back says; `null` where that can no longer be done. */
  readonly back: 'Undo' | 'Bring back' | null;
}

/** The edits of a workspace, newest first, each with the way to take it back. */
function HistoryListIsland({ entries }: { entries: readonly HistoryEntry[] }) {
  const [busy, setBusy] = useState<string | null>(null);
  const undo = async (id: string) => {
    setBusy(id);
    try {
      await call('POST /api/edits/[editId]/undo', { editId: id }, {});
      window.location.reload();
    } catch (error) {
      $notice.set({
        text: failureText(error, 'The same thing was changed since. Undo that first.'),
        kind: 'failed',
      });
      setBusy(null);
    }
  };
  return (
    <ol>
      {entries.map(({ id, at, by, what, changes, undoes, undone, back }) => (
        <li
          key={id}
          className="grid gap-x-4 border-b border-base-300 py-2 sm:grid-cols-[10.5rem_minmax(0,1fr)_auto]"
        >
          <span className="muted font-mono text-small">{at}</span>
          <div className="min-w-0">
            <p>
              <strong>{by}</strong> {what}
              {undoes && <span className="muted">, undoing an edit</span>}
            </p>
            {changes.length > 0 && <p className="muted break-words text-small">{changes.join('; ')}</p>}
          </div>
          <div className="flex items-start gap-2">
            {undone === 'all' && <span className="muted text-small">undone</span>}
            {undone === 'some' && <span className="muted text-small">undone in part</span>}
            {back && (
              <Button
                type="button"
                className="btn btn-outline btn-xs"
                isOff={busy !== null}
                onClick={() => void undo(id)}
                aria-label={`${back}: ${what}`}
              >
                {back}
              </Button>
            )}
          </div>
        </li>
      ))}
    </ol>
  );
}

export const HistoryList = guarded('HistoryList', HistoryListIsland);
