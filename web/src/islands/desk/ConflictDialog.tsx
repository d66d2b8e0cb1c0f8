import { useStore } from '@nanostores/react';
import type { Channel } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import { useEffect, useRef } from 'react';
import { toneWords } from '../../messages/tones';
import { $conflict, $desk, reloadPlan, saveChannel } from './deskStore';

const FIELDS: readonly (readonly [keyof Channel, string])[] = [
  ['name', 'Name'],
  ['receiveHz', 'Receive'],
  ['transmitHz', 'Transmit'],
  ['transmitTone', 'Transmit tone'],
  ['receiveTone', 'Receive tone'],
  ['receivePolicy', 'Receive policy'],
  ['bandwidth', 'Bandwidth'],
  ['mode', 'Mode'],
  ['access', 'Access'],
  ['tier', 'Tier'],
  ['groupId', 'Group'],
  ['note', 'Note'],
];

/** Somebody saved the same channel meanwhile: both versions, field by field, and the choice. */
export function ConflictDialog() {
  const conflict = useStore($conflict);
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (conflict && !dialog.current?.open) dialog.current?.showModal();
    if (!conflict && dialog.current?.open) dialog.current.close();
  }, [conflict]);
  if (!conflict) return <dialog ref={dialog} />;
  const { mine, theirs, version } = conflict;
  const keepTheirs = async () => {
    $conflict.set(null);
    const desk = $desk.get();
    if (desk) await reloadPlan(desk.plan.id).catch(() => undefined);
  };
  const keepMine = async () => {
    $conflict.set(null);
    await saveChannel(mine, version);
  };
  return (
    <dialog
      ref={dialog}
      className="m-auto w-full max-w-2xl rounded bg-base-100 p-6 text-base-content"
      aria-labelledby="conflict-title"
      onClose={() => $conflict.set(null)}
    >
      <h2 id="conflict-title" className="text-lg font-bold">
        {theirs ? 'Changed meanwhile' : 'Deleted meanwhile'}
      </h2>
      {theirs ? (
        <>
          <p className="mt-1">
            Somebody saved “{theirs.name}” after you opened it. Nothing of yours is saved yet.
          </p>
          <table className="mt-3 w-full text-left">
            <thead>
              <tr className="muted">
                <th className="py-1 font-normal">Field</th>
                <th className="font-normal">Now saved</th>
                <th className="font-normal">Yours</th>
              </tr>
            </thead>
            <tbody>
              {FIELDS.filter(([key]) => theirs[key] !== mine[key]).map(([key, title]) => (
                <tr key={key} className="border-t border-base-300">
                  <th scope="row" className="py-1 font-semibold">
                    {title}
                  </th>
                  <td>{shown(key, theirs)}</td>
                  <td>{shown(key, mine)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      ) : (
        <p className="mt-1">“{mine.name}” was deleted by somebody else, so it cannot be saved.</p>
      )}
      <div className="mt-5 flex flex-wrap gap-3">
        <button type="button" className="btn btn-primary btn-sm" onClick={() => void keepTheirs()}>
          Keep what is saved
        </button>
        {theirs && (
          <button type="button" className="btn btn-outline btn-sm" onClick={() => void keepMine()}>
            Save mine over it
          </button>
        )}
      </div>
    </dialog>
  );
}

function shown(key: keyof Channel, channel: Channel): string {
  const value = channel[key];
  if (key === 'receiveHz' || key === 'transmitHz')
    return typeof value === 'number' ? `${mhzText(value)} MHz` : 'listen only';
  if (key === 'transmitTone' || key === 'receiveTone') return toneWords(String(value));
  if (key === 'groupId')
    return $desk.get()?.plan.groups.find((group) => group.id === value)?.name ?? 'another group';
  return String(value) || 'empty';
}
