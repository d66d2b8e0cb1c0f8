import { useStore } from '@nanostores/react';
import { useEffect } from 'react';
import { guarded } from '../../ui/guarded';
import { $notice, sayWhatWaits, undo } from './deskStore';

/** What was just done or failed, at the foot of the page; it stays until the next thing or until it is closed. */
function NoticeBarIsland() {
  const notice = useStore($notice);
  useEffect(sayWhatWaits, []);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.altKey || event.key !== 'z') return;
      const target = event.target as HTMLElement | null;
      // In a field it takes back what was typed, as everywhere.
      if (target?.closest('input:not([type=checkbox]), textarea, select, dialog[open], [contenteditable]'))
        return;
      const { editId } = $notice.get() ?? {};
      event.preventDefault();
      if (editId) void undo(editId);
      else
        $notice.set({
          text: 'Nothing here to take back; what was done before stands under History.',
          kind: 'done',
        });
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
  return (
    <div
      className="pointer-events-none fixed inset-x-0 bottom-4 z-40 flex justify-center px-4 max-md:bottom-16 print-hide"
      role="status"
    >
      {notice && (
        <div className="pointer-events-auto flex items-center gap-4 rounded border border-base-content bg-base-100 px-4 py-2 shadow-lg">
          <span>
            {notice.kind === 'failed' && <strong className="text-error">Not done. </strong>}
            {notice.text}
          </span>
          {notice.editId && (
            <button
              type="button"
              className="btn btn-outline btn-xs"
              onClick={() => notice.editId && void undo(notice.editId)}
            >
              Undo
            </button>
          )}
          <button
            type="button"
            className="btn btn-ghost btn-xs"
            onClick={() => $notice.set(null)}
            aria-label="Close this line"
          >
            Close
          </button>
        </div>
      )}
    </div>
  );
}

export const NoticeBar = guarded('NoticeBar', NoticeBarIsland);
