import { useStore } from '@nanostores/react';
import { useEffect, useRef } from 'react';
import { guarded } from '../../ui/guarded';
import { later } from '../../ui/later';
import { failureText } from './api';
import { $conflict, $notice, $settled } from './deskStore';

/** What every field is called and says: seldom wanted, and never without the server. */
const Differences = later(() => import('./Differences').then((part) => part.Differences), { fetch: 'asked' });

/** Somebody saved the same thing meanwhile: both versions, field by field, and the choice. */
function ConflictDialogIsland() {
  const conflict = useStore($conflict);
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (conflict && !dialog.current?.open) dialog.current?.showModal();
    if (!conflict && dialog.current?.open) dialog.current.close();
  }, [conflict]);
  if (!conflict) return <dialog ref={dialog} />;
  const { kind, name, mine, theirs, names } = conflict;
  const settle = async (choice: () => Promise<unknown>) => {
    $conflict.set(null);
    try {
      await choice();
      if ($conflict.get() === null) $settled.set($settled.get() + 1);
    } catch (error) {
      $notice.set({ text: failureText(error), kind: 'failed' });
    }
  };
  return (
    <dialog
      ref={dialog}
      className="m-auto max-h-[85vh] w-full max-w-2xl overflow-y-auto rounded bg-base-100 p-6 text-base-content"
      aria-labelledby="conflict-title"
      onClose={() => $conflict.set(null)}
    >
      <h2 id="conflict-title" className="text-lg font-bold">
        {theirs ? 'Changed meanwhile' : 'Deleted meanwhile'}
      </h2>
      {theirs ? (
        <>
          <p className="mt-1">Somebody saved “{name}” after you opened it. Nothing of yours is saved yet.</p>
          <Differences kind={kind} mine={mine} theirs={theirs} names={names} />
        </>
      ) : (
        <p className="mt-1">“{name}” was deleted by somebody else, so it cannot be saved.</p>
      )}
      <div className="mt-5 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() => void settle(conflict.keepTheirs)}
        >
          Keep what is saved
        </button>
        {theirs && (
          <button
            type="button"
            className="btn btn-outline btn-sm"
            onClick={() => void settle(conflict.keepMine)}
          >
            Save mine over it
          </button>
        )}
      </div>
    </dialog>
  );
}

export const ConflictDialog = guarded('ConflictDialog', ConflictDialogIsland);
