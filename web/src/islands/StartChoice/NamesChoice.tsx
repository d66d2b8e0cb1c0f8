import type { Unit } from '@umbrex/core/model';
import { useState } from 'react';
import { call, failureText, Refusal } from '../desk/api';

interface Props {
  readonly unit: Unit;
  readonly version: number;
  /** Presses that the names take, of all on the sheet. */
  readonly presses: number;
  readonly of: number;
}

/** Leaves the names of a set for another day, or has its sheet write them. */
export function NamesChoice({ unit, version, presses, of }: Props) {
  const [failure, setFailure] = useState('');
  const [busy, setBusy] = useState(false);
  const isLater = unit.names === 'later';
  const choose = async () => {
    setBusy(true);
    try {
      const names = isLater ? 'now' : 'later';
      await call('PUT', `/api/units/${unit.id}`, { version, unit: { ...unit, names } });
      window.location.reload();
    } catch (error) {
      setBusy(false);
      setFailure(
        error instanceof Refusal && error.status === 409
          ? 'Somebody changed this set meanwhile. Load the page again, then choose.'
          : failureText(error),
      );
    }
  };
  return (
    <p className="mt-2 flex flex-wrap items-center gap-2 text-[0.93rem]">
      {isLater
        ? 'Names are left for another day: places go by number till then.'
        : `Names come last and take ${presses} of ${of} presses.`}
      <button type="button" className="btn btn-outline btn-xs" disabled={busy} onClick={() => void choose()}>
        {isLater ? 'Write the names' : 'Leave names for later'}
      </button>
      {failure && (
        <span role="alert" className="font-semibold text-error">
          {failure}
        </span>
      )}
    </p>
  );
}
